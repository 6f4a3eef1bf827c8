<script setup lang="ts">
import { headerUnits } from '@rough-gear/contract/bench';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { dayText } from '../bookWords.js';
import FitChart from '../FitChart.vue';
import FoundTable from '../FoundTable.vue';
import SetUpDrawing from '../SetUpDrawing.vue';
import { provideTrial } from '../useTrial.js';

/** One page, black on white: set-up, cautions, the table, and in the report the fit and what it says. */
const { blank } = defineProps<{ blank: boolean }>();
const { trial, sheet, concluded } = provideTrial();
const { show, say, split } = useDisplay();
/** A pencil wants a row more than a good fit does; a report of a long log shows its beginning. */
const LONGEST = 40;
const rows = computed(() =>
  blank
    ? sheet.value.good + 2
    : Math.min(LONGEST, Math.max(0, ...Object.values(trial.value.readings).map(({ length }) => length))),
);
const all = computed(() => Math.max(0, ...Object.values(trial.value.readings).map(({ length }) => length)));
const unitOf = (dimension: Parameters<typeof split>[1]): string =>
  dimension in headerUnits ? split(1, dimension).unit : '';
function cell(row: number, { key, dimension, options }: (typeof sheet.value.columns)[number]): string {
  if (blank) return '';
  const value = trial.value.readings[key]?.[row];
  if (typeof value !== 'number') return '';
  return options ? (options.find(([one]) => one === value)?.[1] ?? '') : show(value, dimension, 4);
}
const struck = computed(() => new Map(trial.value.struck.map(({ row, why }) => [row, why || 'struck out'])));
const conclusion = computed(() => (!blank && concluded.value.ok ? concluded.value.conclusion : undefined));
</script>

<template>
  <article v-if="trial" class="paper mx-auto max-w-[190mm] p-8">
    <header class="paper-head mb-3 border-b-2 border-ink pb-1">
      <h1 class="text-xl">{{ sheet.name }}</h1>
      <p>{{ [trial.subject.name, trial.subject.specimen, trial.subject.robot].filter(Boolean).join(' · ') }}</p>
      <p class="text-sm">Gives {{ sheet.gives }}.</p>
    </header>
    <p class="mb-2 grid grid-cols-3 gap-4 text-sm">
      <span>day: {{ blank ? '______________' : dayText(trial.startedAt) }}</span>
      <span>measured by: {{ blank ? '______________' : trial.who || '—' }}</span>
      <span>with: {{ blank ? '______________' : trial.used || '—' }}</span>
    </p>
    <SetUpDrawing :kind="trial.kind" />
    <ul class="mt-2 list-disc pl-5 text-sm">
      <li v-for="line in [...sheet.connect, ...sheet.set]" :key="line">{{ line }}</li>
    </ul>
    <p class="mt-2 border-2 border-ink p-2 text-sm font-semibold">
      {{ sheet.cautions.join(' ') }} Your event’s and workshop’s rules come first.
    </p>
    <p v-for="one in sheet.given" :key="one.key" class="mt-1 text-sm">
      {{ one.label }}:
      {{ blank ? '______________' : trial.given[one.key] ? show(trial.given[one.key]!.si, one.dimension, 4) : '—' }}
      <i>({{ one.how }})</i>
    </p>
    <p v-for="one in sheet.said" :key="one.key" class="mt-1 text-sm">
      {{ one.label }}:
      {{
        blank
          ? one.options.map((option) => `☐ ${one.names?.[option] ?? option}`).join('   ')
          : (one.names?.[trial.said[one.key] ?? ''] ?? trial.said[one.key])
      }}
    </p>
    <table class="mt-3 w-full border-collapse text-sm">
      <thead>
        <tr>
          <th scope="col" class="border border-ink px-1 font-normal">#</th>
          <th
            v-for="column in sheet.columns"
            :key="column.key"
            scope="col"
            class="border border-ink px-1 font-semibold"
          >
            {{ column.label }}{{ blank && unitOf(column.dimension) ? `, ${unitOf(column.dimension)}` : ''
            }}<template v-if="blank && column.options">
              ({{ column.options.map(([, name]) => name).join(' / ') }})</template
            >
          </th>
          <th scope="col" class="border border-ink px-1 font-normal">remarks</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row" :class="blank ? 'h-8' : ''">
          <td class="figures border border-ink px-1">{{ row }}</td>
          <td
            v-for="column in sheet.columns"
            :key="column.key"
            class="figures border border-ink px-1 text-right"
            :class="!blank && struck.has(row - 1) ? 'line-through' : ''"
          >
            {{ cell(row - 1, column) }}
          </td>
          <td class="border border-ink px-1">{{ blank ? '' : (struck.get(row - 1) ?? '') }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="!blank && all > rows" class="text-sm">The first {{ rows }} of {{ all }} readings.</p>
    <template v-if="conclusion">
      <FitChart
        v-for="(plot, i) in conclusion.plots"
        :key="i"
        class="mt-3"
        :plot="plot"
        :off="i === 0 ? conclusion.off : undefined"
      />
      <FoundTable :figures="conclusion.figures" />
      <h2 class="mt-3">Conclusion</h2>
      <p>{{ conclusion.says.map((one) => say(one)).join(' ') }}</p>
      <p v-if="trial.note" class="mt-1">Seen beside: {{ trial.note }}</p>
    </template>
    <p v-else-if="blank" class="mt-3 text-sm">
      Fewer than {{ sheet.fewest }} readings say nothing; {{ sheet.good }} make a good fit. Odd ones are kept, and
      struck out with their reason.
    </p>
  </article>
</template>
