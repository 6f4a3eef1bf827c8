<script setup lang="ts">
import { showMultiple } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { inTheMatch, useRobotVerdict } from '../../../composables/useRobotVerdict.js';
import { usePlan } from '../../../stores/plan.js';

/** How a mechanism fares in the match, beside how it does alone. */
const { mechanismId } = defineProps<{ mechanismId: string }>();
const { say } = useDisplay();
const plan = usePlan();
const { together } = useRobotVerdict();
const rung = computed(() => inTheMatch(together.value, mechanismId));
</script>

<template>
  <p v-if="rung" class="border-t border-hair pt-1 text-sm" data-testid="in-the-match">
    <VerdictRing :verdict="rung.verdict" :size="14" class="mr-1 inline-block align-[-2px]" />
    <b class="font-semibold">In the match</b
    ><template v-if="rung.multiple > 0"
      >, <span class="figures">{{ showMultiple(rung.multiple) }}</span></template
    >.
    {{ say(rung.sentence) }}
    <RouterLink class="act underline" :to="{ name: 'mechanism', params: { planId: plan.id } }">Whole robot</RouterLink>
  </p>
</template>
