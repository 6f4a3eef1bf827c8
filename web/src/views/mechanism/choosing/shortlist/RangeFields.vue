<script lang="ts">
import type { WantId } from '@rough-gear/core';

/** A least and a greatest of a want, in SI; either may be open. */
export interface WantRange {
  readonly want: WantId;
  readonly least?: number;
  readonly most?: number;
}
</script>

<script setup lang="ts">
import { WANTS } from '@rough-gear/core';
import { computed, reactive, watch } from 'vue';
import { useDisplay } from '../../../../composables/useDisplay.js';
import { useMechanism } from '../../../../composables/useMechanism.js';
import { wantDimension } from './wantDisplay.js';

/** Narrows what was found by ranges: "up to 40", "at least 1.5". */
const { wants } = defineProps<{ wants: readonly WantId[] }>();
const ranges = defineModel<readonly WantRange[]>({ required: true });
const { path } = useMechanism();
const { parse } = useDisplay();
const typed = reactive<Partial<Record<WantId, string>>>({});

/** "40", "1.2 s": the bad end of a want; the good end is nobody's trouble. */
const read = computed(() =>
  wants.map((want) => {
    const text = typed[want]?.trim() ?? '';
    if (text === '') return { want, text };
    const parsed = parse(text, wantDimension(want, path.value) ?? 'number');
    return parsed.ok
      ? { want, text, si: parsed.si }
      : { want, text, said: `${parsed.reason}; for example ${parsed.example}` };
  }),
);
watch(read, (now) => {
  ranges.value = now.flatMap(({ want, si }) =>
    si === undefined ? [] : [WANTS[want].better === 'less' ? { want, most: si } : { want, least: si }],
  );
});
</script>

<template>
  <div class="flex flex-wrap items-baseline gap-x-3 gap-y-1 text-xs" role="group" aria-label="Narrow what was found">
    <span class="text-second">only</span>
    <label v-for="{ want, said } in read" :key="want" class="flex items-baseline gap-1 whitespace-nowrap">
      {{ WANTS[want].name }} {{ WANTS[want].better === 'less' ? 'up to' : 'at least' }}
      <input
        v-model="typed[want]"
        class="figures min-h-6 w-16 border-b border-ink bg-transparent"
        placeholder="any"
        :aria-invalid="said !== undefined"
        :title="said"
        autocomplete="off"
      />
    </label>
    <span
      v-for="{ want, said } in read.filter((one) => one.said)"
      :key="`${want}-said`"
      role="alert"
      class="text-gives"
      >{{ said }}</span
    >
  </div>
</template>
