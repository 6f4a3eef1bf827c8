<script setup lang="ts">
import { ArrowLeft, ArrowRight, Trash2 } from '@lucide/vue';
import IconButton from '../../../components/widgets/IconButton.vue';
import { screwAt, STAGE_NAMES, type WorkingRef } from '@rough-gear/core';
import { useMechanism } from '../../../composables/useMechanism.js';
import AddStage from './AddStage.vue';
import PanelHead from './PanelHead.vue';
import { useDesk } from '../../../composables/useDesk.js';
import StageFields from './StageFields.vue';
import ThreadFollowing from './step/ThreadFollowing.vue';
import { useStageList } from './useStageList.js';

/** The whole train, stage by stage, motor first. The open one has the heavy frame. */
const emit = defineEmits<{ working: [ref: WorkingRef, title: string] }>();
const { path, choice, choiceAt, link, commit } = useMechanism();
const { stages, remove, move, movable } = useStageList();
const { open: openDesk } = useDesk();
</script>

<template>
  <PanelHead
    title="Reduction"
    :detail="`${stages.length === 0 ? 'none: the motor drives straight' : stages.length === 1 ? 'one stage' : `${stages.length} stages`}, ${(path.train.efficiency * 100).toFixed(0)} % of the work gets through`"
  >
    <button type="button" class="act min-h-6 font-semibold" @click="openDesk('teeth')">Real teeth</button>
    <AddStage />
    <button
      type="button"
      class="act min-h-6"
      @click="emit('working', { of: 'term', term: 'efficiency' }, 'Efficiency of the train')"
    >
      Working
    </button>
  </PanelHead>
  <p v-if="stages.length === 0" class="squared p-4 text-center text-second">
    The motor turns the output straight. Add a stage, or choose a shelf train under “Real teeth”.
  </p>
  <ol v-else class="grid gap-3 md:grid-cols-2" :class="stages.length > 2 ? 'xl:grid-cols-3' : ''">
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
            <IconButton :label="`Stage ${i + 1} towards the motor`" :disabled="!movable(i, -1)" @click="move(i, -1)"
              ><ArrowLeft :size="14"
            /></IconButton>
            <IconButton :label="`Stage ${i + 1} towards the load`" :disabled="!movable(i, 1)" @click="move(i, 1)"
              ><ArrowRight :size="14"
            /></IconButton>
            <IconButton :label="`Remove stage ${i + 1}`" @click="remove(stage)"><Trash2 :size="14" /></IconButton>
          </span>
        </div>
        <StageFields :stage="stage" :index="i" />
      </div>
    </li>
  </ol>
  <ThreadFollowing v-if="path.machine === 'step' && screwAt(path) >= 0" class="mt-2" />
</template>
