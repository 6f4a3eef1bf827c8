<script setup lang="ts">
import { inputDrive, signalFit, resistorAtLeast, signalHelp, transistorStage, type DriverPart } from '@rough-gear/core';
import { computed } from 'vue';
import ChoiceField from '../../../../components/fields/ChoiceField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';

/** The pin, the driver's input, and what lies between, as a small schematic with its values. */
const { plan, path, drive, driveAt, commit } = useStepMechanism();
const { show, say } = useDisplay();

const part = computed(() => plan.value.parts[drive.value.driver]!.part as DriverPart);
const known = computed(() => !path.value.lacks.signal);
const stage = computed(() => path.value.signalStage);
const values = computed(() => transistorStage(path.value.driver.input, path.value.board, path.value.board.feedVoltage));
const series = computed(() => {
  const { seriesResistor } = signalFit(path.value.driver.input, path.value.board);
  return seriesResistor > 0 ? resistorAtLeast(seriesResistor) : 0;
});
const driven = computed(() => inputDrive(path.value));
const ohms = (value: number): string =>
  value >= 1000 ? `${Number((value / 1000).toPrecision(3))} kΩ` : `${Math.round(value)} Ω`;
const STAGES = [
  { value: 'none', text: 'nothing: straight to the input' },
  { value: 'resistor', text: 'a resistor, for a higher level' },
  { value: 'transistor', text: 'a small transistor' },
] as const;
const said = computed(() => {
  const { current, lights, pinStands } = driven.value;
  const flows = `${show(current, 'pin current')} flow through the input`;
  if (lights && pinStands) return `${flows}: it switches for certain.`;
  return `${flows}: ${lights ? 'more than the pin may give' : 'not what it is made for'}. ${say(signalHelp(path.value))}`;
});
</script>

<template>
  <div class="flex gap-5 max-sm:flex-col">
    <div class="min-w-0 grow">
      <div class="grid grid-cols-2 gap-x-4 gap-y-1 xl:grid-cols-3">
        <FigureField figure="board.pinVoltage" />
        <FigureField figure="board.pinCurrent" />
        <FigureField figure="board.feedVoltage" />
        <ChoiceField
          :value="stage"
          label="between them"
          :options="STAGES"
          @change="commit([{ at: [...driveAt, 'signalStage'], to: $event }])"
        />
        <FigureField figure="driver.inputRated" />
        <FigureField figure="driver.inputCurrent" />
        <FigureField figure="driver.inputForward" />
        <FigureField figure="driver.inputResistance" />
      </div>
      <p class="mt-1 text-xs text-second">
        <template v-if="known">{{ said }}</template>
        Pulses as {{ part.pulseForm ?? 'step and direction' }}.
        <template v-if="part.alarm"
          >The alarm line comes back over a pull-up of {{ ohms(values.alarmPullUp) }}.</template
        >
      </p>
    </div>
    <svg
      v-if="known"
      viewBox="0 0 236 120"
      width="236"
      height="120"
      class="squared shrink-0 border border-hair"
      role="img"
      :aria-label="
        stage === 'transistor'
          ? `Transistor stage: ${ohms(values.gateResistor)} to the gate, ${ohms(values.pullDown)} from gate to ground`
          : 'Pin straight to the input'
      "
      fill="none"
      stroke="var(--ink)"
      stroke-width="1.5"
      data-testid="schematic"
    >
      <g v-if="stage === 'transistor'">
        <path d="M12 70h18M66 70h26M92 60v20M98 58v24M98 62h22V40M98 78h22v24M98 70h10M112 102h16M116 106h8" />
        <rect x="30" y="65" width="36" height="10" fill="var(--sheet)" />
        <path d="M80 70v10M80 102v4M76 106h8" />
        <rect x="75" y="80" width="10" height="22" fill="var(--sheet)" />
        <path d="M120 40V28h24M196 28h14v-10h14" />
        <rect x="144" y="16" width="52" height="24" fill="var(--sheet)" />
        <path d="M160 22l12 6-12 6zM172 22v12M182 22l4-4M186 26l4-4" stroke-width="1" />
        <path v-if="values.seriesResistor > 0" d="M128 22h10v12h-10z" fill="var(--sheet)" stroke-width="1" />
        <g class="figures" font-size="10" fill="var(--ink)" stroke="none">
          <text x="4" y="88">pin {{ show(path.board.signalVoltage, 'voltage') }}</text>
          <text x="48" y="58" text-anchor="middle">{{ ohms(values.gateResistor) }}</text>
          <text x="72" y="100" text-anchor="end">{{ ohms(values.pullDown) }}</text>
          <text x="198" y="14">{{ show(path.board.feedVoltage, 'voltage') }}</text>
          <text x="170" y="54" text-anchor="middle">driver’s input</text>
          <text x="132" y="96">{{ show(driven.current, 'pin current') }}</text>
        </g>
      </g>
      <g v-else>
        <path d="M12 48h60M124 48h20M196 48h14v30M204 78h12M206 82h8" />
        <path v-if="stage === 'none' || series === 0" d="M72 48h52" />
        <rect v-else x="72" y="42" width="52" height="12" fill="var(--sheet)" />
        <rect x="144" y="36" width="52" height="24" fill="var(--sheet)" />
        <path d="M160 42l12 6-12 6zM172 42v12M182 42l4-4M186 46l4-4" stroke-width="1" />
        <g class="figures" font-size="10" fill="var(--ink)" stroke="none">
          <text x="4" y="40">pin {{ show(path.board.signalVoltage, 'voltage') }}</text>
          <text v-if="stage === 'resistor' && series > 0" x="98" y="36" text-anchor="middle">{{ ohms(series) }}</text>
          <text x="170" y="74" text-anchor="middle">driver’s input</text>
          <text x="98" y="68" text-anchor="middle">{{ show(driven.current, 'pin current') }}</text>
        </g>
      </g>
    </svg>
  </div>
</template>
