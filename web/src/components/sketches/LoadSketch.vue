<script setup lang="ts">
import type { Output } from '@rough-gear/core';
import { computed, type Component } from 'vue';
import { useMechanism } from '../../composables/useMechanism.js';
import ArmSketch from './ArmSketch.vue';
import CarriageSketch from './CarriageSketch.vue';
import FlywheelSketch from './FlywheelSketch.vue';
import GripSketch from './GripSketch.vue';
import LegSketch from './LegSketch.vue';
import RollerSketch from './RollerSketch.vue';
import RopeSketch from './RopeSketch.vue';
import SkidSketch from './SkidSketch.vue';
import TurntableSketch from './TurntableSketch.vue';
import WheelsSketch from './WheelsSketch.vue';

/** The thing itself with its dimensions on it: they move as they are typed, and most are dragged. */
const SKETCHES: Readonly<Record<Output['kind'], Component>> = {
  wheels: WheelsSketch,
  drum: RopeSketch,
  arm: ArmSketch,
  flywheel: FlywheelSketch,
  roller: RollerSketch,
  turntable: TurntableSketch,
  carriage: CarriageSketch,
  grip: GripSketch,
  leg: LegSketch,
};

const { choice, job, path } = useMechanism();
/** A job that is seen from another side than its output. */
const sketch = computed(() => (path.value.job.kind === 'skid' ? SkidSketch : SKETCHES[choice.value.output.kind]));
</script>

<template>
  <svg
    viewBox="0 0 190 140"
    class="squared h-[140px] w-[190px] shrink-0 overflow-visible border border-hair"
    role="group"
    :aria-label="`Drawing of the job: ${job.name}`"
    data-testid="sketch"
  >
    <component :is="sketch" />
  </svg>
</template>
