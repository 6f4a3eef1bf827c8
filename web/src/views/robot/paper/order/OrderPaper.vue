<script setup lang="ts">
import { counted, digits, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import DiaryState from '../../../../components/diary/DiaryState.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import FaultsNoted from './FaultsNoted.vue';
import OrderRow from './OrderRow.vue';
import OrderRules from './OrderRules.vue';
import { provideOrder } from './useOrder.js';
import WheelsToTry from './WheelsToTry.vue';

/** Everything the robot takes in its choices in force: wanted, spare, owned, to buy, and how far that has come. */
const { plan } = defineProps<{
  plan: Plan;
  /** In the robot's book: on a page of its own, by the usual rule. */
  bound?: boolean;
}>();
const { say, show } = useDisplay();
const { sheet, rule, groups, money, moneyText } = provideOrder(() => plan);
const over = computed(() => money.value.budget !== undefined && sheet.value.cost > money.value.budget);
const MOST_NAMED = 4;
const unpriced = computed(() => {
  const all = sheet.value.unpriced;
  return { shown: all.slice(0, MOST_NAMED), more: Math.max(0, all.length - MOST_NAMED) };
});
const HEADS = [
  { text: 'what', class: 'text-left' },
  { text: 'wanted', class: 'hidden text-right sm:table-cell print:table-cell' },
  { text: 'spare', class: 'hidden text-right sm:table-cell print:table-cell' },
  { text: 'owned', class: 'hidden text-right sm:table-cell print:table-cell' },
  { text: 'to buy', class: 'text-right' },
  { text: 'costs', class: 'text-right' },
  { text: 'weighs', class: 'hidden text-right sm:table-cell print:table-cell' },
  { text: 'for', class: 'hidden text-left sm:table-cell print:table-cell' },
];
</script>

<template>
  <OrderRules v-if="!bound" />
  <article
    class="paper mx-auto max-w-[200mm] p-4 sm:p-8"
    :class="bound ? 'mt-4 break-before-page print:mt-0' : ''"
    data-page="order"
  >
    <header class="mb-2 border-b-2 border-ink pb-1">
      <h1 class="text-xl">Order sheet</h1>
      <p class="text-sm">{{ plan.name }}, choices in force</p>
    </header>
    <p class="mb-3 hidden text-sm print:block">
      One spare in {{ digits(rule.oneIn) }}, {{ digits(rule.atLeast) }} at least; for what wears one in
      {{ digits(rule.wornOneIn) }}.
    </p>
    <DiaryState class="not-printed" />
    <FaultsNoted />
    <div class="overflow-x-auto" tabindex="0" role="region" aria-label="What the robot takes">
      <table class="w-full text-sm" data-testid="order">
        <thead>
          <tr>
            <th scope="col" class="border-b border-ink"><span class="sr-only">got it</span></th>
            <th
              v-for="head in HEADS"
              :key="head.text"
              scope="col"
              class="border-b border-ink px-1 font-semibold"
              :class="head.class"
            >
              {{ head.text
              }}<span v-if="head.text === 'costs' && money.currency" class="block text-xs font-normal">{{
                money.currency
              }}</span>
            </th>
          </tr>
        </thead>
        <tbody
          v-for="{ name, lines } in groups"
          :key="name"
          class="[&_td]:border-t [&_td]:border-hair [&_th]:border-t [&_th]:border-hair"
        >
          <tr>
            <th scope="rowgroup" colspan="9" class="px-1 pt-3 text-left font-semibold">{{ name }}</th>
          </tr>
          <OrderRow v-for="tracked in lines" :key="tracked.id" :tracked="tracked" />
        </tbody>
      </table>
    </div>
    <p class="mt-3 flex flex-wrap justify-between gap-x-4 border-t-2 border-ink pt-1 font-semibold">
      <span>to spend</span
      ><span class="figures" data-testid="to-spend"
        >{{ moneyText(sheet.cost)
        }}<template v-if="money.budget !== undefined"> of {{ moneyText(money.budget) }}</template
        ><template v-if="over">: {{ moneyText(sheet.cost - money.budget!) }} too much</template></span
      >
    </p>
    <p v-if="sheet.mass > 0" class="flex flex-wrap justify-between gap-x-4 text-sm">
      <span
        >what is wanted weighs<template v-if="sheet.unweighed > 0"
          >, without {{ counted(sheet.unweighed, 'line', 'lines') }}</template
        ></span
      ><span class="figures">{{ show(sheet.mass, 'mass') }}</span>
    </p>
    <p v-if="sheet.unpriced.length > 0" class="text-sm">
      Without a price: {{ unpriced.shown.map((line) => say(line.name)).join('; ')
      }}<template v-if="unpriced.more > 0"> and {{ counted(unpriced.more, 'more line', 'more lines') }}</template
      >.
    </p>
    <WheelsToTry />
    <p class="mt-2 text-sm">
      Screws are counted where a motor’s pattern is known; keys and half links are not. Check shafts, bores and bolt
      patterns on the parts that came before you order the rest. What came counts as owned.
    </p>
  </article>
</template>
