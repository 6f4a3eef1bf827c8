<script setup lang="ts">
import {
  START_NAMES,
  bindOf,
  coastToStop,
  controllerLossOf,
  leastOutputSpeedOf,
  rollBackOf,
  slowestByStart,
  systemOf,
  timingTrade,
  RUN_NEEDS,
  type ControllerPart,
  type StartStyle,
} from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../components/fields/ChoiceField.vue';
import FigureField from '../../../components/fields/FigureField.vue';
import { outputUnits } from '../../../components/charts/forceChart.js';
import { useDisplay } from '../../../composables/useDisplay.js';
import { useDcMechanism } from '../../../composables/useMechanism.js';

/** What is set in the controller beside its limits, and what each setting does on this mechanism. */
const { plan, path, drive, choiceAt, commit } = useDcMechanism();
const { show } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.controller]!.part as ControllerPart);
const partAt = computed(() => ['parts', drive.value.controller, 'part']);
const set = (key: string, to: string) => commit([{ at: [...choiceAt.value, 'drive', key], to }]);
const brushless = computed(() => path.value.motor.type === 'brushless');
const known = computed(() => RUN_NEEDS.every((need) => !path.value.lacks[need]));
const units = computed(() => outputUnits(path.value));
const k = computed(() => path.value.asked.perCoordinate);

const STARTS = (Object.keys(START_NAMES) as StartStyle[]).map((value) => ({ value, text: START_NAMES[value] }));
const IDLE = [
  { value: 'brake', text: 'brakes' },
  { value: 'coast', text: 'coasts' },
] as const;
const CONTROL = [
  { value: 'effort', text: 'plain effort' },
  { value: 'lock', text: 'speed lock, rolled back' },
] as const;
const ENCODER_ON = [
  { value: 'motor', text: 'the motor' },
  { value: 'output', text: 'the output' },
] as const;
const DIRECTION = [
  { value: 'forward', text: 'forward' },
  { value: 'reverse', text: 'reverse' },
] as const;

const least = computed(() => {
  if (!known.value) return '';
  return `The slowest it keeps is ${show(leastOutputSpeedOf(path.value) * k.value, units.value.speed)} at the output.`;
});
/** The same for every way to start, so that sensors can be weighed against none. */
const byStart = computed(() => {
  const slowest = known.value ? slowestByStart(path.value) : undefined;
  if (!slowest) return '';
  const speeds = STARTS.map(({ value, text }) => `${text} ${show(slowest[value], units.value.speed)}`);
  return `Typically, by how it starts: ${speeds.join(', ')}.`;
});
/** What the person feels, and what may break, when it is stuck. */
const bind = computed(() => (known.value ? bindOf(path.value) : undefined));
const bindSaid = computed(() => {
  const found = bind.value;
  if (!found) return '';
  const now = found[path.value.control.mode];
  const weak = found.weakest ? ` ${found.weakest.name} gives at ${show(found.weakest.force, units.value.force)}.` : '';
  const feel =
    path.value.control.mode === 'effort'
      ? 'Stuck at half command it pushes with half the volts: the hand feels it.'
      : 'Stuck at any command it pushes as hard as it may: the hand feels nothing until it rolls back.';
  return `${feel} It pushes ${show(now.force, units.value.force)} and draws ${show(now.current, 'current')}: ${now.breaks ? `${found.weakest!.name} breaks` : 'nothing breaks'}, the winding lasts ${now.lasts === null ? 'over an hour' : show(now.lasts, 'time', 2)}.${weak}`;
});
const offsetSaid = computed(() => {
  if (!known.value) return '';
  const { dragOffset } = path.value.control;
  const free = path.value.drive.motor.freeCurrent;
  if (dragOffset > free) return `Above ${show(free, 'current')} the motor creeps by itself.`;
  const coast = coastToStop(systemOf(path.value), path.value.asked.speed, dragOffset);
  const far = show(coast.distance * k.value, path.value.load.unit === 'm' ? 'length' : 'angle');
  return `${coast.stops ? `Coasting it stands after ${far}` : 'Coasting it rolls on'}; from ${show(free, 'current')} on it creeps by itself.`;
});
/** What the controller itself turns into heat while the job is done. */
const heatSaid = computed(() => {
  const loss = controllerLossOf(path.value);
  if (!loss) return '';
  const { current, conduction, switching } = loss;
  return `At ${show(current, 'current')} on this job it turns ${show(conduction + switching, 'power')} into heat: ${show(conduction, 'power', 2)} by its resistance, ${show(switching, 'power', 2)} by switching.`;
});
/** What being timed ahead trades. */
const timingSaid = computed(() => {
  const { timing } = path.value.control;
  if (!(timing > 0)) return '';
  const { faster, weaker } = timingTrade(timing);
  return `Timed ${show(timing, 'angle')} ahead it turns ${show(faster, 'share', 2)} faster a volt and pulls ${show(weaker, 'share', 2)} less an ampere, typical; the other way round it does worse than untimed.`;
});
/** Where it stands on a slope or under a load: whether it stays there, and how fast it runs back where it does not. */
const restSaid = computed(() => {
  if (!known.value) return '';
  const back = rollBackOf(path.value);
  const far = (value: number) => show(value, path.value.load.unit === 'm' ? 'length' : 'angle', 2);
  const fast = (value: number) => show(value, units.value.speed, 2);
  if (back.stays) return back.by === 'nothing pulls' ? '' : `At rest with no command it stays: ${back.by} holds it.`;
  const braked = drive.value.idle !== 'coast';
  return `At rest with no command it runs back: ${
    braked
      ? `with its motor shorted at ${fast(back.shorted)}, ${far(10 * back.shorted)} in ten seconds`
      : `rolling free ${far(back.free.distance)} in the first second, then ${fast(back.free.speed)} fast and faster`
  }. Only current, a brake or a stage that stays holds it.`;
});
</script>

<template>
  <div class="mt-1 grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
    <template v-if="brushless">
      <ChoiceField
        :value="part.startStyle ?? 'bump'"
        label="starts by"
        :options="STARTS"
        @change="commit([{ at: [...partAt, 'startStyle'], to: $event }])"
      />
      <FigureField figure="controller.leastErpm" />
      <FigureField figure="controller.erpmLimit" />
    </template>
    <FigureField figure="controller.dutyStep" allow="efficiency" />
    <FigureField figure="drive.rampTime" allow="not negative" />
    <ChoiceField
      :value="drive.idle ?? 'brake'"
      label="with no command it"
      :options="IDLE"
      @change="set('idle', $event)"
    />
    <ChoiceField
      :value="drive.direction ?? 'forward'"
      label="direction"
      :options="DIRECTION"
      @change="set('direction', $event)"
    />
    <ChoiceField
      :value="drive.control ?? 'effort'"
      label="command means"
      :options="CONTROL"
      @change="set('control', $event)"
    />
    <FigureField v-if="drive.control === 'lock'" figure="drive.rollBack" />
    <FigureField figure="drive.dragOffset" allow="not negative" />
    <FigureField figure="drive.timing" allow="advance" />
    <FigureField figure="drive.encoderCounts" />
    <ChoiceField
      v-if="drive.encoderCounts"
      :value="drive.encoderOn ?? 'motor'"
      label="encoder sits on"
      :options="ENCODER_ON"
      @change="set('encoderOn', $event)"
    />
    <FigureField figure="controller.continuousCurrent" />
    <FigureField figure="controller.switching" allow="efficiency" />
    <FigureField figure="controller.regulatorVoltage" />
    <FigureField figure="controller.regulatorContinuous" />
    <FigureField figure="controller.regulatorBurst" />
    <FigureField figure="controller.price" allow="not negative" />
  </div>
  <ul class="mt-1 list-disc pl-4 text-xs text-second" data-testid="controller-says">
    <li v-if="least">{{ least }}</li>
    <li v-if="byStart">{{ byStart }}</li>
    <li v-if="bindSaid">{{ bindSaid }}</li>
    <li v-if="heatSaid">{{ heatSaid }}</li>
    <li v-if="timingSaid">{{ timingSaid }}</li>
    <li v-if="offsetSaid">{{ offsetSaid }}</li>
    <li v-if="restSaid">{{ restSaid }}</li>
  </ul>
</template>
