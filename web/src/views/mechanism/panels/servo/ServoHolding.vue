<script setup lang="ts">
import {
  lacksOf,
  SEASON_MATCHES,
  SERVO_RUN_NEEDS,
  servoPulseAt,
  servoWarmthOf,
  servoWearOf,
  USUAL_SERVOS,
  usualFor,
  type ServoPart,
} from '@rough-gear/core';
import { computed, ref } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** What it does while it holds and through the day: how far it is pushed off, what it draws, how warm, how its play grows. */
const { plan, path, drive } = useServoMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.servo]!.part as ServoPart);
const joint = computed(() => part.value.motion === 'joint');
const warmth = computed(() =>
  lacksOf(path.value, [...SERVO_RUN_NEEDS, 'heat']).length === 0 ? servoWarmthOf(path.value) : undefined,
);

const holding = computed(() => {
  if (!warmth.value) return '';
  const { held, share, pushedOff, holdCurrent } = warmth.value;
  const { stallTorque } = path.value.servo.rating;
  if (held > stallTorque)
    return `It does not hold: that takes ${Math.ceil((100 * held) / stallTorque)} % of its stall torque. It is pushed away, at ${show(holdCurrent, 'current', 2)}.`;
  if (share === 0) return 'Nothing pulls on it while it holds.';
  const percent = `${Math.round(100 * share)} % of its stall torque`;
  const off = joint.value
    ? `, is pushed off ${show(pushedOff, 'angle', 2)} before it answers with that (${part.value.signal ?? 'analogue'})`
    : '';
  return `It holds with ${percent}${off}, and draws ${show(holdCurrent, 'current', 2)}.`;
});

const wear = computed(() => {
  if (!warmth.value || part.value.motion === 'linear') return '';
  const { servo } = path.value;
  const { doublesIn, afterSeason } = servoWearOf(path.value, warmth.value);
  const spare = part.value.gearSetPrice ? ` A spare set of gears costs ${part.value.gearSetPrice.as}.` : '';
  return `Its ${part.value.gears ?? 'unnamed'} gears have twice their play after about ${show(doublesIn * 3600, 'time', 2)} of moving, a third of that or three times it; after ${SEASON_MATCHES} matches ${show(afterSeason, 'angle', 2)} of ${show(servo.slop, 'angle', 2)} new.${spare}`;
});

const start = computed(() => {
  const { startPoint, servo } = path.value;
  if (!joint.value) return '';
  if (startPoint === undefined)
    return 'Switched on, it runs at full speed to the first pulse it gets: keep hands out, and send that pulse before its power.';
  const pulse = servoPulseAt(path.value, startPoint);
  const out = Math.abs(startPoint) > servo.travel ? ' That is beyond its travel.' : '';
  return `Switched on, it goes to ${show(startPoint, 'angle')}, a pulse of ${show(pulse, 'pulse')}, before anything commands it: keep hands out.${out}`;
});

/** What servos of a purpose usually are: a line to see whether this one is out of the way. */
const purpose = ref(usualFor(path.value.mechanismKind).id);
const purposes = computed(() =>
  USUAL_SERVOS.map(({ id, text, upTo }) => ({
    value: id,
    text: upTo === undefined ? text : `${text} to ${show(upTo, 'mass')}`,
  })),
);
const usual = computed(() => {
  const one = USUAL_SERVOS.find(({ id }) => id === purpose.value)!;
  const { stallTorque, freeSpeed } = path.value.servo.rating;
  const against = stallTorque < one.least ? 'less' : stallTorque > one.most ? 'more' : 'within that';
  const slow = Math.PI / 3 / freeSpeed > one.slowest ? ', and slow' : '';
  return `Usual there: ${show(one.least, 'torque', 2)} to ${show(one.most, 'torque', 2)}, 60° in ${show(one.slowest, 'time', 2)} or less. This one has ${show(stallTorque, 'torque', 2)}: ${against}${slow}. A habit, no verdict.`;
});
</script>

<template>
  <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
    <FigureField v-if="joint" figure="servo.yields" allow="not negative" />
    <FigureField figure="servo.windingLimit" />
    <FigureField v-if="joint" figure="drive.speedCap" allow="efficiency" />
    <FigureField v-if="joint" figure="drive.startPoint" allow="any" />
  </div>
  <div class="mt-1 max-w-4xl space-y-0.5 text-sm" data-testid="servo-holding">
    <p>{{ holding }}</p>
    <p v-if="warmth">
      Through the matches its motor
      <template v-if="warmth.winding > path.servo.thermal.windingLimit"><b>burns out</b>;</template>
      <template v-else
        >comes to <b class="figures">{{ show(warmth.winding, 'temperature') }}</b>, its case to
        <b class="figures">{{ show(warmth.shell, 'temperature') }}</b>;</template
      >
      <template v-if="Number.isFinite(warmth.stalledFor)"
        >stalled from cold it is at its limit in
        <b class="figures">{{ show(warmth.stalledFor, 'time', 2) }}</b></template
      ><template v-else>stalled it stays under its limit for an hour</template>. A match takes
      {{ show(warmth.charge, 'charge', 2) }}
      out of the pack.
    </p>
    <p class="text-xs text-second">{{ wear }} {{ start }}</p>
  </div>
  <div v-if="part.motion !== 'linear'" class="mt-1 flex flex-wrap items-end gap-x-3 text-xs">
    <ChoiceField class="w-72" :value="purpose" label="usual for" :options="purposes" @change="purpose = $event" />
    <p class="pb-1 text-second" data-testid="usual-servo">{{ usual }}</p>
  </div>
</template>
