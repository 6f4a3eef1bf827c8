<script setup lang="ts">
import type { Switch } from '@rough-gear/core';
import { computed } from 'vue';

/** A row of small switches as it sits on a case: up is on. */
const { switches } = defineProps<{ switches: readonly Switch[] }>();
const width = computed(() => 16 + switches.length * 20);
const words = computed(() => switches.map(({ number, on }) => `${number} ${on ? 'on' : 'off'}`).join(', '));
</script>

<template>
  <figure class="shrink-0" data-testid="switches">
    <svg
      :viewBox="`0 0 ${width} 66`"
      :width="width"
      height="66"
      role="img"
      :aria-label="`Switches: ${words}`"
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
    >
      <rect x="1" y="1" :width="width - 2" height="64" fill="var(--sheet)" />
      <g v-for="(one, i) in switches" :key="one.number">
        <rect :x="10 + i * 20" y="18" width="14" height="30" stroke-width="1" />
        <rect
          :x="12 + i * 20"
          :y="one.on ? 20 : 34"
          width="10"
          height="12"
          :fill="one.on ? 'var(--ink)' : 'var(--ground)'"
          stroke-width="1"
        />
        <text
          :x="17 + i * 20"
          y="60"
          class="figures"
          font-size="10"
          text-anchor="middle"
          fill="var(--ink)"
          stroke="none"
        >
          {{ one.number }}
        </text>
      </g>
      <text x="6" y="13" font-size="10" fill="var(--second)" stroke="none">on ↑</text>
    </svg>
    <figcaption class="max-w-44 text-xs text-second">{{ words }}. Set them with the power off.</figcaption>
  </figure>
</template>
