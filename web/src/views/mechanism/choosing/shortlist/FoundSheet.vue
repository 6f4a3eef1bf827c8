<script setup lang="ts">
import {
  applyChanges,
  digits,
  evaluateMechanism,
  eventFor,
  foundWords,
  MOST,
  showMultiple,
  worstSituation,
  type Found,
  type Plan,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import LimitGauge from '../../../../components/gauge/LimitGauge.vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useMechanism } from '../../../../composables/useMechanism.js';

/** The chosen design: its gauge as it would stand here, and what takes it into the plan, with a sentence why. */
const { found, plan, designs, busy, said } = defineProps<{
  found: Found;
  /** The plan that was searched: it is judged in that. */
  plan: Plan;
  /** The same design in teeth that are sold. */
  designs: readonly Found[];
  busy: boolean;
  said: string;
}>();
const emit = defineEmits<{ adopt: [as: 'replace' | 'beside', why: string]; teeth: []; choose: [found: Found] }>();
const { mechanism, jobId, path } = useMechanism();
const why = ref('');

const judged = computed(() => {
  const changed = applyChanges(plan, found.changes);
  const there = changed.mechanisms.find(({ id }) => id === mechanism.value.id)!;
  return evaluateMechanism(changed, there);
});
/** The job and situation that lead: there the first thing gives. */
const job = computed(() => judged.value.jobs.find((one) => one.jobId === judged.value.headline.jobId)!);
const situation = computed(() => judged.value.headline.situation ?? worstSituation(job.value));
const ladder = computed(() => job.value.ladders[situation.value]);
/** Limits of the event that the robot passes already, and would by more. */
const more = computed(() => eventFor(plan)(found).more);
const turning = computed(() => path.value.load.unit === 'rad');
const full = computed(() => mechanism.value.choices.length >= MOST.choices);
</script>

<template>
  <section aria-label="The chosen design" class="min-w-0 border border-ink bg-sheet p-3" data-testid="chosen">
    <h3 class="leading-tight">{{ foundWords(found) }}</h3>
    <p class="mb-1 text-xs text-second">
      {{ [found.controller, found.pack, found.train].filter(Boolean).join(' · ') || 'its own controller inside' }}
    </p>
    <p class="flex items-center gap-1.5 text-sm">
      <VerdictRing :verdict="found.verdict" :size="16" />
      <span
        ><b>{{ found.verdict }}</b
        >: {{ found.first }} gives first<template v-if="found.multiple !== undefined"
          >, <span class="figures">{{ showMultiple(found.multiple) }}</span></template
        ></span
      >
    </p>
    <p class="text-xs text-second">{{ job.name }}, {{ situation }}</p>
    <p v-if="more.length > 0" class="text-xs text-second" data-testid="event-more">
      The event’s {{ more.join(', ') }}: over already, and by more with this.
    </p>
    <LimitGauge :ladder="ladder" :height="150" :turning="turning" />
    <div v-if="!found.train && found.changes.some(({ at }) => at.at(-1) === 'stages')" class="mt-1 text-sm">
      <button type="button" class="act min-h-6" :disabled="busy" @click="emit('teeth')">
        {{ busy ? 'looking for wheels …' : 'Make its total in teeth off the shelf' }}
      </button>
      <p v-if="said" role="status" class="text-xs text-second">{{ said }}</p>
      <ul v-if="designs.length > 0" class="text-xs" data-testid="teeth">
        <li v-for="design in designs" :key="design.key">
          <button type="button" class="act min-h-6 text-left" @click="emit('choose', design)">
            {{ digits(design.total, 4) }}:1 · {{ design.train }}
          </button>
        </li>
      </ul>
    </div>
    <label class="mt-2 block text-[0.8125rem] text-second"
      >why this one, for the log
      <input
        v-model="why"
        class="block min-h-7 w-full border-b border-ink bg-transparent text-sm text-ink"
        maxlength="500"
        autocomplete="off"
      />
    </label>
    <div class="mt-2 flex flex-wrap gap-2">
      <button type="button" class="button main" @click="emit('adopt', 'replace', why)">Take it</button>
      <button type="button" class="button disabled:opacity-50" :disabled="full" @click="emit('adopt', 'beside', why)">
        Keep it beside
      </button>
    </div>
    <p v-if="found.pack" class="mt-1 text-xs text-tight">
      Taken, its pack is another for all of the robot’s mechanisms; kept beside, it is judged on the pack that is there.
    </p>
    <p v-if="jobId !== job.jobId" class="mt-1 text-xs text-second">The job that leads is not the one that is open.</p>
  </section>
</template>
