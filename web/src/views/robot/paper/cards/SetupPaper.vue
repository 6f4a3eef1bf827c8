<script setup lang="ts">
import { cardsJson, constantsText, CONSTANT_LANGUAGES, type ConstantLanguage } from '@rough-gear/contract/cards';
import { harnessOf, setupCards, type Plan } from '@rough-gear/core';
import { computed, ref } from 'vue';
import DiaryState from '../../../../components/diary/DiaryState.vue';
import WhoField from '../../../../components/diary/WhoField.vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import PhoneAddressField from '../../../../components/paper/PhoneAddressField.vue';
import { save } from '../../../../components/widgets/save.js';
import { placeOf } from './placeOf.js';
import SetupCardPaper from './SetupCardPaper.vue';

/** A card for each controller, driver, servo and rail: what to type in. */
const { plan, planId } = defineProps<{ plan: Plan; planId: string }>();
const cards = computed(() => setupCards(plan));
const harness = computed(() => harnessOf(plan));
type Form = ConstantLanguage | 'json';
const form = ref<Form>('json');
const ENDS: Readonly<Record<Form, string>> = { json: 'json', typescript: 'ts', python: 'py', 'c++': 'hpp' };

function write(): void {
  const text =
    form.value === 'json'
      ? `${JSON.stringify({ cards: cardsJson(cards.value) }, null, 2)}\n`
      : constantsText(cards.value, form.value);
  save(`cards.${ENDS[form.value]}`, 'text/plain', text);
}
</script>

<template>
  <div class="mx-auto max-w-[200mm]">
    <div class="not-printed grid items-start gap-4 px-4 pt-4 sm:grid-cols-2 sm:px-8">
      <WhoField />
      <PhoneAddressField />
      <ChoiceField
        label="for your own code"
        :value="form"
        :options="[
          { value: 'json', text: 'JSON' },
          ...CONSTANT_LANGUAGES.map((one) => ({ value: one, text: `constants, ${one}` })),
        ]"
        @change="form = $event"
      />
      <button type="button" class="button self-end justify-self-start" @click="write">Save the file</button>
      <DiaryState class="sm:col-span-2" />
    </div>
    <SetupCardPaper
      v-for="card in cards"
      :key="card.id"
      :card="card"
      :place="placeOf(card, harness)"
      :robot="plan.name"
      :plan-id="planId"
    />
    <p v-if="cards.length === 0" class="p-8">There is no mechanism to set up yet.</p>
  </div>
</template>
