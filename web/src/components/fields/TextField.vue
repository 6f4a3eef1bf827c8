<script setup lang="ts">
/** A few words: a name, a note, what is sought. */
defineProps<{ label: string; most?: number; hint?: string; sought?: boolean }>();
const text = defineModel<string>({ required: true });
</script>

<template>
  <label class="block min-w-0"
    ><span class="block text-[0.8125rem] text-second">{{ label }}</span
    ><input
      v-model="text"
      :type="sought ? 'search' : 'text'"
      :maxlength="most ?? 200"
      :placeholder="hint"
      class="min-h-7 w-full border-b border-ink bg-sheet"
  /></label>
</template>
