import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { PART_KINDS, type Part, type PartKind, randomFrom } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { partSchema } from '../src/index.js';
import type { ShelfPart } from '../src/api/api.js';
import {
  cellOf,
  differencesOf,
  fieldsOf,
  fieldsOfPart,
  KIND_NAMES,
  readCell,
  valueAt,
  withValue,
} from '../src/shelf/index.js';
import { exportCsv, importCsv } from '../src/shelf/files.js';
import { guarded, withoutGuard } from '../src/shelf/formulas.js';

const shelf = (
  JSON.parse(readFileSync(new URL('../demo/shelf.json', import.meta.url), 'utf8')) as {
    parts: { id: string; revision: number; part: Part }[];
  }
).parts.map((item): ShelfPart => ({ ...item, own: false, common: false, retired: false }));
const ofKind = (kind: PartKind) => shelf.filter(({ part }) => part.kind === kind);
const own = (kind: PartKind) => ofKind(kind).map((item): ShelfPart => ({ ...item, own: true }));
const field = (kind: PartKind, key: string) => fieldsOf(kind).find((one) => one.key === key)!;

/** Every value in a part by its keys; quantities, lists of rows and plain values are leaves. */
function leavesOf(node: unknown, at = ''): readonly string[] {
  if (typeof node !== 'object' || node === null || 'si' in node) return [at];
  if (Array.isArray(node) && typeof node[0] !== 'object') return [at];
  const rows = Array.isArray(node) && ('on' in node[0] || 'driver' in node[0]);
  if (rows) return [at];
  return Object.entries(node).flatMap(([key, inner]) => leavesOf(inner, at === '' ? key : `${at}.${key}`));
}

describe('The fields of parts', () => {
  it.each(PART_KINDS)('of a %s know everything that one on the shelf says', (kind) => {
    expect(KIND_NAMES[kind].length).toBeGreaterThan(3);
    expect(ofKind(kind).length).toBeGreaterThan(0);
    const keys = new Set(fieldsOf(kind).map(({ key }) => key));
    for (const { part, id } of ofKind(kind))
      expect(
        leavesOf(part).filter((key) => key !== 'kind' && !keys.has(key)),
        id,
      ).toEqual([]);
  });

  it.each(PART_KINDS)('of a %s are figures the schema takes, one by one', (kind) => {
    const [{ part } = { part: undefined }] = ofKind(kind);
    for (const one of fieldsOfPart(part!)) {
      const sample = {
        figure: { si: 0.5, as: '0.5', source: 'typed' },
        count: 20,
        text: 'a word',
        yes: true,
        choice: one.type.is === 'choice' ? one.type.options[0] : '',
        words: one.type.is === 'words' ? one.type.options : [],
        counts: [12, 14],
        switches: [{ value: 8, on: '101' }],
        pairs: [{ driver: 10, driven: 40 }],
      }[one.type.is];
      const { error } = partSchema.validate(withValue(part, one.key, sample), { convert: false });
      const said = error?.message ?? '';
      // A single figure may disagree with its neighbours, but it must be one that is known there.
      expect(said, one.key).not.toMatch(/is not allowed$/);
    }
  });

  it('read and set what a key leads to', () => {
    const { part } = ofKind('servo')[0]!;
    expect(valueAt(part, 'points.0.voltage')).toEqual(part.kind === 'servo' && part.points[0]!.voltage);
    expect(valueAt(part, 'points.9.voltage')).toBeUndefined();
    const changed = withValue({ kind: 'servo' }, 'points.0.voltage', 6);
    expect(changed).toEqual({ kind: 'servo', points: [{ voltage: 6 }] });
    expect(withValue(changed, 'points.0.voltage', undefined)).toEqual({ kind: 'servo', points: [{}] });
  });
});

describe('A cell', () => {
  it('takes a bare number in its column’s unit, and any other unit where it says so', () => {
    const torque = field('motor', 'data.stallTorque');
    const si = (text: string, unit: string) => {
      const read = readCell(torque, text, unit);
      return read.ok ? (read.value as { si: number }).si : read.reason;
    };
    expect(si('2.1', 'N·m')).toBeCloseTo(2.1, 12);
    expect(si('600', 'oz-in')).toBeCloseTo(4.2369, 4);
    expect(si('600 oz-in', 'N·m')).toBeCloseTo(4.2369, 4);
    expect(si('600,5', 'oz-in')).toBeCloseTo(4.24046, 4);
    expect(si('1,120', 'oz-in')).toContain('1,120');
    expect(si('2.1e-1', 'N·m')).toBeCloseTo(0.21, 12);
    expect(si('much', 'N·m')).toContain('for example 4.2 N·m');
  });

  it('keeps the source, and refuses one that is none', () => {
    const mass = field('motor', 'mass');
    expect(readCell(mass, '1.2', 'kg', 'measured: on the scale')).toMatchObject({
      ok: true,
      value: { si: 1.2, source: 'measured', from: 'on the scale' },
    });
    expect(readCell(mass, '1.2', 'kg', 'hearsay')).toMatchObject({ ok: false });
  });

  it('says what it would take instead', () => {
    expect(readCell(field('motor', 'type'), 'steam', '')).toEqual({
      ok: false,
      reason: '“steam” is not among brushed, brushless',
    });
    expect(readCell(field('motor', 'owned'), 'two', '')).toMatchObject({ ok: false });
    expect(readCell(field('motor', 'sensors'), 'maybe', '')).toMatchObject({ ok: false });
    expect(readCell(field('series', 'sizes'), '12; x', '')).toMatchObject({ ok: false });
    expect(readCell(field('driver', 'stepSwitches'), '8: 101', '')).toMatchObject({ ok: false });
    expect(readCell(field('servo', 'inside'), '10-40', '')).toMatchObject({ ok: false });
    expect(readCell(field('controller', 'drives'), 'brushed; steam', '')).toMatchObject({ ok: false });
  });

  it('goes to its text and back', () => {
    fc.assert(
      fc.property(fc.double({ min: 1e-6, max: 1e5, noNaN: true }), (value) => {
        for (const one of fieldsOf('motor').filter(({ type }) => type.is === 'figure')) {
          const unit = one.type.is === 'figure' && one.type.dimension === 'mass' ? 'kg' : undefined;
          if (unit === undefined) continue;
          const text = cellOf(one, { si: value, as: '', source: 'typed' });
          const read = readCell(one, text, unit);
          expect(read.ok && (read.value as { si: number }).si / value).toBeCloseTo(1, 9);
        }
      }),
      { numRuns: 60 },
    );
  });
});

describe('A file of parts', () => {
  it.each(PART_KINDS)('of kind %s goes out and comes in as it was', (kind) => {
    const parts = own(kind);
    const report = importCsv(kind, exportCsv(kind, parts), parts);
    expect(report.problems).toEqual([]);
    for (const line of report.lines) expect(line).toMatchObject({ does: 'same', problems: [], differences: [] });
    expect(report.lines.length).toBe(parts.length);
    expect(report.sound).toBe(true);
  });

  it.each(PART_KINDS)('of kind %s without ids makes the same parts anew', (kind) => {
    const parts = own(kind);
    const text = exportCsv(
      kind,
      parts.map((item) => ({ ...item, id: '' })),
    );
    const report = importCsv(kind, text, []);
    expect(report.sound, JSON.stringify(report.lines.flatMap(({ problems }) => problems))).toBe(true);
    report.lines.forEach((line, i) => {
      expect(line.does).toBe('new');
      expect(differencesOf(parts[i]!.part, line.part!)).toEqual([]);
    });
  });

  const motors = own('motor');
  const csv = (rows: string) => `name,type,figures by,rated volts (V),free speed (rpm),stall torque (oz-in)\n${rows}`;

  it('has its units in the header, and takes others there', () => {
    expect(exportCsv('motor', motors).split('\r\n')[0]).toContain('stall torque (N·m),stall torque source');
    const { lines } = importCsv('motor', csv('own,brushed,sheet,12,5800,100'), []);
    const part = lines[0]!.part!;
    expect(part.kind === 'motor' && part.data.form === 'sheet' && part.data.stallTorque!.si).toBeCloseTo(0.70616, 4);
  });

  it('says line by line what would change', () => {
    const text = exportCsv('motor', motors).replace('brushed 12 V, 64 mm can"', 'brushed 12 V, 64 mm"');
    const { lines } = importCsv('motor', text, motors);
    const changed = lines.filter(({ does }) => does === 'changed');
    expect(changed).toHaveLength(1);
    expect(changed[0]!.differences).toEqual([
      { key: 'name', label: 'name', before: 'brushed 12 V, 64 mm can', after: 'brushed 12 V, 64 mm' },
    ]);
  });

  it('is refused whole where a line is not understood, with the line, the column and what would be', () => {
    const report = importCsv(
      'motor',
      csv('good,brushed,sheet,12,5800,100\n,brushed,sheet,12,5800,100\nbad,steam,sheet,12,fast,-3'),
      [],
    );
    expect(report.sound).toBe(false);
    expect(report.lines.map(({ line, does }) => [line, does])).toEqual([
      [2, 'new'],
      [3, 'not understood'],
      [4, 'not understood'],
    ]);
    expect(report.lines[1]!.problems.join()).toContain('name');
    expect(report.lines[2]!.problems.join('\n')).toMatch(/type: “steam” is not among brushed, brushless/);
    expect(report.lines[2]!.problems.join('\n')).toMatch(/free speed: “fast”|free speed: .*fast/);
    const negative = importCsv('motor', csv('bad,brushed,sheet,12,5800,-3'), []);
    expect(negative.lines[0]!.problems.join()).toMatch(/stall torque: .*greater than 0/);
  });

  it('is refused for what concerns the whole of it', () => {
    expect(importCsv('motor', '', []).problems).toEqual(['the file is empty']);
    expect(importCsv('motor', 'name,colour\na,red', []).problems).toEqual(['the column “colour” is not known']);
    expect(importCsv('motor', 'type\nbrushed', []).problems).toContain('there is no column “name”');
    expect(importCsv('motor', 'name,mass (furlong)\na,1', []).problems).toEqual([
      'the unit of the column “mass (furlong)” is not understood',
    ]);
    expect(importCsv('motor', `name,type\n"a,brushed`, []).sound).toBe(false);
    expect(importCsv('motor', 'name,type,figures by\na,brushed,sheet,extra', []).lines[0]!.problems[0]).toContain(
      'more cells than the header',
    );
  });

  it('knows its parts by id: unknown ids and ids twice are refused', () => {
    const line = (id: string) => `${id},a motor,brushed,sheet`;
    const text = `id,name,type,figures by\n${line('nobody')}\n${line('motor-brushed-64')}\n${line('motor-brushed-64')}`;
    const { lines } = importCsv('motor', text, motors);
    expect(lines[0]!.problems[0]).toContain('there is no part nobody');
    expect(lines[1]!.does).toBe('changed');
    expect(lines[2]!.problems[0]).toContain('twice');
  });

  it('sets what a team says of a part that ships, but no figure of it', () => {
    const shipped = ofKind('motor');
    const text = (owned: string, torque: string) =>
      `id,name,type,figures by,owned,stall torque (N·m),stall torque source,common here\nmotor-brushed-64,"brushed 12 V, 64 mm can",brushed,sheet,${owned},${torque},sheet,yes`;
    const marked = importCsv('motor', text('5', '2.1'), shipped);
    expect(marked.sound).toBe(true);
    expect(marked.lines[0]!.differences.map(({ key }) => key)).toEqual(['owned', 'common']);
    const changed = importCsv('motor', text('5', '2.6'), shipped);
    expect(changed.lines[0]!.problems[0]).toContain('stall torque of a part that ships with the program');
  });

  it('never throws, whatever is in it', () => {
    fc.assert(
      fc.property(fc.constantFrom(...PART_KINDS), fc.string({ maxLength: 200 }), fc.string(), (kind, header, row) => {
        const report = importCsv(kind, `${header}\n${row}`, own(kind));
        expect(report.sound === (report.problems.length === 0 && report.lines.every(({ part }) => part))).toBe(true);
      }),
      { numRuns: 300 },
    );
  });
});

describe('Differences between two versions', () => {
  it('name the field, before and after, and a source that alone has changed', () => {
    const { part } = ofKind('motor')[0]!;
    const heavier = withValue(part, 'mass', { si: 1.3, as: '1.3 kg', source: 'measured' }) as Part;
    expect(differencesOf(part, heavier)).toEqual([{ key: 'mass', label: 'mass', before: '1.15 kg', after: '1.3 kg' }]);
    const measured = withValue(part, 'mass', { ...part.mass!, source: 'measured' }) as Part;
    expect(differencesOf(part, measured)).toEqual([
      { key: 'mass', label: 'mass', before: '1.15 kg (sheet)', after: '1.15 kg (measured)' },
    ]);
    expect(differencesOf(part, withValue(part, 'mass', undefined) as Part)[0]).toMatchObject({ after: 'not given' });
    expect(differencesOf(part, part)).toEqual([]);
    // In the units a person likes, whatever they were typed in.
    expect(differencesOf(part, heavier, 'inch')).toEqual([
      { key: 'mass', label: 'mass', before: '2.535 lb', after: '2.866 lb' },
    ]);
  });
});

describe('A file for spreadsheets', () => {
  const named = (name: string) =>
    own('wire')
      .slice(0, 1)
      .map((item) => ({ ...item, part: { ...item.part, name } }));

  it.each(['＝1+1', '＋1', '－cmd', '＠SUM(A1)', ' =1+1', '\u00a0=1+1', '\u200b@SUM(A1)', '\ufeff+cmd', '\t=1+1'])(
    'sees a formula in %j, too, and gives it back as it was',
    (cell) => {
      expect(guarded(cell)).toMatch(/^'/);
      expect(withoutGuard(guarded(cell))).toBe(cell);
      expect(withoutGuard(`'${cell}`)).toBe(cell);
    },
  );

  it.each(['5', '-5', '+5.5', '-.5e3', 'a = b', '3 = 3', 'motor, 12 V'])('sees none in %j', (cell) => {
    expect(guarded(cell)).toBe(cell);
  });

  it.each([
    ['4 mm;=1+1', "4 mm;'=1+1"],
    ["x; '@SUM(A1)|+cmd", "x; '@SUM(A1)|'+cmd"],
    ['a\t-cmd', "a\t'-cmd"],
    ["a;'=1", "a;''=1"],
    ['=a;=b', "'=a;'=b"],
    ['a;-5;+2.5e3', 'a;-5;+2.5e3'],
    ['a, -b', 'a, -b'],
  ])('guards %j behind the separator another program may take, too', (cell, written) => {
    expect(guarded(cell)).toBe(written);
    expect(withoutGuard(written)).toBe(cell);
  });

  it('gives back whatever it guarded', () => {
    const roll = randomFrom(20261201);
    const signs = [...";|\t'=+-@ a1", ', ', '\n', '＝'];
    for (let i = 0; i < 5000; i++) {
      const cell = Array.from(
        { length: 1 + Math.floor(roll() * 8) },
        () => signs[Math.floor(roll() * signs.length)],
      ).join('');
      expect(withoutGuard(guarded(cell))).toBe(cell);
    }
  });

  it.each(['=1+1', '+cmd', '-2+3', '@SUM(A1)', "'=quoted", "''twice", "'plain", '-', '- a dash', '+5', '-5.5e3'])(
    'holds the name %s so that nothing runs, and reads it back as it was',
    (name) => {
      const [item] = named(name);
      const file = exportCsv('wire', [item!]);
      const cell = file.split('\r\n')[1]!.split(',')[1]!.replace(/^"|"$/g, '');
      expect(/^[=@]/.test(cell)).toBe(false);
      if (/^[+-]/.test(cell)) expect(Number.isFinite(Number(cell))).toBe(true);
      const { lines, problems, sound } = importCsv('wire', file, [item!]);
      expect([problems, sound, lines[0]!.does]).toEqual([[], true, 'same']);
    },
  );

  it('says the line an editor shows, after empty lines and cells of several lines', () => {
    const text = 'name,note\n\n"one","a\nb\r\nc"\n\n\nbad,note,too many\n"two",x\n';
    const { lines } = importCsv('wire', text, []);
    expect(lines.map(({ line }) => line)).toEqual([3, 8, 9]);
    expect(lines[1]!.problems.join()).toContain('more cells');
  });

  it('says the line of a quote that does not close', () => {
    const { problems, sound } = importCsv('wire', 'name,note\none,x\n\n"two,y\nthree,z', []);
    expect(sound).toBe(false);
    expect(problems.join()).toMatch(/^line 4: /);
  });

  it('does not say back what it does not understand whole', () => {
    const { lines, problems } = importCsv('wire', `name,${'c'.repeat(9000)}\n${'n'.repeat(100_000)},x`, []);
    expect(JSON.stringify([lines, problems]).length).toBeLessThan(2000);
  });
});
