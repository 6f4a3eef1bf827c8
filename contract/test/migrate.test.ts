import { readFileSync } from 'node:fs';
import { PLAN_VERSION } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';
import { migrate } from '../src/plan/migrate.js';

interface Doc {
  version: number;
  parts: Record<string, { part: Record<string, unknown> }>;
  mechanisms: { kind: string; jobs: Record<string, unknown>[]; choices: { output: Record<string, unknown> }[] }[];
}
const read = (name: string) =>
  JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8')) as Doc;
const heron = read('heron');
const limpet = read('limpet');

const OLD_MECHANISMS: Readonly<Record<string, string>> = { thrower: 'shooter' };
const OLD_JOBS: Readonly<Record<string, string>> = { throw: 'shot', grip: 'clamp', stride: 'step' };
const OLD_OUTPUTS: Readonly<Record<string, string>> = { grip: 'jaw' };

/** The same plan as the second version would have written it. */
const asSecond = (plan: Doc): Doc => ({
  ...plan,
  version: 2,
  mechanisms: plan.mechanisms.map((mechanism) => ({
    ...mechanism,
    kind: OLD_MECHANISMS[mechanism.kind] ?? mechanism.kind,
    jobs: mechanism.jobs.map(({ pieceMass, ...job }) => ({
      ...job,
      kind: OLD_JOBS[job['kind'] as string] ?? job['kind'],
      ...(pieceMass === undefined ? {} : { shotMass: pieceMass }),
    })),
    choices: mechanism.choices.map((choice) => ({
      ...choice,
      output: { ...choice.output, kind: OLD_OUTPUTS[choice.output['kind'] as string] ?? choice.output['kind'] },
    })),
  })),
});

describe('A plan of the first version', () => {
  const owning = (owned: unknown) => ({
    ...asSecond(heron),
    version: 1,
    parts: { ...heron.parts, 'motor-1': { part: { ...heron.parts['motor-1']!.part, owned } } },
  });

  it('is read: what was owned is one piece, what was not is none', () => {
    const owned = readPlan(owning(true));
    expect(owned.ok && owned.plan.version).toBe(PLAN_VERSION);
    expect(owned.ok && owned.plan.parts['motor-1']!.part.owned).toBe(1);
    const not = readPlan(owning(false));
    expect(not.ok && 'owned' in not.plan.parts['motor-1']!.part).toBe(false);
    expect(readPlan({ ...asSecond(heron), version: 1 })).toMatchObject({ ok: true });
  });
});

describe('A plan of the second version', () => {
  it.each([
    ['Heron', heron],
    ['Limpet', limpet],
  ])('of %s is read as if it had been written today', (_name, plan) => {
    expect(asSecond(plan)).not.toEqual(plan);
    expect(readPlan(asSecond(plan))).toEqual({ ok: true, plan });
  });

  it('names each thing once', () => {
    const { mechanisms } = migrate(asSecond(heron)) as Doc;
    const thrower = mechanisms.find(({ kind }) => kind === 'thrower')!;
    expect(thrower.jobs[0]).toMatchObject({ kind: 'throw', pieceMass: { as: expect.any(String) as string } });
    expect(thrower.jobs[0]).not.toHaveProperty('shotMass');
    const grip = mechanisms.find(({ kind }) => kind === 'grip')!;
    expect([grip.jobs[0]!['kind'], grip.choices[0]!.output['kind']]).toEqual(['grip', 'grip']);
  });
});

describe('A document of any version', () => {
  it('that is broken is refused by the schema, not by the migration', () => {
    const broken: readonly unknown[] = [null, 3, 'plan', []];
    const hollow = [1, 2].flatMap((version) => [
      ...[{ version }, { version, parts: null }, { version, parts: { a: 1 } }, { version, mechanisms: 'none' }],
      { version, mechanisms: [null, 4, { jobs: {}, choices: [{ output: 7 }, null] }] },
    ]);
    for (const document of [...broken, ...hollow]) expect(readPlan(migrate(document)).ok).toBe(false);
    expect(readPlan({ ...heron, version: PLAN_VERSION + 1 }).ok).toBe(false);
    expect(readPlan({ ...heron, parts: { x: { part: { kind: 'motor', owned: true } } } }).ok).toBe(false);
  });
});
