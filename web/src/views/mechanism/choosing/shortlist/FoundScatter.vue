<script setup lang="ts">
import { digits, edgeOf, foundWords, WANT_IDS, WANTS, type Found, type WantId } from '@rough-gear/core';
import { computed } from 'vue';
import ChartFrame from '../../../../components/charts/ChartFrame.vue';
import { MONO, SANS, tipLook, useChartInk } from '../../../../composables/useChartInk.js';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { wantDimension, wantShown } from './wantDisplay.js';

/** The field: every design left by any two wants, the front of those two joined up; a click chooses one. */
const { front, chosen, now } = defineProps<{
  front: readonly Found[];
  chosen: Found | undefined;
  /** The design in force, to compare with. */
  now: Found['figures'];
}>();
const emit = defineEmits<{ choose: [found: Found] }>();
const x = defineModel<WantId>('x', { required: true });
const y = defineModel<WantId>('y', { required: true });
const { path } = useMechanism();
const { show, split } = useDisplay();
const ink = useChartInk();

const AXES = [
  { id: 'y' as const, text: 'up' },
  { id: 'x' as const, text: 'across' },
];
function turn(axis: 'x' | 'y', want: WantId): void {
  if (axis === 'x') x.value = want;
  else y.value = want;
}
const options = WANT_IDS.map((want) => ({ value: want, text: WANTS[want].name }));
/** In the unit that is shown, so that the axis reads like the table. */
function plain(want: WantId, value: number): number {
  const dimension = wantDimension(want, path.value);
  return dimension ? Number(split(value, dimension, 6).number) : value;
}
const known = computed(() =>
  front.flatMap((found) => {
    const [a, b] = [found.figures[x.value], found.figures[y.value]];
    return a === undefined || b === undefined ? [] : [{ found, at: [plain(x.value, a), plain(y.value, b)] as const }];
  }),
);
const edge = computed(() => {
  const along = new Set(edgeOf(front, x.value, y.value));
  return known.value
    .filter(({ found }) => along.has(found))
    .sort((a, b) => (WANTS[x.value].better === 'less' ? 1 : -1) * (a.at[0] - b.at[0]));
});

const option = computed(() => {
  const { second, hair, act, ink: pen, sheet, tight } = ink.value;
  const axis = (want: WantId, horizontal: boolean) => ({
    type: 'value',
    scale: true,
    name: WANTS[want].name,
    nameLocation: 'middle',
    nameGap: horizontal ? 24 : 40,
    nameTextStyle: { color: second, fontFamily: SANS, fontSize: 12 },
    axisLabel: {
      color: second,
      fontFamily: MONO,
      fontSize: 11,
      hideOverlap: true,
      formatter: (v: number) => digits(v, 3),
    },
    axisLine: { show: true, lineStyle: { color: second } },
    splitLine: { show: true, lineStyle: { color: hair } },
  });
  const here = now[x.value] !== undefined && now[y.value] !== undefined;
  return {
    animation: false,
    textStyle: { fontFamily: SANS },
    grid: { left: 56, right: 12, top: 8, bottom: 40 },
    tooltip: {
      ...tipLook(ink.value),
      trigger: 'item',
      formatter: ({ dataIndex, seriesIndex }: { dataIndex: number; seriesIndex: number }) => {
        if (seriesIndex === 2) return 'as it is now';
        const list = seriesIndex === 0 ? edge.value : known.value;
        const found = list[dataIndex]?.found;
        if (!found) return '';
        const line = (want: WantId) => `${WANTS[want].name} ${wantShown(want, found.figures, path.value, show)}`;
        return `${foundWords(found)}\n${line(x.value)}, ${line(y.value)}\n${found.verdict}: ${found.first}`;
      },
    },
    xAxis: axis(x.value, true),
    yAxis: axis(y.value, false),
    series: [
      {
        type: 'line',
        data: edge.value.map(({ at }) => [...at]),
        step: WANTS[x.value].better === 'less' ? 'end' : 'start',
        symbol: 'none',
        lineStyle: { color: pen, width: 1, type: [4, 3] },
        silent: true,
      },
      {
        type: 'scatter',
        data: known.value.map(({ found, at }) => ({
          value: [...at],
          symbol: found.verdict === 'enough' ? 'circle' : 'diamond',
          symbolSize: found.key === chosen?.key ? 15 : 9,
          itemStyle: {
            color: found.key === chosen?.key ? act : sheet,
            borderColor: found.verdict === 'enough' ? act : tight,
            borderWidth: found.key === chosen?.key ? 3 : 1.5,
          },
        })),
      },
      {
        type: 'scatter',
        data: here ? [[plain(x.value, now[x.value]!), plain(y.value, now[y.value]!)]] : [],
        symbol: 'rect',
        symbolSize: 10,
        itemStyle: { color: pen },
        label: { show: true, formatter: 'now', position: 'right', color: pen, fontFamily: SANS },
      },
    ],
  };
});

function pick(event: { seriesIndex?: number; dataIndex?: number }): void {
  if (event.seriesIndex !== 1) return;
  const found = known.value[event.dataIndex ?? -1]?.found;
  if (found) emit('choose', found);
}

const table = computed(() => ({
  head: ['design', WANTS[x.value].name, WANTS[y.value].name],
  rows: known.value.map(({ found }) => [
    foundWords(found),
    wantShown(x.value, found.figures, path.value, show),
    wantShown(y.value, found.figures, path.value, show),
  ]),
}));
</script>

<template>
  <ChartFrame
    :title="`${WANTS[y].name} against ${WANTS[x].name}`"
    caption="circle enough, diamond tight, square as it is now; dashed: no other is better in both"
    :option="option"
    :table="table"
    :summary="`${known.length} designs, ${edge.length} of them at the front of these two`"
    @pick="pick"
  >
    <template #title>
      <div class="flex items-baseline gap-2">
        <label v-for="axis in AXES" :key="axis.id" class="flex items-baseline gap-1.5">
          <span class="text-[0.8125rem] text-second">{{ axis.text }}</span>
          <select
            class="min-h-7 border-b border-ink bg-sheet"
            :value="axis.id === 'x' ? x : y"
            @change="turn(axis.id, ($event.target as HTMLSelectElement).value as WantId)"
          >
            <option v-for="{ value, text } in options" :key="value" :value="value">{{ text }}</option>
          </select>
        </label>
      </div>
    </template>
  </ChartFrame>
</template>
