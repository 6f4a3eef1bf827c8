<script setup lang="ts">
import { digits, packPartOf, partOf, slotsOf, type JudgedMatch, type Plan } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../composables/useDisplay.js';

/** The pack, the main breaker and the board, slot by slot: how near each came to letting go in the match. */
const { plan, match } = defineProps<{ plan: Plan; match: JudgedMatch | undefined }>();
const { show } = useDisplay();

const pack = computed(() => packPartOf(plan)?.name);
const main = computed(() => {
  const node = plan.supply.find(({ kind }) => kind === 'main');
  if (node?.kind !== 'main') return undefined;
  const rated = node.breaker === undefined ? undefined : partOf(plan, node.breaker, 'breaker').rated?.si;
  return { rated, share: carried(match?.result.main?.peak) };
});
/** Share of the steady current that would just trip it. */
const carried = (heat: number | undefined): number | undefined =>
  heat === undefined ? undefined : Math.min(1, Math.sqrt(heat));

const slots = computed(() =>
  slotsOf(plan).map((slot) => {
    const lanes = match?.result.lanes.filter(({ mechanism }) => slot.mechanisms.includes(mechanism)) ?? [];
    const heat = Math.max(0, ...lanes.map(({ branch }) => branch?.peak ?? 0));
    return { ...slot, share: match ? carried(heat) : undefined, tripped: heat >= 1 };
  }),
);
/** "1–4 Drive base · 5 Mast lift": who hangs on which slots. */
const legend = computed(() => {
  const runs: { from: number; to: number; name: string; node: string }[] = [];
  for (const { number, node, mechanisms } of slots.value) {
    const last = runs.at(-1);
    if (last?.node === node) last.to = number;
    else {
      const names = plan.mechanisms.flatMap(({ id, name }) => (mechanisms.includes(id) ? [name] : []));
      runs.push({ from: number, to: number, name: names.join(', '), node });
    }
  }
  return runs.map(({ from, to, name }) => `${from === to ? from : `${from}–${to}`} ${name}`).join(' · ');
});
const most = computed(() => {
  const limits = plan.event?.limits ?? [];
  const all = limits.flatMap((limit) => (limit.kind === 'most' && limit.of === 'slots' ? [limit.most.si] : []));
  return all.length > 0 ? Math.min(...all) : undefined;
});
const free = computed(() => Math.max(0, Math.min(40, (most.value ?? 0) - slots.value.length)));
const said = (share: number | undefined): string =>
  share === undefined ? '' : share >= 1 ? ', trips' : `, ${digits(100 * share, 2)} % of what trips it`;
</script>

<template>
  <section aria-label="Pack and board" class="squared border-b border-line px-2 py-1.5 text-xs" data-testid="board">
    <div class="grid items-start gap-x-3 gap-y-1 sm:grid-cols-[auto_auto_minmax(0,1fr)]">
      <span class="max-w-32 min-w-24">
        <b class="block font-semibold">Pack</b>
        <span class="text-second">{{ pack ?? 'none' }}</span>
        <span v-if="match" class="figures block"
          >{{ show(match.result.leastVolts.volts, 'voltage') }},
          {{ show(match.result.peakCurrent.current, 'current') }}</span
        >
      </span>
      <span v-if="main" class="min-w-14">
        <b class="block font-semibold">Main</b>
        <span class="text-second">{{ main.rated === undefined ? 'not known' : show(main.rated, 'current') }}</span>
        <span v-if="main.share !== undefined" class="figures block">{{ digits(100 * main.share, 2) }} %</span>
      </span>
      <ol class="flex min-w-0 flex-wrap gap-0.5 border border-ink bg-sheet p-1" aria-label="Slots of the board">
        <li
          v-for="slot in slots"
          :key="slot.number"
          class="relative flex h-9 w-8 flex-col items-center justify-between border leading-tight"
          :class="slot.tripped ? 'border-gives' : 'border-line'"
          :title="`Slot ${slot.number}: ${slot.name}, ${slot.rated === undefined ? 'breaker not known' : show(slot.rated, 'current')}${said(slot.share)}`"
        >
          <span
            v-if="slot.share !== undefined"
            aria-hidden="true"
            class="absolute inset-x-0 bottom-0"
            :class="slot.tripped ? 'bg-gives/30' : slot.share > 0.83 ? 'bg-tight/30' : 'bg-enough/25'"
            :style="{ height: `${100 * slot.share}%` }"
          />
          <span class="relative">{{ slot.number }}</span>
          <span class="figures relative">{{ slot.rated === undefined ? '?' : digits(slot.rated) }}</span>
          <span class="sr-only">{{ slot.name }}{{ said(slot.share) }}</span>
        </li>
        <li
          v-for="n in free"
          :key="`free ${n}`"
          class="grid h-9 w-8 place-items-center border border-dashed border-line text-second"
        >
          free
        </li>
      </ol>
    </div>
    <p class="mt-1 text-second">
      {{ legend }}. Each slot with its number and its breaker’s amperes, filled by how near it comes to tripping.
    </p>
  </section>
</template>
