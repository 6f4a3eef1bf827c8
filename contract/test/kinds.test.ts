import { readFileSync } from 'node:fs';
import Ajv2019 from 'ajv/dist/2019.js';
import {
  applyChanges,
  jobsOf,
  MECHANISM_JOBS,
  proposeMechanism,
  quantityOf,
  WISHES,
  type Change,
  type MechanismKind,
  type Plan,
  type Shelved,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';
import { planJsonSchema } from '../src/plan/jsonSchema.js';

const read = (name: string) => JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8'));
const heron = read('heron') as Plan;
const { parts: shelf } = read('shelf') as { parts: Shelved[] };
const KINDS = Object.keys(WISHES) as MechanismKind[];
const VALUES = { mass: 3, distance: 0.5, time: 1, length: 0.4, angle: 1.5, exitSpeed: 8, every: 2, across: 0.4 };
const values = Object.fromEntries(Object.entries(VALUES).map(([key, si]) => [key, quantityOf(si, String(si))]));
const typed = (si: number) => ({ si, as: String(si), source: 'typed' });

/** Heron with one mechanism more, of a kind; its index is 7. */
function withKind(kind: MechanismKind): Plan {
  return applyChanges(heron, proposeMechanism(heron, { kind, name: kind, values }, shelf).changes);
}
const LAST = heron.mechanisms.length;
const jsonSchema = new Ajv2019({ strict: false, validateFormats: false }).compile(await planJsonSchema());

describe('a plan with a mechanism of every kind', () => {
  it.each(KINDS)('%s is accepted by the schema and by the published one alike', (kind) => {
    const plan = withKind(kind);
    const result = readPlan(plan);
    expect(result.ok ? [] : result.problems).toEqual([]);
    expect(jsonSchema(JSON.parse(JSON.stringify(plan))), JSON.stringify(jsonSchema.errors)).toBe(true);
  });

  it.each(KINDS)('%s refuses the job of another kind, naming what it does', (kind) => {
    const other = KINDS.find((one) => MECHANISM_JOBS[one].output !== MECHANISM_JOBS[kind].output)!;
    const foreign = withKind(other).mechanisms[LAST]!.jobs[0]!;
    const plan = applyChanges(withKind(kind), [{ at: ['mechanisms', LAST, 'jobs', 0], to: foreign }]);
    const result = readPlan(plan);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems).toContainEqual({
        field: `mechanisms[${LAST}].jobs[0].kind`,
        reason: `a ${kind} does no ${foreign.kind}; allowed: ${jobsOf(kind).join(', ')}`,
      });
  });

  it.each(KINDS)('%s refuses an output of another kind', (kind) => {
    const other = KINDS.find((one) => MECHANISM_JOBS[one].output !== MECHANISM_JOBS[kind].output)!;
    const output = withKind(other).mechanisms[LAST]!.choices[0]!.output;
    const result = readPlan(
      applyChanges(withKind(kind), [{ at: ['mechanisms', LAST, 'choices', 0, 'output'], to: output }]),
    );
    expect(result.ok ? [] : result.problems.map(({ field }) => field)).toContain(
      `mechanisms[${LAST}].choices[0].output.kind`,
    );
  });
});

const job = (...keys: (string | number)[]) => ['mechanisms', LAST, 'jobs', 0, ...keys];
const output = (...keys: (string | number)[]) => ['mechanisms', LAST, 'choices', 0, 'output', ...keys];

/** What a kind's own fields refuse: the change, the field that is named, and a word of the reason. */
const WRONG: readonly (readonly [kind: MechanismKind, change: Change, field: string, reason: RegExp])[] = [
  ['arm', { at: job('to'), to: typed(9) }, `mechanisms[${LAST}].jobs[0].to.si`, /less than or equal to/],
  ['arm', { at: job('payload'), to: typed(-1) }, `mechanisms[${LAST}].jobs[0].payload.si`, /0/],
  ['arm', { at: output('holder'), to: 'hope' }, `mechanisms[${LAST}].choices[0].output.holder`, /must be one of/],
  ['lift', { at: job('direction'), to: 'sideways' }, `mechanisms[${LAST}].jobs[0].direction`, /must be one of/],
  ['lift', { at: job('profile'), to: 'teleport' }, `mechanisms[${LAST}].jobs[0].profile`, /must be one of/],
  [
    'thrower',
    { at: output('slip'), to: typed(1.4) },
    `mechanisms[${LAST}].choices[0].output.slip.si`,
    /less than or equal to 1/,
  ],
  ['thrower', { at: output('wheels'), to: 'three' }, `mechanisms[${LAST}].choices[0].output.wheels`, /must be one of/],
  ['roller', { at: job('jam'), to: typed(0) }, `mechanisms[${LAST}].jobs[0].jam.si`, /greater than 0/],
  ['turntable', { at: job('settle'), to: typed(0) }, `mechanisms[${LAST}].jobs[0].settle.si`, /greater than 0/],
  ['carriage', { at: output('ends'), to: 'glued' }, `mechanisms[${LAST}].choices[0].output.ends`, /must be one of/],
  ['grip', { at: job('safety'), to: typed(0) }, `mechanisms[${LAST}].jobs[0].safety.si`, /greater than 0/],
  ['lift', { at: ['match'], to: { length: typed(4000) } }, 'match.length.si', /less than or equal to 3600/],
  ['lift', { at: ['match'], to: { rounds: typed(0) } }, 'match.rounds.si', /greater than or equal to 1/],
  ['lift', { at: ['spread'], to: { mass: typed(2) } }, 'spread.mass.si', /less than or equal to 1/],
  [
    'lift',
    { at: ['parts', 'motor-1', 'part', 'rotation'], to: 'sideways' },
    'parts.motor-1.part.rotation',
    /must be one of/,
  ],
  [
    'lift',
    { at: ['parts', 'controller-1', 'part', 'startStyle'], to: 'kick' },
    'parts.controller-1.part.startStyle',
    /must be one of/,
  ],
  ['lift', { at: ['supply', 1, 'wire', 'connectors'], to: typed(1.5) }, 'supply[1].wire.connectors.si', /integer/],
];

describe('what a kind refuses', () => {
  it.each(WRONG)('%s: %o', (kind, change, field, reason) => {
    const result = readPlan(applyChanges(withKind(kind), [change]));
    expect(result.ok).toBe(false);
    if (result.ok) return;
    const said = result.problems.find((problem) => problem.field === field);
    expect(said, JSON.stringify(result.problems)).toBeDefined();
    expect(said!.reason).toMatch(reason);
  });

  it('names the kinds of job there are', () => {
    const result = readPlan(applyChanges(withKind('arm'), [{ at: job('kind'), to: 'magic' }]));
    const [problem] = result.ok ? [] : result.problems;
    expect(problem).toMatchObject({ field: `mechanisms[${LAST}].jobs[0].kind` });
    expect(problem!.reason).toContain('swing');
  });

  it('opens a plan of 0.1 as it is: nothing new is required', () => {
    const { match: _match, spread: _spread, ...rest } = { ...heron, match: undefined, spread: undefined };
    const old = { ...rest, mechanisms: rest.mechanisms.filter(({ kind }) => kind === 'drive-base' || kind === 'lift') };
    expect(readPlan(JSON.parse(JSON.stringify(old))).ok).toBe(true);
  });
});
