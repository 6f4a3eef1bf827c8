<script setup lang="ts">
import { USUAL_WHEELS, withDrivenShare } from '@rough-gear/core';
import { computed } from 'vue';
import CountField from '../../../components/fields/CountField.vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import LoadSketch from '../../../components/sketches/LoadSketch.vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { OUTPUT_ALLOW, OUTPUT_FIELDS } from './loadFields.js';
import PanelHead from './PanelHead.vue';

/** What the last shaft turns, with its drawing. */
const { plan, mechanism, path, choice, choiceAt, commit } = useMechanism();
const output = computed(() => choice.value.output);
const shown = computed(() => OUTPUT_FIELDS[output.value.kind]);
const fields = computed(() => [...shown.value.fields, ...(shown.value.ofJob?.[path.value.job.kind] ?? [])]);
/** Which wheels drive decides how much of the weight does. */
const drive = (key: 'wheels' | 'driven', count: number) =>
  commit(withDrivenShare(plan.value, mechanism.value.id, [{ at: at(key), to: count }]));
const at = (key: string) => [...choiceAt.value, 'output', key];
const chosen = (key: string, first: string): string => {
  const value: unknown = Object.entries(output.value).find(([name]) => name === key)?.[1];
  return typeof value === 'string' ? value : first;
};
/** What lifts and is kept up by nothing: it may come down, if the person says why. */
const lets = computed(() => {
  const lifts = output.value;
  if (lifts.kind !== 'drum' && lifts.kind !== 'arm' && lifts.kind !== 'carriage') return undefined;
  return (lifts.holder ?? 'nothing') === 'nothing' ? lifts : undefined;
});
/** What stands where nothing was chosen. */
const UNCHOSEN: Readonly<Record<string, string>> = {
  ends: 'supported',
  wheels: 'one',
  ball: 'hollow',
  holder: 'nothing',
};
</script>

<template>
  <PanelHead :title="shown.title" :detail="shown.says" />
  <div class="flex gap-4 max-sm:flex-col">
    <LoadSketch />
    <div class="min-w-0 grow">
      <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-3">
        <FigureField
          v-for="figure in fields"
          :key="figure"
          :figure="figure"
          :allow="OUTPUT_ALLOW[figure] ?? 'positive'"
        />
        <template v-if="output.kind === 'wheels'">
          <CountField
            :value="output.wheels ?? USUAL_WHEELS"
            label="wheels it stands on"
            :most="40"
            @change="drive('wheels', $event)"
          />
          <CountField
            v-if="path.apart === undefined"
            :value="output.driven ?? output.wheels ?? USUAL_WHEELS"
            label="of them driven"
            :most="output.wheels ?? USUAL_WHEELS"
            @change="drive('driven', $event)"
          />
          <CountField
            v-if="path.machine === 'dc'"
            :value="output.dragged ?? 0"
            label="motors that only turn along"
            :least="0"
            :most="11"
            @change="commit([{ at: at('dragged'), to: $event || undefined }])"
          />
        </template>
        <ChoiceField
          v-for="one in shown.choices"
          :key="one.key"
          :value="chosen(one.key, UNCHOSEN[one.key] ?? '')"
          :label="one.label"
          :options="one.options"
          @change="commit([{ at: at(one.key), to: $event }])"
        />
      </div>
      <label v-if="lets" class="mt-1 flex items-baseline gap-2 text-xs">
        <span class="whitespace-nowrap text-second">may come down, because</span>
        <input
          class="w-full min-w-0 border-b border-ink bg-transparent py-0.5 text-[0.8125rem]"
          maxlength="200"
          :value="lets.mayFall ?? ''"
          placeholder="nobody can stand under it"
          @change="commit([{ at: at('mayFall'), to: ($event.target as HTMLInputElement).value.trim() || undefined }])"
        />
      </label>
      <p class="mt-1 text-xs text-second">
        <label v-if="output.kind === 'drum'" class="mr-4 inline-flex items-center gap-1.5">
          <input
            type="checkbox"
            class="size-4"
            :checked="output.knotted ?? false"
            @change="commit([{ at: at('knotted'), to: ($event.target as HTMLInputElement).checked }])"
          />
          there is a knot in the rope (halves it)
        </label>
        {{ shown.note }}
      </p>
    </div>
  </div>
</template>
