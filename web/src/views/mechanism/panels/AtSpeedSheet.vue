<script setup lang="ts">
import { atSpeed, type FullAt } from '@rough-gear/core';
import { computed, ref, watch } from 'vue';
import { HELD_BY_NAMES, outputUnits } from '../../../components/charts/forceChart.js';
import FigureField from '../../../components/fields/FigureField.vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import BaseDialog from '../../../components/widgets/BaseDialog.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';

/** One speed looked at: amperes of motor and pack driving and braking, what each limit costs there, and what the drag offset does. */
const { open } = defineProps<{ open: boolean }>();
defineEmits<{ close: [] }>();
const { path } = useDcMechanism();
const { show } = useDisplay();

const units = computed(() => outputUnits(path.value));
const k = computed(() => path.value.asked.perCoordinate);
/** Of q, SI; the speed the job needs at first. */
const speed = ref(path.value.asked.speed);
watch(
  () => open,
  (now) => {
    if (now) speed.value = path.value.asked.speed;
  },
);
const found = computed(() => (open ? atSpeed(path.value, speed.value) : undefined));
const rows = computed(() =>
  found.value
    ? ([
        ['full command', found.value.driving],
        ['full braking', found.value.braking],
      ] as const)
    : [],
);
const force = (value: number) => show(value, units.value.force);
const pack = (amperes: number) =>
  amperes < -0.005 ? `${show(-amperes, 'current')} back into it` : show(Math.max(0, amperes), 'current');

/** What holds it there, and what twice of that would give. */
function costs({ heldBy, doubled, slips, force: now }: FullAt): string {
  if (slips) return 'the tyres carry no more';
  const name = HELD_BY_NAMES[heldBy];
  if (!doubled) return `${name}, and no limit`;
  return doubled.force > now * 1.005
    ? `${name}; twice that gives ${force(doubled.force)} at ${pack(doubled.packCurrent)}`
    : `${name}; twice that gives no more`;
}

const offset = computed(() => {
  if (!found.value) return '';
  const { drag, cancels, creeps, heat } = found.value.offset;
  const own = show(drag, 'current');
  if (cancels === 0)
    return `None is set: rolling free it drags with ${own} of its own. An offset up to that cancels it.`;
  if (creeps) return `More than its own drag of ${own}: let go it creeps by itself, standing still as well.`;
  return `Of its own drag of ${own} it cancels ${show(cancels, 'current')} while it rolls free. Standing still it moves nothing, and warms the winding by ${show(heat, 'power', 2)}. Braking asks for a current of its own: the offset adds nothing to it and takes nothing from it.`;
});
const lifted = computed(() => {
  if (!found.value) return '';
  const { from, wheels, seconds, without } = found.value.lifted;
  const time = (value: number) => (Number.isFinite(value) ? show(value, 'time', 2) : 'does not stop');
  const both = path.value.control.dragOffset > 0 ? `, with the offset ${time(seconds)}` : '';
  return `Lifted off the ground, let go from ${show(from, 'speed')} of the motor, ${wheels ? 'its rotor and its share of the wheels spin' : 'its bare rotor spins'} down in ${time(without)}${both}.${wheels ? '' : ' A wheel on it takes longer: say its inertia at the wheels.'} On the bench, a time much shorter than reckoned tells of drag.`;
});
</script>

<template>
  <BaseDialog :open="open" title="At one speed" wide @close="$emit('close')">
    <div class="mb-3 grid max-w-md grid-cols-2 items-end gap-4">
      <MeasureField
        :value="speed * k"
        :dimension="units.speed"
        label="the output runs at"
        :at-least="0"
        stacked
        @read="speed = $event / k"
      />
      <FigureField figure="drive.dragOffset" allow="not negative" />
    </div>
    <p v-if="!found" class="text-second">Not known: a figure of the mechanism is missing.</p>
    <div v-else class="overflow-x-auto">
      <table class="w-full text-sm" data-testid="at-speed">
        <thead>
          <tr class="border-b border-ink text-left">
            <th scope="col">at {{ show(speed * k, units.speed) }}</th>
            <th scope="col" class="pl-3 text-right">motor, each</th>
            <th scope="col" class="pl-3 text-right">pack, all</th>
            <th scope="col" class="pl-3 text-right">at the output</th>
            <th scope="col" class="pl-3">held by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="[name, full] in rows" :key="name" class="border-b border-hair align-top">
            <th scope="row" class="py-1 text-left font-normal">{{ name }}</th>
            <td class="figures py-1 pl-3 text-right">{{ show(full.motorCurrent, 'current') }}</td>
            <td class="figures py-1 pl-3 text-right">{{ pack(full.packCurrent) }}</td>
            <td class="figures py-1 pl-3 text-right">{{ force(full.force) }}</td>
            <td class="py-1 pl-3">{{ costs(full) }}</td>
          </tr>
        </tbody>
      </table>
      <p class="mt-2 text-sm text-second" data-testid="drag-offset">{{ offset }}</p>
      <p class="mt-1 text-sm text-second" data-testid="lifted">{{ lifted }}</p>
    </div>
  </BaseDialog>
</template>
