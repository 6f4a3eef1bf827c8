<script setup lang="ts">
import { runRadius, wearTakeUp, wrapOnSmall, type BeltParts, type ChainParts } from '@rough-gear/core';
import { useElementSize } from '@vueuse/core';
import { computed, ref } from 'vue';
import DimensionLine from '../../../components/sketches/DimensionLine.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import StageWheels from './StageWheels.vue';

/** The stage in hand large, with its distance, and the room its slack and wear ask for. */
const { run } = defineProps<{ run: ChainParts | BeltParts }>();
const { show } = useDisplay();

const box = ref<HTMLElement>();
const { width } = useElementSize(box);
const HEIGHT = 190;

const scale = computed(() => {
  const span = run.centre + run.driverRadius + run.drivenRadius + run.pitch;
  const across = 2 * Math.max(run.driverRadius, run.drivenRadius) + run.pitch;
  return Math.min((Math.max(200, width.value) - 40) / span, (HEIGHT - 40) / across);
});
const wrap = computed(() =>
  wrapOnSmall(run.pitch, Math.min(run.driver, run.driven), Math.max(run.driver, run.driven), run.centre),
);
/** Middles of the two wheels in the drawing's own pixels. */
const left = computed(() => 3 + (runRadius(run.pitch, run.driver) + 0.35 * run.pitch) * scale.value);
const WEARS = [0.01, 0.02, 0.03];
</script>

<template>
  <div ref="box" class="grid gap-x-5 gap-y-1 lg:grid-cols-[minmax(0,1fr)_14rem]">
    <div class="squared overflow-x-auto border border-hair p-2">
      <div v-if="!Number.isNaN(run.centre)" class="relative mx-auto w-fit">
        <StageWheels :parts="run" :scale="scale" :height="HEIGHT - 20" />
        <svg class="absolute inset-0 size-full overflow-visible" aria-hidden="true">
          <DimensionLine
            :from="[left, (HEIGHT - 20) / 2]"
            :to="[left + run.centre * scale, (HEIGHT - 20) / 2]"
            :text="show(run.centre, 'length', 5)"
          />
        </svg>
      </div>
      <p v-else class="text-second">The chain or belt is too short to go round both wheels.</p>
    </div>
    <dl class="grid grid-cols-[1fr_auto] content-start gap-x-3 text-sm">
      <dt class="text-second">wrap on the small wheel</dt>
      <dd class="figures">{{ show(wrap, 'angle', 3) }}</dd>
      <dt class="text-second">pitch radii</dt>
      <dd class="figures">{{ show(run.driverRadius, 'length', 3) }}, {{ show(run.drivenRadius, 'length', 3) }}</dd>
      <template v-if="run.kind === 'chain'">
        <template v-for="wear in WEARS" :key="wear">
          <dt class="text-second">moves for {{ 100 * wear }} % wear</dt>
          <dd class="figures">
            {{ show(wearTakeUp(run.pitch, run.driver, run.driven, run.length, wear), 'length', 2) }}
          </dd>
        </template>
        <dt class="col-span-2 text-xs text-second">
          Wear of 1–3 % is usual over a chain’s life; at 3 % it is worn out.
        </dt>
      </template>
    </dl>
  </div>
</template>
