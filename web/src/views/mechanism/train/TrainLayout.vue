<script setup lang="ts">
import { boundsOf, trainGaps, trainLayout, trainShapes } from '@rough-gear/core';
import { computed, ref } from 'vue';
import ChoiceTabs from '../../../components/widgets/ChoiceTabs.vue';
import { useDisplay } from '../../../composables/useDisplay.js';
import EndView from './EndView.vue';
import LayoutExport from './LayoutExport.vue';
import SideView from './SideView.vue';
import { useTrain } from './useTrain.js';

/** The whole train to scale: shafts that can be dragged, what runs into what, and the files for a workshop. */
const { path, mechanism, stages } = useTrain();
const { show } = useDisplay();

const layout = computed(() => trainLayout(path.value));
const shapes = computed(() => (layout.value ? trainShapes(path.value, layout.value) : []));
const bounds = computed(() => boundsOf(shapes.value));
const gaps = computed(() => trainGaps(path.value));
const colliding = computed(() => gaps.value.filter(({ gap }) => gap < 0));

const view = ref<'end' | 'side' | 'unfolded'>('end');
const VIEWS = [
  { value: 'end' as const, text: 'End view' },
  { value: 'side' as const, text: 'Side view' },
  { value: 'unfolded' as const, text: 'Unfolded' },
];
</script>

<template>
  <p v-if="stages.length === 0" class="text-second">The motor drives straight: there is nothing to lay out.</p>
  <p v-else-if="!layout" class="text-second">
    A stage has no pitch yet, so it has no size. Give it one on the page of stages.
  </p>
  <template v-else>
    <div class="flex flex-wrap items-baseline gap-x-5">
      <ChoiceTabs v-model="view" :options="VIEWS" label="View of the layout" />
      <span class="figures text-sm text-second"
        >{{ show(bounds.width, 'length', 3) }} × {{ show(bounds.height, 'length', 3) }} in all</span
      >
      <LayoutExport
        class="ml-auto"
        :shapes="shapes"
        :layout="layout"
        :name="mechanism.name"
        :mount="path.fitting?.mount"
      />
    </div>
    <div class="grid min-h-0 grow gap-4 md:grid-cols-[minmax(0,1fr)_13rem]">
      <EndView v-if="view === 'end'" :layout="layout" :shapes="shapes" :gaps="gaps" />
      <SideView v-else :layout="layout" :unfolded="view === 'unfolded'" />
      <div class="text-sm" data-testid="clearances">
        <h3 class="font-semibold">Neighbours</h3>
        <p v-if="gaps.length === 0" class="text-second">No two wheels share a plane: they pass each other.</p>
        <ul>
          <li
            v-for="gap in gaps.slice(0, 6)"
            :key="gap.a + gap.b"
            class="border-b border-hair py-0.5"
            :class="gap.gap < 0 ? 'text-gives' : ''"
          >
            {{ gap.a }}, {{ gap.b }}:
            <span class="figures whitespace-nowrap">{{
              gap.gap < 0 ? `collide by ${show(-gap.gap, 'length', 2)}` : `${show(gap.gap, 'length', 2)} clear`
            }}</span>
          </li>
        </ul>
        <p v-if="colliding.length > 0" class="mt-1 text-xs">
          Turn a stage to another direction, or put its wheels in another plane: on the side view.
        </p>
        <p class="mt-2 text-xs text-second">
          Drag a shaft, or step it with the arrow keys: it turns by five degrees, and stops where a whole chain or a
          belt that is sold fits. Gears keep their distance.
        </p>
      </div>
    </div>
  </template>
</template>
