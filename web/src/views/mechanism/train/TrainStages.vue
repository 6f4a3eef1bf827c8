<script setup lang="ts">
import { ArrowLeft, ArrowRight, GripVertical, RotateCcw, RotateCw, Trash2 } from '@lucide/vue';
import { STAGE_NAMES, type Stage } from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, nextTick, ref, watch } from 'vue';
import { VueDraggable } from 'vue-draggable-plus';
import IconButton from '../../../components/widgets/IconButton.vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import AddStage from '../panels/AddStage.vue';
import { useStageList } from '../panels/useStageList.js';
import SecondWheels from './SecondWheels.vue';
import StageMore from './StageMore.vue';
import StageWheels from './StageWheels.vue';
import TeethPair from './TeethPair.vue';
import { reversesAfter, useTrain } from './useTrain.js';

/** The stages in a row, drawn to one scale, with what turns on every shaft; the one in hand is changed below. */
const { stage, path, job, link } = useTrain();
const { stages, set, remove, move, movable } = useStageList();
const { show } = useDisplay();

const row = ref<HTMLElement>();
const { width } = useElementSize(row);
const HEIGHT = 110;
const SHAFT_WIDTH = 82;

const order = computed<Stage[]>({
  get: () => [...stages.value],
  set,
});

/** One scale for all: as large as the widest row and the tallest wheel allow. */
const scale = computed(() => {
  const parts = path.value.stageParts;
  const span = (of: (typeof parts)[number]) =>
    'driver' in of ? (Number.isNaN(of.centre) ? 0.08 : of.centre + of.driverRadius + of.drivenRadius) : of.across;
  const tallest = Math.max(...parts.map((of) => 2 * Math.max(of.driverRadius, of.drivenRadius) || 0.05), 0.02);
  const room = Math.max(200, width.value - SHAFT_WIDTH * (parts.length + 1) - 112);
  return Math.min(
    room /
      Math.max(
        0.05,
        parts.reduce((sum, of) => sum + span(of), 0),
      ),
    (HEIGHT - 14) / tallest,
  );
});

/** In a long train the stage in hand is brought into view. */
watch(
  () => stage.value?.id,
  async (id) => {
    await nextTick();
    row.value?.querySelector(`[data-stage="${id}"]`)?.scrollIntoView({ block: 'nearest', inline: 'nearest' });
  },
  { immediate: true },
);

/** Torque, speed and sense after the motor and after every stage, working. */
const shafts = computed(() => {
  const links = job.value.links;
  const motor = links.find(({ kind }) => kind === 'motor');
  const ofStages = links.filter(({ kind }) => kind === 'stage');
  const first = ofStages[0]?.key?.there;
  // The motor's own shaft turns, whatever its first stage makes of that.
  const speed = first && { value: first.value * (path.value.train.stages[0]?.ratio ?? 1), dimension: 'speed' as const };
  const all = [
    { torque: motor?.passes, speed },
    ...ofStages.map((each) => ({ torque: each.passes, speed: each.key?.there })),
  ];
  return all.map(({ torque, speed: turning }, i) => ({
    torque: torque ? show(torque.value, torque.dimension, 2) : '—',
    speed: turning ? show(turning.value, turning.dimension, 2) : '—',
    against: reversesAfter(stages.value, i),
    name:
      i === 0
        ? 'motor shaft'
        : stages.value[i - 1]?.kind === 'screw'
          ? 'nut'
          : i === stages.value.length
            ? 'output shaft'
            : `shaft ${i + 1}`,
  }));
});
const verdictOf = (id: string) => job.value.links.find((each) => each.id === id)?.verdict;
</script>

<template>
  <div ref="row" class="flex items-stretch gap-0 overflow-x-auto pb-1" data-testid="train-row">
    <div class="flex shrink-0 flex-col justify-center pr-2 text-right text-xs" :style="{ width: `${SHAFT_WIDTH}px` }">
      <b>{{ shafts[0]!.name }}</b>
      <span class="figures">{{ shafts[0]!.torque }}</span>
      <span class="figures">{{ shafts[0]!.speed }}</span>
    </div>
    <VueDraggable v-model="order" :animation="120" handle=".grip" tag="ol" class="flex items-stretch">
      <li v-for="(each, i) in order" :key="each.id" class="flex items-stretch">
        <div
          role="group"
          :data-stage="each.id"
          :aria-label="`Stage ${i + 1}, ${each.name ?? STAGE_NAMES[each.kind]}`"
          class="squared flex min-w-40 flex-col border p-1"
          :class="stage?.id === each.id ? 'border-2 border-ink' : 'border-hair'"
          @focusin="link = each.id"
        >
          <div class="flex items-center gap-1 text-xs">
            <span class="grip cursor-grab" aria-hidden="true"><GripVertical :size="14" /></span>
            <VerdictRing v-if="verdictOf(each.id)" :verdict="verdictOf(each.id)!" :size="14" />
            <button
              type="button"
              class="min-h-6 truncate font-semibold"
              :aria-pressed="stage?.id === each.id"
              @click="link = each.id"
            >
              {{ i + 1 }}. {{ each.name ?? STAGE_NAMES[each.kind] }}
            </button>
            <span class="ml-auto flex">
              <IconButton
                :label="`Stage ${i + 1} towards the motor`"
                :disabled="!movable(i, -1)"
                @click.stop="move(i, -1)"
                ><ArrowLeft :size="13"
              /></IconButton>
              <IconButton :label="`Stage ${i + 1} towards the load`" :disabled="!movable(i, 1)" @click.stop="move(i, 1)"
                ><ArrowRight :size="13"
              /></IconButton>
              <IconButton :label="`Remove stage ${i + 1}`" @click.stop="remove(each)"><Trash2 :size="13" /></IconButton>
            </span>
          </div>
          <div class="flex grow items-center justify-center">
            <StageWheels v-if="path.stageParts[i]" :parts="path.stageParts[i]!" :scale="scale" :height="HEIGHT" />
          </div>
          <TeethPair :stage="each" :index="i" />
        </div>
        <div class="flex flex-col justify-center px-2 text-xs" :style="{ width: `${SHAFT_WIDTH}px` }">
          <b>{{ shafts[i + 1]?.name }}</b>
          <span class="figures">{{ shafts[i + 1]?.torque }}</span>
          <span class="figures">{{ shafts[i + 1]?.speed }}</span>
          <span class="flex items-center gap-1"
            ><component :is="shafts[i + 1]?.against ? RotateCcw : RotateCw" :size="13" aria-hidden="true" />{{
              shafts[i + 1]?.against ? 'against' : 'as motor'
            }}</span
          >
        </div>
      </li>
    </VueDraggable>
    <AddStage class="w-24 shrink-0 self-center" />
  </div>
  <StageMore v-if="stage" :key="stage.id" />
  <SecondWheels />
</template>
