<script setup lang="ts">
import { pulseSumsOf } from '@rough-gear/core';
import { computed } from 'vue';
import CountField from '../../../../components/fields/CountField.vue';
import FigureField from '../../../../components/fields/FigureField.vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useStepMechanism } from '../../../../composables/useMechanism.js';

/** An output locked to another turning shaft by pulses, as a thread is to its spindle. */
const { path, drive, driveAt, commit } = useStepMechanism();
const { show } = useDisplay();
const sums = computed(() => pulseSumsOf(path.value));
</script>

<template>
  <div v-if="sums" class="flex flex-wrap gap-x-4">
    <FigureField :figure="path.load.unit === 'm' ? 'drive.leadPitch' : 'drive.leadAngle'" class="w-60" />
    <CountField
      v-if="sums.leading"
      :value="drive.leadEncoderLines ?? 600"
      label="lines of that shaft’s encoder"
      :most="100000"
      class="w-52"
      @change="commit([{ at: [...driveAt, 'leadEncoderLines'], to: $event }])"
    />
    <p v-if="sums.leading" class="self-end text-sm" data-testid="leading">
      {{ sums.leading.counts }} counts a turn,
      <b class="figures">{{ Number(sums.leading.perCount.toPrecision(4)) }}</b> pulses for each; that shaft may turn at
      <b class="figures">{{ show(sums.leading.highest, 'speed') }}</b> at most, set by {{ sums.most.by }}.
    </p>
    <p v-else class="self-end text-xs text-second">
      Locked to another turning shaft, as a thread is to its spindle: say how far this output goes per turn of it.
    </p>
  </div>
</template>
