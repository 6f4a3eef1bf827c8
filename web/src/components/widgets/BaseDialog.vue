<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { X } from '@lucide/vue';

/** A sheet of paper over the desk. Escape and a click outside close it; focus stays inside. */
const {
  title,
  wide = false,
  widest = false,
} = defineProps<{
  open: boolean;
  title: string;
  wide?: boolean;
  widest?: boolean;
}>();
defineEmits<{ close: [] }>();
const width = widest ? 'max-w-6xl' : wide ? 'max-w-3xl' : 'max-w-lg';
</script>

<template>
  <Dialog :open="open" class="relative z-40" @close="$emit('close')">
    <div class="fixed inset-0 bg-black/40" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-12">
      <DialogPanel class="w-full border border-ink bg-sheet p-5" :class="width">
        <div class="mb-3 flex items-baseline justify-between gap-4">
          <DialogTitle class="text-lg font-semibold">{{ title }}</DialogTitle>
          <button type="button" class="act grid size-7 place-items-center" aria-label="Close" @click="$emit('close')">
            <X :size="18" />
          </button>
        </div>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
