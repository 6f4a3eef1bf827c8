<script setup lang="ts">
import { reviewReasons, type ReasonNow } from '@rough-gear/core';
import { computed, ref } from 'vue';
import { useMechanism } from '../../../../composables/useMechanism.js';
import ReasonEntry from './ReasonEntry.vue';

/** Why things are as they are: each line held against the plan as it is now. */
const { plan, mechanism, commit } = useMechanism();
const all = ref(true);
const reasons = computed(() => reviewReasons(plan.value));
const shown = computed(() =>
  [...reasons.value].reverse().filter(({ reason }) => all.value || reason.mechanism === mechanism.value.id),
);
const untrue = computed(() => reasons.value.filter((one) => one.untrue).length);

const print = () => window.print();

function rewrite({ reason }: ReasonNow, why: string): void {
  const kept = plan.value.reasons ?? [];
  const next = kept.map((one) => {
    if (one !== reason) return one;
    const { why: _old, ...rest } = one;
    return why.trim() === '' ? rest : { ...rest, why: why.trim() };
  });
  commit([{ at: ['reasons'], to: next }]);
}
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-4 gap-y-1 text-sm not-printed">
    <span role="status"
      >{{ reasons.length === 1 ? 'One reason' : `${reasons.length} reasons`
      }}<template v-if="untrue > 0"
        >, <b class="text-gives">{{ untrue }} no longer true</b></template
      ></span
    >
    <label class="flex min-h-6 items-center gap-1"><input v-model="all" type="checkbox" />of all mechanisms</label>
    <button v-if="reasons.length > 0" type="button" class="act ml-auto min-h-6" @click="print">Print</button>
  </div>
  <h1 class="hidden text-xl print:block">{{ plan.name }}: reasons</h1>
  <p v-if="shown.length === 0" class="squared grid grow place-items-center p-6 text-center text-second">
    Nothing is in the log yet. Whatever is taken from the shortlist, or put in force side by side, writes a line: what
    was chosen over what, the figures, and your own sentence.
  </p>
  <ol v-else class="grid gap-3" data-testid="reasons">
    <ReasonEntry v-for="one in shown" :key="one.reason.id" :entry="one" @rewrite="rewrite(one, $event)" />
  </ol>
</template>
