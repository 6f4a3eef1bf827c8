<script setup lang="ts">
import type { DayMend, MatchScript, PackState, Plan } from '@rough-gear/core';
import { proxy } from 'comlink';
import { shallowRef, toRaw, watch } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useNewest } from '../../composables/useNewest.js';
import { usePlan } from '../../stores/plan.js';
import { coreWorker } from '../../workers/core.js';

/** What lets a day that fails last longer: a full pack before a match, a stronger charger, longer rests, one more pack. */
const { plan, script, failsAt, state } = defineProps<{
  plan: Plan;
  script: MatchScript;
  failsAt: number;
  state: PackState;
}>();
const store = usePlan();
const { say } = useDisplay();
const mends = shallowRef<readonly DayMend[]>();
const { running, failure, ask, stop } = useNewest(() => void coreWorker().stop('dayMends'));
function look(): void {
  mends.value = [];
  void ask(
    (isOn) => {
      const told = proxy((now: readonly DayMend[]) => {
        if (isOn()) mends.value = now;
      });
      return coreWorker().dayMends(toRaw(plan), toRaw(script), failsAt, { ...state }, told);
    },
    (all) => (mends.value = all ?? mends.value),
  );
}
watch([() => plan, () => script, () => failsAt], () => {
  stop();
  mends.value = undefined;
});
const after = ({ failsAt: then }: DayMend) => (then === undefined ? 'no match gives way' : `lasts to match ${then}`);
</script>

<template>
  <section aria-label="Changes that let the day last" data-testid="day-mends">
    <ul v-if="mends && mends.length > 0">
      <li v-for="(mend, i) in mends" :key="i">
        <button
          type="button"
          class="flex min-h-7 w-full items-baseline gap-3 border-t border-hair py-0.5 text-left hover:bg-sheet"
          @click="store.commit(mend.changes)"
        >
          <span class="act grow">{{ say(mend.label) }}</span><span>{{ after(mend) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="failure" role="alert" class="text-gives">The search stopped: {{ failure }}</p>
    <p v-else-if="running" role="status" class="text-xs text-second">
      going through days … <button type="button" class="act" @click="stop">stop</button>
    </p>
    <p v-else-if="mends?.length === 0" class="text-second">
      Neither a full pack, a stronger charger, longer rests nor one more pack changes it: mend the match itself.
    </p>
    <button v-else-if="!mends" type="button" class="act min-h-6" @click="look">Look for what lets it last</button>
  </section>
</template>
