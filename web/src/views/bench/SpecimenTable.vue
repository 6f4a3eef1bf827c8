<script setup lang="ts">
import { FOUND, kindOf, takeKind, type FoundKey } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';
import { useAccess } from '../../stores/access.js';
import { useBench } from '../../stores/bench.js';
import { useTakeInto } from './useTakeInto.js';
import { useTrial } from './useTrial.js';

/** This very one beside others of its kind: what they measured, and how far they scatter. */
const bench = useBench();
const access = useAccess();
const takeInto = useTakeInto();
const seen = useTrial();
const { trial } = seen;
const { show } = useDisplay();
const alike = computed(() => {
  const { shelfId, name, partKey } = trial.value.subject;
  if (partKey === undefined && shelfId === undefined) return [];
  return bench.book.filter(
    ({ kind, subject, found }) =>
      kind === trial.value.kind &&
      found.length > 0 &&
      (shelfId === undefined ? subject.name === name : subject.shelfId === shelfId),
  );
});
const keys = computed(() => [...new Set(alike.value.flatMap(({ found }) => found.map(({ key }) => key)))].slice(0, 3));
const valueOf = (one: (typeof alike.value)[number], key: FoundKey) =>
  one.found.find((figure) => figure.key === key)?.value;
const specimenOf = ({ subject, startedAt }: (typeof alike.value)[number]): string =>
  subject.specimen ?? startedAt.slice(0, 10);
const kinds = computed(() =>
  keys.value.flatMap((key) => {
    const figures = alike.value.flatMap((one) => {
      const value = valueOf(one, key);
      return value === undefined ? [] : [{ specimen: specimenOf(one), value }];
    });
    const kind = kindOf(figures);
    return kind ? [{ key, figures, kind }] : [];
  }),
);

/** The part’s figures by all of its specimens: their mean, and as its error how far they scatter. */
const together = computed(() => {
  const concluded = seen.concluded.value;
  if (!seen.plan.value || !concluded.ok) return undefined;
  const figures = new Map(kinds.value.map(({ key, kind }) => [key, kind]));
  return takeKind(seen.plan.value, { id: bench.id, trial: trial.value }, concluded.conclusion, figures);
});
</script>

<template>
  <section v-if="kinds.length > 0" class="mt-4" data-testid="specimens">
    <h2>Of its kind</h2>
    <div v-for="{ key, figures, kind } in kinds" :key="key" class="mt-1 text-sm">
      <p class="text-second">{{ FOUND[key].name }}</p>
      <p
        v-for="(one, i) in figures"
        :key="i"
        class="flex justify-between border-b border-hair"
        :class="one.specimen === trial.subject.specimen ? 'font-semibold' : ''"
      >
        <span>{{ one.specimen }}</span><span class="figures text-xs">{{
          show(one.value, FOUND[key].dimension, 4)
        }}</span>
      </p>
      <p class="flex flex-wrap justify-between gap-x-2">
        <span class="whitespace-nowrap">mean of {{ kind.specimens }}</span
        ><span class="figures ml-auto text-xs whitespace-nowrap"
          >{{ show(kind.value, FOUND[key].dimension, 4) }} ± {{ show(kind.error, FOUND[key].dimension, 2) }}</span
        >
      </p>
    </div>
    <button
      v-if="together && access.mayChange && seen.closed.value"
      type="button"
      class="button mt-2 text-sm"
      @click="takeInto(together)"
    >
      Use mean and spread of {{ kinds[0]!.kind.specimens }} specimens in the plan
    </button>
  </section>
</template>
