<script setup lang="ts">
import { rowIdsOf, type Clash, type Quantity } from '@rough-gear/core';
import { useDisplay } from '../../composables/useDisplay.js';
import { useBench } from '../../stores/bench.js';
import { useTrial } from './useTrial.js';

/** What two devices wrote in one place: both are there, and a person decides. */
const bench = useBench();
const { trial, sheet } = useTrial();
const { show } = useDisplay();
const WORDS = { who: 'Who', used: 'Used', note: 'Note' } as const;

function placeText({ place }: Clash): string {
  switch (place.in) {
    case 'who':
    case 'used':
    case 'note':
      return WORDS[place.in];
    case 'subject':
      return place.key;
    case 'given':
      return sheet.value.given.find(({ key }) => key === place.key)?.label ?? place.key;
    case 'said':
      return sheet.value.said.find(({ key }) => key === place.key)?.label ?? place.key;
    default: {
      const row = rowIdsOf(trial.value).indexOf(place.rowId) + 1;
      if (place.in === 'struck') return `Reading ${row}, struck out because`;
      const column = sheet.value.columns.find(({ key }) => key === place.column)?.label ?? place.column;
      return `Reading ${row}, ${column}`;
    }
  }
}
function valueText({ place }: Clash, value: unknown): string {
  if (value === undefined || value === null || value === '') return 'nothing';
  if (place.in === 'cell') {
    const column = sheet.value.columns.find(({ key }) => key === place.column);
    return column ? show(Number(value), column.dimension, 4) : String(value);
  }
  const figure = place.in === 'given' ? sheet.value.given.find(({ key }) => key === place.key) : undefined;
  return figure ? show((value as Quantity).si, figure.dimension, 4) : String(value);
}
</script>

<template>
  <section aria-label="Written on two devices" role="alert" class="mb-3 border border-tight bg-sheet p-3">
    <p><b>Two devices wrote something else in the same place.</b> Until you decide, what the other one wrote counts.</p>
    <ul>
      <li
        v-for="(clash, i) in bench.clashes"
        :key="i"
        class="mt-1 flex flex-wrap items-baseline gap-x-4 border-t border-hair pt-1"
      >
        <span class="min-w-40">{{ placeText(clash) }}</span>
        <span
          >mine <b class="figures">{{ valueText(clash, clash.mine) }}</b></span
        >
        <span
          >theirs <b class="figures">{{ valueText(clash, clash.theirs) }}</b></span
        >
        <button type="button" class="act ml-auto min-h-6" @click="bench.decide(clash, true)">Take mine</button>
        <button type="button" class="act min-h-6" @click="bench.decide(clash, false)">Leave theirs</button>
      </li>
    </ul>
  </section>
</template>
