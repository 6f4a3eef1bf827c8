<script setup lang="ts">
import {
  matchSentence,
  momentAt,
  momentRungs,
  ROBOT_HINTS,
  rungText,
  showMultiple,
  worstOfEach,
  type JudgedMatch,
  type Plan,
  type RobotRung,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import LimitGauge from '../../components/gauge/LimitGauge.vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../composables/useDisplay.js';
import type { MatchAsked } from '../../workers/questions.js';
import RobotMends from './RobotMends.vue';

/** What gives first on the whole robot in this match: the gauge, and the answer in a sentence. */
const { plan, match, asked, instant } = defineProps<{
  plan: Plan;
  match: JudgedMatch;
  asked: MatchAsked;
  /** While the match is replayed: the gauge stands as at this instant, s. */
  instant: number | undefined;
}>();
const emit = defineEmits<{ mechanism: [id: string]; choose: [] }>();
const { say, show } = useDisplay();

const keyOf = ({ id, mechanism, name }: RobotRung) => `${id} ${mechanism ?? name}`;
/** What the event allows stands in the gauge only where it is passed: the counts tell the rest. */
const standing = computed(() =>
  instant === undefined
    ? worstOfEach(match.rungs).filter(({ id, verdict }) => id !== 'event' || verdict !== 'enough')
    : momentRungs(match, momentAt(match, instant)),
);
const rungs = computed(() =>
  standing.value.map((rung) => ({
    id: keyOf(rung),
    name: rung.name,
    verdict: rung.verdict,
    multiple: rung.multiple,
    wants: rung.wants,
    outOfReach: false,
    rung,
  })),
);
/** In the gauge the least multiple stands lowest, whatever it wants. */
const ladder = computed(() => {
  // What never gets there has no multiple: it is said under the gauge.
  const placed = rungs.value.filter(({ multiple }) => multiple > 0);
  const sorted = [...placed].sort((a, b) => a.multiple - b.multiple);
  return placed[0] ? { rungs: sorted, first: placed[0] } : { rungs: sorted };
});
const chosen = ref<string>();
const selected = computed(() => rungs.value.find(({ id }) => id === chosen.value)?.rung);
/** What the hint is of: the rung that is chosen, else the first to give. */
const shown = computed(() => selected.value ?? match.rungs[0]);
/** What can be mended in the match: a limit of the event is a matter of what is chosen. */
const mendable = computed(() =>
  shown.value && shown.value.id !== 'event' && shown.value.verdict !== 'enough' ? shown.value : undefined,
);
const said = computed(() => matchSentence(match));
/** What gives way or is tight beside the first, each with its own numbers. */
const others = computed(() => match.rungs.slice(1).filter(({ verdict }) => verdict !== 'enough'));
</script>

<template>
  <aside class="flex flex-col gap-2 px-3 py-2" aria-label="What gives first on the robot">
    <LimitGauge
      class="text-[0.8125rem]"
      :ladder="ladder"
      :selected="chosen"
      :height="300"
      :asked="instant === undefined ? 'this match as it is scripted' : `this match at ${show(instant, 'time')}`"
      @select="chosen = chosen === $event.id ? undefined : $event.id"
    />
    <p data-testid="robot-answer" aria-live="polite">
      In this match: <b>{{ said.lead }}</b> {{ say(said.rest) }}
    </p>
    <p v-if="shown && shown.verdict !== 'enough'" class="text-sm" data-testid="robot-hint">
      <b>To change:</b> {{ ROBOT_HINTS[shown.id] }}.
    </p>
    <RobotMends v-if="mendable" :plan="plan" :match="match" :target="mendable" :asked="asked" />
    <p v-if="selected" class="border-l-3 border-line pl-2 text-sm" data-testid="robot-rung">
      <b>{{ rungText(selected) }}.</b> {{ say(selected.sentence) }}
      <button v-if="selected.mechanism" type="button" class="act" @click="emit('mechanism', selected.mechanism)">
        Open it
      </button>
    </p>
    <ul v-if="others.length > 0" class="text-sm" aria-label="Not enough either">
      <li v-for="rung in others" :key="`${rung.id} ${rung.mechanism} ${rung.name}`" class="flex gap-2">
        <VerdictRing :verdict="rung.verdict" :size="14" class="mt-0.5 shrink-0" />
        <span
          ><b>{{ rung.name }}</b
          ><template v-if="rung.multiple > 0">, {{ showMultiple(rung.multiple) }}</template
          >. {{ say(rung.sentence) }}</span
        >
      </li>
    </ul>
    <p class="border-t border-hair pt-1 text-sm">
      <button type="button" class="act min-h-7" @click="emit('choose')">Choose for all mechanisms at once</button>
      <span class="block text-xs text-second"
        >lightest, cheapest, coolest, strongest where it is weakest, fewest kinds: within the event sheet</span
      >
    </p>
    <p v-if="match.leftOut.length > 0" class="text-xs text-second">
      Not in it, for want of a figure: {{ match.leftOut.join(', ') }}.
    </p>
    <p class="text-xs text-second">
      A pack that dips resets boards without warning: keep clear of what may move, and let your event’s rules decide
      over packs, breakers and wires.
    </p>
  </aside>
</template>
