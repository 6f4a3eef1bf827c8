<script setup lang="ts">
/** Title of an open link, what it is, and what can be done with it. */
defineProps<{ title: string; detail: string }>();
</script>

<template>
  <div class="mb-1.5 flex items-baseline gap-3">
    <h2 class="text-lg leading-tight">{{ title }}</h2>
    <p class="min-w-0 truncate text-second">{{ detail }}</p>
    <span class="ml-auto flex gap-4 whitespace-nowrap"><slot /></span>
  </div>
</template>
