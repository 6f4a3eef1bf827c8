<script setup lang="ts">
import type { Stage } from '@rough-gear/core';
import { digits } from '@rough-gear/core';
import { ref } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import CountField from '../../../components/fields/CountField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { readTeeth, type TeethRead } from './readTeeth.js';

/** The fields of one stage. Teeth are typed as "18 → 48"; a colon is asked about, with the swap one click away. */
const { stage, index } = defineProps<{ stage: Stage; index: number }>();
const { path, choiceAt, commit } = useMechanism();

const at = (key: string) => [...choiceAt.value, 'stages', index, key];
/** The nut says what friction is usual, where none is typed. */
const NUTS = [
  { value: 'unsaid', text: 'not said' },
  { value: 'bronze', text: 'bronze' },
  { value: 'plastic', text: 'plastic' },
  { value: 'steel', text: 'steel' },
  { value: 'rolling balls', text: 'rolling balls' },
] as const;
const text = ref<string>();
const read = ref<TeethRead>();

function setTeeth(driver: number, driven: number): void {
  commit([
    { at: at('driver'), to: driver },
    { at: at('driven'), to: driven },
  ]);
}

function typed(value: string): void {
  text.value = value;
  read.value = readTeeth(value);
}

function finish(): void {
  const result = read.value;
  if (text.value === undefined || !result) return;
  if (!result.ok) return;
  setTeeth(result.driver, result.driven);
  text.value = undefined;
  if (!result.colon) read.value = undefined;
}

function swap(): void {
  if (read.value?.ok) setTeeth(read.value.driven, read.value.driver);
  read.value = undefined;
}
</script>

<template>
  <div v-if="stage.kind === 'teeth' || stage.kind === 'chain' || stage.kind === 'belt'">
    <div class="grid grid-cols-3 gap-x-3">
      <CountField :value="stage.driver" label="driver" :least="6" @change="setTeeth(Number($event), stage.driven)" />
      <CountField :value="stage.driven" label="driven" :least="6" @change="setTeeth(stage.driver, Number($event))" />
      <FigureField :figure="`stage.${stage.id}.efficiency`" allow="efficiency" />
    </div>
    <p class="mt-0.5 flex flex-wrap items-baseline gap-x-2 text-xs text-second">
      <label>
        as teeth
        <input
          class="figures w-20 border-b border-line bg-transparent"
          :value="text ?? `${stage.driver} → ${stage.driven}`"
          :aria-invalid="read !== undefined && !read.ok"
          autocomplete="off"
          @input="typed(($event.target as HTMLInputElement).value)"
          @keydown.enter.prevent="finish"
          @blur="finish"
        />
      </label>
      <span class="figures">{{ digits(path.train.stages[index]!.ratio, 4) }}:1</span>
      <span v-if="read && !read.ok" class="text-gives" role="alert">{{ read.reason }}</span>
      <span v-else-if="read?.ok && read.colon"
        >understood: {{ read.driver }} drives {{ read.driven }}.
        <button type="button" class="act min-h-6 underline" @click="swap">other way round</button></span
      >
    </p>
  </div>
  <div v-else-if="stage.kind === 'worm'" class="grid grid-cols-4 gap-x-3">
    <CountField :value="stage.starts" label="starts" :most="12" @change="commit([{ at: at('starts'), to: $event }])" />
    <CountField
      :value="stage.teeth"
      label="wheel teeth"
      :least="6"
      @change="commit([{ at: at('teeth'), to: $event }])"
    />
    <FigureField :figure="`stage.${stage.id}.leadAngle`" />
    <FigureField :figure="`stage.${stage.id}.friction`" allow="not negative" />
  </div>
  <div v-else-if="stage.kind === 'screw'" class="grid grid-cols-2 gap-x-3">
    <FigureField :figure="`stage.${stage.id}.lead`" />
    <FigureField :figure="`stage.${stage.id}.pitchDiameter`" />
    <FigureField :figure="`stage.${stage.id}.friction`" allow="not negative" />
    <ChoiceField
      :value="stage.nut ?? 'unsaid'"
      label="nut of"
      :options="NUTS"
      @change="commit([{ at: at('nut'), to: $event === 'unsaid' ? undefined : $event }])"
    />
  </div>
  <div v-else class="grid grid-cols-2 gap-x-3">
    <FigureField :figure="`stage.${stage.id}.ratio`" />
    <FigureField :figure="`stage.${stage.id}.efficiency`" allow="efficiency" />
  </div>
  <!-- What the motor's shaft and holes meet. -->
  <div v-if="index === 0" class="mt-1 grid grid-cols-2 gap-x-3">
    <FigureField :figure="`stage.${stage.id}.bore`" label="bore on the motor’s shaft" />
    <label class="block min-w-0 truncate text-[0.8125rem] text-second"
      >holes for the motor
      <input
        class="block w-full border-b border-ink bg-transparent py-0.5 text-ink"
        :value="stage.mount ?? ''"
        maxlength="80"
        placeholder="4 × M5 on 50 mm"
        @change="commit([{ at: at('mount'), to: ($event.target as HTMLInputElement).value.trim() || undefined }])"
    /></label>
  </div>
</template>
