<script setup lang="ts">
import { stageWays, type StageWay } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useTrain } from './useTrain.js';

/** The schools on this very stage: gears, chain or belt of the same ratio, judged by the same limits. */
const { plan, mechanism, jobId, stages, stage, stageAt, link, commit } = useTrain();
const { show } = useDisplay();

const toothed = computed(() => stages.value.filter((each) => 'driver' in each));
const ways = computed(() =>
  stage.value && 'driver' in stage.value ? stageWays(plan.value, mechanism.value.id, jobId.value, stage.value.id) : [],
);
/** Of each kind the lightest that has its margin: the smallest that holds. */
const smallest = computed(() => {
  const best = new Map<string, StageWay>();
  for (const way of ways.value) {
    const before = best.get(way.stage.kind);
    if (way.margin >= 1 && (!before || way.mass < before.mass)) best.set(way.stage.kind, way);
  }
  return new Set([...best.values()].map(({ id }) => id));
});
const verdict = ({ margin, multiple }: StageWay) => (margin >= 1 ? 'enough' : multiple >= 1 ? 'tight' : 'gives way');

const SCHOOLS = [
  [
    'Chain',
    'for stall and shock: it does not slip, and a link is mended on the spot. Heavy, wants its slack taken up, wears.',
  ],
  ['Belt', 'for light, quiet and fast: no slack, no grease. Comes in set lengths; pull it tight, or it jumps.'],
  ['A wider belt', 'does what a chain does: width is pull, two narrow ones side by side likewise.'],
  ['Gears', 'where it is short: smallest, best kept apart from dirt; the distance is what the teeth make it.'],
] as const;

function adopt(way: StageWay): void {
  const { name, shaft, direction, plane } = stage.value!;
  const kept = {
    name,
    shaft,
    direction,
    plane,
  };
  commit([{ at: stageAt(), to: { ...kept, ...way.stage } }]);
}
</script>

<template>
  <div v-if="toothed.length > 1" class="flex flex-wrap gap-4">
    <button
      v-for="each in toothed"
      :key="each.id"
      type="button"
      class="min-h-6"
      :class="stage?.id === each.id ? 'border-b-2 border-ink font-semibold' : 'act'"
      @click="link = each.id"
    >
      Stage {{ stages.indexOf(each) + 1 }}
    </button>
  </div>
  <p v-if="ways.length === 0" class="text-second">
    Choose a stage with two wheels; a gearbox bought whole has no other way.
  </p>
  <div v-else class="overflow-x-auto">
    <table class="figures w-full text-[0.8125rem] whitespace-nowrap" data-testid="stage-ways">
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="pr-3 text-left font-sans">take this stage as</th>
          <th scope="col" class="pr-3 text-left font-normal">gives first</th>
          <th scope="col" class="pr-3 font-normal">mass</th>
          <th scope="col" class="pr-3 font-normal">loses</th>
          <th scope="col" class="pr-3 font-normal">ripple</th>
          <th scope="col" class="pr-3 font-normal">tension</th>
          <th scope="col" class="pr-3 font-normal">bearings</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="way in ways" :key="way.id" class="border-b border-hair text-right">
          <th scope="row" class="pr-3 text-left font-sans font-normal whitespace-nowrap">
            <button type="button" class="act min-h-6" data-unit-is-a-name @click="adopt(way)">{{ way.name }}</button>
            <span v-if="smallest.has(way.id)" class="ml-2 text-xs text-enough">smallest</span>
          </th>
          <td class="pr-3 text-left whitespace-nowrap">
            <span class="inline-flex items-center gap-1.5"
              ><VerdictRing :verdict="verdict(way)" :size="14" />{{ show(way.multiple, 'number', 2) }}×
              {{ way.gives }}</span
            >
          </td>
          <td class="pr-3">{{ show(way.mass, 'mass', 2) }}</td>
          <td class="pr-3">{{ (100 * way.loss).toFixed(0) }} %</td>
          <td class="pr-3">{{ way.ripple > 0 ? `${(100 * way.ripple).toFixed(1)} %` : '—' }}</td>
          <td class="pr-3">{{ way.tension > 0 ? show(way.tension, 'force', 2) : '—' }}</td>
          <td class="pr-3">{{ show(way.bearingPull, 'force', 2) }}</td>
        </tr>
      </tbody>
    </table>
    <dl class="mt-2 grid gap-x-5 gap-y-1 text-xs sm:grid-cols-2">
      <div v-for="[name, why] in SCHOOLS" :key="name">
        <dt class="mr-1 inline font-semibold">{{ name }}</dt>
        <dd class="inline text-second">{{ why }}</dd>
      </div>
    </dl>
    <p class="mt-1 text-xs text-second">
      Same ratio, teeth no fewer than the kind bears, steel gears, sprockets of mild steel with a tensioner, modified
      round belts; “smallest” is the lightest of its kind with all its margin; masses typical, of webbed wheels. The
      largest chain is usual only where the whole robot hangs from it.
    </p>
  </div>
</template>
