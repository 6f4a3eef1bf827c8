<script setup lang="ts">
import {
  counted,
  anglePerPulse,
  chainPlaces,
  deadbandAngle,
  quantityOf,
  tipBlob,
  tipErrors,
  type ChainLink,
} from '@rough-gear/core';
import { computed } from 'vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** Degrees for a pulse, deadband and play; and what a chain of such joints does to its tip, drawn as the blob around it. */
const { path, drive, driveAt, commit } = useServoMechanism();
const { show } = useDisplay();

const span = computed(() => path.value.servo.longestPulse - path.value.servo.shortestPulse);
const turns = computed(() => Number.isFinite(path.value.servo.travel));
const linear = computed(() => path.value.servo.part.motion === 'linear');
const dimension = computed(() => (linear.value ? ('length' as const) : ('angle' as const)));
const perMicro = computed(() => anglePerPulse(path.value.servo.travel, span.value) * 1e-6);
const dead = computed(() => deadbandAngle(path.value.servo.travel, span.value, path.value.servo.deadband));
const chain = computed(() => drive.value.chain ?? []);
const known = computed(() => !path.value.lacks.precision && path.value.chain.length > 0);
const errors = computed(() => tipErrors(path.value));

/** The blob is drawn larger than it is, and says how many times. */
const drawing = computed(() => {
  const places = chainPlaces(path.value.chain);
  const [xs, ys] = [places.map(({ x }) => x), places.map(({ y }) => y)];
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(150 / Math.max(right - left, 1e-6), 86 / Math.max(high - low, 1e-6));
  const at = ({ x, y }: { x: number; y: number }) => ({
    x: 95 + scale * (x - (left + right) / 2),
    y: 70 - scale * (y - (low + high) / 2),
  });
  const blob = tipBlob(path.value.chain);
  const times = blob.long > 0 ? 10 ** Math.max(0, Math.floor(Math.log10(24 / (scale * blob.long)))) : 1;
  const points = places.map(at);
  return {
    line: points.map(({ x, y }, i) => `${i === 0 ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`).join(''),
    points,
    tip: points.at(-1)!,
    long: Math.max(1.5, scale * blob.long * times),
    short: Math.max(1.5, scale * blob.short * times),
    turn: (-blob.direction * 180) / Math.PI,
    times,
  };
});

function setChain(to: readonly ChainLink[]): void {
  commit([{ at: [...driveAt.value, 'chain'], to: to.length > 0 ? to : undefined }]);
}
function addJoint(): void {
  const length = quantityOf(0.06, '60 mm', 'typical');
  setChain([...chain.value, { name: `joint ${chain.value.length + 1}`, length }]);
}
</script>

<template>
  <div class="flex gap-5 max-sm:flex-col">
    <div class="min-w-0 grow">
      <div class="grid grid-cols-2 gap-x-4 gap-y-1 sm:grid-cols-4">
        <FigureField figure="servo.shortestPulse" />
        <FigureField figure="servo.longestPulse" />
        <FigureField figure="servo.deadband" allow="not negative" />
        <FigureField figure="servo.slop" allow="not negative" />
      </div>
      <p class="mt-1 text-xs text-second">
        <template v-if="turns">
          {{ show(perMicro, dimension, 2) }} for each microsecond; its deadband is {{ show(dead, dimension, 2) }}.
          Smaller travel over the same pulses is finer.
        </template>
        <template v-else>A servo that turns on has no place to stand at: its pulse sets a speed.</template>
      </p>
      <table v-if="chain.length > 0" class="mt-1 text-sm">
        <tbody>
          <tr v-for="(joint, i) in chain" :key="i" class="align-bottom">
            <th scope="row" class="pr-4 text-left font-normal">{{ joint.name }}</th>
            <td class="w-32 pr-4"><FigureField :figure="`chain.${i}.length`" /></td>
            <td class="w-28 pr-4"><FigureField :figure="`chain.${i}.angle`" allow="any" /></td>
            <td class="w-44 pr-4"><FigureField :figure="`chain.${i}.error`" allow="not negative" /></td>
            <td>
              <button
                type="button"
                class="act min-h-6 text-xs"
                :aria-label="`Remove ${joint.name}`"
                @click="setChain(chain.filter((_, j) => j !== i))"
              >
                Remove
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <p class="mt-1 flex flex-wrap items-end gap-x-4">
        <button type="button" class="act min-h-6" @click="addJoint">Add a joint of a chain</button>
        <FigureField v-if="chain.length > 0" figure="drive.tipWindow" class="w-52" />
      </p>
    </div>
    <figure v-if="known" class="shrink-0" data-testid="tip">
      <svg
        viewBox="0 0 190 140"
        width="190"
        height="140"
        class="squared border border-hair"
        role="img"
        :aria-label="`Chain of ${counted(chain.length, 'joint')}; the tip is off by ${show(errors.likely, 'length')} as a rule`"
        fill="none"
        stroke="var(--ink)"
        stroke-width="1.5"
      >
        <ellipse
          :cx="drawing.tip.x"
          :cy="drawing.tip.y"
          :rx="drawing.long"
          :ry="drawing.short"
          :transform="`rotate(${drawing.turn} ${drawing.tip.x} ${drawing.tip.y})`"
          fill="var(--handle)"
          fill-opacity="0.45"
          stroke="var(--ink)"
          stroke-width="1"
        />
        <path :d="drawing.line" stroke-width="3" stroke-linejoin="round" />
        <circle
          v-for="(point, i) in drawing.points.slice(0, -1)"
          :key="i"
          :cx="point.x"
          :cy="point.y"
          r="4"
          fill="var(--sheet)"
        />
        <text
          v-if="drawing.times > 1"
          x="186"
          y="134"
          font-size="10"
          text-anchor="end"
          fill="var(--second)"
          stroke="none"
        >
          blob drawn {{ drawing.times }} times as large
        </text>
      </svg>
      <figcaption class="max-w-48 text-xs">
        off by <b class="figures">{{ show(errors.likely, 'length', 2) }}</b> as a rule,
        <b class="figures">{{ show(errors.worst, 'length', 2) }}</b> at worst
      </figcaption>
    </figure>
  </div>
</template>
