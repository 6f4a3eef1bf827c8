<script setup lang="ts">
import { ref } from 'vue';
import BaseDialog from '../../components/widgets/BaseDialog.vue';
import ChartFrame from '../../components/charts/ChartFrame.vue';
import ChoiceField from '../../components/fields/ChoiceField.vue';
import CountField from '../../components/fields/CountField.vue';
import LimitGauge from '../../components/gauge/LimitGauge.vue';
import {
  LINK_DRAWINGS,
  LOAD_DRAWINGS,
  MACHINE_DRAWINGS,
  OUTPUT_DRAWINGS,
  STAGE_DRAWINGS,
} from '../../components/strip/drawings.js';
import LinkDrawing from '../../components/strip/LinkDrawing.vue';
import QuantityField from '../../components/fields/QuantityField.vue';
import SourceTag from '../../components/fields/SourceTag.vue';
import StripLink from '../../components/strip/StripLink.vue';
import TexFormula from '../../components/working/TexFormula.vue';
import VerdictRing from '../../components/verdict/VerdictRing.vue';
import VerdictWord from '../../components/verdict/VerdictWord.vue';
import MendList from '../mechanism/answer/MendList.vue';
import { FIGURES_SHOWN, LADDERS, LINKS, VERDICTS } from './samples.js';

/** Every shared component in every state, in both themes side by side. Offered by the development server only. */
const THEMES = ['light', 'dark'] as const;
const DRAWINGS = [LINK_DRAWINGS, STAGE_DRAWINGS, OUTPUT_DRAWINGS, LOAD_DRAWINGS].flatMap((table) =>
  Object.values(table),
);
const SOURCES = ['sheet', 'typed', 'measured', 'estimated', 'typical', 'missing'] as const;
const STRIP = [
  LINK_DRAWINGS.pack,
  LINK_DRAWINGS.controller,
  MACHINE_DRAWINGS.dc(1),
  STAGE_DRAWINGS.teeth,
  LOAD_DRAWINGS.lift,
];
const dialog = ref(false);
const chart = {
  animation: false,
  xAxis: { type: 'value' },
  yAxis: { type: 'value' },
  series: [
    {
      type: 'line',
      data: [
        [0, 1],
        [1, 0.4],
        [2, 0],
      ],
    },
  ],
};
const table = {
  head: ['speed', 'force'],
  rows: [
    ['0', '1'],
    ['1', '0.4'],
    ['2', '0'],
  ],
};
</script>

<template>
  <div class="grid gap-px bg-ink xl:grid-cols-2">
    <section
      v-for="theme in THEMES"
      :key="theme"
      :data-theme="theme"
      class="pattern flex flex-col gap-5 bg-ground p-5 text-ink"
      :aria-label="theme"
    >
      <h1 class="text-xl">Patterns, {{ theme }}</h1>
      <div class="flex flex-wrap gap-5">
        <span v-for="verdict in VERDICTS" :key="verdict" class="flex items-center gap-1.5"
          ><VerdictRing :verdict="verdict" /><VerdictRing :verdict="verdict" :size="22" /><VerdictWord
            :verdict="verdict"
        /></span>
        <span class="flex items-center gap-1.5"><VerdictRing verdict="enough" hollow />not reached</span>
      </div>
      <div class="flex flex-wrap gap-4"><SourceTag v-for="source in SOURCES" :key="source" :source="source" /></div>
      <div class="flex flex-wrap gap-3">
        <LinkDrawing v-for="(drawing, i) in DRAWINGS" :key="i" :drawing="drawing" /><LinkDrawing
          v-for="count in [2, 3, 4, 6]"
          :key="count"
          :drawing="MACHINE_DRAWINGS.dc(count)"
        />
      </div>
      <div class="grid grid-cols-3 gap-4">
        <QuantityField
          v-for="figure in FIGURES_SHOWN"
          :key="figure.key"
          :figure="figure"
          :label="`${figure.source}, ${figure.label}`"
        />
        <CountField :value="3" label="whole number" :most="4" />
        <ChoiceField
          value="a"
          label="one of a few"
          :options="[
            { value: 'a', text: 'the first' },
            { value: 'b', text: 'the second' },
          ]"
        />
      </div>
      <ol class="squared grid grid-cols-5">
        <StripLink
          v-for="(link, i) in LINKS"
          :key="link.id"
          :link="link"
          :drawing="STRIP[i]!"
          :open="i === 3"
          :mark="i === 1 ? { text: 'gives first', verdict: 'tight' } : undefined"
          :last="i === LINKS.length - 1"
        />
      </ol>
      <div class="grid grid-cols-2 gap-5">
        <div v-for="sample in LADDERS" :key="sample.title" class="bg-sheet p-2">
          <h2>{{ sample.title }}</h2>
          <LimitGauge :ladder="sample.ladder" :before="sample.before" />
        </div>
      </div>
      <div class="grid grid-cols-3 gap-5">
        <MendList name="pack-side limit" :search="{ done: false, mends: [] }" />
        <MendList
          name="pack-side limit"
          :search="{
            done: true,
            mends: [
              { lever: 'motors', label: 'One more motor', changes: [], before: 1.22, after: 2.34 },
              { lever: 'holder', label: 'A ratchet on the drum', changes: [] },
            ],
          }"
        />
        <MendList name="pack-side limit" :search="{ done: true, mends: [] }" />
        <MendList name="pack-side limit" :search="{ done: true, mends: [], unfinished: true }" />
      </div>
      <p><TexFormula tex="K_t = \frac{T_s}{I_s - I_0} = \frac{2.1}{118 - 2.2}" display /></p>
      <ChartFrame
        title="Chart frame"
        caption="force against speed"
        summary="It falls."
        :option="chart"
        :table="table"
        class="h-60"
      />
      <div class="flex gap-3">
        <button type="button" class="button main" @click="dialog = true">Open a dialog</button
        ><button type="button" class="button">Another</button
        ><button type="button" class="act" disabled>cannot now</button>
      </div>
    </section>
    <BaseDialog :open="dialog" title="A dialog" @close="dialog = false"
      ><p>A sheet of paper over the desk.</p></BaseDialog
    >
  </div>
</template>
