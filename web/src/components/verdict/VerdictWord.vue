<script setup lang="ts">
import type { Verdict } from '@rough-gear/core';

defineProps<{ verdict: Verdict }>();

const CLASSES: Record<Verdict, string> = {
  enough: 'text-enough',
  tight: 'text-tight',
  'gives way': 'text-gives',
  'not known': 'text-second',
};
</script>

<template>
  <span :class="CLASSES[verdict]">{{ verdict }}</span>
</template>
