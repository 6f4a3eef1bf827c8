import { describe, expect, it } from 'vitest';
import type { Dimension } from '@rough-gear/core';
import { display, displayText, parseQuantity, scaleOf, UNITS, unitsOf } from '../src/units/index.js';

const rpm = Math.PI / 30;
const degree = Math.PI / 180;

/** What people type, the field they type it in, and the SI value it means. */
const UNDERSTOOD: readonly (readonly [text: string, dimension: Dimension, si: number])[] = [
  ['600 oz-in', 'torque', 4.2369311],
  ['600 oz·in', 'torque', 4.2369311],
  ['4.2 N·m', 'torque', 4.2],
  ['4.2Nm', 'torque', 4.2],
  ['420 N·cm', 'torque', 4.2],
  ['18 kgf cm', 'torque', 1.765197],
  ['18 kg-cm', 'torque', 1.765197],
  ['3 ft-lb', 'torque', 4.0674538],
  ['3 lb-ft', 'torque', 4.0674538],
  ['20 lb-in', 'torque', 2.2596966],
  ['350 mN·m', 'torque', 0.35],
  ['2', 'torque', 2],
  ['4,2', 'torque', 4.2],
  ['5800 rpm', 'speed', 5800 * rpm],
  ['5800', 'speed', 5800 * rpm],
  ['5.8k rpm', 'speed', 5800 * rpm],
  ['12.300,5 rpm', 'speed', 12300.5 * rpm],
  ['12,300.5 rpm', 'speed', 12300.5 * rpm],
  ['0.14 s/60°', 'speed', Math.PI / 3 / 0.14],
  ['24 DP', 'length', 0.0254 / 24],
  ['10 > 40', 'ratio', 4],
  ['12 kmh', 'velocity', 12 / 3.6],
  ['12 kph', 'velocity', 12 / 3.6],
  ['.1s', 'time', 0.1],
  ['12 tpi', 'length', 0.0254 / 12],
  ['12 TPI, 4 starts', 'length', 0.0254 / 3],
  ['4 × 12 tpi', 'length', 0.0254 / 3],
  ['4 x 2 mm', 'length', 0.008],
  ['1 200 mm', 'length', 1.2],
  ['m 0.8', 'length', 0.0008],
  ['module 1,5', 'length', 0.0015],
  ['0,14 sec/60 deg', 'speed', Math.PI / 3 / 0.14],
  ['100 rad/s', 'speed', 100],
  ['360 deg/s', 'speed', 2 * Math.PI],
  ['10 rps', 'speed', 20 * Math.PI],
  ['1800 Kv', 'kv', 1800 * rpm],
  ['1800KV', 'kv', 1800 * rpm],
  ['1800 rpm/V', 'kv', 1800 * rpm],
  ['0.02 N·m/A', 'kv', 50],
  ['20 mNm/A', 'kv', 50],
  ['2.832 oz-in/A', 'kv', 1 / (2.832 * 0.007061551814226)],
  ['5800 rpm at 12 V', 'kv', (5800 * rpm) / 12],
  ['5.8k rpm @ 12V', 'kv', (5800 * rpm) / 12],
  ['12 V', 'voltage', 12],
  ['12volts', 'voltage', 12],
  ['3S', 'voltage', 11.1],
  ['6s', 'voltage', 22.2],
  ['40 A', 'current', 40],
  ['40amps', 'current', 40],
  ['250 mA', 'current', 0.25],
  ['42 mΩ', 'resistance', 0.042],
  ['42', 'resistance', 0.042],
  ['0.042 ohm', 'resistance', 0.042],
  ['0.05 Ω', 'resistance', 0.05],
  ['20 kg', 'mass', 20],
  ['12 lb', 'mass', 5.4431084],
  ['12 lbs', 'mass', 5.4431084],
  ['350 g', 'mass', 0.35],
  ['8 oz', 'mass', 0.2267962],
  ['12 lb', 'force', 53.3786594],
  ['34 lbf', 'force', 151.2395],
  ['15 kg', 'force', 147.09975],
  ['150 N', 'force', 150],
  ['1.2 kN', 'force', 1200],
  ['8 oz', 'force', 2.2241108],
  ['55 in', 'length', 1.397],
  ['55"', 'length', 1.397],
  ['1 3/4 in', 'length', 0.04445],
  ['3/8 in', 'length', 0.009525],
  ['4\'7"', 'length', 1.397],
  ['4 ft 7 in', 'length', 1.397],
  ['22 mm', 'length', 0.022],
  ['1,35 m', 'length', 1.35],
  ['135 cm', 'length', 1.35],
  ['1.6 s', 'time', 1.6],
  ['2 min', 'time', 120],
  ['2:30', 'time', 150],
  ['250 ms', 'time', 0.25],
  ['20°', 'angle', 20 * degree],
  ['20 deg', 'angle', 20 * degree],
  ['0.35 rad', 'angle', 0.35],
  ['0.8 m/s', 'velocity', 0.8],
  ['2.6 ft/s', 'velocity', 0.79248],
  ['5 mph', 'velocity', 2.2352],
  ['1.2 m/s²', 'acceleration', 1.2],
  ['1.2 m/s2', 'acceleration', 1.2],
  ['0.6 kg·cm²', 'inertia', 6e-5],
  ['0.2 lb-in²', 'inertia', 5.852793e-5],
  ['120 °C', 'temperature', 120],
  ['68 °F', 'temperature', 20],
  ['18 Ah', 'charge', 64800],
  ['5000 mAh', 'charge', 18000],
  ['95 %', 'share', 0.95],
  ['95', 'share', 0.95],
  ['.95', 'share', 0.95],
  ['35:12', 'ratio', 35 / 12],
  ['9.4:1', 'ratio', 9.4],
  ['9.4', 'ratio', 9.4],
  ['16 → 54', 'ratio', 3.375],
  ['27 to 1', 'ratio', 27],
  ['14 AWG', 'gauge', 14],
  ['AWG 14', 'gauge', 14],
  ['#14', 'gauge', 14],
  ['14', 'gauge', 14],
  ['0.5 hp', 'power', 372.8499],
  ['1.5 mA·s/rad', 'drag', 0.0015],
  ['−5 N', 'force', -5],
];

/** What is refused, and a word of the reason. */
const REFUSED: readonly (readonly [text: string, dimension: Dimension, reason: RegExp])[] = [
  ['', 'mass', /nothing was typed/],
  ['   ', 'mass', /nothing was typed/],
  ['heavy', 'mass', /does not start with a number/],
  ['NaN', 'mass', /does not start with a number/],
  ['1,120', 'torque', /is 1,120 1120 or 1\.120\?/],
  ['1,120 rpm', 'speed', /1120 or 1\.120/],
  ['12 V', 'torque', /“V” is not understood as a torque/],
  ['12 kg', 'length', /not understood as a length/],
  ['12 bananas', 'mass', /“bananas” is not understood/],
  ['1.2.3 kg', 'mass', /no single number/],
  ['3/0 in', 'length', /over nothing/],
  ['1e999 kg', 'mass', /no finite number/],
  ['1e15 kg', 'mass', /beyond anything a robot has/],
  ['5 N', 'ratio', /has no place here/],
  ['12 kg kg', 'mass', /not understood as a mass/],
];

describe('a bare number', () => {
  it('takes the unit that stands in the field', () => {
    expect(parseQuantity('44', 'length', 'metric', 'mm')).toMatchObject({ si: 0.044, as: '44 mm' });
    expect(parseQuantity('1200', 'length', 'metric', 'mm')).toMatchObject({ si: 1.2, as: '1200 mm' });
    expect(parseQuantity('44', 'length', 'metric', 'm')).toMatchObject({ si: 44, as: '44 m' });
    expect(parseQuantity('44', 'length')).toMatchObject({ si: 44, as: '44 m' });
    expect(parseQuantity('2', 'length', 'inch', 'in')).toMatchObject({ si: 0.0508, as: '2 in' });
  });

  it.each<[string, Dimension, 'metric' | 'inch', string, number, readonly string[]]>([
    ['50', 'mass', 'metric', 'kg', 0.4, ['50 g', '50 kg']],
    ['12', 'mass', 'inch', 'lb', 0.2, ['12 oz', '12 lb']],
    ['0.05', 'length', 'metric', 'mm', 0.04, ['0.05 m', '0.05 mm']],
    ['5000', 'charge', 'metric', 'Ah', 64_800, ['5000 mAh', '5000 Ah']],
    ['600', 'current', 'metric', 'A', 1.8, ['600 mA', '600 A']],
    ['0.04', 'resistance', 'metric', 'mΩ', 0.05, ['0.04 ohm', '0.04 mΩ']],
    ['300', 'time', 'metric', 's', 0.5, ['300 ms', '300 s']],
    ['30', 'torque', 'metric', 'N·m', 0.2, ['30 N·cm', '30 N·m']],
  ])('far from what stands in the field is asked about: %s, a %s', (typed, dimension, system, unit, near, choices) => {
    const read = parseQuantity(typed, dimension, system, unit, near);
    expect(read.ok ? undefined : read.choices).toEqual(choices);
    for (const choice of choices) expect(parseQuantity(choice, dimension, system, unit, near).ok, choice).toBe(true);
  });

  it.each<[string, Dimension, string, number]>([
    ['7', 'mass', 'kg', 0.4],
    ['1200', 'length', 'mm', 0.022],
    ['500', 'mass', 'kg', 20],
    ['0', 'mass', 'kg', 20],
    ['-3', 'mass', 'kg', 0.02],
    ['5', 'mass', 'kg', 0],
    ['90000', 'speed', 'rpm', 100],
  ])('is not asked about where no unit is nearer: %s, a %s', (typed, dimension, unit, near) => {
    expect(parseQuantity(typed, dimension, 'metric', unit, near).ok).toBe(true);
  });

  it('gives way to a unit that is typed', () => {
    expect(parseQuantity('2 in', 'length', 'metric', 'mm')).toMatchObject({ si: 0.0508, as: '2 in' });
  });

  it.each(Object.keys(UNITS) as Dimension[])('is kept as it was read, whatever is shown later: %s', (dimension) => {
    for (const system of ['metric', 'inch'] as const)
      for (const { label } of unitsOf(dimension, system))
        for (const typed of ['12', '0.5', '-3', '1/4']) {
          const read = parseQuantity(typed, dimension, system, label);
          if (!read.ok) continue;
          for (const other of ['metric', 'inch'] as const) {
            const again = parseQuantity(read.as, dimension, other);
            expect(again.ok && again.si, `${typed} ${label}, kept as ${read.as}`).toBeCloseTo(read.si, 9);
          }
        }
  });
});

describe('what people type', () => {
  it('is a table of at least eighty', () => {
    expect(UNDERSTOOD.length + REFUSED.length).toBeGreaterThanOrEqual(80);
  });

  it.each(UNDERSTOOD)('understands %j as a %s', (text, dimension, si) => {
    const parsed = parseQuantity(text, dimension);
    expect(parsed.ok, JSON.stringify(parsed)).toBe(true);
    if (parsed.ok) expect(Math.abs(parsed.si - si)).toBeLessThanOrEqual(1e-6 * Math.abs(si));
  });

  it.each(REFUSED)('refuses %j as a %s with the reason', (text, dimension, reason) => {
    const parsed = parseQuantity(text, dimension);
    expect(parsed).toMatchObject({ ok: false, reason: expect.stringMatching(reason) as string });
  });

  it('suggests only what would be understood', () => {
    for (const [text, dimension] of REFUSED) {
      const parsed = parseQuantity(text, dimension);
      if (parsed.ok) throw new Error(text);
      for (const suggested of [...parsed.example.split(' or '), ...(parsed.choices ?? [])]) {
        expect(parseQuantity(suggested, dimension), suggested).toMatchObject({ ok: true });
      }
    }
  });

  it.each(Object.entries(UNITS))('has examples for %s that parse', (dimension, { example }) => {
    for (const one of example.split(' or '))
      expect(parseQuantity(one, dimension as Dimension), one).toMatchObject({ ok: true });
  });

  it('asks with both readings, each of which then reads as said', () => {
    const parsed = parseQuantity('1,120 rpm', 'speed');
    expect(parsed).toMatchObject({ choices: ['1120 rpm', '1.120 rpm'] });
  });

  it('says what was understood in the units of the person', () => {
    expect(parseQuantity('600 oz-in', 'torque')).toMatchObject({ understood: '4.237 N·m' });
    expect(parseQuantity('4.237 N·m', 'torque', 'inch')).toMatchObject({ understood: '600 oz-in' });
    expect(parseQuantity('12', 'mass', 'inch')).toMatchObject({ understood: '12 lb' });
  });
});

describe('showing', () => {
  it('uses the unit of the system, and a small one below half of the first', () => {
    expect(displayText(1.35, 'length')).toBe('1.35 m');
    expect(displayText(0.022, 'length')).toBe('22 mm');
    expect(displayText(1.397, 'length', 'inch')).toBe('55 in');
    expect(displayText(20, 'temperature', 'inch')).toBe('68 °F');
    expect(display(0.912, 'share')).toEqual({ number: '91.2', unit: '%' });
    expect(displayText(35 / 12, 'ratio')).toBe('2.92:1');
  });

  it('reads back what it shows', () => {
    for (const [, dimension, si] of UNDERSTOOD) {
      for (const system of ['metric', 'inch'] as const) {
        const parsed = parseQuantity(displayText(si, dimension, system, 9), dimension, system);
        expect(
          parsed.ok && Math.abs(parsed.si - si) <= 1e-6 * Math.abs(si),
          `${displayText(si, dimension, system, 9)}`,
        ).toBe(true);
      }
    }
  });
});

describe('What a sheet writes short', () => {
  it.each([
    ['21 kg', 'torque', ['21 kg·cm']],
    ['21kg', 'torque', ['21 kg·cm']],
    ['90 oz', 'torque', ['90 oz-in']],
    ['0.1 s', 'speed', ['0.1 s/60°']],
    ['.12sec', 'turning', ['.12 s/60°']],
    ['0.10', 'turning', ['0.10 s/60°', '0.10 °/s']],
  ] as const)('%s as a %s is asked about, and each answer is understood', (text, dimension, choices) => {
    const parsed = parseQuantity(text, dimension);
    expect(parsed).toMatchObject({ ok: false, choices });
    for (const choice of choices) expect(parseQuantity(choice, dimension).ok, choice).toBe(true);
  });

  it('is not asked about where it means what it says', () => {
    for (const [text, dimension] of [
      ['21 kg', 'mass'],
      ['0.1 s', 'time'],
      ['430', 'turning'],
      ['0.5', 'speed'],
      ['21 kg·cm', 'torque'],
    ] as const)
      expect(parseQuantity(text, dimension).ok, text).toBe(true);
  });
});

describe('a long time', () => {
  it('is told in hours, and read back the same', () => {
    expect(displayText(360_000, 'time')).toBe('100 h');
    expect(displayText(7100, 'time')).toBe('7100 s');
    const read = parseQuantity('100 h', 'time');
    expect(read).toMatchObject({ ok: true, si: 360_000 });
    // A bare number takes the unit that stands in the field.
    expect(parseQuantity('120', 'time', 'metric', 'h')).toMatchObject({ ok: true, si: 432_000 });
    expect(parseQuantity('120', 'time', 'metric', 's')).toMatchObject({ ok: true, si: 120 });
  });
});

describe('a scale', () => {
  it('keeps the unit of the value it is chosen by, for all its neighbours', () => {
    const hours = scaleOf(9000, 'time');
    expect(hours.unit).toBe('h');
    expect([0, 1800, 9000].map(hours.at)).toEqual([0, 0.5, 2.5]);
    const metres = scaleOf(2, 'length');
    // By itself it would read 100 mm.
    expect([metres.unit, metres.at(0.1)]).toEqual(['m', 0.1]);
    expect(scaleOf(20, 'temperature', 'inch').at(0)).toBeCloseTo(32, 9);
  });
});
