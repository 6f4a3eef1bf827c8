<script setup lang="ts">
import type { PlanSummary } from '@rough-gear/contract/api';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, ref, watch } from 'vue';
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
const virtual = useVirtualizer(
  computed(() => ({
    count: rows.length,
    getScrollElement: () => scroller.value ?? null,
    estimateSize: () => 130,
    overscan: 6,
    getItemKey: (index: number) => rows[index]?.id ?? index,
  })),
);
const measure = (row: unknown): void => virtual.value.measureElement(row instanceof HTMLElement ? row : null);
const items = computed(() => virtual.value.getVirtualItems());
const above = computed(() => items.value[0]?.start ?? 0);
const below = computed(() => virtual.value.getTotalSize() - (items.value.at(-1)?.end ?? 0));
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
