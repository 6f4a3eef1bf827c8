<script setup lang="ts">
import { address, figureAt } from '@rough-gear/contract/find';
import { lacksOf, RUN_NEEDS, type Lack } from '@rough-gear/core';
import { computed } from 'vue';
import { useMechanism } from '../../../composables/useMechanism.js';
import { usePlan } from '../../../stores/plan.js';

/** In place of the charts: which figures are missing, each a way to where it is filled in. */
const { path, mechanism, jobId } = useMechanism();
const plan = usePlan();

const lacks = computed<readonly Lack[]>(() => {
  const all = lacksOf(path.value, RUN_NEEDS);
  // A rotor inertia that cannot be estimated follows from what is listed already.
  const given = all.filter(({ key }) => key !== 'motor.rotorInertia');
  return given.length > 0 ? given : all;
});

const linkOf = (key: string): string => (key.startsWith('stage.') ? 'stage' : figureAt(key).link);

/** The field itself, with the cursor in it. */
function fieldOf(key: string): string {
  const { link, query } = figureAt(key);
  return address(`/robots/${plan.id}/${mechanism.value.id}/${link}`, { job: jobId.value, ...query, figure: key });
}
</script>

<template>
  <div class="squared grid place-items-center border border-hair p-4">
    <div class="max-w-sm border border-ink bg-sheet p-4">
      <h3 class="mb-1">Reach and run are not known yet</h3>
      <p class="mb-2 text-second">
        {{
          lacks.length === 1
            ? 'One figure is missing, and nothing sensible stands in for it:'
            : 'These figures are missing, and nothing sensible stands in for them:'
        }}
      </p>
      <ul>
        <li v-for="lack in lacks" :key="lack.key">
          <RouterLink class="act inline-block min-h-6" :to="fieldOf(lack.key)"
            >{{ lack.label }}, on the {{ linkOf(lack.key) }}</RouterLink
          >
        </li>
      </ul>
    </div>
  </div>
</template>
