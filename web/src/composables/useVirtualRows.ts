import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, type Ref } from 'vue';

/** Rows of a list of any length of which only those in view are drawn, and the room of those above and below. */
export function useVirtualRows(
  scroller: Ref<HTMLElement | undefined>,
  rows: () => {
    readonly count: number;
    readonly height: number;
    readonly overscan: number;
    key?(index: number): string | number;
  },
) {
  const virtual = useVirtualizer(
    computed(() => {
      const { count, height, overscan, key } = rows();
      return {
        count,
        getScrollElement: () => scroller.value ?? null,
        estimateSize: () => height,
        overscan,
        ...(key ? { getItemKey: key } : {}),
      };
    }),
  );
  /** What wraps is higher: a row is as high as it turns out. */
  const measure = (row: unknown): void => virtual.value.measureElement(row instanceof HTMLElement ? row : null);
  const items = computed(() => virtual.value.getVirtualItems());
  const above = computed(() => items.value[0]?.start ?? 0);
  const below = computed(() => virtual.value.getTotalSize() - (items.value.at(-1)?.end ?? 0));
  return { virtual, measure, items, above, below };
}
