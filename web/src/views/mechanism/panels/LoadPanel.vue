<script setup lang="ts">
import type { Profile } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import LoadSketch from '../../../components/sketches/LoadSketch.vue';
import { useFold } from '../../../composables/useFold.js';
import { useMechanism } from '../../../composables/useMechanism.js';
import { JOB_ALLOW, JOB_FIELDS, PROFILE_OPTIONS } from './loadFields.js';
import JobTools from './JobTools.vue';
import MatchFields from './MatchFields.vue';
import PanelHead from './PanelHead.vue';

/** The job: its drawing, the numbers that decide in front, the rest folded with what is typical. */
const { path, job, mechanism, at, commit } = useMechanism();
const more = useFold();
/** What never stops has no next go, and no place to stand in. */
const NOT_ENDLESS = ['job.every', 'job.settle', 'job.held', 'job.heldAgainstTurn'];
const fields = computed(() => {
  const { says, deciding, rest } = JOB_FIELDS[path.value.job.kind];
  const asks = (figures: readonly string[]) =>
    path.value.asked.endless ? figures.filter((one) => !NOT_ENDLESS.includes(one)) : figures;
  return { says, deciding: asks(deciding), rest: asks(rest) };
});
const jobAt = computed(() => [...at.value, 'jobs', mechanism.value.jobs.findIndex(({ id }) => id === job.value.jobId)]);
const arrives = computed(() => path.value.asked.travel !== undefined && !path.value.asked.endless);
/** As many of the rest as fill the rows beside the drawing. */
const ROOM = 9;
const shown = computed(() => Math.max(0, ROOM - fields.value.deciding.length - (arrives.value ? 1 : 0) - 1));

/** Where it works: what the parts it meets must stand, or are scored by. */
const WET = [
  { value: 'dry', text: 'dry' },
  { value: 'dust and splashes', text: 'dust and splashes' },
  { value: 'under water', text: 'under water' },
] as const;
const DIRT = [
  { value: 'clean', text: 'clean' },
  { value: 'some dirt', text: 'some dirt' },
  { value: 'any dirt', text: 'any dirt' },
] as const;
const COUNTS = [
  { value: 'must', text: 'must stand that' },
  { value: 'score', text: 'are only scored' },
] as const;
const where = (key: 'wet' | 'dirt', to: string) =>
  commit([{ at: [...jobAt.value, key], to: to === 'dry' || to === 'clean' ? undefined : to }]);

const TURNS = [
  { value: 'stands', text: 'and stands there' },
  { value: 'on', text: 'on and on' },
] as const;
const DIRECTIONS = [
  { value: 'up', text: 'up' },
  { value: 'down', text: 'down' },
] as const;
</script>

<template>
  <PanelHead title="Load" :detail="`${job.name}: ${fields.says}`">
    <JobTools :job-at="jobAt" />
    <button type="button" class="act min-h-6" :aria-expanded="more" @click="more = !more">
      {{ more ? 'Less' : 'More about this job' }}
    </button>
  </PanelHead>
  <div class="flex gap-4 max-sm:flex-col">
    <LoadSketch />
    <div class="grid min-w-0 grow grid-cols-2 content-start gap-x-4 gap-y-1 sm:grid-cols-3">
      <FigureField
        v-for="figure in fields.deciding"
        :key="figure"
        :figure="figure"
        :allow="JOB_ALLOW[figure] ?? 'positive'"
      />
      <ChoiceField
        v-if="arrives"
        :value="path.asked.profile"
        label="at the end it"
        :options="PROFILE_OPTIONS"
        @change="commit([{ at: [...jobAt, 'profile'], to: $event satisfies Profile }])"
      />
      <ChoiceField
        v-if="path.job.kind === 'turn'"
        :value="path.job.onAndOn ? 'on' : 'stands'"
        label="turns"
        :options="TURNS"
        @change="commit([{ at: [...jobAt, 'onAndOn'], to: $event === 'on' || undefined }])"
      />
      <ChoiceField
        v-if="path.job.kind === 'raise'"
        :value="path.job.direction ?? 'up'"
        label="goes"
        :options="DIRECTIONS"
        @change="commit([{ at: [...jobAt, 'direction'], to: $event }])"
      />
      <FigureField
        v-for="figure in fields.rest.slice(0, shown)"
        :key="figure"
        :figure="figure"
        :allow="JOB_ALLOW[figure] ?? 'positive'"
      />
    </div>
  </div>
  <div v-if="more" class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4 xl:grid-cols-5">
    <FigureField
      v-for="figure in fields.rest.slice(shown)"
      :key="figure"
      :figure="figure"
      :allow="JOB_ALLOW[figure] ?? 'positive'"
    />
    <ChoiceField
      :value="path.job.wet ?? 'dry'"
      label="water where it is"
      :options="WET"
      @change="where('wet', $event)"
    />
    <ChoiceField
      :value="path.job.dirt ?? 'clean'"
      label="dirt where it is"
      :options="DIRT"
      @change="where('dirt', $event)"
    />
    <ChoiceField
      v-if="path.surroundings"
      :value="path.surroundings.counts"
      label="parts"
      :options="COUNTS"
      @change="commit([{ at: [...jobAt, 'surroundings'], to: $event }])"
    />
    <label v-if="path.machine === 'servo'" class="flex items-center gap-1.5 self-end pb-1 text-xs">
      <input
        type="checkbox"
        class="size-4"
        :checked="path.job.blows ?? false"
        @change="commit([{ at: [...jobAt, 'blows'], to: ($event.target as HTMLInputElement).checked || undefined }])"
      />
      struck again and again
    </label>
    <MatchFields />
  </div>
</template>
