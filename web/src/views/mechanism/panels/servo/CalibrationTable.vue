<script setup lang="ts">
import { angleOf, pulseFor, type PulseAtAngle, type Quantity } from '@rough-gear/core';
import { refusalText } from '@rough-gear/contract/units';
import { computed, ref } from 'vue';
import MeasureField from '../../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useServoMechanism } from '../../../../composables/useMechanism.js';

/** Pulses sent and angles measured: a line through them, what does not fit, and the pulse for any angle. */
const { path, drive, driveAt, commit } = useServoMechanism();
const { show, parse } = useDisplay();

const pairs = computed(() => drive.value.calibration ?? []);
const line = computed(() => path.value.calibration);
const DEGREE = Math.PI / 180;

const pulse = ref('');
const angle = ref('');
const refused = ref('');
function read(text: string, dimension: 'pulse' | 'angle'): Quantity | undefined {
  const parsed = parse(text, dimension);
  if (parsed.ok) return { si: parsed.si, as: parsed.understood, source: 'measured' };
  refused.value = `${dimension}: ${refusalText(parsed)}`;
  return undefined;
}
function set(to: readonly PulseAtAngle[]): void {
  commit([{ at: [...driveAt.value, 'calibration'], to: to.length > 0 ? to : undefined }]);
}
function add(): void {
  refused.value = '';
  const [sent, measured] = [read(pulse.value, 'pulse'), read(angle.value, 'angle')];
  if (!sent || !measured) return;
  if (sent.si <= 0 || sent.si > 0.01) {
    refused.value = `pulse: ${sent.as} is not allowed: more than 0 up to 10000 µs is`;
    return;
  }
  if (Math.abs(measured.si) > 2 * Math.PI) {
    refused.value = `angle: ${measured.as} is not allowed: −360° to 360° is`;
    return;
  }
  set([...pairs.value, { pulse: sent, angle: measured }].sort((a, b) => a.angle.si - b.angle.si));
  [pulse.value, angle.value] = ['', ''];
}

const asked = ref(30 * DEGREE);
const micro = (seconds: number): string => String(Math.round(seconds * 1e6));
const answer = computed(() => (line.value ? micro(pulseFor(line.value, asked.value)) : '—'));
/** The card: the limits of the servo's travel, and steps of 15° between. */
const card = computed(() => {
  const fit = line.value;
  if (!fit) return [];
  const { shortestPulse, longestPulse } = path.value.servo;
  const [low, high] = [angleOf(fit, shortestPulse), angleOf(fit, longestPulse)].sort((a, b) => a - b) as [
    number,
    number,
  ];
  const first = Math.ceil(low / DEGREE / 15) * 15;
  const degrees = Array.from({ length: Math.floor((high / DEGREE - first) / 15) + 1 }, (_, i) => first + 15 * i);
  return degrees.map((one) => ({ angle: one, pulse: micro(pulseFor(fit, one * DEGREE)) }));
});
const limits = computed(() => {
  const fit = line.value;
  if (!fit) return '';
  const { shortestPulse, longestPulse } = path.value.servo;
  return `Its ${micro(shortestPulse)} to ${micro(longestPulse)} µs are ${show(angleOf(fit, shortestPulse), 'angle')} to ${show(angleOf(fit, longestPulse), 'angle')}.`;
});
</script>

<template>
  <div class="flex flex-wrap gap-x-8 gap-y-2">
    <div>
      <table class="figures text-sm" data-testid="calibration">
        <thead>
          <tr class="border-b border-ink text-right text-xs">
            <th scope="col" class="pr-4 font-normal">angle</th>
            <th scope="col" class="pr-4 font-normal">pulse</th>
            <th scope="col" class="pr-4 font-normal">off the line</th>
            <td></td>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(pair, i) in pairs" :key="i" class="border-b border-hair text-right">
            <td class="pr-4">{{ show(pair.angle.si, 'angle') }}</td>
            <td class="pr-4">{{ micro(pair.pulse.si) }} µs</td>
            <td class="pr-4">{{ line ? `${micro(line.residuals[i] ?? 0)} µs` : '—' }}</td>
            <td>
              <button
                type="button"
                class="act min-h-6 font-sans text-xs"
                :aria-label="`Remove the pair at ${show(pair.angle.si, 'angle')}`"
                @click="set(pairs.filter((_, j) => j !== i))"
              >
                Remove
              </button>
            </td>
          </tr>
        </tbody>
      </table>
      <form class="mt-1 flex items-end gap-2 text-sm" @submit.prevent="add">
        <label
          >angle <input v-model="angle" class="figures w-16 border-b border-ink bg-transparent" placeholder="45°"
        /></label>
        <label
          >pulse <input v-model="pulse" class="figures w-20 border-b border-ink bg-transparent" placeholder="1900 µs"
        /></label>
        <button type="submit" class="act min-h-6">Add</button>
      </form>
      <p v-if="refused" role="alert" class="text-xs text-gives">{{ refused }}</p>
    </div>
    <div v-if="line" class="min-w-0 max-w-sm grow text-sm">
      <p data-testid="line">
        pulse = <b class="figures">{{ micro(line.atZero) }} µs</b> +
        <b class="figures">{{ (line.perRadian * DEGREE * 1e6).toFixed(2) }} µs</b> per degree; off by
        <b class="figures">{{ (line.rmsResidual * 1e6).toFixed(1) }} µs</b> as a rule. {{ limits }}
      </p>
      <p class="flex items-baseline gap-2">
        <MeasureField
          :value="asked"
          dimension="angle"
          label="for"
          :least="-2 * Math.PI"
          :significant="4"
          @read="asked = $event"
        />
        send <b class="figures" data-testid="pulse-for">{{ answer }} µs</b>
      </p>
      <p class="figures flex flex-wrap gap-x-4 text-xs" aria-label="Card of pulses">
        <span v-for="one in card" :key="one.angle">{{ one.angle }}°: {{ one.pulse }}</span>
      </p>
    </div>
    <p v-else class="max-w-sm text-sm text-second">Two different angles make a line; three show how well it fits.</p>
    <p class="w-full text-xs text-second">
      Do not take the horn off afterwards: on another tooth of the spline every angle is another. A round horn can be
      turned a hole at a time instead.
    </p>
  </div>
</template>
