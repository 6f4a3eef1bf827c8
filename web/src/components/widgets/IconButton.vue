<script setup lang="ts">
/** A small button that is only a picture: its label is for those who do not see it. */
defineProps<{ label: string; disabled?: boolean }>();
</script>

<template>
  <button type="button" class="act grid size-6 shrink-0 place-items-center" :aria-label="label" :disabled="disabled">
    <slot />
  </button>
</template>
