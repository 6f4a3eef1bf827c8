<script setup lang="ts">
import {
  backlashAllowance,
  bearingPull,
  centreForBacklash,
  faceWanted,
  showMultiple,
  stageStrengthOf,
  torqueBefore,
  type StageStrength,
} from '@rough-gear/core';
import { computed } from 'vue';
import VerdictRing from '../../../components/verdict/VerdictRing.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useTrain } from './useTrain.js';

/** What the stage in hand stands: each of its own limits in its worst situation, and what its shafts bear. */
const { parts, path, job } = useTrain();
const { show } = useDisplay();

const rows = computed(() => (parts.value ? stageStrengthOf(path.value, parts.value, job.value.ladders) : []));
function text({ worst, lacks }: StageStrength): string {
  if (lacks !== undefined) return `${lacks} missing`;
  return worst
    ? `${showMultiple(worst.multiple)} of ${showMultiple(worst.wants)}, ${worst.situation}`
    : 'nothing pulls';
}

/** Pull between the wheels and on the bearings, working. */
const pull = computed(() => {
  const of = parts.value;
  const { demand } = job.value.ladders.working;
  if (!of || !('driver' in of) || !(demand! > 0)) return undefined;
  const force = (demand! * torqueBefore(path.value, of.index, false)) / of.driverRadius;
  return Number.isFinite(force) ? { force, bearing: bearingPull(of, force) } : undefined;
});
const play = computed(() => {
  const of = parts.value;
  if (of?.kind !== 'teeth' || Number.isNaN(of.centre)) return undefined;
  const allowance = backlashAllowance(of.pitch);
  return { centre: of.centre, allowance, apart: of.centre + centreForBacklash(allowance) };
});

/** The narrowest face with all its margin in the worst situation, of the same wheels and material. */
const face = computed(() =>
  parts.value?.kind === 'teeth' ? faceWanted(path.value, parts.value, job.value.ladders) : undefined,
);
</script>

<template>
  <div class="text-sm" data-testid="stage-strength">
    <ul>
      <li v-for="row in rows" :key="row.name" class="flex items-center gap-2 border-b border-hair py-0.5">
        <VerdictRing :verdict="row.verdict" :size="14" />
        <span class="grow whitespace-nowrap">{{ row.name }}</span>
        <span class="figures text-right text-xs">{{ text(row) }}</span>
      </li>
    </ul>
    <p v-if="pull" class="mt-1 text-xs text-second">
      Working, the teeth pull {{ show(pull.force, 'force', 2) }}; each shaft’s bearings carry
      {{ show(pull.bearing, 'force', 2) }} from it.
    </p>
    <p v-if="face !== undefined" class="text-xs text-second">
      A face of {{ show(face, 'length', 2) }} would do, with the margin wanted.
    </p>
    <p v-if="play" class="text-xs text-second">
      Centres {{ show(play.centre, 'length', 4) }}; with a play of {{ show(play.allowance, 'length', 1) }} at the teeth
      {{ show(play.apart, 'length', 5) }}.
    </p>
  </div>
</template>
