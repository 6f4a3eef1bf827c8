import type { ShelfPart } from '@rough-gear/contract/api';
import {
  createColumnHelper,
  getCoreRowModel,
  getFilteredRowModel,
  getSortedRowModel,
  useVueTable,
  type ColumnFiltersState,
  type SortingState,
  type Table,
} from '@tanstack/vue-table';
import { computed, ref, type Ref } from 'vue';
import type { PartColumn } from './columns.js';

/** A least and a greatest, in the column's unit; either may be open. */
export type Range = readonly [least: number | undefined, most: number | undefined];

const helper = createColumnHelper<ShelfPart>();

/** The table of one kind: sorted, narrowed by words and by ranges of any of its figures, shown or not. */
export function useParts(
  parts: Ref<readonly ShelfPart[]>,
  shown: Ref<(item: ShelfPart) => boolean>,
  columns: Ref<readonly PartColumn[]>,
  ranged: Ref<readonly PartColumn[]>,
) {
  const sorting = ref<SortingState>([{ id: 'name', desc: false }]);
  const columnFilters = ref<ColumnFiltersState>([]);
  const globalFilter = ref('');
  const data = computed(() => parts.value.filter(shown.value));
  /** What is only narrowed by stands in no cell. */
  const hidden = computed(() => ranged.value.filter(({ key }) => !columns.value.some((column) => column.key === key)));

  const defined = computed(() =>
    [...columns.value, ...hidden.value].map((column) =>
      helper.accessor(({ part }) => column.value(part), {
        id: column.key,
        header: column.header,
        sortUndefined: 'last',
        sortingFn: column.numeric ? 'basic' : 'alphanumeric',
        filterFn: (row, _id, [least, most]: Range) => {
          const value = column.value(row.original.part);
          return typeof value === 'number' && value >= (least ?? -Infinity) && value <= (most ?? Infinity);
        },
      }),
    ),
  );
  const words = ({ part }: ShelfPart): string =>
    [part.name, part.note ?? '', ...columns.value.map((column) => column.cell(part))].join(' ').toLowerCase();

  const table: Table<ShelfPart> = useVueTable<ShelfPart>({
    get data() {
      return data.value as ShelfPart[];
    },
    get columns() {
      return defined.value;
    },
    state: {
      get sorting() {
        return sorting.value;
      },
      get columnFilters() {
        return columnFilters.value;
      },
      get globalFilter() {
        return globalFilter.value;
      },
    },
    getRowId: ({ id }) => id,
    onSortingChange: (next) => (sorting.value = typeof next === 'function' ? next(sorting.value) : next),
    onColumnFiltersChange: (next) =>
      (columnFilters.value = typeof next === 'function' ? next(columnFilters.value) : next),
    globalFilterFn: (row, _id, said: string) =>
      said
        .toLowerCase()
        .split(/\s+/)
        .every((word) => words(row.original).includes(word)),
    getColumnCanGlobalFilter: () => true,
    getCoreRowModel: getCoreRowModel(),
    getFilteredRowModel: getFilteredRowModel(),
    getSortedRowModel: getSortedRowModel(),
    enableSortingRemoval: false,
  });
  return { table, globalFilter };
}
