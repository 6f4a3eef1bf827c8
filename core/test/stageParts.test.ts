import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  boundsOf,
  holesOf,
  pairStage,
  resolveDcPath,
  runPathOf,
  strengthOf,
  trainLayout,
  trainShapes,
  wheelPairs,
  type BeltParts,
  type ChainParts,
  type Plan,
  type Shelved,
  type Stage,
  type Stock,
} from '../src/index.js';
import { mechanismOf, plainPlan, typed, withChange } from './demo.js';

const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };
const stock: readonly Stock[] = shelf.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
const heron = plainPlan('heron');

const withStage = (stage: Stage): Plan => withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages'], [stage]);
const pathOf = (stage: Stage) => {
  const plan = withStage(stage);
  return resolveDcPath(plan, mechanismOf(plan, 'lift'), 'raise');
};
const partsOf = <P>(stage: Stage) => pathOf(stage).stageParts[0] as P;

describe('a chain’s figures', () => {
  const chain: Stage = { id: 'x', kind: 'chain', driver: 16, driven: 48, pitch: typed(0.009525) };

  it('take the even count nearest to the distance that is wanted', () => {
    const at = (centre: number) => partsOf<ChainParts>({ ...chain, centre: typed(centre) }).length;
    expect(at(0.25) % 2).toBe(0);
    expect(at(0.25 + 0.009525)).toBe(at(0.25) + 2);
    // Between two even counts the nearer one.
    const { tautCentre } = partsOf<ChainParts>({ ...chain, links: 90 });
    expect(at(tautCentre + 0.002)).toBe(90);
    expect(at(tautCentre - 0.002)).toBe(90);
  });

  it('without a distance lie thirty pitches apart, and further where the wheels are large', () => {
    const parts = partsOf<ChainParts>(chain);
    expect(parts.centre).toBeCloseTo(30 * 0.009525, 2);
    const large = partsOf<ChainParts>({ ...chain, driver: 100, driven: 120 });
    expect(large.centre).toBeGreaterThan(large.driverRadius + large.drivenRadius);
  });

  it('are read as sliding: the shafts go where the links lie taut', () => {
    const slid = partsOf<ChainParts>({ ...chain, links: 90, centre: typed(0.2) });
    expect(slid.centre).toBe(slid.tautCentre);
    const fixed = partsOf<ChainParts>({ ...chain, links: 90, centre: typed(0.2), takeUp: 'fixed' });
    expect(fixed.centre).toBe(0.2);
    expect(fixed.tautCentre).toBe(slid.tautCentre);
  });

  it('say by what the slack strand is pulled', () => {
    const tension = (stage: Stage) => pathOf(stage).figures['stage.x.tension']!;
    expect(tension(chain).from).toContain('own weight');
    expect(tension({ ...chain, takeUp: 'tensioner' } as Stage)).toMatchObject({ value: 20, source: 'typical' });
    expect(tension({ ...chain, tension: typed(33) } as Stage)).toMatchObject({ value: 33, source: 'typed' });
  });

  it('too short for its wheels are taken as touching, and said to be', () => {
    const parts = partsOf<ChainParts>({ ...chain, links: 30 });
    expect(parts.reaches).toBe(false);
    expect(parts.centre).toBeCloseTo(parts.driverRadius + parts.drivenRadius, 12);
  });

  it('without a pitch lack it, once, and nothing else pretends to be known', () => {
    const { lacks, stageParts } = pathOf({ id: 'x', kind: 'chain', driver: 16, driven: 48 });
    expect(lacks.chain!.map(({ label }) => label)).toContain('pitch');
    expect((stageParts[0] as ChainParts).centre).toBeNaN();
    expect(lacks.train).toBeUndefined();
  });
});

describe('a belt’s figures', () => {
  const belt: Stage = { id: 'x', kind: 'belt', driver: 18, driven: 36, pitch: typed(0.005), face: typed(0.015) };

  it('are a fraction of a belt until somebody chooses one', () => {
    const open = partsOf<BeltParts>({ ...belt, centre: typed(0.1) });
    expect(open.chosen).toBe(false);
    expect(Number.isInteger(open.length)).toBe(false);
    expect(partsOf<BeltParts>({ ...belt, beltTeeth: 75 })).toMatchObject({ chosen: true, length: 75 });
  });

  it('take the weaker teeth where the profile is unknown', () => {
    expect(partsOf<BeltParts>(belt).ratedPull).toBeCloseTo(270, 9);
    expect(partsOf<BeltParts>({ ...belt, profile: 'modified round' }).ratedPull).toBeCloseTo(420, 9);
  });

  it('turn the driver faster than the driven as well as slower', () => {
    const up = partsOf<BeltParts>({ ...belt, driver: 36, driven: 18, beltTeeth: 75 });
    const down = partsOf<BeltParts>({ ...belt, beltTeeth: 75 });
    expect(up.centre).toBeCloseTo(down.centre, 12);
    expect(up.driverRadius).toBeCloseTo(down.drivenRadius, 12);
  });
});

describe('pairs off the shelf', () => {
  const pairs = wheelPairs(stock, ['teeth', 'chain', 'belt', 'planetary'], 14);

  it('keep within what one stage sensibly does, and have teeth enough', () => {
    const most = { teeth: 6, chain: 5, belt: 6 } as const;
    for (const pair of pairs) {
      if (pair.kind === 'planetary') continue;
      expect(pair.ratio).toBeGreaterThanOrEqual(1);
      expect(pair.ratio).toBeLessThanOrEqual(most[pair.kind]);
      expect(pair.leastTeeth).toBeGreaterThanOrEqual(14);
    }
  });

  it('are sorted by ratio and named once', () => {
    expect(pairs.map(({ ratio }) => ratio)).toEqual(pairs.map(({ ratio }) => ratio).sort((a, b) => a - b));
    expect(new Set(pairs.map(({ key }) => key)).size).toBe(pairs.length);
  });

  it('leave room between the wheels of a chain or belt', () => {
    for (const { run, driver, driven, stock: of } of pairs) {
      if (!run) continue;
      const radii = ((driver + driven) * of.part.pitch!.si) / (2 * Math.PI);
      expect(run.centre).toBeGreaterThanOrEqual(radii + 0.015 - 1e-9);
    }
  });

  it('pair a pulley only with belts of its own pitch that are no wider', () => {
    const narrow = stock.filter(({ id }) => /pulleys-5-9|belts-5-15/.test(id));
    expect(wheelPairs(narrow, ['belt'], 12)).toEqual([]);
    const wide = stock.filter(({ id }) => /pulleys-5-15|belts-5-9/.test(id));
    expect(wheelPairs(wide, ['belt'], 12).length).toBeGreaterThan(0);
  });

  it('weigh and cost more the more teeth they have', () => {
    const of = (key: string) => pairs.find((pair) => pair.key === key)!;
    const [small, large] = [of('series-gears-1:16>32'), of('series-gears-1:32>64')];
    expect(large.mass / small.mass).toBeCloseTo(4, 6);
    expect(large.price).toBeGreaterThan(small.price);
    expect(large.length / small.length).toBeCloseTo(2, 6);
    expect(large.carries).toBeGreaterThan(small.carries);
  });

  it('carry what the gauge’s own limits let them', () => {
    for (const pair of pairs.filter((_, i) => i % 37 === 0))
      expect(pair.carries).toBeCloseTo(strengthOf(pairStage(pair, 'y'), pair.ratio, pair.efficiency), 9);
  });

  it('become stages that say where each figure comes from', () => {
    const chain = pairStage(
      pairs.find(({ kind }) => kind === 'chain')!,
      's7',
    ) as Extract<Stage, { kind: 'chain' }>;
    expect(chain).toMatchObject({ id: 's7', pitch: { source: 'sheet', from: chain.stock } });
    expect(chain.material).toMatch(/steel$/);
    const box = pairStage(
      pairs.find(({ kind }) => kind === 'planetary')!,
      's1',
    ) as Extract<Stage, { kind: 'planetary' }>;
    expect(box.ratedTorque!.si).toBeGreaterThan(0);
    expect(box.ratio!.as).toMatch(/:1$/);
  });
});

describe('the marks of a drawing', () => {
  const belt: Stage = {
    id: 'x',
    kind: 'belt',
    driver: 18,
    driven: 36,
    pitch: typed(0.005),
    face: typed(0.015),
    beltTeeth: 90,
    direction: typed(Math.PI / 3),
  };
  const drawn = (stage: Stage) => {
    const path = pathOf(stage);
    const layout = trainLayout(path)!;
    return { path, layout, shapes: trainShapes(path, layout) };
  };

  it('turn with the direction, and keep their sizes', () => {
    const [level, turned] = [drawn({ ...belt, direction: typed(0) }), drawn(belt)];
    expect(boundsOf(level.shapes).height).toBeLessThan(boundsOf(turned.shapes).height);
    const radii = ({ shapes }: typeof level) =>
      shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape.radius] : []));
    expect(radii(turned)).toEqual(radii(level));
    expect(turned.layout.shafts[1]!.y / turned.layout.shafts[1]!.x).toBeCloseTo(Math.tan(Math.PI / 3), 9);
  });

  it('of a belt with an idler go over three wheels, and are longer', () => {
    const plain = drawn(belt);
    const idle = drawn({ ...belt, idler: true });
    const run = ({ path, layout }: typeof plain) => runPathOf(path.stageParts[0] as BeltParts, layout)!.path;
    expect(run(plain).wraps).toHaveLength(2);
    expect(run(idle).wraps).toHaveLength(3);
    expect(run(idle).length).toBeGreaterThan(run(plain).length);
    expect(run(idle).wraps[0]!.angle).toBeGreaterThan(run(plain).wraps[0]!.angle);
  });

  it('make one hole where two shafts share a centre, and one for an idler’s pin', () => {
    const boxed = withChange(
      heron,
      ['mechanisms', 1, 'choices', 0, 'stages'],
      [
        { id: 'a', kind: 'planetary', ratio: typed(4) },
        { id: 'b', kind: 'teeth', driver: 16, driven: 48, idler: 20, pitch: typed(0.001) },
      ],
    );
    const layout = trainLayout(resolveDcPath(boxed, mechanismOf(boxed, 'lift'), 'raise'))!;
    expect(layout.shafts).toHaveLength(3);
    const holes = holesOf(layout);
    expect(holes.map(({ x }) => Number((1000 * x).toFixed(6)))).toEqual([0, 52, 18]);
  });

  it('of a screw or a gearbox alone are just where they stand', () => {
    const { shapes } = drawn({ id: 'x', kind: 'planetary', ratio: typed(5), across: typed(0.042) });
    // The motor's own screws stand where they are, whatever stage is on it.
    const own = shapes.filter(({ layer }) => layer !== 'MOUNTING');
    expect(own.map(({ layer }) => layer)).toEqual(['CENTRES', 'OUTLINES']);
    expect(boundsOf(own)).toMatchObject({ width: 0.042, height: 0.042 });
  });
});
