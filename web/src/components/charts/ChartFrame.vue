<script setup lang="ts">
import { useElementSize } from '@vueuse/core';
import type { EChartsCoreOption } from 'echarts/core';
import { computed, ref } from 'vue';
import { ChartLater } from './chartLater.js';
import type { Picked } from './EChart.js';

/** A chart with its heading, its axes in words, and its table for those who would rather read. */
interface ChartTable {
  readonly head: readonly string[];
  readonly rows: readonly (readonly string[])[];
}

/** A line's name beside the chart, where it can run through nothing. */
interface LineName {
  readonly mark: string;
  readonly text: string;
  readonly colour: string;
}

const {
  title,
  caption,
  option,
  table,
  names = [],
} = defineProps<{
  title: string;
  caption: string;
  option: EChartsCoreOption;
  table: ChartTable;
  summary: string;
  names?: readonly LineName[];
}>();

defineEmits<{ pick: [point: Picked] }>();

const asTable = ref(false);
const box = ref<HTMLElement>();
const { height } = useElementSize(box);
const tall = computed(() => height.value > 40);
</script>

<template>
  <figure class="flex min-h-[200px] min-w-0 flex-col">
    <div class="flex items-baseline justify-between">
      <slot name="title"
        ><h3>{{ title }}</h3></slot
      >
      <button type="button" class="act not-printed min-h-6 text-xs" :aria-pressed="asTable" @click="asTable = !asTable">
        {{ asTable ? 'chart' : 'table' }}
      </button>
    </div>
    <p v-if="names.length > 0" class="flex flex-wrap gap-x-3 text-xs leading-tight">
      <span v-for="{ mark, text, colour } in names" :key="text" :style="{ color: colour }">
        <span aria-hidden="true" class="figures">{{ mark }}</span> {{ text }}
      </span>
    </p>
    <div ref="box" class="relative min-h-0 grow basis-40">
      <div v-if="!asTable" class="absolute inset-0" role="img" :aria-label="`${title}. ${summary}`">
        <ChartLater v-if="tall" :option="option" @pick="$emit('pick', $event)" />
      </div>
      <div v-else class="absolute inset-0 overflow-auto" tabindex="0" role="region" :aria-label="`${title} as a table`">
        <table class="figures w-full text-xs">
          <thead class="sticky top-0 bg-ground">
            <tr>
              <th
                v-for="cell in table.head"
                :key="cell"
                scope="col"
                class="border-b border-ink px-1 py-0.5 text-right font-semibold"
              >
                {{ cell }}
              </th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="(row, i) in table.rows" :key="i">
              <td v-for="(cell, j) in row" :key="j" class="border-b border-hair px-1 text-right">{{ cell }}</td>
            </tr>
          </tbody>
        </table>
      </div>
    </div>
    <figcaption class="text-xs text-second">{{ caption }}</figcaption>
  </figure>
</template>
