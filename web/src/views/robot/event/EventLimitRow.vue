<script setup lang="ts">
import { EVENT_SUM_WORDS, quantityOf, type Dimension, type EventLimit, type Quantity } from '@rough-gear/core';
import { computed } from 'vue';
import MeasureField from '../../../components/fields/MeasureField.vue';
import { useDisplay } from '../../../composables/useDisplay.js';

/** One limit of the event: what it is of, how much, and the rule it comes from. */
const { limit } = defineProps<{ limit: EventLimit }>();
const emit = defineEmits<{ change: [limit: EventLimit]; remove: [] }>();
const { show } = useDisplay();

const LISTS = {
  wire: 'thinnest wire',
  motors: 'motors that may be used',
  packs: 'packs that may be used',
} as const;
const title = computed(() => (limit.kind === 'most' ? `most ${EVENT_SUM_WORDS[limit.of].name}` : LISTS[limit.kind]));
const dimension = computed((): Dimension =>
  limit.kind === 'most' ? (EVENT_SUM_WORDS[limit.of].dimension ?? 'number') : 'number',
);
const typed = (si: number, of: Dimension): Quantity => quantityOf(si, show(si, of, 5));
function setRule(event: Event): void {
  const rule = (event.target as HTMLInputElement).value.trim().slice(0, 200);
  emit('change', { ...limit, rule: rule === '' ? undefined : rule });
}
function setNames(event: Event): void {
  if (limit.kind !== 'motors' && limit.kind !== 'packs') return;
  const names = (event.target as HTMLTextAreaElement).value
    .split('\n')
    .map((name) => name.trim().slice(0, 120))
    .filter((name) => name !== '');
  emit('change', { ...limit, names: [...new Set(names)].slice(0, 200) });
}
</script>

<template>
  <div role="group" :aria-label="title" class="flex flex-wrap items-baseline gap-x-3 gap-y-1">
    <b class="min-w-44 font-semibold">{{ title }}</b>
    <template v-if="limit.kind === 'most'">
      <MeasureField
        :value="limit.most.si"
        :dimension="dimension"
        :label="title"
        label-hidden
        :at-least="0"
        class="w-20!"
        @read="emit('change', { ...limit, most: typed($event, dimension) })"
      />
      <label v-if="limit.of === 'mass'" class="flex items-baseline gap-1"
        ><input
          type="checkbox"
          :checked="limit.withPack === true"
          @change="emit('change', { ...limit, withPack: ($event.target as HTMLInputElement).checked })"
        />
        with the pack</label
      >
    </template>
    <template v-else-if="limit.kind === 'wire'">
      <MeasureField
        :value="limit.gauge.si"
        dimension="number"
        label="AWG, or thicker"
        :at-least="0"
        :most="36"
        class="w-12!"
        @read="emit('change', { ...limit, gauge: quantityOf(Math.round($event), `${Math.round($event)} AWG`) })"
      />
      <MeasureField
        :value="limit.breaker.si"
        dimension="current"
        label="behind a breaker from"
        class="w-16!"
        @read="emit('change', { ...limit, breaker: typed($event, 'current') })"
      />
    </template>
    <label class="flex grow items-baseline gap-1 text-second"
      >rule
      <input
        class="min-w-32 grow border-b border-line bg-transparent text-ink"
        maxlength="200"
        placeholder="where it stands"
        :value="limit.rule ?? ''"
        @change="setRule"
      />
    </label>
    <button type="button" class="act min-h-6" :aria-label="`Remove: ${title}`" @click="emit('remove')">remove</button>
    <label v-if="limit.kind === 'motors' || limit.kind === 'packs'" class="block w-full text-second"
      >names, one a line
      <textarea
        class="block w-full border border-line bg-transparent p-1 text-ink"
        rows="4"
        :value="limit.names.join('\n')"
        @change="setNames"
      />
    </label>
  </div>
</template>
