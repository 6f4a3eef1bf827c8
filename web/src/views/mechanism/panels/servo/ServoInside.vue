<script setup lang="ts">
import { alongTrain, backEfficiency, reversingTime, trainOf, type ServoPart } from '@rough-gear/core';
import { computed } from 'vue';
import FigureField from '../../../../components/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** The gears inside, stage by stage: torque up and speed down; and how quickly it turns round. */
const { plan, path, drive } = useServoMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.servo]!.part as ServoPart);
const linear = computed(() => part.value.motion === 'linear');
const rating = computed(() => path.value.servo.rating);
const STAGE_EFFICIENCY = 0.9;

/** From the motor's shaft outwards: its torque is what the horn's stall torque comes back to. */
const stages = computed(() => {
  const inside = part.value.inside ?? [];
  const train = trainOf(
    inside.map(({ driver, driven }) => ({
      ratio: driven / driver,
      efficiency: STAGE_EFFICIENCY,
      backEfficiency: backEfficiency(STAGE_EFFICIENCY),
    })),
  );
  const torque = rating.value.stallTorque / (train.total * train.efficiency);
  const speed = rating.value.freeSpeed * train.total;
  const shafts = [{ torque, speed }, ...alongTrain(train, torque, speed)];
  return shafts.map((shaft, i) => ({
    name: i === 0 ? 'motor' : i === inside.length ? 'horn' : `shaft ${i}`,
    teeth: i === 0 ? '' : `${inside[i - 1]!.driver} → ${inside[i - 1]!.driven}`,
    torque: show(shaft.torque, 'torque', 2),
    speed: show(shaft.speed, 'speed', 2),
  }));
});

/** The load at the horn, and the rotor seen there. */
const turning = computed(() => {
  const { servo, load, linked, motors } = path.value;
  const ratio = linked?.ratioAt(0) ?? NaN;
  const atHorn = (load.inertia(0) * ratio ** 2) / motors;
  const whole = servo.rotorAtHorn + atHorn;
  return Number.isFinite(whole)
    ? { rotor: servo.rotorAtHorn / whole, time: reversingTime(servo.rating, whole) }
    : undefined;
});
const KINDS = {
  brushed: 'Brushes on an iron rotor: the heaviest to turn round, the cheapest.',
  coreless: 'A rotor without iron: a third of the inertia, so that it turns round quicker and hums less.',
  brushless: 'No brushes to wear, a lighter rotor than with iron, and its heat sits in the case.',
} as const;
</script>

<template>
  <div class="flex gap-6 max-sm:flex-col">
    <table
      v-if="(part.inside?.length ?? 0) > 0 && !linear"
      class="figures shrink-0 self-start text-sm"
      data-testid="inside"
    >
      <thead>
        <tr class="border-b border-ink text-right text-xs">
          <th scope="col" class="pr-4 text-left font-sans">at stall and free</th>
          <th scope="col" class="pr-4 font-normal">teeth</th>
          <th scope="col" class="pr-4 font-normal">torque</th>
          <th scope="col" class="font-normal">speed</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="stage in stages" :key="stage.name" class="border-b border-hair text-right">
          <th scope="row" class="pr-4 text-left font-sans font-normal">{{ stage.name }}</th>
          <td class="pr-4">{{ stage.teeth }}</td>
          <td class="pr-4">{{ stage.torque }}</td>
          <td>{{ stage.speed }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="max-w-60 text-sm text-second">
      This part does not say what gears are inside: {{ Math.round(path.servo.insideRatio) }}:1 is taken, as in a usual
      servo.
    </p>
    <div class="min-w-0 grow text-sm">
      <div class="grid grid-cols-2 gap-x-4">
        <FigureField v-if="!linear" figure="servo.rotorInertia" />
      </div>
      <p v-if="turning" class="mt-1">
        {{ (100 * turning.rotor).toFixed(0) }} % of what it has to turn round is its own motor, seen through the gears.
        From full speed one way to full speed the other it takes
        <b class="figures">{{ show(turning.time, 'time', 2) }}</b>.
      </p>
      <p class="text-xs text-second">
        {{ part.motor ? KINDS[part.motor] : '' }} The same motor with other gears inside trades speed for torque evenly:
        twice the torque at half the speed, and four times the rotor’s inertia at the horn.
      </p>
    </div>
  </div>
</template>
