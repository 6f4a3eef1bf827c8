<script setup lang="ts" generic="T extends string">
/** One of a few, all in view: the chosen one underlined. Pages, charts, choices. */
defineProps<{ options: readonly { value: T; text: string }[]; label: string }>();
const model = defineModel<T>({ required: true });
</script>

<template>
  <div role="group" :aria-label="label" class="flex gap-3">
    <button
      v-for="option in options"
      :key="option.value"
      type="button"
      class="min-h-6 font-semibold"
      :class="model === option.value ? 'border-b-2 border-ink' : 'act'"
      :aria-pressed="model === option.value"
      @click="model = option.value"
    >
      {{ option.text }}
    </button>
  </div>
</template>
