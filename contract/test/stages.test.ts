import { readFileSync } from 'node:fs';
import Ajv2019 from 'ajv/dist/2019.js';
import {
  adoptTrain,
  applyChanges,
  resolvePath,
  searchTrains,
  snapShaft,
  stageWays,
  tuneTotal,
  type Plan,
  type Stage,
  type Stock,
  type TrainFound,
} from '@rough-gear/core';
import { describe, expect, it } from 'vitest';
import { partSchema, readPlan, type ShelfPart } from '../src/index.js';
import { planJsonSchema } from '../src/plan/jsonSchema.js';

const read = (name: string) => JSON.parse(readFileSync(new URL(`../demo/${name}.json`, import.meta.url), 'utf8'));
const heron = read('heron') as Plan;
const shelf = (read('shelf') as { parts: ShelfPart[] }).parts;
const stock: readonly Stock[] = shelf.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
const jsonSchema = new Ajv2019({ strict: false, validateFormats: false }).compile(await planJsonSchema());
const typed = (si: number) => ({ si, as: String(si), source: 'typed' as const });
const STAGES = ['mechanisms', 1, 'choices', 0, 'stages'];
const lift = heron.mechanisms[1]!;

const withStages = (stages: readonly unknown[]): Plan =>
  applyChanges(heron, [{ at: STAGES, to: stages }, { at: [...STAGES.slice(0, -1), 'tuning'] }]);

function accepted(plan: Plan): void {
  const result = readPlan(plan);
  expect(result.ok ? [] : result.problems).toEqual([]);
  expect(jsonSchema(JSON.parse(JSON.stringify(plan))), JSON.stringify(jsonSchema.errors)).toBe(true);
}

/** Every key a stage of each kind may have, filled in. */
const FULL: readonly Stage[] = [
  {
    id: 'a',
    name: 'first pair',
    kind: 'teeth',
    driver: 16,
    driven: 54,
    pitch: typed(0.001),
    face: typed(0.012),
    material: 'nylon or acetal',
    idler: 24,
    efficiency: typed(0.94),
    bore: typed(0.008),
    drivenBore: typed(0.01),
    mount: '4 × M5 on 50 mm',
    shaft: { form: 'keyed', size: typed(0.01), material: '6061 aluminium', overhang: typed(0) },
    direction: typed(-1.2),
    plane: 3,
    stock: 'gears, module 1 mm, hardened steel',
  },
  {
    id: 'b',
    kind: 'chain',
    driver: 12,
    driven: 40,
    pitch: typed(0.009525),
    links: 83,
    centre: typed(0.25),
    takeUp: 'tensioner',
    strength: typed(7000),
    wear: typed(0),
    tension: typed(12),
    material: 'hardened steel',
  },
  {
    id: 'c',
    kind: 'belt',
    driver: 18,
    driven: 36,
    pitch: typed(0.005),
    face: typed(0.015),
    beltTeeth: 90,
    centre: typed(0.15),
    takeUp: 'fixed',
    profile: 'modified round',
    belts: 2,
    tension: typed(120),
    strength: typed(4000),
    idler: true,
  },
  { id: 'd', kind: 'planetary', ratio: typed(4), ratedTorque: typed(18), across: typed(0.042) },
  { id: 'e', kind: 'ratio', ratio: typed(12.5), ratedTorque: typed(6), across: typed(0.05) },
  {
    id: 'f',
    kind: 'worm',
    starts: 2,
    teeth: 40,
    leadAngle: typed(0.12),
    flankAngle: typed(0.25),
    friction: typed(0.1),
    ratedTorque: typed(20),
    across: typed(0.06),
  },
];

describe('stages in real teeth', () => {
  it('are of the schema with every key they may have', () => {
    accepted(withStages(FULL));
  });

  it.each(FULL.map((stage) => [stage.kind, stage] as const))(
    '%s is of the schema with nothing but what it must have',
    (_kind, stage) => {
      const bare =
        'driver' in stage
          ? { id: stage.id, kind: stage.kind, driver: stage.driver, driven: stage.driven }
          : stage.kind === 'worm'
            ? { id: stage.id, kind: stage.kind, starts: stage.starts, teeth: stage.teeth }
            : { id: stage.id, kind: stage.kind };
      accepted(withStages([bare]));
    },
  );

  const [gears, chain, belt] = FULL as readonly [Stage, Stage, Stage];
  it.each([
    ['five teeth', { ...gears, driver: 5 }, 'driver', /greater than or equal to 6/],
    ['half a tooth', { ...gears, driven: 30.5 }, 'driven', /integer/],
    ['a chain of seven links', { ...chain, links: 7 }, 'links', /greater than or equal to 8/],
    ['half a link', { ...chain, links: 83.5 }, 'links', /integer/],
    ['links on a belt', { ...belt, links: 80 }, 'links', /not allowed/],
    ['teeth of belt on a chain', { ...chain, beltTeeth: 80 }, 'beltTeeth', /not allowed/],
    ['an unknown way to take up slack', { ...chain, takeUp: 'hope' }, 'takeUp', /must be one of/],
    ['wood', { ...gears, material: 'wood' }, 'material', /must be one of/],
    ['a pull of nothing', { ...belt, tension: typed(0) }, 'tension.si', /greater than 0/],
    ['worn less than new', { ...chain, wear: typed(-0.01) }, 'wear.si', /greater than or equal to 0/],
    ['plane nought', { ...gears, plane: 0 }, 'plane', /greater than or equal to 1/],
    ['a square shaft', { ...gears, shaft: { form: 'square' } }, 'shaft.form', /must be one of/],
    ['five belts', { ...belt, belts: 5 }, 'belts', /less than or equal to 4/],
    ['an idler of two teeth', { ...gears, idler: 2 }, 'idler', /greater than or equal to 6/],
    ['no number', { ...gears, pitch: { si: Number.NaN, as: '?', source: 'typed' } }, 'pitch.si', /number/],
  ])('refuse %s by field and reason, and the published schema does too', (_name, stage, key, reason) => {
    const plan = withStages([stage]);
    const result = readPlan(plan);
    expect(result.ok).toBe(false);
    if (!result.ok)
      expect(result.problems).toContainEqual({
        field: `mechanisms[1].choices[0].stages[0].${key}`,
        reason: expect.stringMatching(reason) as string,
      });
    if (key !== 'pitch.si') expect(jsonSchema(JSON.parse(JSON.stringify(plan)))).toBe(false);
  });
});

describe('what the train’s desk writes is of the schema', () => {
  it('trains off the shelf, each of the first forty', () => {
    const search = searchTrains(stock, {
      from: 8.5,
      to: 9.5,
      wanted: 9,
      kinds: ['teeth', 'chain', 'belt', 'planetary'],
      mostStages: 2,
      sense: 'either',
      leastTeeth: 14,
      by: 'lightest',
      most: 40,
      carry: 5,
    });
    let found: readonly TrainFound[];
    for (;;) {
      const next = search.next();
      found = next.value.trains;
      if (next.done) break;
    }
    expect(found).toHaveLength(40);
    for (const train of found) accepted(applyChanges(heron, adoptTrain(heron, lift, train)));
  });

  it('every way to build a stage', () => {
    for (const { stage } of stageWays(heron, 'lift', 'raise', 's2'))
      accepted(applyChanges(heron, [{ at: [...STAGES, 1], to: stage }]));
  });

  it('a shaft that is dragged, and a total that is', () => {
    const path = resolvePath(heron, lift, 'raise');
    accepted(applyChanges(heron, snapShaft(path.stageParts[1]!, [...STAGES, 1], { x: -0.11, y: 0.2 }, [])));
    for (const total of [3, 7.2, 9.4, 15, 28]) accepted(applyChanges(heron, [tuneTotal(heron, lift, path, total)!]));
  });
});

describe('stock series', () => {
  it('are of the schema, and refuse what is no stock', () => {
    const [one] = stock;
    expect(partSchema.validate(one!.part, { convert: false }).error).toBeUndefined();
    for (const [change, said] of [
      [{ sizes: [] }, /sizes/],
      [{ sizes: [16, 16] }, /sizes/],
      [{ of: 'ropes' }, /of/],
      [{ material: 'glass' }, /material/],
      [{ pitch: { si: 0, as: '0', source: 'sheet' } }, /pitch/],
    ] as const)
      expect(partSchema.validate({ ...one!.part, ...change }, { convert: false }).error?.message).toMatch(said);
  });
});
