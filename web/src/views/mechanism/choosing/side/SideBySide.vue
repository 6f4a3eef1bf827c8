<script setup lang="ts">
import { choiceDifferences, MOST, readyComparisons, type ReadyMade } from '@rough-gear/core';
import { computed, onMounted, ref, toRaw } from 'vue';
import { toast } from 'vue-sonner';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { useWholeShelf } from '../../../../stores/shelf.js';
import { coreWorker } from '../../../../workers/core.js';
import ChoiceColumn from './ChoiceColumn.vue';
import DifferenceTable from './DifferenceTable.vue';
import OverlaidRuns from './OverlaidRuns.vue';

/** Up to four choices in columns on the same job: gauges beside each other, runs over each other, and what differs. */
const { plan, mechanism, job, jobId, commit } = useMechanism();
const shelf = useWholeShelf();
onMounted(() => void shelf.load());

const differences = computed(() => choiceDifferences(plan.value, mechanism.value, jobId.value));
const ready = computed(() => readyComparisons(plan.value, mechanism.value.id, jobId.value));
const looking = ref('');
const print = () => window.print();

async function put({ id, asks }: ReadyMade): Promise<void> {
  looking.value = id;
  try {
    const shelved = shelf.offered.map(toRaw);
    const changes = await coreWorker().readyMade(toRaw(plan.value), mechanism.value.id, jobId.value, shelved, id);
    if (!changes) return void toast(`${asks} There is nothing on the shelf to put beside it.`);
    commit(changes);
    toast(`${asks} The other side stands beside it now; the one in force stays in force.`);
  } catch (problem) {
    toast.error((problem as Error).message);
  } finally {
    looking.value = '';
  }
}
</script>

<template>
  <h1 class="hidden text-xl print:block">{{ plan.name }}, {{ mechanism.name }}: ideas side by side</h1>
  <div
    class="not-printed flex flex-wrap items-baseline gap-x-4 gap-y-0.5 text-sm"
    role="group"
    aria-label="Put beside it"
  >
    <span class="text-second">put beside it</span>
    <button
      v-for="one in ready"
      :key="one.id"
      type="button"
      class="act min-h-6"
      :disabled="looking !== ''"
      @click="put(one)"
    >
      {{ one.asks }}
    </button>
    <span v-if="ready.length === 0" class="text-xs text-second">
      {{
        mechanism.choices.length >= MOST.choices
          ? 'Four are kept: remove one to compare with another.'
          : 'nothing ready made here'
      }}
    </span>
    <button v-if="mechanism.choices.length > 1" type="button" class="act ml-auto min-h-6" @click="print">Print</button>
  </div>
  <p v-if="mechanism.choices.length === 1" class="squared grid min-h-24 place-items-center p-4 text-center text-second">
    There is one choice only. Put another beside it, keep one of the shortlist beside it, or try another machine.
  </p>
  <div
    class="grid gap-3 print:grid! print:grid-cols-4"
    :class="
      { 1: 'sm:grid-cols-2', 2: 'sm:grid-cols-2', 3: 'sm:grid-cols-3', 4: 'sm:grid-cols-2 xl:grid-cols-4' }[
        mechanism.choices.length
      ]
    "
    data-testid="columns"
  >
    <ChoiceColumn v-for="(choice, i) in mechanism.choices" :key="choice.id" :choice="choice" :index="i" />
  </div>
  <template v-if="mechanism.choices.length > 1">
    <p v-if="mechanism.jobs.length > 1" class="text-xs text-second">
      The verdict and the margin are over all jobs; time, current and runs are of <b>{{ job.name }}</b>.
    </p>
    <DifferenceTable :differences="differences" />
    <OverlaidRuns />
  </template>
</template>
