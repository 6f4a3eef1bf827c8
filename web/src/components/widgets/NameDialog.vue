<script setup lang="ts">
import { ref, useId, watch } from 'vue';
import BaseDialog from './BaseDialog.vue';

/** Asks for a name: of a robot, of a mechanism. */
const { open, title, label, name } = defineProps<{
  open: boolean;
  title: string;
  label: string;
  name: string;
  done: string;
}>();
const emit = defineEmits<{ close: []; named: [name: string] }>();
const id = useId();
const typed = ref('');
watch(
  () => open,
  (now) => {
    if (now) typed.value = name;
  },
  { immediate: true },
);

function finish(): void {
  if (!typed.value.trim()) return;
  emit('named', typed.value.trim());
  emit('close');
}
</script>

<template>
  <BaseDialog :open="open" :title="title" @close="$emit('close')">
    <form @submit.prevent="finish">
      <label :for="id" class="text-second">{{ label }}</label>
      <input :id="id" v-model="typed" maxlength="80" class="mb-4 w-full border-b border-ink bg-transparent py-1" />
      <div class="flex items-baseline justify-end gap-3">
        <span v-if="!typed.trim()" class="text-sm text-second">A name is missing.</span>
        <button type="submit" class="button main disabled:opacity-50" :disabled="!typed.trim()">{{ done }}</button>
      </div>
    </form>
  </BaseDialog>
</template>
