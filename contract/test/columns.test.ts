import { describe, expect, it } from 'vitest';
import { readColumns, type ReadingColumn } from '../src/bench/index.js';

/** Tables of readings as loggers, spreadsheets and people write them. */

function columns(text: string): Readonly<Record<string, ReadingColumn>> {
  const read = readColumns(text);
  if (!read.ok) throw new Error(read.reason);
  return Object.fromEntries(read.columns.map((column) => [column.name, column]));
}
const RPM = Math.PI / 30;

describe('columns of readings', () => {
  it('with semicolons, commas as decimals and a row of units', () => {
    const read = columns('Zeit;Spannung;n\n[s];[mV];[rpm]\n0;12600;0\n0,5;12100,5;1200\n1;11980;1800');
    expect(read['Zeit']).toMatchObject({ unit: 's', dimension: 'time', values: [0, 0.5, 1] });
    expect(read['Spannung']!.values).toEqual([
      expect.closeTo(12.6, 9),
      expect.closeTo(12.1005, 9),
      expect.closeTo(11.98, 9),
    ]);
    expect(read['n']!.values[2]).toBeCloseTo(1800 * RPM, 6);
  });

  it('with the unit in the head: brackets, or after a stroke', () => {
    const read = columns('t_s,V,I (mA),speed [rpm]\n0,12,1500,300\n1,12,2500,600');
    expect(read['t']!.dimension).toBe('time');
    expect(read['V']!.values).toEqual([12, 12]);
    expect(read['I']!.values).toEqual([expect.closeTo(1.5, 9), expect.closeTo(2.5, 9)]);
    expect(read['speed']!.values[1]).toBeCloseTo(600 * RPM, 6);
  });

  it('pasted from a sheet without a head, by tabs', () => {
    const read = columns('1,5\t12,6\n20\t12,2');
    expect(Object.keys(read)).toEqual(['column 1', 'column 2']);
    expect(read['column 1']).toMatchObject({ values: [1.5, 20], dimension: undefined });
  });

  it('leaves out what is no reading, and says which line and why', () => {
    const read = readColumns('rpm,A\n100,1\n200,-.-\n300,3\n400\n500,5');
    expect(read).toMatchObject({
      ok: true,
      unread: [
        { line: 3, reason: 'A: "-.-" is no number' },
        { line: 5, reason: 'A: "" is no number' },
      ],
    });
    if (read.ok) expect(read.columns[1]!.values).toEqual([1, 3, 5]);
  });

  it('degrees of warmth have a zero of their own; pounds on a scale are a force', () => {
    const read = columns('temp [°F],pull (lb)\n212,10\n32,0');
    expect(read['temp']!.values).toEqual([expect.closeTo(100, 6), expect.closeTo(0, 6)]);
    expect(read['pull']!.values[0]).toBeCloseTo(44.482, 2);
  });

  it('refuses what has no number in it, with the reason', () => {
    expect(readColumns('')).toEqual({ ok: false, reason: 'there is no line in it' });
    expect(readColumns('a,b\nc,d')).toEqual({ ok: false, reason: 'no line of it has a number' });
  });

  it('reads a hundred thousand lines whole', () => {
    const lines = Array.from({ length: 100_000 }, (_, i) => `${i / 100},${12 - i / 1e5}`);
    const read = columns(`t_s,V\n${lines.join('\n')}`);
    expect(read['V']!.values).toHaveLength(100_000);
    expect(read['V']!.values.at(-1)).toBeCloseTo(12 - 99_999 / 1e5, 9);
  });
});
