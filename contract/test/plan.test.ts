import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  auditMotor,
  constantsOf,
  FIGURES,
  type Change,
  type MotorPart,
  type Plan,
} from '@rough-gear/core';
import { etagOf, partSchema, problemText, readPlan, readPlanText, revisionOf, type ShelfPart } from '../src/index.js';

const file = (path: string) => readFileSync(new URL(`../../${path}`, import.meta.url), 'utf8');
const heron = JSON.parse(file('contract/demo/heron.json')) as Plan;
const limpet = JSON.parse(file('contract/demo/limpet.json')) as Plan;
const at = (...keys: (string | number)[]) => keys;
const typed = (si: number) => ({ si, as: String(si), source: 'typed' });

/** A wrong document: what is changed, which field is named, and a word of the reason. */
const WRONG: readonly (readonly [name: string, change: Change, field: string, reason: RegExp])[] = [
  ['another format', { at: at('format'), to: 'other' }, 'format', /must be \[rough-gear-plan\].*other/],
  ['a later version', { at: at('version'), to: 5 }, 'version', /is 5, of a newer version.*up to 4/],
  [
    'a figure that only makes infinities',
    { at: at('mechanisms', 1, 'jobs', 0, 'mass'), to: typed(5e-324) },
    'mechanisms[1].jobs[0].mass.si',
    /0, or between 1e-12 and 1000000000000 in size/,
  ],
  [
    'a figure beyond any robot',
    { at: at('mechanisms', 1, 'jobs', 0, 'mass'), to: typed(1e13) },
    'mechanisms[1].jobs[0].mass.si',
    /between 1e-12/,
  ],
  [
    'a control character in a name',
    { at: at('mechanisms', 1, 'name'), to: 'Mast\u0001lift' },
    'mechanisms[1].name',
    /cannot be printed \(U\+0001\)/,
  ],
  ['half of a character', { at: at('note'), to: 'x\ud800' }, 'note', /cannot be printed \(U\+D800\)/],
  ['no name', { at: at('name') }, 'name', /is required/],
  ['an unknown key', { at: at('colour'), to: 'blue' }, 'colour', /is not allowed/],
  [
    'a mass of nothing',
    { at: at('mechanisms', 1, 'jobs', 0, 'mass'), to: typed(0) },
    'mechanisms[1].jobs[0].mass.si',
    /greater than 0.*0/,
  ],
  [
    'a mass in words',
    { at: at('mechanisms', 1, 'jobs', 0, 'mass', 'si'), to: 'heavy' },
    'mechanisms[1].jobs[0].mass.si',
    /must be a number.*heavy/,
  ],
  [
    'an efficiency over one',
    { at: at('mechanisms', 1, 'choices', 0, 'stages', 0, 'efficiency'), to: typed(1.2) },
    'mechanisms[1].choices[0].stages[0].efficiency.si',
    /less than or equal to 1/,
  ],
  [
    'half a tooth',
    { at: at('mechanisms', 1, 'choices', 0, 'stages', 0, 'driver'), to: 16.5 },
    'mechanisms[1].choices[0].stages[0].driver',
    /integer/,
  ],
  [
    'too few teeth',
    { at: at('mechanisms', 1, 'choices', 0, 'stages', 0, 'driver'), to: 3 },
    'mechanisms[1].choices[0].stages[0].driver',
    /6/,
  ],
  [
    'no motors',
    { at: at('mechanisms', 1, 'choices', 0, 'drive', 'motors'), to: 0 },
    'mechanisms[1].choices[0].drive.motors',
    /1/,
  ],
  [
    'an unknown source',
    { at: at('mechanisms', 1, 'jobs', 0, 'mass', 'source'), to: 'heard' },
    'mechanisms[1].jobs[0].mass.source',
    /must be one of/,
  ],
  [
    'an unknown stage',
    { at: at('mechanisms', 1, 'choices', 0, 'stages', 0, 'kind'), to: 'magic' },
    'mechanisms[1].choices[0].stages[0].kind',
    /magic/,
  ],
  [
    'an unknown chemistry',
    { at: at('parts', 'pack-1', 'part', 'chemistry'), to: 'coal' },
    'parts.pack-1.part.chemistry',
    /coal/,
  ],
  [
    'a stall current under the free current',
    { at: at('parts', 'motor-1', 'part', 'data', 'stallCurrent'), to: typed(1) },
    'parts.motor-1.part.data',
    /stall current must be greater than the free current/,
  ],
  [
    'a part that is not there',
    { at: at('mechanisms', 1, 'choices', 0, 'drive', 'motor'), to: 'motor-9' },
    'mechanisms[1].choices[0].drive.motor',
    /motor-9, which is not in the plan/,
  ],
  [
    'a part of another kind',
    { at: at('mechanisms', 1, 'choices', 0, 'drive', 'motor'), to: 'pack-1' },
    'mechanisms[1].choices[0].drive.motor',
    /is a pack; a motor is allowed/,
  ],
  [
    'a choice that is not there',
    { at: at('mechanisms', 1, 'current'), to: 'z' },
    'mechanisms[1].current',
    /none of its choices/,
  ],
  [
    'a tuning stage that is not there',
    { at: at('mechanisms', 1, 'choices', 0, 'tuning'), to: 's9' },
    'mechanisms[1].choices[0].tuning',
    /none of its stages/,
  ],
  [
    'a job of another kind of mechanism',
    { at: at('mechanisms', 0, 'jobs', 0), to: heron.mechanisms[1]!.jobs[0] },
    'mechanisms[0].jobs[0].kind',
    /does no raise/,
  ],
  [
    'another output',
    { at: at('mechanisms', 1, 'choices', 0, 'output'), to: { kind: 'wheels' } },
    'mechanisms[1].choices[0].output.kind',
    /ends in drum/,
  ],
  ['an id twice', { at: at('mechanisms', 1, 'id'), to: 'drive' }, 'mechanisms[1].id', /used twice/],
  [
    'a branch that hangs in the air',
    { at: at('supply', 2, 'parent'), to: 'nowhere' },
    'supply[2].parent',
    /does not lead to a pack/,
  ],
  [
    'a supply that runs in a circle',
    { at: at('supply', 1, 'parent'), to: 'branch-lift' },
    'supply[1].parent',
    /does not lead to a pack/,
  ],
];

describe('the plan document', () => {
  it.each([
    ['heron', heron],
    ['limpet', limpet],
  ] as const)('takes the demo %s as it is', (_name, plan) => {
    expect(readPlan(plan)).toEqual({ ok: true, plan });
  });

  it.each(WRONG)('refuses %s by field and reason', (_name, change, field, reason) => {
    const read = readPlan(applyChanges(heron, [change]));
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.problems).toContainEqual({ field, reason: expect.stringMatching(reason) as string });
  });

  it('names every field that is wrong, a line each', () => {
    const read = readPlan(
      applyChanges(heron, [
        { at: ['name'], to: '' },
        { at: ['mechanisms', 1, 'jobs', 0, 'time'], to: typed(-1) },
      ]),
    );
    expect(!read.ok && problemText(read.problems).split('\n')).toHaveLength(2);
  });

  it('says where a file is no JSON', () => {
    expect(readPlanText('{"format": ')).toMatchObject({
      ok: false,
      problems: [{ field: 'file', reason: expect.stringContaining('is not JSON') as string }],
    });
  });

  it('has its revision in the ETag, and only there', () => {
    expect(revisionOf(etagOf(12))).toBe(12);
    expect(revisionOf('"12"')).toBeUndefined();
    expect(revisionOf('W/"r12"')).toBeUndefined();
  });
});

describe('the shelf', () => {
  const shelf = (JSON.parse(file('contract/demo/shelf.json')) as { parts: ShelfPart[] }).parts;
  const count = (kind: string) => shelf.filter(({ part }) => part.kind === kind).length;
  const motors = shelf.map(({ part }) => part).filter((part): part is MotorPart => part.kind === 'motor');

  it('holds at least 12 motors, 6 controllers and 6 packs', () => {
    expect([count('motor') >= 12, count('controller') >= 6, count('pack') >= 6]).toEqual([true, true, true]);
  });

  it.each(shelf.map((item) => [item.id, item.part] as const))('%s is of the schema', (_id, part) => {
    expect(partSchema.validate(part, { convert: false }).error).toBeUndefined();
  });

  it.each(motors.map((part) => [part.name, part] as const))('%s passes the audit', (_name, part) => {
    const constants = constantsOf(part)!;
    expect(auditMotor(constants)).toMatchObject({ verdict: 'plausible', findings: [] });
  });
});

describe('the page of figures', () => {
  it('lists every figure of the table', () => {
    const page = file('docs/figures.md');
    for (const key of Object.keys(FIGURES)) expect(page).toContain(`\`${key}\``);
  });
});

describe('what is said of a document', () => {
  it('is short, whatever the document holds', () => {
    const long = 'x'.repeat(100_000);
    for (const change of [
      { at: ['format'], to: long },
      { at: [long], to: 1 },
      { at: ['mechanisms', 0, 'kind'], to: long },
      { at: ['mechanisms', 0, 'current'], to: long },
      { at: ['mechanisms', 0, 'choices', 0, 'drive', 'motor'], to: long },
      { at: ['parts', long], to: heron.parts[Object.keys(heron.parts)[0]!] },
    ]) {
      const read = readPlan(applyChanges(heron, [change]));
      expect(read.ok).toBe(false);
      expect(problemText(read.ok ? [] : read.problems).length).toBeLessThan(1000);
    }
  });

  it('has nothing against line breaks and letters of any language', () => {
    const named = applyChanges(heron, [
      { at: ['name'], to: 'Reiher 鷺 🦩' },
      { at: ['note'], to: 'one\n\ttwo\r\n' },
    ]);
    expect(readPlan(named).ok).toBe(true);
  });

  it('names no part by what every object has', () => {
    for (const id of ['constructor', '__proto__', 'toString']) {
      const read = readPlan(applyChanges(heron, [{ at: ['mechanisms', 1, 'choices', 0, 'drive', 'motor'], to: id }]));
      expect(problemText(read.ok ? [] : read.problems)).toContain(`names the part ${id}, which is not in the plan`);
    }
    const own = JSON.parse(JSON.stringify(heron).replace('"pack-1":', '"__proto__":')) as unknown;
    expect(readPlan(own).ok).toBe(false);
  });
});
