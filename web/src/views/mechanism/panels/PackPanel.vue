<script setup lang="ts">
import { CELLS, counted, supplyAt, type PackNode, type PackPart, type WorkingRef } from '@rough-gear/core';
import { computed } from 'vue';
import CountField from '../../../components/fields/CountField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';
import PartPicker from './PartPicker.vue';

const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { plan, path, commit } = useMechanism();
const { show } = useDisplay();

const node = computed(() => plan.value.supply.find((candidate): candidate is PackNode => candidate.kind === 'pack')!);
const part = computed(() => plan.value.parts[node.value.part]!.part as PackPart);
const partAt = computed(() => ['parts', node.value.part, 'part']);
const bench = computed(() => part.value.chemistry === 'bench');
const said = computed(() => {
  const { pack, restVoltage, lacks } = path.value;
  if (lacks.pack) return bench.value ? 'Give the volts it is set to.' : 'Give the capacity or the cell resistance.';
  if (bench.value)
    return `It holds ${show(pack.full, 'voltage')} up to its current limit, and then lets go of them. It takes nothing back: braking lifts its volts until it shuts off. A mains supply is earthed and guarded; what is inside is for licensed hands.`;
  return `At rest ${show(restVoltage, 'voltage')} at this charge, ${show(pack.full, 'voltage')} off the charger, never under ${show(pack.floor, 'voltage')}; ${show(pack.resistance, 'resistance')} in all.`;
});
const lithium = computed(() => ['lipo', 'liion', 'lifepo4'].includes(part.value.chemistry));
</script>

<template>
  <PanelHead
    :title="bench ? 'Supply' : 'Pack'"
    :detail="
      bench
        ? `${part.name}, for the whole robot`
        : `${part.name}: ${counted(part.series, 'cell')} in series, for the whole robot`
    "
  >
    <PartPicker kind="pack" :at="[...supplyAt(plan, node.id), 'part']" title="A pack off the shelf" />
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'packVoltage' }, 'Pack while working')"
    >
      Working
    </button>
  </PanelHead>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
    <FigureField v-if="bench" figure="pack.voltage" />
    <template v-else>
      <CountField
        :value="part.series"
        :label="`${CELLS[part.chemistry].name} in series`"
        :most="60"
        @change="commit([{ at: [...partAt, 'series'], to: $event }])"
      />
      <CountField
        :value="part.parallel"
        label="in parallel"
        :most="60"
        @change="commit([{ at: [...partAt, 'parallel'], to: $event }])"
      />
      <FigureField figure="pack.capacity" />
      <FigureField figure="pack.cellResistance" />
    </template>
    <FigureField figure="pack.leadResistance" label="leads" allow="not negative" />
    <FigureField figure="pack.dischargeLimit" :label="bench ? 'current limit' : undefined" />
    <FigureField v-if="!bench" figure="pack.charge" label="charge left" allow="share" />
    <FigureField figure="pack.others" label="others draw" allow="not negative" />
    <FigureField figure="pack.chargeLimit" :label="bench ? 'takes back' : undefined" allow="not negative" />
    <FigureField v-if="!bench" figure="pack.usable" allow="efficiency" />
    <FigureField figure="pack.brownOut" />
    <FigureField v-if="part.chemistry === 'lead'" figure="pack.capacityExponent" />
  </div>
  <p class="mt-1 text-xs text-second">
    {{ said }}
    <b v-if="path.pack.full > 60">Above 60 V d.c.: licensed practice.</b>
    <template v-if="lithium"
      >Lithium: the right charger, never unattended, never below the cell floor, no swollen packs.</template
    >
    <template v-else>A short circuit starts fires: fuse every branch.</template>
  </p>
</template>
