<script setup lang="ts">
import { gearedAlready, takeOutReduction, type MotorPart } from '@rough-gear/core';
import { computed } from 'vue';
import { useDcMechanism } from '../../../composables/useMechanism.js';

/** Asks of a motor that looks like one whether its figures are at the output of its gearbox: nothing is geared twice then. */
const { part, partAt } = defineProps<{ part: MotorPart; partAt: readonly (string | number)[] }>();
const { plan, mechanism, path, choice, commit } = useDcMechanism();

const sign = computed(() => gearedAlready(path.value, part));
const reduced = computed(() => choice.value.stages.some(({ kind }) => kind !== 'screw'));

const say = (figuresAt: 'shaft' | 'output', alone = false): void =>
  commit([
    { at: [...partAt, 'figuresAt'], to: figuresAt },
    ...(alone ? takeOutReduction(plan.value, mechanism.value.id) : []),
  ]);
</script>

<template>
  <div v-if="sign" role="group" aria-label="Geared already?" class="mt-1 border-l-3 border-tight pl-2 text-sm">
    Are these figures those at its gearbox’s output? They may be: {{ sign }}.
    <span class="flex flex-wrap gap-x-4">
      <button v-if="reduced" type="button" class="act min-h-6 font-semibold" @click="say('output', true)">
        Yes, and nothing more reduces it
      </button>
      <button type="button" class="act min-h-6" @click="say('output')">
        {{ reduced ? 'Yes, the rest is as it is' : 'Yes' }}
      </button>
      <button type="button" class="act min-h-6" @click="say('shaft')">No, at its own shaft</button>
    </span>
  </div>
</template>
