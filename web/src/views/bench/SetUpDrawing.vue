<script setup lang="ts">
import type { TrialKind } from '@rough-gear/core';
import { computed } from 'vue';
import { SET_UPS } from './setUps.js';

/** What is connected to what: two thin lines are leads, a thick one is a shaft or a rope. */
const { kind } = defineProps<{ kind: TrialKind }>();
const EACH = 76;
const things = computed(() => SET_UPS[kind].map((thing, i) => ({ ...thing, x: 40 + i * EACH })));
const said = computed(() => `Set-up: ${things.value.map(({ name }) => name).join(', then ')}.`);
/** A name in at most two lines. */
function lines(name: string): readonly string[] {
  if (name.length < 13) return [name];
  const middle = name.length / 2;
  const at = [...name.matchAll(/ /g)]
    .map(({ index }) => index)
    .sort((a, b) => Math.abs(a - middle) - Math.abs(b - middle))[0];
  return at === undefined ? [name] : [name.slice(0, at), name.slice(at + 1)];
}
</script>

<template>
  <svg
    role="img"
    :aria-label="said"
    :viewBox="`0 0 ${EACH * things.length + 6} 110`"
    class="squared max-h-36 w-full border border-hair bg-sheet"
    fill="none"
    stroke="var(--ink)"
    stroke-width="1.5"
  >
    <g v-for="(thing, i) in things" :key="thing.name" :transform="`translate(${thing.x} 45)`">
      <template v-if="i < things.length - 1">
        <path v-if="thing.to === 'leads'" :d="`M20 -7 H${EACH - 20} M20 7 H${EACH - 20}`" />
        <path v-else-if="thing.to === 'shaft'" :d="`M20 0 H${EACH - 18}`" stroke-width="4" />
      </template>
      <g v-if="thing.shape === 'pack'" fill="var(--sheet)">
        <rect x="-20" y="-14" width="40" height="28" />
        <path d="M-13 -14 v-6 h8 v6 M5 -14 v-6 h8 v6" />
      </g>
      <circle v-else-if="thing.shape === 'meter'" r="20" fill="var(--sheet)" />
      <rect v-else-if="thing.shape === 'box'" x="-20" y="-20" width="40" height="40" fill="var(--sheet)" />
      <g v-else-if="thing.shape === 'motor'" fill="var(--sheet)">
        <rect x="-20" y="-20" width="40" height="40" rx="12" />
        <path d="M-24 26 h48" stroke-width="5" />
      </g>
      <g v-else-if="thing.shape === 'wheel'" fill="var(--sheet)">
        <circle r="20" />
        <circle r="4" />
      </g>
      <g v-else-if="thing.shape === 'scale'" fill="var(--sheet)">
        <rect x="-12" y="-20" width="24" height="40" rx="4" />
        <path d="M0 -20 v-8 M0 20 v8 M-6 0 h12" />
      </g>
      <g v-else-if="thing.shape === 'servo'" fill="var(--sheet)">
        <rect x="-20" y="-12" width="40" height="26" />
        <path d="M6 -12 L16 -26" stroke-width="4" />
      </g>
      <path v-else-if="thing.shape === 'slope'" d="M-22 20 H22 V-10 Z" fill="var(--sheet)" />
      <g v-else-if="thing.shape === 'drill'" fill="var(--sheet)">
        <path d="M-20 -12 h30 l8 6 v12 l-8 6 h-12 v10 h-14 v-10 h-4 z" />
      </g>
      <g v-else fill="var(--sheet)">
        <circle r="18" />
        <path d="M0 0 V-12 M0 0 L8 6 M-4 -23 h8" />
      </g>
      <text v-if="thing.letter" text-anchor="middle" y="5" fill="var(--ink)" stroke="none" font-size="13">
        {{ thing.letter }}
      </text>
      <text text-anchor="middle" fill="var(--ink)" stroke="none" font-size="10.5">
        <tspan v-for="(line, j) in lines(thing.name)" :key="line" x="0" :y="44 + j * 13">{{ line }}</tspan>
      </text>
    </g>
  </svg>
</template>
