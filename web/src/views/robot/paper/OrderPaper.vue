<script setup lang="ts">
import { exportOrder } from '@rough-gear/contract/order';
import { digits, ORDER_GROUPS, orderSheet, USUAL_SPARES, type OrderLine, type Plan } from '@rough-gear/core';
import { computed, reactive } from 'vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { save } from '../../../components/widgets/save.js';
import { useDisplay } from '../../../composables/useDisplay.js';

/** Everything the robot takes in its choices in force: wanted, spare, owned, to buy. */
const { plan } = defineProps<{ plan: Plan }>();
const { show, say } = useDisplay();
const rule = reactive({ ...USUAL_SPARES });
const sheet = computed(() => orderSheet(plan, rule));
const groups = computed(() =>
  ORDER_GROUPS.flatMap((group) => {
    const lines = sheet.value.lines.filter((line) => line.group === group);
    return lines.length > 0 ? [{ group, lines }] : [];
  }),
);
const count = ({ measure }: OrderLine, value: number): string =>
  measure === 'metres' ? show(value, 'length', 3) : digits(value, 4);
const money = (value: number | undefined): string => (value === undefined ? 'no price' : digits(value, 5));
const NO_MORE = 1000;
</script>

<template>
  <article class="paper mx-auto max-w-[200mm] p-8">
    <header class="mb-2 border-b-2 border-ink pb-1">
      <h1 class="text-xl">Order sheet</h1>
      <p class="text-sm">{{ plan.name }}, choices in force</p>
    </header>
    <p class="not-printed mb-3 flex flex-wrap items-baseline gap-x-5 gap-y-1 text-sm">
      <MeasureField
        label="one spare in"
        :value="rule.oneIn"
        dimension="number"
        :most="NO_MORE"
        @read="rule.oneIn = $event"
      />
      <MeasureField
        label="at least"
        :value="rule.atLeast"
        dimension="number"
        :at-least="0"
        :most="NO_MORE"
        @read="rule.atLeast = $event"
      />
      <MeasureField
        label="of what wears one in"
        :value="rule.wornOneIn"
        dimension="number"
        :most="NO_MORE"
        @read="rule.wornOneIn = $event"
      />
      <button type="button" class="act min-h-6" @click="save('order.csv', 'text/csv', exportOrder(sheet))">
        Export as CSV
      </button>
    </p>
    <p class="mb-3 hidden text-sm print:block">
      One spare in {{ digits(rule.oneIn) }}, {{ digits(rule.atLeast) }} at least; of what wears one in
      {{ digits(rule.wornOneIn) }}.
    </p>
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="What the robot takes">
      <table class="w-full text-sm" data-testid="order">
        <thead>
          <tr>
            <th
              v-for="(head, i) in ['', 'what', 'wanted', 'spare', 'owned', 'to buy', 'costs', 'for']"
              :key="head"
              scope="col"
              class="border-b border-ink px-1 font-semibold"
              :class="i === 1 || i === 7 ? 'text-left' : 'text-right'"
            >
              <span v-if="i === 0" class="sr-only">got it</span>{{ head }}
            </th>
          </tr>
        </thead>
        <tbody v-for="{ group, lines } in groups" :key="group">
          <tr>
            <th scope="rowgroup" colspan="8" class="px-1 pt-3 text-left font-semibold">{{ group }}</th>
          </tr>
          <tr v-for="line in lines" :key="line.key" class="align-baseline">
            <td class="border-b border-hair px-1">☐</td>
            <th scope="row" class="border-b border-hair px-1 text-left font-normal">{{ say(line.name) }}</th>
            <td class="figures border-b border-hair px-1 text-right">{{ count(line, line.wanted) }}</td>
            <td class="figures border-b border-hair px-1 text-right">
              {{ line.spares > 0 ? count(line, line.spares) : '–' }}
            </td>
            <td class="figures border-b border-hair px-1 text-right">
              {{ line.owned > 0 ? count(line, line.owned) : '–' }}
            </td>
            <td class="figures border-b border-hair px-1 text-right font-semibold whitespace-nowrap">
              {{ line.toBuy > 0 ? count(line, line.toBuy) : 'all here' }}
            </td>
            <td class="figures border-b border-hair px-1 text-right whitespace-nowrap">{{ money(line.cost) }}</td>
            <td class="border-b border-hair px-1 text-xs">{{ line.of.join(', ') || 'the robot' }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p class="mt-3 flex justify-between border-t-2 border-ink pt-1 font-semibold">
      <span>to spend</span><span class="figures">{{ digits(sheet.cost, 5) }}</span>
    </p>
    <p v-if="sheet.unpriced.length > 0" class="text-sm">
      Without a price: {{ sheet.unpriced.map((line) => say(line.name)).join('; ') }}.
    </p>
    <p class="mt-2 text-sm">
      Screws, keys and half links are not counted. Check shafts, bores and bolt patterns on the parts that came before
      you order the rest.
    </p>
  </article>
</template>
