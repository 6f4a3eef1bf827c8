<script setup lang="ts">
import { ArrowLeft, ArrowRight, Trash2 } from '@lucide/vue';
import IconButton from '../../../components/IconButton.vue';
import type { Stage, StageKind, WorkingRef } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import PanelHead from './PanelHead.vue';
import { useTrainTab } from '../train/useTrain.js';
import StageFields from './StageFields.vue';
import { newStage, STAGE_NAMES } from './stageKinds.js';

/** The whole train, stage by stage, motor first. The open one has the heavy frame. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { path, choice, choiceAt, link, commit } = useMechanism();
const trainTab = useTrainTab();

const stages = computed(() => choice.value.stages);
const set = (to: readonly Stage[]) => commit([{ at: [...choiceAt.value, 'stages'], to }]);

function add(kind: StageKind): void {
  const stage = newStage(kind, stages.value);
  commit([
    { at: [...choiceAt.value, 'stages'], to: [...stages.value, stage] },
    ...(stages.value.length === 0 ? [{ at: [...choiceAt.value, 'tuning'], to: stage.id }] : []),
  ]);
  link.value = stage.id;
}

function remove(stage: Stage): void {
  const rest = stages.value.filter((candidate) => candidate !== stage);
  const tuning = rest.some(({ id }) => id === choice.value.tuning) ? choice.value.tuning : rest.at(-1)?.id;
  commit([
    { at: [...choiceAt.value, 'stages'], to: rest },
    { at: [...choiceAt.value, 'tuning'], ...(tuning === undefined ? {} : { to: tuning }) },
  ]);
  link.value = rest[0]?.id ?? 'motor';
}

function move(index: number, by: number): void {
  const order = [...stages.value];
  const [taken] = order.splice(index, 1);
  order.splice(index + by, 0, taken!);
  set(order);
}

/** A lead screw ends in metres: only a carriage takes one. */
const ADDABLE = computed<readonly StageKind[]>(() => [
  'teeth',
  'chain',
  'belt',
  'planetary',
  'ratio',
  'worm',
  ...(choice.value.output.kind === 'carriage' ? (['screw'] as const) : []),
]);

function addChosen(event: Event): void {
  const select = event.target as HTMLSelectElement;
  if (select.value) add(select.value as StageKind);
  select.value = '';
}
</script>

<template>
  <PanelHead
    title="Reduction"
    :detail="`${stages.length === 0 ? 'none: the motor drives straight' : stages.length === 1 ? 'one stage' : `${stages.length} stages`}, ${(path.train.efficiency * 100).toFixed(0)} % of the work gets through`"
  >
    <button type="button" class="act min-h-6 font-semibold" @click="trainTab = 'stages'">Real teeth</button>
    <select class="act bg-transparent" aria-label="Add a stage" @change="addChosen">
      <option value="">Add a stage</option>
      <option v-for="kind in ADDABLE" :key="kind" :value="kind" class="bg-sheet text-ink">
        {{ STAGE_NAMES[kind] }}
      </option>
    </select>
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'efficiency' }, 'Efficiency of the train')"
    >
      Working
    </button>
  </PanelHead>
  <ol class="grid gap-3 md:grid-cols-2" :class="stages.length > 2 ? 'xl:grid-cols-3' : ''">
    <li v-for="(stage, i) in stages" :key="stage.id">
      <div
        role="group"
        :aria-label="`Stage ${i + 1}`"
        class="border p-1.5"
        :class="link === stage.id ? 'border-2 border-ink bg-sheet' : 'border-hair'"
      >
        <div class="flex items-center gap-1">
          <b class="truncate">{{ i + 1 }}. {{ stage.name ?? STAGE_NAMES[stage.kind] }}</b>
          <button
            v-if="choice.tuning !== stage.id && stage.kind !== 'worm' && stage.kind !== 'screw'"
            type="button"
            class="act ml-2 min-h-6 text-xs whitespace-nowrap"
            @click="commit([{ at: [...choiceAt, 'tuning'], to: stage.id }])"
          >
            put on the ruler
          </button>
          <span v-else-if="choice.tuning === stage.id" class="ml-2 text-xs text-second">on the ruler</span>
          <span class="ml-auto flex">
            <IconButton :label="`Stage ${i + 1} towards the motor`" :disabled="i === 0" @click="move(i, -1)"
              ><ArrowLeft :size="14"
            /></IconButton>
            <IconButton
              :label="`Stage ${i + 1} towards the load`"
              :disabled="i === stages.length - 1"
              @click="move(i, 1)"
              ><ArrowRight :size="14"
            /></IconButton>
            <IconButton :label="`Remove stage ${i + 1}`" @click="remove(stage)"><Trash2 :size="14" /></IconButton>
          </span>
        </div>
        <StageFields :stage="stage" :index="i" />
      </div>
    </li>
  </ol>
</template>
