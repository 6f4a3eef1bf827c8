<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import { useDisplay } from '../../composables/useDisplay.js';
import { useAccess } from '../../stores/access.js';
import { useBench } from '../../stores/bench.js';
import TakeIn from './TakeIn.vue';
import { useTrial } from './useTrial.js';

/** What it says, and what becomes of it: closed, taken into the part, printed. */
const router = useRouter();
const bench = useBench();
const access = useAccess();
const { concluded, closed } = useTrial();
const { say } = useDisplay();
const says = computed(() => (concluded.value.ok ? concluded.value.conclusion.says.map((one) => say(one)) : []));
const asking = ref(false);
const failure = ref('');

async function doing(work: () => Promise<void>): Promise<void> {
  failure.value = '';
  try {
    await work();
  } catch (problem) {
    failure.value = (problem as Error).message;
  }
}
const remove = (): Promise<void> =>
  doing(async () => {
    await bench.remove();
    await router.replace({ name: 'bench' });
  });
</script>

<template>
  <section aria-label="Conclusion">
    <h2 class="mb-1">4 Conclusion</h2>
    <p v-if="says.length > 0" data-testid="says">{{ says.join(' ') }}</p>
    <p v-else class="text-second">None yet.</p>
    <div class="mt-2 flex flex-wrap items-center gap-3">
      <TakeIn v-if="access.mayChange && concluded.ok" />
      <button
        v-if="access.mayChange && !closed && concluded.ok"
        type="button"
        class="button"
        @click="doing(() => bench.close(new Date().toISOString()))"
      >
        Close the trial
      </button>
      <RouterLink
        class="button inline-block"
        :to="{ name: 'trial-paper', params: { trialId: bench.id, form: concluded.ok ? 'report' : 'blank' } }"
        >{{ concluded.ok ? 'Print the report' : 'Print a blank sheet' }}</RouterLink
      >
      <RouterLink
        v-if="concluded.ok"
        class="act"
        :to="{ name: 'trial-paper', params: { trialId: bench.id, form: 'blank' } }"
        >Blank sheet</RouterLink
      >
      <template v-if="access.mayChange && !closed">
        <button v-if="!asking" type="button" class="act min-h-6" @click="asking = true">Throw away</button>
        <span v-else class="text-sm"
          >Its readings are lost.
          <button type="button" class="act min-h-6 text-gives" @click="remove">Throw it away</button>
          <button type="button" class="act ml-2 min-h-6" @click="asking = false">Keep it</button></span
        >
      </template>
    </div>
    <p v-if="bench.notClosed && !closed" role="alert" class="mt-1 text-gives">
      {{ bench.notClosed }} It is still open: look at the readings, then close it.
      <button type="button" class="act ml-2 min-h-6" @click="doing(() => bench.close(new Date().toISOString(), true))">
        Close it all the same
      </button>
    </p>
    <p v-if="failure" role="alert" class="mt-1 text-gives">{{ failure }}</p>
  </section>
</template>
