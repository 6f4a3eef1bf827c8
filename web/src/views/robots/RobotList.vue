<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { ref, watch } from 'vue';
import { useVirtualRows } from '../../composables/useVirtualRows.js';
import RobotRow from './RobotRow.vue';

/** The robots, however many: only those in view are drawn. */
const { rows } = defineProps<{ rows: readonly (PlanSummary | undefined)[] }>();
const emit = defineEmits<{
  show: [first: number, last: number];
  rename: [plan: PlanSummary];
  duplicate: [plan: PlanSummary];
  remove: [plan: PlanSummary];
  export: [plan: PlanSummary];
}>();

const scroller = ref<HTMLElement>();
const { measure, items, above, below } = useVirtualRows(scroller, () => ({
  count: rows.length,
  height: 130,
  overscan: 6,
  key: (index) => rows[index]?.id ?? index,
}));
watch(
  () => [items.value[0]?.index ?? 0, items.value.at(-1)?.index ?? 0] as const,
  ([first, last]) => emit('show', first, last),
);
</script>

<template>
  <div ref="scroller" class="min-h-0 grow overflow-y-auto max-lg:h-[75vh]" data-testid="robots">
    <ul :style="{ paddingTop: `${above}px`, paddingBottom: `${below}px` }">
      <li
        v-for="item in items"
        :key="String(item.key)"
        :ref="measure"
        :data-index="item.index"
        :aria-setsize="rows.length"
        :aria-posinset="item.index + 1"
        class="pb-4"
      >
        <RobotRow
          v-if="rows[item.index]"
          :plan="rows[item.index]!"
          @rename="emit('rename', rows[item.index]!)"
          @duplicate="emit('duplicate', rows[item.index]!)"
          @remove="emit('remove', rows[item.index]!)"
          @export="emit('export', rows[item.index]!)"
        />
        <p v-else class="h-28 border border-hair p-4 text-second">…</p>
      </li>
    </ul>
  </div>
</template>
