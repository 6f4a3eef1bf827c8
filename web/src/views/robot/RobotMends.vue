<script setup lang="ts">
import { counted, showMultiple, type JudgedMatch, type Plan, type RobotMend, type RobotRung } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { usePlan } from '../../stores/plan.js';
import type { MatchAsked } from '../../workers/questions.js';
import { useRobotMends } from './useRobotMends.js';

/** Changes that mend what gives in the match, each gone through again; one click applies one, one undo takes it back. */
const { plan, match, target, asked } = defineProps<{
  plan: Plan;
  match: JudgedMatch;
  target: RobotRung;
  asked: MatchAsked;
}>();
const { say } = useDisplay();
const store = usePlan();
const { found, running, stopped, failure, look, stop } = useRobotMends(
  () => target,
  () => match,
);
const mends = computed(() => found.value?.mends ?? []);
const apply = ({ changes }: RobotMend) => store.commit(changes);
const times = (multiple: number) => (Number.isFinite(multiple) ? showMultiple(multiple) : 'no more');
</script>

<template>
  <section aria-label="Changes that mend it" class="text-sm" data-testid="robot-mends">
    <h3 class="flex justify-between gap-2 text-xs font-normal text-second">
      <span class="truncate">mends: {{ target.name }}</span>
      <span v-if="mends.length > 0" class="whitespace-nowrap">before → after</span>
    </h3>
    <ul>
      <li v-for="(mend, i) in mends" :key="i">
        <button
          type="button"
          class="flex min-h-7 w-full items-baseline gap-2 border-t border-hair py-0.5 text-left hover:bg-ground"
          :title="`then ${mend.firstAfter} gives first`"
          @click="apply(mend)"
        >
          <span class="grow"
            ><span class="act">{{ say(mend.label) }}</span
            ><span v-if="!mend.reaches" class="block text-xs text-second">it holds then, though tight</span
            ><span v-if="mend.more" class="block text-xs text-second"
              >the event’s {{ mend.more.join(', ') }} over by more</span
            ></span
          >
          <span class="figures whitespace-nowrap"
            >{{ showMultiple(mend.before).replace('×', '') }} → {{ times(mend.after) }}</span
          >
        </button>
      </li>
    </ul>
    <p v-if="running" role="status" class="flex flex-wrap items-baseline gap-x-3 text-xs text-second">
      <span
        >{{ found?.pairs ? 'no single change of settings does it: two together are tried' : 'looking for changes' }},
        {{ counted(found?.marched ?? 0, 'match', 'matches') }} gone through</span
      >
      <button type="button" class="act min-h-6" @click="stop">stop</button>
    </p>
    <p v-else-if="failure" role="alert" class="text-gives">The search stopped: {{ failure }}</p>
    <template v-else-if="found || stopped">
      <p v-if="found && mends.length === 0" data-testid="robot-mends-none">
        {{
          found.done
            ? 'Neither a single change nor two together do it without making something else give way.'
            : 'None found so far.'
        }}
      </p>
      <p v-else-if="found?.pairs" class="text-xs text-second">No single change of settings does it alone.</p>
      <p v-if="stopped || !found?.done" class="text-xs text-second">
        Stopped after {{ counted(found?.marched ?? 0, 'match', 'matches') }}.
        <button type="button" class="act" @click="look(plan, asked)">Look again</button>
      </p>
    </template>
    <button v-else type="button" class="act min-h-7" @click="look(plan, asked)">Look for changes that do it</button>
  </section>
</template>
