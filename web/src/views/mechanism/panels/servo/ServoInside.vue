<script setup lang="ts">
import {
  addServoStage,
  regearServo,
  removeServoStage,
  shaftsInside,
  STAGE_EFFICIENCY,
  turningRoundOf,
  type ServoPart,
} from '@rough-gear/core';
import { computed } from 'vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { gearsDrawn } from '../../train/gearsDrawn.js';
import StageWheels from '../../train/StageWheels.vue';
import TeethText from '../../train/TeethText.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** The gears inside, stage by stage: torque up and speed down; and how quickly it turns round. */
const { plan, path, drive, commit } = useServoMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.servo]!.part as ServoPart);
const linear = computed(() => part.value.motion === 'linear');

/** From the motor's shaft outwards: its torque is what the horn's stall torque comes back to. */
const inside = computed(() => part.value.inside ?? []);
const shafts = computed(() =>
  shaftsInside(inside.value, path.value.servo.rating).map((shaft, i) => ({
    name: i === 0 ? 'motor' : i === inside.value.length ? 'horn' : `shaft ${i}`,
    torque: show(shaft.torque, 'torque', 2),
    speed: show(shaft.speed, 'speed', 2),
  })),
);

/** A servo's gears are small: their proportions are drawn, all to one scale. */
const MODULE = 0.0004;
const HEIGHT = 74;
const drawn = computed(() =>
  inside.value.map(({ driver, driven }, i) => gearsDrawn(`inside-${i}`, i, driver, driven, MODULE)),
);
const scale = computed(() => {
  const tallest = Math.max(...inside.value.map(({ driver, driven }) => Math.max(driver, driven) + 2), 10);
  return (HEIGHT - 8) / (tallest * MODULE);
});

function setTeeth(i: number, teeth: { driver: number; driven: number }): void {
  commit(regearServo(plan.value, drive.value.servo, i, teeth));
}

/** What a stage that is added begins as. */
const NEXT = { driver: 12, driven: 24 };
const BESIDE = 3;

const turning = computed(() => turningRoundOf(path.value));
const KINDS = {
  brushed: 'Brushes on an iron rotor: the heaviest to turn round, the cheapest.',
  coreless: 'A rotor without iron: a third of the inertia, so that it turns round quicker and hums less.',
  brushless: 'No brushes to wear, a lighter rotor than with iron, and its heat sits in the case.',
} as const;
</script>

<template>
  <!-- More stages than leave room for words beside them stand above the words. -->
  <div class="flex gap-x-6 gap-y-2" :class="inside.length > BESIDE ? 'flex-col' : 'max-sm:flex-col'">
    <ol
      v-if="inside.length > 0 && !linear"
      class="flex max-w-full shrink-0 items-stretch overflow-x-auto"
      data-testid="inside"
    >
      <li v-for="(shaft, i) in shafts" :key="shaft.name" class="flex items-stretch">
        <div v-if="i > 0" class="squared border border-hair px-1 text-center text-sm">
          <StageWheels :parts="drawn[i - 1]!" :scale="scale" :height="HEIGHT" />
          <TeethText
            :driver="inside[i - 1]!.driver"
            :driven="inside[i - 1]!.driven"
            :label="`Teeth inside, stage ${i}`"
            :fewest="4"
            @change="setTeeth(i - 1, $event)"
          />
          <button
            v-if="inside.length > 1"
            type="button"
            class="act min-h-6 text-xs"
            :aria-label="`Take stage ${i} out`"
            @click="commit(removeServoStage(plan, drive.servo, i - 1))"
          >
            take out
          </button>
        </div>
        <div class="flex flex-col justify-center px-1.5 text-xs whitespace-nowrap">
          <b>{{ shaft.name }}</b>
          <span class="figures">{{ shaft.torque }}</span>
          <span class="figures">{{ shaft.speed }}</span>
        </div>
      </li>
    </ol>
    <p v-else class="max-w-60 text-sm text-second">
      This part does not say what gears are inside: {{ Math.round(path.servo.insideRatio) }}:1 is taken, as in a usual
      servo.
    </p>
    <div class="min-w-0 grow text-sm">
      <div class="grid gap-x-4 sm:grid-cols-2">
        <FigureField v-if="!linear" figure="servo.rotorInertia" />
      </div>
      <p v-if="turning" class="mt-1">
        {{ (100 * turning.rotor).toFixed(0) }} % of what it has to turn round is its own motor, seen through the gears.
        From full speed one way to full speed the other it takes
        <b class="figures">{{ show(turning.time, 'time', 2) }}</b>.
      </p>
      <p v-if="inside.length > 0 && !linear">
        <button
          v-if="inside.length < 8"
          type="button"
          class="act min-h-6"
          @click="commit(addServoStage(plan, drive.servo, NEXT))"
        >
          Add a stage
        </button>
        <span class="text-xs text-second">
          Each pair passes on {{ Math.round(100 * STAGE_EFFICIENCY) }} %: {{ inside.length }} of them lose
          {{ Math.round(100 * (1 - STAGE_EFFICIENCY ** inside.length)) }} %.
        </span>
      </p>
      <p class="text-xs text-second">
        {{ part.motor ? KINDS[part.motor] : '' }} The same motor with other gears inside trades speed for torque evenly:
        twice the torque at half the speed, and four times the rotor’s inertia at the horn.
      </p>
    </div>
  </div>
</template>
