<script setup lang="ts">
import type { MotorPart } from '@rough-gear/core';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useMechanism } from '../../../composables/useMechanism.js';

/** How the motor is made and fixed: sensors, poles, slots, sense of rotation, shaft, holes, price. */
const { part, partAt } = defineProps<{ part: MotorPart; partAt: readonly (string | number)[] }>();
const { commit } = useMechanism();
const set = (key: string, to: unknown) => commit([{ at: [...partAt, key], to }]);

const ROTATION = [
  { value: 'either', text: 'either way alike' },
  { value: 'clockwise', text: 'timed clockwise' },
  { value: 'anticlockwise', text: 'timed anticlockwise' },
] as const;
const BRUSHES = [
  { value: 'carbon', text: 'carbon' },
  { value: 'metal', text: 'metal' },
] as const;
const WINDINGS = [
  { value: 'machine', text: 'by machine' },
  { value: 'hand', text: 'by hand' },
] as const;
const JOINED = [
  { value: 'not said', text: 'not said' },
  { value: 'star', text: 'in star' },
  { value: 'delta', text: 'in delta' },
] as const;
const SHAFTS = [
  { value: 'round', text: 'round' },
  { value: 'flat', text: 'with a flat' },
  { value: 'keyed', text: 'keyed' },
  { value: 'hexagon', text: 'hexagon' },
  { value: 'toothed', text: 'toothed' },
] as const;
</script>

<template>
  <div class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3 xl:grid-cols-4">
    <CountField
      v-if="part.type === 'brushless'"
      :value="part.polePairs ?? 1"
      label="pole pairs"
      :most="100"
      @change="set('polePairs', $event)"
    />
    <FigureField v-if="part.polePairs !== undefined" figure="motor.internalGear" />
    <CountField :value="part.slots ?? 3" label="slots" :least="2" :most="200" @change="set('slots', $event)" />
    <ChoiceField
      :value="part.rotation ?? 'either'"
      label="rotation"
      :options="ROTATION"
      @change="set('rotation', $event)"
    />
    <template v-if="part.type === 'brushed'">
      <ChoiceField
        :value="part.brushes ?? 'carbon'"
        label="brushes"
        :options="BRUSHES"
        @change="set('brushes', $event)"
      />
      <FigureField v-if="part.data.form !== 'sheet'" figure="motor.brushDrop" allow="not negative" />
      <FigureField figure="motor.brushLife" />
    </template>
    <ChoiceField
      v-else
      :value="part.joined ?? 'not said'"
      label="phases joined"
      :options="JOINED"
      @change="set('joined', $event === 'not said' ? undefined : $event)"
    />
    <ChoiceField
      :value="part.winding ?? 'machine'"
      label="wound"
      :options="WINDINGS"
      @change="set('winding', $event)"
    />
    <FigureField figure="motor.shaftDiameter" />
    <ChoiceField
      :value="part.shaftForm ?? 'round'"
      label="shaft is"
      :options="SHAFTS"
      @change="set('shaftForm', $event)"
    />
    <label class="block min-w-0 text-[0.8125rem] text-second"
      >holes
      <input
        class="block w-full border-b border-ink bg-transparent py-0.5 text-ink"
        :value="part.mount ?? ''"
        maxlength="80"
        placeholder="4 × M3 on 25 mm"
        @change="set('mount', ($event.target as HTMLInputElement).value.trim() || undefined)"
    /></label>
    <FigureField figure="motor.price" allow="not negative" />
    <label v-if="part.type === 'brushless'" class="flex items-center gap-1.5 self-end text-xs">
      <input
        type="checkbox"
        class="size-4"
        :checked="part.sensors ?? false"
        @change="set('sensors', ($event.target as HTMLInputElement).checked)"
      />
      has sensors
    </label>
    <label
      v-if="part.type === 'brushed' && part.data.form === 'sheet'"
      class="flex items-center gap-1.5 self-end text-xs"
    >
      <input
        type="checkbox"
        class="size-4"
        :checked="part.balanced ?? false"
        @change="set('balanced', ($event.target as HTMLInputElement).checked || undefined)"
      />
      rotor balanced
    </label>
    <CountField :value="part.owned ?? 0" label="owned" :most="9999" @change="set('owned', $event || undefined)" />
  </div>
</template>
