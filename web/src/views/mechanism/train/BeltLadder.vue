<script setup lang="ts">
import { beltLadder, beltMesh, centreForPitches, meshDerating, type BeltParts } from '@rough-gear/core';
import { computed } from 'vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** Teeth in mesh, width, and two belts by way of a middle shaft where one is not long enough. */
const { run, belts } = defineProps<{ run: BeltParts; belts: readonly number[] }>();
const { show } = useDisplay();

const mesh = computed(() => beltMesh(run));
const longest = computed(() => {
  const teeth = belts.at(-1);
  if (teeth === undefined) return undefined;
  const [small, large] = [Math.min(run.driver, run.driven), Math.max(run.driver, run.driven)];
  const centre = centreForPitches(run.pitch, small, large, teeth);
  return centre === undefined ? undefined : { teeth, centre };
});
const ladder = computed(() => {
  const { pitch, driver, driven, wantedCentre, centre } = run;
  return longest.value && beltLadder(pitch, driver, driven, longest.value.teeth, wantedCentre ?? centre);
});
</script>

<template>
  <div class="grid gap-x-6 gap-y-1 border-t border-hair pt-2 text-sm sm:grid-cols-2" data-testid="belt-notes">
    <p>
      <b class="figures">{{ mesh }}</b> teeth of the small pulley carry{{
        mesh < 6 ? `: only ${100 * meshDerating(mesh)} % of its pull is left` : ', as many as count'
      }}.
    </p>
    <p>
      <b class="figures">{{ show(run.ratedPull, 'force', 3) }}</b> typical pull over
      {{ show(run.width * run.belts, 'length', 2) }}. Two belts of half the width pull the same, and one alone brings it
      home; one wide belt shares the pull evenly.
    </p>
    <p v-if="longest" class="text-second">
      The longest sold has {{ longest.teeth }} teeth: {{ show(longest.centre, 'length', 4) }} apart.
    </p>
    <p v-if="ladder">
      One belt is not long enough: a ladder of <b class="figures">{{ ladder.middles + 1 }}</b> belts over
      {{ ladder.middles === 1 ? 'a middle shaft' : `${ladder.middles} middle shafts` }} with two pulleys of
      {{ run.driver }} teeth reaches {{ show(ladder.reach, 'length', 4) }}.
    </p>
  </div>
</template>
