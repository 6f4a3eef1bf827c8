<script setup lang="ts">
import { namesFor, type CardLine, type SetupCard } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useDiary } from '../../../../stores/diary.js';

/** What is typed in, a line each, by the field's words or by the team's own. */
const { card, naming } = defineProps<{ card: SetupCard; naming: boolean }>();
const { say } = useDisplay();
const diary = useDiary();
const names = computed(() => namesFor(diary.entries, card.part));
const shown = ({ value }: CardLine): string => (typeof value === 'string' ? value : say(value));

function rename(key: string, text: string): void {
  const name = text.trim();
  if (name !== (names.value.get(key) ?? '')) diary.write({ kind: 'named', part: card.part, key, name });
}
</script>

<template>
  <table class="w-full text-sm">
    <thead>
      <tr>
        <th scope="col" class="text-left font-semibold">Type these in</th>
        <th scope="col"><span class="sr-only">value</span></th>
        <th scope="col" class="text-right font-normal text-second">where it comes from</th>
      </tr>
    </thead>
    <tbody>
      <tr v-for="line in card.lines" :key="line.key" class="align-baseline">
        <th scope="row" class="border-b border-hair py-0.5 text-left font-normal">
          <label v-if="naming" class="block">
            <span class="block text-xs text-second">{{ line.label }}</span>
            <input
              class="w-full max-w-56 border-b border-ink bg-transparent"
              maxlength="80"
              :value="names.get(line.key) ?? ''"
              :placeholder="line.label"
              @change="rename(line.key, ($event.target as HTMLInputElement).value)"
            />
          </label>
          <template v-else>
            {{ names.get(line.key) ?? line.label }}
            <span v-if="names.has(line.key)" class="block text-xs text-second">{{ line.label }}</span>
          </template>
        </th>
        <td class="figures border-b border-hair px-2 text-right font-semibold whitespace-nowrap">{{ shown(line) }}</td>
        <td class="border-b border-hair text-right text-xs text-second">{{ say(line.from) }}</td>
      </tr>
    </tbody>
  </table>
</template>
