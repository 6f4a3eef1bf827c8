<script setup lang="ts">
import { ChevronDown, ChevronRight } from '@lucide/vue';
import { computed, ref } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import OrderTrack from './OrderTrack.vue';
import { useOrder, type TrackedLine } from './useOrder.js';

/** One line: what it is, how many, how far it has come; opened, what happens to it next. */
const { tracked } = defineProps<{ tracked: TrackedLine }>();
const { count, priced, mayChange } = useOrder();
const { say, show } = useDisplay();
const open = ref(false);
const line = computed(() => tracked.line);
/** Of a robot that nobody has ordered for nothing is said. */
const state = computed(() => {
  const { so } = tracked;
  if (!so) return [];
  return [
    ...(so.onTheirWay > 0 ? [`${count(line.value, so.onTheirWay)} on the way`] : []),
    ...(so.here > 0 ? [`${count(line.value, so.here)} came`] : []),
    ...(so.builtIn > 0 ? [`${count(line.value, so.builtIn)} built in`] : []),
    ...(so.last.note ? [so.last.note] : []),
  ];
});
const done = computed(() => line.value.toBuy === 0);
</script>

<template>
  <tr class="align-baseline" :data-line="tracked.id">
    <td class="px-1" aria-hidden="true">{{ done ? '☑' : '☐' }}</td>
    <th scope="row" class="px-1 text-left font-normal">
      <button
        v-if="mayChange"
        type="button"
        class="act inline-flex min-h-6 items-start gap-1 text-left"
        :aria-expanded="open"
        @click="open = !open"
      >
        <component :is="open ? ChevronDown : ChevronRight" :size="14" class="not-printed mt-0.5 shrink-0" />{{
          say(line.name)
        }}
      </button>
      <template v-else>{{ say(line.name) }}</template>
      <span v-if="state.length > 0" class="block pl-[1.125rem] text-xs text-second print:pl-0">{{
        state.join(' · ')
      }}</span>
      <span class="block pl-[1.125rem] text-xs text-second sm:hidden print:hidden"
        >{{ count(line, line.wanted) }} wanted, {{ count(line, line.spares) }} spare,
        {{ count(line, line.owned) }} owned</span
      >
    </th>
    <td class="figures hidden px-1 text-right whitespace-nowrap sm:table-cell print:table-cell">
      {{ count(line, line.wanted) }}
    </td>
    <td class="figures hidden px-1 text-right whitespace-nowrap sm:table-cell print:table-cell">
      {{ line.spares > 0 ? count(line, line.spares) : '–' }}
    </td>
    <td class="figures hidden px-1 text-right whitespace-nowrap sm:table-cell print:table-cell">
      {{ line.owned > 0 ? count(line, line.owned) : '–' }}
    </td>
    <td class="figures px-1 text-right font-semibold whitespace-nowrap">
      {{ line.toBuy > 0 ? count(line, line.toBuy) : 'all here' }}
    </td>
    <td class="figures px-1 text-right whitespace-nowrap">{{ priced(line.cost) }}</td>
    <td class="figures hidden px-1 text-right whitespace-nowrap sm:table-cell print:table-cell">
      {{ line.mass === undefined ? '–' : show(line.mass * line.wanted, 'mass') }}
    </td>
    <td class="hidden px-1 text-xs sm:table-cell print:table-cell">{{ line.of.join(', ') || 'the robot' }}</td>
  </tr>
  <tr v-if="open" class="not-printed">
    <td colspan="9" class="pb-2"><OrderTrack :tracked="tracked" /></td>
  </tr>
</template>
