<script setup lang="ts">
import { showMultiple, type Verdict } from '@rough-gear/core';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';

/** What gives first in a row of a comparison: the verdict's ring and word, the limit, its multiple. */
defineProps<{ verdict: Verdict; name: string; multiple?: number | undefined }>();
</script>

<template>
  <span class="whitespace-nowrap">
    <VerdictRing :verdict="verdict" class="mr-1 inline-block align-[-2px]" />
    <span class="sr-only">{{ verdict }}: </span>{{ name }}
    <span v-if="multiple !== undefined" class="figures">{{ showMultiple(multiple) }}</span>
  </span>
</template>
