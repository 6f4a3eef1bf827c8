<script setup lang="ts">
import { digits, type SecondWheel } from '@rough-gear/core';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { shaftMoves } from '../../../mechanism/train/shaftMoves.js';
import { useOrder } from './useOrder.js';

/** The second ratio: wheels bought along, so that another total can be tried on the day. */
const { wheels, wanted, diary, mayChange, shelf } = useOrder();
const { show } = useDisplay();

const words = ({ ratio }: SecondWheel): string =>
  `${ratio.driver} and ${ratio.driven} teeth, ${digits(ratio.total)}:1 together; ${shaftMoves(ratio, show)}`;
</script>

<template>
  <section v-if="wheels.length > 0" class="mt-4 text-sm" aria-labelledby="to-try">
    <h2 id="to-try" class="font-semibold">The second ratio, to try on the day</h2>
    <ul class="mt-1 grid gap-x-6 gap-y-1 sm:grid-cols-2">
      <li v-for="wheel in wheels" :key="wheel.id" :class="wanted.has(wheel.id) ? '' : 'not-printed'">
        <label class="flex min-h-6 items-baseline gap-2"
          ><input
            type="checkbox"
            :checked="wanted.has(wheel.id)"
            :disabled="!mayChange"
            @change="
              diary.write({
                kind: 'second ratio',
                wheel: wheel.id,
                bought: ($event.target as HTMLInputElement).checked,
              })
            "
          /><span>{{ wheel.mechanism }}, stage {{ wheel.ratio.index + 1 }}: {{ words(wheel) }}</span></label
        >
      </li>
    </ul>
  </section>
  <p v-else-if="shelf.state === 'away'" class="mt-4 text-sm text-second">
    Wheels to try come off the shelf, and that cannot be reached now.
  </p>
</template>
