import type { UnitSystem } from '@rough-gear/contract/units';
import { readFileSync } from 'node:fs';
import type { ShelfPart } from '@rough-gear/contract/api';
import { partSchema } from '@rough-gear/contract/plan';
import { blankPart, copyOfPart, fieldsOf } from '@rough-gear/contract/shelf';
import { PART_KINDS, type Part } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { computed, ref } from 'vue';
import { columnsOf, comparedColumns, fieldColumn } from '../src/views/shelf/columns.js';
import { useParts } from '../src/views/shelf/useParts.js';

const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as {
    parts: { id: string; revision: number; part: Part }[];
  }
).parts.map((item): ShelfPart => ({ ...item, own: false, common: false, retired: false }));
const motors = shelf.filter(({ part }) => part.kind === 'motor');
const field = (key: string) => fieldsOf('motor').find((one) => one.key === key)!;

describe('A part that is begun', () => {
  it.each(PART_KINDS)('of kind %s lacks nothing but its name', (kind) => {
    const { error } = partSchema.validate({ ...blankPart(kind), name: 'begun' }, { convert: false });
    expect(error?.message).toBeUndefined();
    expect(partSchema.validate(blankPart(kind)).error?.message).toMatch(/name/);
  });

  it('as a copy has a name of its own, no longer than allowed, and is owned by nobody', () => {
    const copy = copyOfPart({ ...motors[0]!.part, name: 'x'.repeat(120), owned: 4 });
    expect(copy.owned).toBeUndefined();
    expect(copy.name.length).toBeLessThanOrEqual(120);
    expect(copy.name).not.toBe('x'.repeat(120));
  });
});

describe('The table of parts', () => {
  const units = ref<UnitSystem>('metric');
  const made = (filter: (item: ShelfPart) => boolean = () => true) => {
    const shown = ref(filter);
    return useParts(
      ref(motors),
      computed(() => shown.value),
      computed(() => columnsOf('motor', units.value, 'main')),
      computed(() => columnsOf('motor', units.value, 'all')),
    );
  };
  const names = ({ table }: ReturnType<typeof made>) =>
    table.getRowModel().rows.map(({ original }) => original.part.name);

  it('heads its columns in the units that are liked', () => {
    const headers = () =>
      made()
        .table.getAllColumns()
        .map(({ columnDef }) => columnDef.header);
    expect(headers()).toContain('stall torque, N·m');
    units.value = 'inch';
    expect(headers()).toContain('stall torque, oz-in');
    units.value = 'metric';
  });

  it('shows three digits of a figure, and a list by its count and ends', () => {
    expect(fieldColumn(field('data.stallTorque'), 'metric').cell(motors[0]!.part)).toBe('2.1');
    expect(fieldColumn(field('data.stallTorque'), 'inch').cell(motors[0]!.part)).toBe('297');
    expect(fieldColumn(field('data.kv'), 'metric').cell(motors[0]!.part)).toBe('');
    const series = shelf.find(({ part }) => part.kind === 'series')!.part;
    const sizes = fieldsOf('series').find(({ key }) => key === 'sizes')!;
    expect(fieldColumn(sizes, 'metric').cell(series)).toMatch(/^\d+ · \d+–\d+$/);
  });

  it('tells every motor by the same figures, in the units that are liked, and leaves open what is not known', () => {
    const cellsOf = (part: Part, liked: UnitSystem) =>
      Object.fromEntries(comparedColumns(12, liked).map((column) => [column.header, column.cell(part)]));
    const { part } = motors.find((item) => item.part.name === 'brushed 12 V, 64 mm can')!;
    expect(cellsOf(part, 'metric')).toMatchObject({
      Kv: '493',
      'stall, N·m': '2.1',
      'stall, A': '118',
      'free, rpm': '5800',
    });
    expect(cellsOf(part, 'inch')).toMatchObject({ Kv: '493', 'stall, oz-in': '297' });
    const { mass: _mass, ...light } = part;
    expect(cellsOf(light as Part, 'metric')['power/mass, W/kg']).toBe('');
  });

  it('sorts by size and not by spelling, what has no figure last both ways', () => {
    const parts = made();
    for (const desc of [false, true]) {
      parts.table.setSorting([{ id: 'data.stallTorque', desc }]);
      const torques = parts.table
        .getRowModel()
        .rows.map(({ original: { part } }) =>
          part.kind === 'motor' && part.data.form === 'sheet' ? part.data.stallTorque?.si : undefined,
        );
      const known = torques.filter((value) => value !== undefined);
      expect(torques.slice(0, known.length)).toEqual([...known].sort((a, b) => (desc ? b - a : a - b)));
    }
  });

  it('narrows by every word said, and by a range of figures in the column’s unit', () => {
    const parts = made();
    parts.globalFilter.value = 'can 36 turns';
    expect(names(parts)).toHaveLength(8);
    parts.globalFilter.value = 'can 36 turns five';
    expect(names(parts)).toHaveLength(2);
    parts.globalFilter.value = 'nothing like this';
    expect(names(parts)).toEqual([]);
    parts.globalFilter.value = '';
    parts.table.setColumnFilters([{ id: 'data.stallTorque', value: [0.5, 1] }]);
    expect(names(parts)).toEqual(['brushed 12 V, 45 mm can']);
    parts.table.setColumnFilters([{ id: 'owned', value: [1, undefined] }]);
    expect(names(parts).length).toBe(motors.filter(({ part }) => (part.owned ?? 0) > 0).length);
  });

  it('leaves out what is not to be shown', () => {
    expect(names(made(({ part }) => part.name.startsWith('out'))).every((name) => name.startsWith('out'))).toBe(true);
  });
});
