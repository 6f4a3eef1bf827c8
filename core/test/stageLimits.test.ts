import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  beltMesh,
  beltSkipPull,
  chainSkipPull,
  chainStrength,
  evaluateMechanism,
  faceWanted,
  mendsFor,
  metBy,
  resolveDcPath,
  situationOf,
  sprocketShearPull,
  STAGE_LIMITS,
  toothTorque,
  torqueBefore,
  type BeltParts,
  type ChainParts,
  type GearParts,
  type JobResult,
  type LimitId,
  type Plan,
  type SituationId,
  type Stage,
  type Target,
} from '../src/index.js';
import { mechanismOf, plainPlan, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');
const LIFT = ['mechanisms', 1, 'choices', 0, 'stages'] as const;
const CLIMB = ['mechanisms', 2, 'choices', 0, 'stages'] as const;

const withStage = (plan: Plan, i: number, change: Readonly<Record<string, unknown>>): Plan =>
  Object.entries(change).reduce((doc, [key, to]) => withChange(doc, [...LIFT, i, key], to), plan);

const job = (plan: Plan, id = 'lift'): JobResult => evaluateMechanism(plan, mechanismOf(plan, id)).jobs[0]!;
const pathOf = (plan: Plan, id = 'lift') =>
  resolveDcPath(plan, mechanismOf(plan, id), mechanismOf(plan, id).jobs[0]!.id);
const rung = (plan: Plan, id: LimitId, situation: SituationId = 'starting', mechanism = 'lift') =>
  job(plan, mechanism).ladders[situation].rungs.find((each) => each.id === id);

describe('torque along the train', () => {
  const path = pathOf(heron);

  it('is the drum’s force through every ratio and loss behind it', () => {
    // 22 mm drum with 95 % left, chain 18 → 48 with 95 %, gears 16 → 54 with 96 %.
    const atDrum = 0.022 / 0.95;
    expect(torqueBefore(path, 1, false)).toBeCloseTo(atDrum / ((48 / 18) * 0.95), 12);
    expect(torqueBefore(path, 0, false)).toBeCloseTo(atDrum / ((48 / 18) * 0.95) / ((54 / 16) * 0.96), 12);
  });

  it('is lowered by the losses while the load pushes back', () => {
    const back = (efficiency: number) => 2 - 1 / efficiency;
    expect(torqueBefore(path, 1, true)).toBeCloseTo((0.022 * back(0.95) * back(0.95)) / (48 / 18), 12);
  });
});

describe('a gear tooth', () => {
  const gears = pathOf(heron).stageParts[0] as GearParts;

  it('gives at the weaker foot: 16 teeth of 1 mm, 12 mm wide, 250 MPa at rest', () => {
    expect(toothTorque(gears, 0)).toBeCloseTo((250e6 * 0.012 * 0.001 * 0.296 * (0.001 * 16)) / 2, 9);
  });

  it('has just its margin on the face that is wanted', () => {
    const face = faceWanted(pathOf(heron), gears, job(heron).ladders)!;
    const narrow = job(withStage(heron, 0, { face: typed(face) }));
    const multiples = (['starting', 'working'] as const).map(
      (id) => narrow.ladders[id].rungs.find((each) => each.id === 'tooth')!.multiple!,
    );
    expect(Math.min(...multiples)).toBeCloseTo(1.5, 9);
    expect(faceWanted(pathOf(heron), { ...gears, driver: 10 }, job(heron).ladders)).toBeUndefined();
  });

  it('gives sooner the faster it runs', () => {
    expect(toothTorque(gears, 600)).toBeLessThan(toothTorque(gears, 0));
  });

  it('of an idler bends both ways', () => {
    const idler = { ...gears, idler: 16 };
    expect(toothTorque(idler, 0)).toBeCloseTo(0.7 * toothTorque(gears, 0), 9);
  });

  it('on the motor carries one motor’s torque: two motors, twice as much', () => {
    const two = withChange(heron, ['mechanisms', 1, 'choices', 0, 'drive', 'motors'], 2);
    expect(rung(two, 'tooth')!.capacity! / rung(heron, 'tooth')!.capacity!).toBeCloseTo(2, 9);
    // The chain behind it carries both.
    expect(rung(two, 'chain-snap')!.capacity).toBeCloseTo(rung(heron, 'chain-snap')!.capacity!, 9);
  });

  it('is no rung where it has fewer than twelve teeth: the check says that', () => {
    const few = withStage(heron, 0, { driver: 11 });
    expect(rung(few, 'tooth')).toBeUndefined();
    expect(job(few).checks.find(({ id }) => id === 'undercut')).toMatchObject({ verdict: 'gives way', stage: 's1' });
  });

  it('has ten modules of face where nobody gave one', () => {
    const path = pathOf(withStage(heron, 0, { face: undefined }));
    expect((path.stageParts[0] as GearParts).face).toBeCloseTo(0.01, 12);
    expect(path.figures['stage.s1.face']).toMatchObject({ source: 'typical', from: 'ten modules' });
  });
});

describe('a chain', () => {
  const chain = pathOf(heron).stageParts[1] as ChainParts;

  it('breaks at its size’s strength, at two thirds of it with an offset link', () => {
    expect(chainStrength(chain)).toBe(3470);
    expect(chainStrength({ ...chain, length: 95 })).toBeCloseTo(0.65 * 3470, 9);
    expect(rung(heron, 'chain-snap')!.capacity).toBeCloseTo(
      (3470 * ((18 * 0.00635) / (2 * Math.PI))) / torqueBefore(pathOf(heron), 1, false),
      6,
    );
  });

  it('wants four times starting and seven running', () => {
    expect(rung(heron, 'chain-snap', 'starting')!.wants).toBe(4);
    expect(rung(heron, 'chain-snap', 'working')!.wants).toBe(7);
  });

  it('that lifts the whole robot wants seven always, and gives way under four', () => {
    const weak = (strength: number) => withChange(heron, [...CLIMB, 1, 'strength'], typed(strength));
    const at = (plan: Plan) => rung(plan, 'chain-snap', 'starting', 'climb')!;
    expect(at(heron).wants).toBe(7);
    const one = at(heron).multiple!;
    expect(at(weak((7830 / one) * 3.9))).toMatchObject({ verdict: 'gives way' });
    expect(at(weak((7830 / one) * 4.1))).toMatchObject({ verdict: 'tight' });
    expect(at(weak((7830 / one) * 7.1))).toMatchObject({ verdict: 'enough' });
    // Any other chain is only tight there.
    const lift = rung(heron, 'chain-snap')!;
    expect(rung(withStage(heron, 1, { strength: typed((3470 / lift.multiple!) * 3.9) }), 'chain-snap')).toMatchObject({
      verdict: 'tight',
    });
  });

  it('skips sooner when it is worn, slack, or short of teeth in mesh', () => {
    const pull = chainSkipPull(chain);
    expect(chainSkipPull({ ...chain, wear: 0.03 })).toBeLessThan(pull);
    expect(chainSkipPull({ ...chain, tension: chain.tension / 2 })).toBeCloseTo(pull / 2, 9);
    expect(chainSkipPull({ ...chain, centre: chain.centre / 3 })).toBeLessThan(pull);
    expect(chainSkipPull({ ...chain, driver: 12, driven: 32 })).toBeLessThan(pull);
  });

  it('shears the first tooth of the smaller sprocket, harder steel later', () => {
    expect(sprocketShearPull({ ...chain, toothAllowable: 2 * chain.toothAllowable })).toBeCloseTo(
      2 * sprocketShearPull(chain),
      9,
    );
    // More teeth share the pull among more of them.
    expect(sprocketShearPull({ ...chain, driver: 30, driven: 80 })).toBeGreaterThan(sprocketShearPull(chain));
  });

  it('of a size that is none is not known, and says what is missing', () => {
    const odd = withStage(heron, 1, { pitch: typed(0.007) });
    expect(rung(odd, 'chain-snap')).toMatchObject({
      verdict: 'not known',
      lacks: [{ label: 'breaks at' }],
    });
    expect(rung(odd, 'tooth')!.multiple).toBeGreaterThan(0);
  });
});

describe('a belt', () => {
  const thrower = mechanismOf(heron, 'thrower');
  const at = ['mechanisms', heron.mechanisms.indexOf(thrower), 'choices', 0, 'stages', 0] as const;
  const belt = pathOf(heron, 'thrower').stageParts[0] as BeltParts;

  it('skips when its slack strand has nothing left, and shears at its typical pull', () => {
    expect(belt.ratedPull).toBeCloseTo(28_000 * 0.015, 9);
    expect(beltSkipPull(belt)).toBeCloseTo(2 * belt.tension, 9);
    expect(belt.tension).toBeCloseTo(belt.ratedPull / 2, 9);
  });

  it('with two side by side pulls twice as much', () => {
    const two = withChange(heron, [...at, 'belts'], 2);
    expect(
      rung(two, 'belt-shear', 'starting', 'thrower')!.capacity! /
        rung(heron, 'belt-shear', 'starting', 'thrower')!.capacity!,
    ).toBeCloseTo(2, 9);
  });

  it('has fewer teeth in mesh on a small pulley close by, and an idler gives some back', () => {
    const near: BeltParts = { ...belt, driver: 12, driven: 60, centre: 0.045 };
    expect(beltMesh(near)).toBeLessThan(6);
    expect(beltMesh({ ...near, idler: true })).toBeGreaterThan(beltMesh(near));
    expect(beltSkipPull(near)).toBeLessThan(2 * near.tension);
  });

  it('of an unknown pitch has no typical pull, and none of its rungs pretends to', () => {
    const odd = withChange(heron, [...at, 'pitch'], typed(0.00508));
    for (const id of ['belt-skip', 'belt-shear', 'belt-snap'] as const) {
      const found = rung(odd, id, 'starting', 'thrower')!;
      expect(found.multiple === undefined || Number.isFinite(found.multiple), id).toBe(true);
    }
  });
});

describe('shafts and gearboxes', () => {
  it('of a shaft nobody gave there is no rung', () => {
    const bare = withStage(withStage(heron, 0, { shaft: undefined }), 1, { shaft: undefined });
    expect(rung(bare, 'shaft')).toBeUndefined();
  });

  it('a gearbox is judged by its rating at its output', () => {
    const path = pathOf(heron, 'climb');
    const { ratio, efficiency } = path.train.stages[0]!;
    const carried = (36 * path.motors) / (ratio * efficiency);
    expect(rung(heron, 'gearbox', 'starting', 'climb')!.capacity).toBeCloseTo(
      carried / torqueBefore(path, 0, false),
      6,
    );
    const unrated = withChange(heron, [...CLIMB, 0, 'ratedTorque'], undefined);
    expect(rung(unrated, 'gearbox', 'starting', 'climb')).toBeUndefined();
  });

  it('what does not fit between neighbours is said, with the sizes', () => {
    const misfit = withStage(withStage(heron, 0, { drivenBore: typed(0.008) }), 1, { bore: typed(0.01) });
    const check = job(misfit).checks.find(({ id }) => id === 'fits-together')!;
    expect(check).toMatchObject({ verdict: 'gives way', there: '1 mismatch' });
    expect(said(check.sentence)).toContain('driven wheel of stage 1 has a bore of 8 mm on a hexagon shaft of 10 mm');
    expect(
      job(withStage(heron, 0, { drivenBore: typed(0.01) })).checks.find(({ id }) => id === 'fits-together'),
    ).toMatchObject({
      verdict: 'enough',
    });
  });
});

describe('of two stages of a kind', () => {
  const extra: Stage = {
    id: 's3',
    kind: 'chain',
    driver: 18,
    driven: 18,
    pitch: typed(0.00635),
  };
  const plan = withChange(heron, LIFT, [...mechanismOf(heron, 'lift').choices[0]!.stages, extra]);

  it('the one that gives first leads, by name', () => {
    const found = rung(plan, 'chain-snap')!;
    // Behind 48 teeth the same chain pulls harder.
    expect(found.stage).toBe('s3');
    expect(found.subject).toBe('The chain (stage 3)');
  });

  it('each carries its own verdict on the strip', () => {
    const weak = withChange(plan, [...LIFT, 2, 'strength'], typed(150));
    const links = job(weak).links;
    const verdict = (id: string) => links.find((link) => link.id === id)!.verdict;
    expect(verdict('s3')).toBe('gives way');
    expect(verdict('s2')).toBe('enough');
  });

  it('a check that is about one stage stands on that stage only', () => {
    const rough = withChange(plan, [...LIFT, 2], { ...extra, driver: 8, driven: 8 });
    const links = job(rough).links;
    expect(job(rough).checks.find(({ id }) => id === 'ripple')!.stage).toBe('s3');
    expect(links.find(({ id }) => id === 's3')!.verdict).toBe('gives way');
    expect(links.find(({ id }) => id === 's2')!.verdict).toBe('enough');
  });
});

/**
 * Plans in which a stage is what gives way, and what should be among its mends. A sprocket’s tooth is left out:
 * whatever shears it has stalled the motor before.
 */
const BREAKING: readonly (readonly [id: LimitId, mechanism: string, plan: Plan, mend: RegExp])[] = [
  ['tooth', 'lift', withStage(heron, 0, { face: typed(0.0008) }), /wide$|teeth$/],
  [
    'chain-skip',
    'lift',
    withStage(heron, 1, { wear: typed(0.03), takeUp: 'slide', direction: typed(0) }),
    /^A tensioner that pulls/,
  ],
  ['chain-snap', 'lift', withStage(heron, 1, { strength: typed(95) }), /teeth$|^Chain No\./],
  [
    'belt-skip',
    'thrower',
    withChange(heron, ['mechanisms', 5, 'choices', 0, 'stages', 0, 'tension'], typed(9)),
    /^Each strand at rest/,
  ],
  [
    'belt-shear',
    'thrower',
    withChange(heron, ['mechanisms', 5, 'choices', 0, 'stages', 0, 'face'], typed(0.0007)),
    /wide$|teeth$/,
  ],
  [
    'shaft',
    'lift',
    withStage(heron, 1, { shaft: { form: 'round', size: typed(0.004), material: '6061 aluminium' } }),
    /shaft \d/,
  ],
];

describe('a stage that gives way', () => {
  it.each(BREAKING)('%s is mended by what a builder would change', (id, mechanism, plan, wanted) => {
    const found = mechanismOf(plan, mechanism);
    const target: Target = { jobId: found.jobs[0]!.id, rung: id, situation: 'starting' };
    expect(metBy(plan, found, target)).toBeLessThan(1);
    const mends = mendsFor(plan, mechanism, target);
    expect(
      mends.map(({ label }) => label).some((label) => wanted.test(said(label))),
      JSON.stringify(mends.map(({ label }) => label)),
    ).toBe(true);
    for (const { changes } of mends) {
      const changed = applyChanges(plan, changes);
      expect(metBy(changed, mechanismOf(changed, mechanism), target)).toBeGreaterThanOrEqual(1);
    }
  });
});

describe('every limit of a stage', () => {
  it('asks only stages that have it, and answers the same as its rung', () => {
    for (const mechanism of heron.mechanisms) {
      const [first] = mechanism.jobs;
      const path = resolveDcPath(heron, mechanism, first!.id);
      for (const id of ['starting', 'working'] as const) {
        const ladder = evaluateMechanism(heron, mechanism).jobs[0]!.ladders[id];
        const situation = situationOf(path, id);
        for (const limit of STAGE_LIMITS) {
          const capacities = path.stageParts
            .filter((parts) => limit.has(parts))
            .map((parts) => limit.capacityOf(path, parts, situation));
          const found = ladder.rungs.find((each) => each.id === limit.id);
          if (capacities.length === 0) expect(found).toBeUndefined();
          else if (found?.capacity !== undefined) expect(found.capacity).toBeCloseTo(Math.min(...capacities), 6);
        }
      }
    }
  });
});
