import { readFileSync } from 'node:fs';
import { PLAN_VERSION } from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { readPlan } from '../src/index.js';
import { migrate } from '../src/plan/migrate.js';

interface Doc {
  version: number;
  parts: Record<string, { part: Record<string, unknown> }>;
  mechanisms: {
    kind: string;
    jobs: Record<string, unknown>[];
    choices: Record<'output' | 'stages', Record<string, unknown>>[];
  }[];
}
const read = (name: string) =>
  JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8')) as Doc;
const heron = read('heron');
const limpet = read('limpet');

const OLD_MECHANISMS: Readonly<Record<string, string>> = { thrower: 'shooter' };
const OLD_JOBS: Readonly<Record<string, string>> = { throw: 'shot', grip: 'clamp', stride: 'step' };
const OLD_OUTPUTS: Readonly<Record<string, string>> = { grip: 'jaw' };

interface Screw {
  kind: string;
  lead: { si: number };
  pitchDiameter?: { si: number };
}

/** The same plan as the third version would have written it: a screw with its lead angle. */
const asThird = (plan: Doc): Doc => ({
  ...plan,
  version: 3,
  mechanisms: plan.mechanisms.map((mechanism) => ({
    ...mechanism,
    choices: mechanism.choices.map((choice) => ({
      ...choice,
      stages: (choice['stages'] as unknown as Screw[]).map((stage) => {
        const { pitchDiameter, ...rest } = stage;
        if (stage.kind !== 'screw' || !pitchDiameter) return stage;
        const si = Math.atan(stage.lead.si / (Math.PI * pitchDiameter.si));
        return { ...rest, leadAngle: { si, as: `${(si * 180) / Math.PI}°`, source: 'sheet' } };
      }),
    })),
  })) as unknown as Doc['mechanisms'],
});

/** What the migration made, where it could not know what was typed. */
const measured = (plan: Doc): unknown =>
  JSON.parse(
    JSON.stringify(plan, (key, value: unknown) =>
      key === 'pitchDiameter' ? Number((value as { si: number }).si.toPrecision(9)) : value,
    ),
  );

/** The same plan as the second version would have written it. */
const asSecond = (plan: Doc): Doc => ({
  ...asThird(plan),
  version: 2,
  mechanisms: asThird(plan).mechanisms.map((mechanism) => ({
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
    for (const older of [asSecond(plan), asThird(plan)]) {
      expect(older).not.toEqual(plan);
      const read = readPlan(older);
      expect(read.ok && measured(read.plan as unknown as Doc)).toEqual(measured(plan));
    }
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

describe('A plan of the third version', () => {
  const stagesOf = (plan: unknown): readonly Screw[] =>
    (plan as Doc).mechanisms.flatMap(({ choices }) => choices.flatMap(({ stages }) => stages as unknown as Screw[]));
  const screws = (plan: unknown) => stagesOf(plan).filter(({ kind }) => kind === 'screw');

  it('has the diameter that makes the lead angle it had', () => {
    const before = screws(limpet);
    const after = screws(migrate(asThird(limpet)));
    expect(after.length).toBe(2);
    after.forEach((screw, i) => {
      expect(screw.pitchDiameter).toMatchObject({ source: 'estimated' });
      expect(screw.pitchDiameter!.si).toBeCloseTo(before[i]!.pitchDiameter!.si, 9);
      expect(screw).not.toHaveProperty('leadAngle');
    });
  });

  it('has none where the lead was not known', () => {
    const hollow = JSON.parse(
      JSON.stringify(asThird(limpet), (key, value: unknown) => (key === 'lead' ? undefined : value)),
    ) as Doc;
    for (const screw of screws(migrate(hollow))) expect(Object.keys(screw)).not.toContain('pitchDiameter');
  });
});

describe('A document of any version', () => {
  it('that is broken is refused by the schema, not by the migration', () => {
    const broken: readonly unknown[] = [null, 3, 'plan', []];
    const hollow = [1, 2, 3].flatMap((version) => [
      ...[{ version }, { version, parts: null }, { version, parts: { a: 1 } }, { version, mechanisms: 'none' }],
      {
        version,
        mechanisms: [
          null,
          4,
          { jobs: {}, choices: [{ output: 7, stages: [null, { kind: 'screw', leadAngle: 3 }] }, null] },
        ],
      },
    ]);
    for (const document of [...broken, ...hollow]) expect(readPlan(migrate(document)).ok).toBe(false);
    expect(readPlan({ ...heron, version: PLAN_VERSION + 1 }).ok).toBe(false);
    expect(readPlan({ ...heron, parts: { x: { part: { kind: 'motor', owned: true } } } }).ok).toBe(false);
  });
});
