<script setup lang="ts">
import {
  isToothed,
  lengthChanges,
  lengthFit,
  lengthsBetween,
  nearestCentre,
  pitchesAround,
  quantityOf,
  runRadius,
  wholeLengths,
  type BeltStage,
  type TakeUp,
  type WholeLinks,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { usePlan } from '../../../stores/plan.js';
import BeltLadder from './BeltLadder.vue';
import RunDrawing from './RunDrawing.vue';
import { useTrain } from './useTrain.js';

/** Centre distance and length, both ways: whole links or belts that are sold, and what the slack needs. */
const { stages, stage, parts, link, stageAt, beltsFor, set, shelf } = useTrain();
const plan = usePlan();
const { show, say } = useDisplay();

const runs = computed(() => stages.value.filter(({ kind }) => kind === 'chain' || kind === 'belt'));
const run = computed(() => {
  const of = parts.value;
  return (of?.kind === 'chain' || of?.kind === 'belt') && !Number.isNaN(of.pitch) ? of : undefined;
});
const belts = computed(() => beltsFor(run.value));
const what = computed(() => (run.value?.kind === 'belt' ? 'teeth' : 'links'));

/** From wheels just clear of each other to some way off, the length that is there well inside. */
const span = computed(() => {
  const of = run.value!;
  const least =
    Math.max(nearestCentre(of.pitch, of.driver, of.driven), runRadius(of.pitch, of.driver + of.driven)) + of.pitch;
  const now = Number.isNaN(of.centre) ? least : of.centre;
  return { from: Math.min(least, now), to: Math.max(2.2 * now, least + 40 * of.pitch) };
});
const notches = computed(() => lengthsBetween(run.value!, span.value.from, span.value.to, belts.value));
const share = (centre: number) => ((centre - span.value.from) / (span.value.to - span.value.from)) * 100;

/** A centre typed or dragged that is no whole length: the answers either side. */
const asked = ref<number>();
const centre = computed(() => asked.value ?? run.value?.wantedCentre ?? run.value?.centre ?? NaN);
const pitches = computed(() => {
  const of = run.value!;
  return pitchesAround(of.pitch, Math.min(of.driver, of.driven), Math.max(of.driver, of.driven), centre.value);
});
const takes = computed(() =>
  Number.isNaN(pitches.value)
    ? 'is nearer than the wheels let it be'
    : `takes ${pitches.value.toFixed(3)} ${what.value}`,
);
const answers = computed(() => wholeLengths(run.value!, centre.value, belts.value));
const fit = computed(() => lengthFit(run.value!));

const nearest = (metres: number): WholeLinks | undefined =>
  [...notches.value].sort((a, b) => Math.abs(a.centre - metres) - Math.abs(b.centre - metres))[0];

function take(length: WholeLinks): void {
  asked.value = undefined;
  plan.commit(lengthChanges(run.value!, stageAt(), length));
}

/** The slider stops at whole lengths only; while it is dragged everything follows. */
let last: WholeLinks | undefined;
function slide(event: Event): void {
  const found = nearest(Number((event.target as HTMLInputElement).value) / 1000);
  if (!found) return;
  if (!last) plan.begin();
  last = found;
  asked.value = undefined;
  plan.preview(lengthChanges(run.value!, stageAt(), found));
}
function slid(): void {
  if (last) plan.commit(lengthChanges(run.value!, stageAt(), last));
  last = undefined;
}
function stepTo(by: number): void {
  const at = notches.value.findIndex(({ links }) => links === run.value!.length);
  const next = notches.value[at < 0 ? (by > 0 ? 0 : notches.value.length - 1) : at + by];
  if (next) take(next);
}
/** Keys go from notch to notch, not by the millimetre. */
function key(event: KeyboardEvent): void {
  const by = { ArrowRight: 1, ArrowUp: 1, ArrowLeft: -1, ArrowDown: -1 }[event.key];
  if (by === undefined) return;
  event.preventDefault();
  stepTo(by);
}

/** The wanted distance itself, with the next longer length: a tensioner takes up what is left over. */
function keepAsked(): void {
  const longer = answers.value.find(({ centre: taut }) => taut >= centre.value);
  const count = run.value?.kind === 'belt' ? 'beltTeeth' : 'links';
  set({
    centre: quantityOf(centre.value, `${Number((1000 * centre.value).toPrecision(6))} mm`),
    takeUp: 'tensioner',
    ...(longer ? { [count]: longer.links } : {}),
  });
  asked.value = undefined;
}

const TAKE_UPS: readonly { value: TakeUp; text: string }[] = [
  { value: 'slide', text: 'a shaft that slides' },
  { value: 'tensioner', text: 'a tensioner' },
  { value: 'fixed', text: 'fixed shafts' },
];
const answerName = ({ links, centre: exact }: WholeLinks, i: number) =>
  run.value?.kind === 'chain'
    ? `${links} links`
    : `belt of ${links}${i === 0 && exact < centre.value ? ', tight' : ''}`;
</script>

<template>
  <p v-if="runs.length === 0" class="text-second">
    No stage of this train is a chain or a belt. Gears stand where their teeth mesh; their centre distance is with the
    stage.
  </p>
  <template v-else>
    <div v-if="runs.length > 1 || !run" class="flex flex-wrap gap-4">
      <button
        v-for="each in runs"
        :key="each.id"
        type="button"
        class="min-h-6"
        :class="stage?.id === each.id ? 'border-b-2 border-ink font-semibold' : 'act'"
        @click="link = each.id"
      >
        Stage {{ stages.indexOf(each) + 1 }}, {{ each.kind }}
        <template v-if="isToothed(each)">{{ each.driver }} → {{ each.driven }}</template>
      </button>
    </div>
    <p v-if="!run" class="text-second">Choose a chain or belt that has a pitch.</p>
    <template v-else>
      <div class="grid gap-x-5 gap-y-2 sm:grid-cols-[minmax(0,1fr)_14rem]">
        <div>
          <label class="text-[0.8125rem] text-second" for="centre-slider"
            >Shafts apart: it stops at {{ run.kind === 'chain' ? 'even links' : 'belts that are sold' }}</label
          >
          <div class="relative h-9">
            <svg
              class="absolute inset-x-2 top-4 h-4 w-[calc(100%-16px)]"
              preserveAspectRatio="none"
              viewBox="0 0 100 10"
              aria-hidden="true"
            >
              <path
                :d="
                  notches.map((notch) => `M${share(notch.centre)} 0V${notch.links === run!.length ? 10 : 6}`).join('')
                "
                stroke="var(--ink)"
                vector-effect="non-scaling-stroke"
              />
            </svg>
            <input
              id="centre-slider"
              type="range"
              class="absolute inset-x-0 top-0 h-5 w-full"
              :min="1000 * span.from"
              :max="1000 * span.to"
              step="0.1"
              :value="1000 * run.centre"
              :aria-valuetext="`${run.length} ${what}, ${show(run.centre, 'length', 5)}`"
              data-testid="centre-slider"
              @input="slide"
              @change="slid"
              @keydown="key"
            />
          </div>
          <p class="text-lg" data-testid="run-length">
            <b class="figures">{{ Number.isInteger(run.length) ? run.length : run.length.toFixed(2) }}</b> {{ what }} ·
            <b class="figures">{{ show(run.tautCentre, 'length', 5) }}</b> apart, taut
          </p>
          <p class="text-sm" :class="fit.fits ? '' : 'text-gives'">{{ say(fit.sentence) }}</p>
          <p v-if="fit.sag > 0.0002" class="text-sm text-second">
            Its slack strand hangs {{ show(fit.sag, 'length', 2) }} in the middle.
          </p>
          <div class="mt-2 flex flex-wrap items-baseline gap-x-3 gap-y-1 border-t border-hair pt-2 text-sm">
            <MeasureField
              :value="centre"
              dimension="length"
              label="wanted apart"
              data-testid="wanted-centre"
              @read="asked = $event"
            />
            <span class="text-second">{{ takes }}; whole are</span>
            <button
              v-for="(answer, i) in answers"
              :key="answer.links"
              type="button"
              class="act min-h-6 underline"
              @click="take(answer)"
            >
              {{ answerName(answer, i) }}, {{ show(answer.centre, 'length', 5) }}
            </button>
            <span v-if="answers.length === 0" class="text-gives">none goes round both wheels</span>
            <button v-if="asked !== undefined" type="button" class="act min-h-6" @click="keepAsked">
              keep the distance, with a tensioner
            </button>
          </div>
        </div>
        <div class="grid grid-cols-2 content-start gap-x-3 gap-y-1 sm:grid-cols-1">
          <ChoiceField
            label="slack is taken up by"
            :value="run.takeUp"
            :options="TAKE_UPS"
            @change="set({ takeUp: $event })"
          />
          <FigureField :figure="`stage.${run.id}.tension`" />
          <FigureField v-if="run.kind === 'chain'" :figure="`stage.${run.id}.wear`" allow="not negative" />
          <label v-else class="flex min-h-6 items-center gap-2 text-sm"
            ><input
              type="checkbox"
              :checked="(stage as BeltStage).idler ?? false"
              @change="set({ idler: ($event.target as HTMLInputElement).checked || undefined })"
            />
            idler on its back</label
          >
        </div>
      </div>
      <p v-if="run.kind === 'belt' && shelf.state === 'away'" class="text-sm text-gives">
        The shelf is out of reach: which belts are sold is not known now.
      </p>
      <RunDrawing :run="run" />
      <BeltLadder v-if="run.kind === 'belt'" :run="run" :belts="belts" />
    </template>
  </template>
</template>
