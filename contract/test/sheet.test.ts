import { readFileSync } from 'node:fs';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { blankPart, fieldsOf } from '@rough-gear/contract/shelf';
import { readSheet, SHEET_KINDS, takeInto, type SheetKind, type Told } from '@rough-gear/contract/sheet';
import { parseQuantity } from '@rough-gear/contract/units';
import { part as partSchema } from '../src/plan/part.js';

/** Made-up sheets in different manners: shops' pages, makers' tables, notes; each with what a careful reader takes from it. */
const CORPUS = new URL('./sheet/corpus/', import.meta.url);
const expected = JSON.parse(readFileSync(new URL('expected.json', CORPUS), 'utf8')) as Record<
  string,
  { readonly fields: Record<string, number | string | boolean | string[]>; readonly doubtful: readonly string[] }
>;
const SAME = 0.001;

const agrees = (told: Told, wanted: unknown): boolean =>
  typeof wanted === 'number'
    ? told.si !== undefined && Math.abs(told.si - wanted) <= SAME * Math.abs(wanted)
    : JSON.stringify(told.value) === JSON.stringify(wanted);

const read = Object.entries(expected).map(([file, { fields, doubtful }]) => {
  const text = readFileSync(new URL(file, CORPUS), 'utf8');
  const reading = readSheet(file.replace(/-.*/, '') as SheetKind, text);
  const told = reading.found.filter(({ name }) => name !== 'name');
  return {
    file,
    reading,
    wrong: told
      .filter((one) => !(one.name in fields) || !agrees(one, fields[one.name]))
      .map(({ name, as }) => `${name}: ${as}`),
    missing: Object.keys(fields).filter((name) => !told.some((one) => one.name === name)),
    unasked: doubtful.filter((name) => !reading.doubtful.some((one) => one.name === name)),
  };
});

describe('Sheets in sixty manners', () => {
  it('are read without a single wrong figure', () => {
    expect(read.length).toBeGreaterThanOrEqual(60);
    expect(
      read.filter(({ wrong }) => wrong.length > 0).map(({ file, wrong }) => `${file}: ${wrong.join('; ')}`),
    ).toEqual([]);
  });

  it('give nearly all they say', () => {
    const wanted = Object.values(expected).reduce((sum, { fields }) => sum + Object.keys(fields).length, 0);
    const missing = read.flatMap(({ file, missing: names }) => names.map((name) => `${file}: ${name}`));
    expect(missing).toEqual([]);
    expect(wanted).toBeGreaterThanOrEqual(340);
  });

  it('are asked about where they leave a doubt', () => {
    expect(read.flatMap(({ file, unasked }) => unasked.map((name) => `${file}: ${name}`))).toEqual([]);
  });
});

describe('What is taken into a part', () => {
  const told = (text: string) => readSheet('motor', text).found;

  it('stands where the plan has it, with the line it came from', () => {
    const part = takeInto(
      blankPart('motor'),
      told('Yard can, brushed\nStall torque: 2.4 N·m\nStall current 130 A\nKv 480'),
    );
    expect(part).toMatchObject({
      name: 'Yard can, brushed',
      type: 'brushed',
      data: {
        form: 'sheet',
        stallTorque: { si: 2.4, as: '2.4 N·m', source: 'sheet', from: 'Stall torque: 2.4 N·m' },
        statedKv: { as: '480 Kv' },
      },
    });
  });

  it('is a plan’s part: its schema takes it, and its fields read what they show', () => {
    for (const kind of SHEET_KINDS)
      for (const file of Object.keys(expected).filter((name) => name.startsWith(kind))) {
        const { found } = readSheet(kind, readFileSync(new URL(file, CORPUS), 'utf8'));
        const { error } = partSchema.validate({ ...takeInto(blankPart(kind), found), name: 'a part' });
        expect(error?.message ?? '', file).not.toMatch(/must|not allowed|required/);
        for (const { name, si, as } of found) {
          const type = fieldsOf(kind).find(({ key }) => key === name || key === `data.${name}`)?.type;
          expect(type, `${file} ${name}`).toBeDefined();
          if (type?.is !== 'figure') continue;
          const again = parseQuantity(as, type.dimension);
          expect(again.ok && again.si, `${file} ${name}`).toBeCloseTo(si!, 9);
        }
      }
  });

  it('leaves no hole where a point in the middle is left out', () => {
    const { found } = readSheet('servo', 'Yard servo\nVoltage 5 / 6 / 7.4 V\nTorque 10 / 12 / 14 kg·cm');
    const taken = takeInto(
      blankPart('servo'),
      found.filter(({ name }) => !name.startsWith('points.1')),
    );
    expect(taken).toMatchObject({ points: [{ voltage: { si: 5 } }, { voltage: { si: 7.4 } }] });
    expect(partSchema.validate(taken).error).toBeUndefined();
  });

  it('keeps what a motor says in the way it is given, and drops what is of another', () => {
    const byTurns = takeInto(blankPart('motor'), told('Crawler can, brushed\nTurns: 35'));
    expect(byTurns).toMatchObject({ data: { form: 'turns', turns: { si: 35 } } });
    expect(takeInto(byTurns, told('Rm 40 mΩ\nKv 900'))).toMatchObject({ data: { form: 'kv', kv: { as: '900 Kv' } } });
  });
});

describe('Any text', () => {
  it('is read without falling over, and says nothing that is no number', () => {
    fc.assert(
      fc.property(
        fc.constantFrom(...SHEET_KINDS),
        fc.array(
          fc.constantFrom(
            'Kv',
            'Torque',
            ':',
            '\t',
            '|',
            '\n',
            ' ',
            '6 V',
            '@',
            '/',
            '-',
            '9.5',
            '1,200',
            'kg·cm',
            '(',
            ')',
            'A',
            '3S',
            '25C',
            '°',
            '±',
            '%',
            '  ',
            'Current (A)',
            'Torque (N·m)',
            'Speed (rpm)',
            'Stall current',
            '0',
          ),
          { maxLength: 60 },
        ),
        (kind, parts) => {
          const { found, doubtful } = readSheet(kind, parts.join(''));
          for (const { si } of [...found, ...doubtful.flatMap(({ choices }) => choices)])
            expect(si === undefined || Number.isFinite(si)).toBe(true);
          expect(new Set(found.map(({ name }) => name)).size).toBe(found.length);
        },
      ),
      { numRuns: 600 },
    );
  });
});

describe('A maker’s table of a motor', () => {
  /** Kt = 0.02 N·m/A, I0 = 2 A, ω0 = 10 000 rpm, 60 A at stall. */
  const row = (current: number, off = 1) => {
    const torque = 0.02 * (current - 2) * off;
    return `${current}\t${torque.toFixed(4)}\t${(10_000 * (1 - torque / 1.16)).toFixed(0)}`;
  };
  const tableOf = (...rows: readonly string[]) =>
    readSheet('motor', ['Yard motor, at 12 V', 'Current (A)\tTorque (N·m)\tSpeed (rpm)', ...rows].join('\n'));

  it('gives no load and stall where it has them', () => {
    const { found, doubtful } = tableOf(row(2), row(20), row(60));
    const si = (name: string) => found.find((one) => one.name === name)?.si;
    expect(doubtful).toEqual([]);
    expect([si('ratedVoltage'), si('freeCurrent'), si('stallCurrent')]).toEqual([12, 2, 60]);
    expect(si('stallTorque')).toBeCloseTo(1.16, 6);
  });

  it('is drawn through to both where it has neither, asked, with how far the worst row is off', () => {
    const { found, doubtful } = tableOf(row(5), row(10), row(20), row(30));
    expect(found.map(({ name }) => name)).not.toContain('stallTorque');
    const choice = (name: string) => doubtful.find((one) => one.name === name)!.choices[0]!.si!;
    expect(choice('freeCurrent')).toBeCloseTo(2, 1);
    expect(choice('stallCurrent')).toBeCloseTo(60, 0);
    expect(choice('stallTorque')).toBeCloseTo(1.16, 2);
    expect(doubtful[0]!.reason).toMatch(/through 4 rows of its table, the worst of them 0\.?0?\d* % off/);
    const bent = tableOf(row(5), row(10, 0.7), row(20), row(30));
    expect(Number(/them ([\d.]+) %/.exec(bent.doubtful[0]!.reason)![1])).toBeGreaterThan(2);
  });

  it('is left alone where its columns do not say their units', () => {
    const { found, doubtful, unread } = readSheet(
      'motor',
      'Yard motor\nCurrent\tTorque\tSpeed\n5\t0.06\t9500\n10\t0.16\t8600',
    );
    expect([...found.slice(1), ...doubtful]).toEqual([]);
    expect(unread).toHaveLength(3);
  });
});

describe('gears of resin', () => {
  const gearsOf = (line: string) => readSheet('servo', line).found.find(({ name }) => name === 'gears')?.value;
  it('are reinforced where the sheet says so, and plain plastic where not', () => {
    expect(gearsOf('Gears: reinforced resin')).toBe('reinforced resin');
    expect(gearsOf('carbon reinforced nylon gears')).toBe('reinforced resin');
    expect(gearsOf('nylon gears')).toBe('plastic');
    expect(gearsOf('Gear material: plastic')).toBe('plastic');
  });
});
