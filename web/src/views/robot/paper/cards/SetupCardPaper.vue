<script setup lang="ts">
import type { SetupCard } from '@rough-gear/core';
import { computed, ref } from 'vue';
import TypedIn from '../../../../components/diary/TypedIn.vue';
import { usePhoneAddress } from '../../../../components/paper/phoneAddress.js';
import QrCode from '../../../../components/paper/QrCode.vue';
import { useAccess } from '../../../../stores/access.js';
import SwitchDrawing from '../../../../components/sketches/SwitchDrawing.vue';
import CardLines from './CardLines.vue';
import { wrongOf } from './wrongOf.js';

/** One card: numbers to type in, where each comes from, what a wrong one costs, and who typed it in. */
const {
  card,
  robot,
  planId,
  place = '',
} = defineProps<{
  card: SetupCard;
  robot: string;
  planId: string;
  /** Its slots and channels. */
  place?: string;
  /** In the robot's book: read, not filled in. */
  bound?: boolean;
}>();
const access = useAccess();
const { addressOf } = usePhoneAddress();
const naming = ref(false);
const wrong = computed(() => wrongOf(card));
const address = computed(() => addressOf({ name: 'pit', params: { planId, page: 'cards' }, query: { card: card.id } }));
const KINDS = {
  controller: 'controller',
  driver: 'driver',
  servo: 'servo',
  rail: 'servo rail',
  board: 'board',
} as const;
</script>

<template>
  <article class="paper mt-4 break-inside-avoid p-4 sm:p-8 print:mt-0" :data-card="card.id">
    <header class="mb-2 flex items-end justify-between gap-4 border-b-2 border-ink pb-1">
      <div>
        <h2 class="text-xl">{{ card.of }} · {{ KINDS[card.kind] }}</h2>
        <p class="text-sm">
          {{
            [robot, card.part, card.pieces > 1 ? `${card.pieces} of them, all alike` : '', place]
              .filter(Boolean)
              .join(' · ')
          }}
        </p>
      </div>
      <QrCode :text="address" :label="`Code that opens the card of ${card.of} on a phone`" class="size-20 shrink-0" />
    </header>
    <CardLines :card="card" :naming="naming" />
    <SwitchDrawing v-if="card.switches && card.switches.length > 0" :switches="card.switches" class="mt-2" />
    <button
      v-if="access.mayChange && !bound"
      type="button"
      class="act not-printed min-h-6 text-sm"
      :aria-pressed="naming"
      @click="naming = !naming"
    >
      {{ naming ? 'names are as they should be' : 'my controller calls them otherwise' }}
    </button>
    <p class="mt-2 border-l-4 border-ink pl-2 text-sm"><b>Wrong here costs.</b> {{ wrong }}</p>
    <p class="mt-2 text-sm font-semibold">
      {{ card.cautions.join(' ') }} Event rules and the maker’s sheet come first.
    </p>
    <div class="mt-3 border-t-2 border-ink pt-1 text-sm">
      <TypedIn :card="card" />
    </div>
  </article>
</template>
