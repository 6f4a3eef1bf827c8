<script setup lang="ts">
import { exportOrder } from '@rough-gear/contract/order';
import { ref, watch } from 'vue';
import WhoField from '../../../../components/diary/WhoField.vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import MeasureField from '../../../../components/fields/MeasureField.vue';
import TextField from '../../../../components/fields/TextField.vue';
import { save } from '../../../../components/widgets/save.js';
import { useOrder } from './useOrder.js';

/** How the sheet is made: spares by a rule, money, what stands together. */
const { rule, by, sheet, money, diary, mayChange } = useOrder();
const NO_MORE = 1000;
const MOST_MONEY = 1e9;

const currency = ref('');
watch(money, (now) => (currency.value = now.currency), { immediate: true });
function sayMoney(budget = money.value.budget ?? 0): void {
  if (currency.value.trim() === money.value.currency && budget === (money.value.budget ?? 0)) return;
  diary.write({ kind: 'money', currency: currency.value.trim(), budget });
}
</script>

<template>
  <div class="not-printed mx-auto grid max-w-[200mm] grid-cols-2 gap-x-5 gap-y-2 p-4 sm:grid-cols-4 sm:px-8">
    <MeasureField
      stacked
      label="one spare in"
      :value="rule.oneIn"
      dimension="number"
      :most="NO_MORE"
      @read="rule.oneIn = $event"
    />
    <MeasureField
      stacked
      label="at least"
      :value="rule.atLeast"
      dimension="number"
      :at-least="0"
      :most="NO_MORE"
      @read="rule.atLeast = $event"
    />
    <MeasureField
      stacked
      label="spares for what wears: one in"
      :value="rule.wornOneIn"
      dimension="number"
      :most="NO_MORE"
      @read="rule.wornOneIn = $event"
    />
    <ChoiceField
      label="together by"
      :value="by"
      :options="[
        { value: 'kind', text: 'kind' },
        { value: 'seller', text: 'seller' },
      ]"
      @change="by = $event"
    />
    <template v-if="mayChange">
      <TextField v-model="currency" label="currency" :most="12" hint="crowns" @focusout="sayMoney()" />
      <MeasureField
        stacked
        label="budget"
        :value="money.budget"
        dimension="number"
        :at-least="0"
        :most="MOST_MONEY"
        @read="sayMoney"
      />
      <WhoField />
    </template>
    <button
      type="button"
      class="act min-h-7 justify-self-start self-end"
      @click="save('order.csv', 'text/csv', exportOrder(sheet, diary.entries))"
    >
      Export as CSV
    </button>
  </div>
</template>
