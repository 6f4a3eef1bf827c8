import type { Figure, Ladder, Link, Rung, Verdict } from '@rough-gear/core';

/** Made-up states of the shared components, for the pattern page only. */

export const VERDICTS: readonly Verdict[] = ['enough', 'tight', 'gives way', 'not known'];

const base = {
  key: 'job.mass',
  label: 'load',
  symbol: 'm',
  dimension: 'mass',
  need: 'load',
  at: [],
  optional: false,
} as const;

export const FIGURES_SHOWN: readonly Figure[] = [
  { ...base, key: 'a', value: 20, source: 'typed', as: '20 kg' },
  { ...base, key: 'b', value: 9.07, source: 'sheet', as: '20 lb', from: 'sheet, page 2' },
  { ...base, key: 'c', value: 19.6, source: 'measured', as: '19.6 kg', from: 'bathroom scale' },
  { ...base, key: 'd', value: 18, source: 'estimated', from: 'half of last year’s' },
  { ...base, key: 'e', value: 15, source: 'typical', from: 'a usual crate' },
  { ...base, key: 'f', value: undefined, source: 'missing' },
  { ...base, key: 'g', value: undefined, source: 'missing', optional: true, label: 'optional figure' },
];

const rung = (id: Rung['id'], name: string, multiple: number, wants = 1.5, more: Partial<Rung> = {}): Rung => ({
  id,
  name,
  subject: name,
  link: 'motor',
  wants,
  goodFirst: true,
  multiple,
  capacity: multiple * 208,
  verdict: multiple < 1 ? 'gives way' : multiple < wants ? 'tight' : 'enough',
  outOfReach: false,
  lacks: [],
  ...more,
});

const ladder = (rungs: readonly Rung[], verdict: Verdict, more: Partial<Ladder> = {}): Ladder => ({
  situation: 'working',
  demand: 208,
  speed: 0.84,
  rungs,
  first: rungs[0],
  verdict,
  lacks: [],
  ...more,
});

export const LADDERS: readonly { readonly title: string; readonly ladder: Ladder; readonly before?: Ladder }[] = [
  {
    title: 'tight, with what moved',
    ladder: ladder(
      [
        rung('supply', 'pack-side limit', 1.22),
        rung('volts', 'motor, volts', 1.31),
        rung('rope', 'rope', 4),
        rung('stator', 'motor-side limit', 1.8, 1.5, { outOfReach: true }),
        rung('main-breaker', 'main breaker', 14),
      ],
      'tight',
    ),
    before: ladder([rung('supply', 'pack-side limit', 1.6), rung('volts', 'motor, volts', 1.4)], 'enough'),
  },
  {
    title: 'gives way',
    ladder: ladder(
      [
        rung('volts', 'motor, volts', 0.4),
        rung('supply', 'pack-side limit', 0.72),
        rung('stator', 'motor-side limit', 1.02),
      ],
      'gives way',
    ),
  },
  {
    title: 'crowded',
    ladder: ladder(
      [1.05, 1.1, 1.15, 1.2, 1.25, 2.2, 5, 7].map((multiple, i) =>
        rung(
          (['volts', 'stator', 'supply', 'brown-out', 'discharge', 'slip', 'rope', 'heat'] as const)[i]!,
          `limit ${i + 1}`,
          multiple,
        ),
      ),
      'tight',
    ),
  },
  { title: 'nothing asked', ladder: ladder([], 'enough', { idle: 'no load', demand: 0 }) },
];

export const LINKS: readonly Link[] = [
  {
    id: 'pack',
    kind: 'pack',
    title: 'Pack',
    detail: '12 V sealed lead',
    verdict: 'enough',
    used: 0.4,
    key: { there: { value: 11.8, dimension: 'voltage' }, join: 'at', other: { value: 34.6, dimension: 'current' } },
    passes: { value: 34.6, dimension: 'current' },
  },
  {
    id: 'controller',
    kind: 'controller',
    title: 'Controller',
    detail: 'pack-side 40 A',
    verdict: 'tight',
    used: 0.87,
    key: { there: { value: 34.6, dimension: 'current' }, join: 'of', other: { value: 40, dimension: 'current' } },
    passes: { value: 34.6, dimension: 'current' },
  },
  {
    id: 'motor',
    kind: 'motor',
    title: 'A motor with a long name',
    detail: 'brushed, one in all',
    verdict: 'gives way',
    used: 1.4,
    passes: { value: 0.59, dimension: 'torque' },
  },
  { id: 's1', kind: 'stage', title: 'Gears', detail: '16 → 54', passes: { value: 1.9, dimension: 'torque' } },
  { id: 'load', kind: 'load', title: 'Load', detail: '20 kg up 1.35 m', verdict: 'not known' },
];
