<script setup lang="ts" generic="T extends string">
import { useId } from 'vue';

/** One of a few: a labelled native select, so that keyboard and phone do what they do everywhere. */
defineProps<{ value: T; label: string; options: readonly { value: T; text: string }[] }>();
const emit = defineEmits<{ change: [value: T] }>();
const id = useId();
</script>

<template>
  <div class="min-w-0">
    <label :for="id" class="block truncate text-[0.8125rem] text-second">{{ label }}</label>
    <select
      :id="id"
      class="min-h-7 w-full border-b border-ink bg-sheet py-0.5"
      :value="value"
      @change="emit('change', ($event.target as HTMLSelectElement).value as T)"
    >
      <option v-for="option in options" :key="option.value" :value="option.value">{{ option.text }}</option>
    </select>
  </div>
</template>
