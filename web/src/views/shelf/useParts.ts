import type { ShelfPart } from '@rough-gear/contract/api';
import type { UnitSystem } from '@rough-gear/contract/units';
import { cellOf, fieldsOf, unitOf, valueAt, type PartField } from '@rough-gear/contract/shelf';
import type { Part, PartKind, Quantity } from '@rough-gear/core';
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

/** What is shown of a figure: three digits are enough to pick by. */
export function shortCell(field: PartField, part: Part, units: UnitSystem): string {
  const value = valueAt(part, field.key);
  if (value === undefined) return '';
  if (field.type.is === 'figure') return String(Number(Number(cellOf(field, value, units)).toPrecision(3)));
  if (field.type.is === 'counts') {
    const sizes = value as readonly number[];
    return sizes.length === 0 ? '' : `${sizes.length} · ${Math.min(...sizes)}–${Math.max(...sizes)}`;
  }
  return cellOf(field, value);
}

/** What a column is sorted by: figures by size, the rest by name. */
const sortValue = (field: PartField, part: Part): number | string | undefined => {
  const value = valueAt(part, field.key);
  if (value === undefined) return undefined;
  if (field.type.is === 'figure') return (value as Quantity).si;
  return typeof value === 'number' ? value : cellOf(field, value).toLowerCase();
};

/** A least and a greatest, in the column's unit; either may be open. */
export type Range = readonly [least: number | undefined, most: number | undefined];

const helper = createColumnHelper<ShelfPart>();

/** The table of one kind: sorted, narrowed by words and by ranges of figures. */
export function useParts(
  kind: PartKind,
  parts: Ref<readonly ShelfPart[]>,
  shown: Ref<(item: ShelfPart) => boolean>,
  units: Ref<UnitSystem>,
) {
  const fields = fieldsOf(kind).filter(({ main }) => main);
  const sorting = ref<SortingState>([{ id: 'name', desc: false }]);
  const columnFilters = ref<ColumnFiltersState>([]);
  const globalFilter = ref('');
  const data = computed(() => parts.value.filter(shown.value));

  const columns = computed(() =>
    fields.map((field) =>
      helper.accessor(({ part }) => sortValue(field, part), {
        id: field.key,
        header: ['', field.label].includes(unitOf(field, units.value))
          ? field.label
          : `${field.label}, ${unitOf(field, units.value)}`,
        sortUndefined: 'last',
        sortingFn: field.type.is === 'figure' || field.type.is === 'count' ? 'basic' : 'alphanumeric',
        filterFn: (row, _id, [least, most]: Range) => {
          const value = valueAt(row.original.part, field.key);
          if (value === undefined) return false;
          const number = Number(field.type.is === 'figure' ? cellOf(field, value, units.value) : value);
          return number >= (least ?? -Infinity) && number <= (most ?? Infinity);
        },
        meta: { field },
      }),
    ),
  );
  const words = (item: ShelfPart): string =>
    [item.part.name, item.part.note ?? '', ...fields.map((field) => shortCell(field, item.part, units.value))]
      .join(' ')
      .toLowerCase();

  const table: Table<ShelfPart> = useVueTable<ShelfPart>({
    get data() {
      return data.value as ShelfPart[];
    },
    get columns() {
      return columns.value;
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
  return { table, fields, globalFilter };
}
