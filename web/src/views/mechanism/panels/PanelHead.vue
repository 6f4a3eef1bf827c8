<script setup lang="ts">
/** Title of an open link, what it is, and what can be done with it. */
defineProps<{ title: string; detail: string }>();
</script>

<template>
  <div class="mb-1.5 flex flex-wrap items-baseline gap-x-3">
    <h2 class="text-lg leading-tight">{{ title }}</h2>
    <p class="min-w-0 text-second">{{ detail }}</p>
    <span class="ml-auto flex flex-wrap gap-x-4"><slot /></span>
  </div>
</template>
