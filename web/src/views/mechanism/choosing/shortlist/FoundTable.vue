<script setup lang="ts">
import { digits, WANTS, type Found, type WantId } from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { wantShown } from './wantDisplay.js';

/** The designs left, the best first: one line a drive, with its best total. */
const { ranked, wants, chosen } = defineProps<{
  ranked: readonly Found[];
  wants: readonly WantId[];
  chosen: Found | undefined;
}>();
const emit = defineEmits<{ choose: [found: Found] }>();
const { path } = useMechanism();
const { show } = useDisplay();
const MOST = 40;

const driveOf = ({ motor, motors, controller, pack }: Found) => [motor, motors, controller, pack].join('\n');
const rows = computed(() => {
  const seen = new Map<string, { found: Found; totals: number }>();
  for (const found of ranked) {
    const there = seen.get(driveOf(found));
    if (there) there.totals++;
    else seen.set(driveOf(found), { found, totals: 1 });
  }
  return [...seen.values()];
});
const isChosen = (found: Found) => chosen !== undefined && driveOf(chosen) === driveOf(found);
</script>

<template>
  <div class="overflow-x-auto">
    <table class="figures w-full text-[0.8125rem]" data-testid="found">
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="pr-3 text-left font-sans">{{ rows.length }} drives, the best first</th>
          <th scope="col" class="pr-3 font-normal">total</th>
          <th v-for="want in wants" :key="want" scope="col" class="pr-3 font-normal">{{ WANTS[want].name }}</th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="({ found, totals }, i) in rows.slice(0, MOST)"
          :key="found.key"
          class="border-b border-hair text-right whitespace-nowrap"
          :class="isChosen(found) ? 'bg-sheet outline-2 -outline-offset-2 outline-ink' : ''"
        >
          <th scope="row" class="py-0.5 pr-3 text-left font-normal whitespace-normal">
            <button
              type="button"
              class="flex min-h-6 items-start gap-1.5 text-left font-sans leading-tight"
              :aria-pressed="isChosen(found)"
              @click="emit('choose', found)"
            >
              <VerdictRing :verdict="found.verdict" :size="14" class="mt-0.5 shrink-0" /><span class="sr-only"
                >{{ i + 1 }}, {{ found.verdict }}:</span
              >
              <span
                ><span class="act">{{ found.motors > 1 ? `${found.motors} × ` : '' }}{{ found.motor }}</span
                ><span v-if="found.group" class="text-xs"> ({{ found.group }})</span
                ><span class="text-second"
                  >{{ found.controller ? `, ${found.controller}` : '' }}{{ found.pack ? `, ${found.pack}` : '' }}</span
                ></span
              >
            </button>
          </th>
          <td class="pr-3">
            {{ digits(found.total, 3) }}:1<span v-if="totals > 1" class="block text-2xs text-second"
              >+ {{ totals - 1 }} more</span
            >
          </td>
          <td v-for="want in wants" :key="want" class="pr-3">{{ wantShown(want, found.figures, path, show) }}</td>
        </tr>
      </tbody>
    </table>
    <p v-if="rows.length > MOST" class="py-1 text-xs text-second">
      and {{ rows.length - MOST }} drives more: narrow by ranges, or ask for less.
    </p>
  </div>
</template>
