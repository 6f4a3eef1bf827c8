<script setup lang="ts">
import { useTrial } from './useTrial.js';

/** Who, with what, and what was seen beside: the head of the sheet. */
const { trial, closed, change } = useTrial();
const FIELDS = [
  { key: 'who', label: 'measured by', most: 120 },
  { key: 'used', label: 'with', most: 500 },
  { key: 'note', label: 'notes', most: 4000 },
] as const;
</script>

<template>
  <section aria-label="Who and with what" class="grid gap-2 text-sm">
    <template v-if="closed">
      <p v-for="{ key, label } in FIELDS" :key="key">
        <span class="text-second">{{ label }}: </span>{{ trial[key] || '—' }}
      </p>
    </template>
    <template v-else>
      <label
        v-for="{ key, label, most } in FIELDS"
        :key="key"
        class="grid grid-cols-[7rem_minmax(0,1fr)] items-baseline"
      >
        <span class="text-second">{{ label }}</span>
        <textarea
          v-if="key === 'note'"
          rows="2"
          :maxlength="most"
          class="w-full border-b border-ink bg-sheet"
          :value="trial[key]"
          @change="change({ [key]: ($event.target as HTMLTextAreaElement).value })"
        />
        <input
          v-else
          :maxlength="most"
          class="min-h-6 w-full border-b border-ink bg-sheet"
          :value="trial[key]"
          @change="change({ [key]: ($event.target as HTMLInputElement).value })"
        />
      </label>
    </template>
  </section>
</template>
