<script setup lang="ts">
import { constantsOf, lacksOf, mixedBeside, RUN_NEEDS } from '@rough-gear/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { outputUnits } from '../../../components/charts/forceChart.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';
import { useShelf } from '../../../composables/useShelf.js';

/** Motors of another kind beside those that are there, on the same output: who carries what, and who is dragged along. */
const { plan, path, drive } = useDcMechanism();
const { show } = useDisplay();
const { shelf, load } = useShelf('motor');
void load();

const known = computed(() => lacksOf(path.value, RUN_NEEDS).length === 0);
const motors = computed(() =>
  shelf.value.parts.flatMap(({ id, part }) => {
    const constants = constantsOf(part);
    return constants ? [{ id, name: part.name, constants }] : [];
  }),
);
const chosen = ref('');
const other = computed(() => motors.value.find(({ id }) => id === chosen.value) ?? motors.value[0]);
const count = ref(1);
const typedTotal = ref<number>();
const total = computed(() => typedTotal.value ?? path.value.train.total);
const typedSpeed = ref<number>();
const speed = computed(() => typedSpeed.value ?? path.value.asked.speed);
const units = computed(() => outputUnits(path.value));
const k = computed(() => path.value.asked.perCoordinate);

const mixed = computed(() =>
  known.value && other.value
    ? mixedBeside(path.value, { motor: other.value.constants, count: count.value, total: total.value }, speed.value)
    : undefined,
);
const names = computed(() => [plan.value.parts[drive.value.motor]?.part.name ?? 'as it is', other.value?.name ?? '']);
const force = (value: number) => show(value, units.value.force);
const said = computed(() => {
  if (!mixed.value) return '';
  const { duty, most, each } = mixed.value;
  const dragged = each.findIndex((one) => one.force < 0);
  const drags =
    dragged < 0 ? '' : ` ${names.value[dragged]} is dragged along: give it less reduction, or let it coast.`;
  return duty === undefined
    ? `At full command they give ${force(most)} at this speed: less than the load asks.${drags}`
    : `${Math.round(100 * duty)} % of the volts carry the load at this speed; full command gives ${force(most)}.${drags}`;
});
</script>

<template>
  <p class="mb-2 max-w-4xl text-second">
    Two kinds on one output run at speeds that their reductions say, all on the same command: the one that is geared for
    more speed at these volts carries more. On the pack’s volts as they stand, without the limits of the controllers.
  </p>
  <p v-if="!known" class="text-second">Not known: a figure of the mechanism is missing.</p>
  <template v-else-if="other">
    <div class="mb-3 grid max-w-4xl grid-cols-2 items-end gap-x-4 gap-y-1 sm:grid-cols-4">
      <ChoiceField
        class="max-sm:col-span-2"
        :value="other.id"
        label="beside it"
        :options="motors.map(({ id, name }) => ({ value: id, text: name }))"
        @change="chosen = $event"
      />
      <CountField :value="count" label="of these" :most="6" @change="count = $event" />
      <MeasureField
        :value="total"
        dimension="ratio"
        label="through a total of"
        :at-least="0.05"
        :most="20000"
        @read="typedTotal = $event"
      />
      <MeasureField
        :value="speed * k"
        :dimension="units.speed"
        label="the output runs at"
        :at-least="0"
        @read="typedSpeed = $event / k"
      />
    </div>
    <table v-if="mixed" class="w-full max-w-4xl text-sm" data-testid="mixed">
      <thead>
        <tr class="border-b border-ink text-right">
          <th scope="col" class="text-left">motors</th>
          <th scope="col" class="pl-3">turn at</th>
          <th scope="col" class="pl-3">each takes</th>
          <th scope="col" class="pl-3">warms by</th>
          <th scope="col" class="pl-3">give, all of them</th>
          <th scope="col" class="pl-3">share</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="(one, i) in mixed.each" :key="i" class="figures border-b border-hair text-right">
          <th scope="row" class="py-1 text-left font-sans font-normal">
            {{ i === 0 ? drive.motors : count }} × {{ names[i] }}
          </th>
          <td class="pl-3">{{ show(one.speed, 'speed', 3) }}</td>
          <td class="pl-3">{{ show(one.current, 'current') }}</td>
          <td class="pl-3">{{ show(one.heat, 'power', 2) }}</td>
          <td class="pl-3">{{ force(one.force) }}</td>
          <td class="pl-3">{{ Math.round(100 * one.share) }} %</td>
        </tr>
      </tbody>
    </table>
    <p class="mt-2 max-w-4xl" data-testid="mixed-says">{{ said }}</p>
  </template>
</template>
