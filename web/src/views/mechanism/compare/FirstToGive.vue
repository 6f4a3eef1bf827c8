<script setup lang="ts">
import { headlineText, type Headline, verdictText } from '@rough-gear/core';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';

/** What gives first in a row of a comparison: the verdict's ring and word, what it is, of which job, its multiple. */
defineProps<{ headline: Headline }>();
</script>

<template>
  <VerdictRing :verdict="headline.verdict" class="mr-1 inline-block align-[-2px]" />
  <span class="sr-only">{{ verdictText(headline) }}: </span>{{ headlineText(headline) }}
</template>
