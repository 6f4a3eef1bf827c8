<script setup lang="ts">
import { headlineText, verdictText } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useMechanism } from '../../../composables/useMechanism.js';

/** The gauge as one sticky line, for screens too narrow to have it at the side. */
const { result } = useMechanism();
const headline = computed(() => result.value.headline);
</script>

<template>
  <a href="#gauge" class="sticky top-0 z-20 flex items-center gap-2 border-b border-ink bg-sheet px-4 py-2">
    <VerdictRing :verdict="headline.verdict" />
    <span
      ><b>{{ verdictText(headline) }}</b
      >: {{ headlineText(headline) }}</span
    >
  </a>
</template>
