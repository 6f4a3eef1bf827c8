<script setup lang="ts">
import { quantityOf, type ShaftMaterial, type StageShaft } from '@rough-gear/core';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useTrain } from './useTrain.js';

/** The shaft a stage turns, and the bores that sit on it. */
const { stage, set } = useTrain();

type Form = StageShaft['form'] | 'none';
const FORMS: readonly { value: Form; text: string }[] = [
  { value: 'none', text: 'not looked at' },
  { value: 'round', text: 'round' },
  { value: 'keyed', text: 'round with a key' },
  { value: 'hexagon', text: 'hexagon' },
];
const MATERIALS: readonly { value: ShaftMaterial; text: string }[] = (
  ['mild steel', 'hardened steel', '7075 aluminium', '6061 aluminium'] as const
).map((value) => ({ value, text: value }));
const key = (name: string) => `stage.${stage.value!.id}.${name}`;

function setForm(form: Form): void {
  const before = stage.value?.shaft;
  set({ shaft: form === 'none' ? undefined : { size: quantityOf(0.012, '12 mm', 'typical'), ...before, form } });
}
</script>

<template>
  <ChoiceField label="shaft it turns" :value="stage?.shaft?.form ?? 'none'" :options="FORMS" @change="setForm" />
  <template v-if="stage?.shaft">
    <FigureField
      :figure="key('size')"
      :label="stage.shaft.form === 'hexagon' ? 'across its flats' : 'shaft diameter'"
    />
    <ChoiceField
      label="shaft of"
      :value="stage.shaft.material ?? 'mild steel'"
      :options="MATERIALS"
      @change="set({ shaft: { ...stage.shaft, material: $event } })"
    />
    <FigureField :figure="key('overhang')" label="overhang" allow="not negative" />
    <FigureField :figure="key('drivenBore')" label="bore, driven" />
    <FigureField :figure="key('bearing')" label="bearings, outside" />
  </template>
  <FigureField :figure="key('bore')" label="bore, driver" />
</template>
