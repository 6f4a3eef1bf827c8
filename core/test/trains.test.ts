import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  adoptTrain,
  applyChanges,
  beltPath,
  evaluateMechanism,
  everyTrain,
  judgeTrain,
  resolveDcPath,
  searchTrains,
  secondRatios,
  snapShaft,
  stageWays,
  trainGaps,
  trainLayout,
  trainShapes,
  wheelPairs,
  type Plan,
  type SeriesPart,
  type Shelved,
  type Stock,
  type TrainQuery,
  type TrainSearch,
} from '../src/index.js';
import { mechanismOf, nansIn, plainPlan, typed, withChange, said } from './demo.js';

const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };
const stock: readonly Stock[] = shelf.flatMap(({ id, part }) => (part.kind === 'series' ? [{ id, part }] : []));
const heron = plainPlan('heron');

const query = (over: Partial<TrainQuery> = {}): TrainQuery => ({
  from: 8.73,
  to: 9.27,
  wanted: 9,
  kinds: ['teeth', 'chain', 'belt', 'planetary'],
  mostStages: 2,
  sense: 'either',
  leastTeeth: 14,
  by: 'nearest',
  most: 30,
  ...over,
});

function found(of: readonly Stock[], asked: TrainQuery): TrainSearch {
  const search = searchTrains(of, asked);
  for (;;) {
    const next = search.next();
    if (next.done) return next.value;
  }
}

/** A shelf so small that everything on it can be tried. */
const small: readonly Stock[] = stock
  .filter(({ id }) => /gears-1$|sprockets-25|pulleys-5-15|belts-5-15|planetary-1/.test(id))
  .map(({ id, part }) => ({
    id,
    part: { ...part, sizes: part.of === 'belts' ? part.sizes : part.sizes.filter((_, i) => i % 3 === 0) },
  }));

describe('trains off the shelf', () => {
  const wishes = ['nearest', 'lightest', 'cheapest', 'shortest', 'least loss', 'most teeth'] as const;

  it.each(wishes)('are the same as by trying everything, %s first', (by) => {
    for (const sense of ['either', 'same', 'opposite'] as const) {
      for (const mostStages of [1, 2, 3] as const) {
        const asked = query({ by, sense, mostStages, from: 20, to: 21, wanted: 20.5, carry: 6, motors: 2 });
        const keys = (trains: TrainSearch['trains']) =>
          trains.map(({ pairs }) => pairs.map(({ key }) => key).join(' '));
        expect(keys(found(small, asked).trains)).toEqual(keys(everyTrain(small, asked)));
      }
    }
  });

  it('are made of parts that exist, and lie in the range', () => {
    const { trains } = found(stock, query({ most: 60 }));
    expect(trains).toHaveLength(60);
    for (const { pairs, total } of trains) {
      expect(total).toBeGreaterThanOrEqual(8.73 - 1e-9);
      expect(total).toBeLessThanOrEqual(9.27 + 1e-9);
      for (const { stock: from, driver, driven, kind, run } of pairs) {
        const own = stock.find(({ id }) => id === from.id)!.part;
        if (kind === 'planetary') expect(own.sizes).toContain(driven);
        else for (const teeth of [driver, driven]) expect(own.sizes).toContain(teeth);
        if (kind === 'chain') expect(run!.count % 2).toBe(0);
        if (kind === 'belt')
          expect(stock.some(({ part }) => part.of === 'belts' && part.sizes.includes(run!.count))).toBe(true);
      }
    }
  });

  it('count every combination once, however they are sliced', () => {
    const pairs = wheelPairs(stock, query().kinds, 14).length;
    const { decided } = found(stock, query());
    expect(decided).toBe(pairs + pairs * pairs);
    expect(decided).toBeGreaterThan(200_000);
  });

  it('leave out what is longer or heavier than it may be, and say how many', () => {
    const free = found(stock, query());
    const middle = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!;
    const bounds = {
      mostLength: middle(free.trains.map(({ length }) => length)),
      mostMass: middle(free.trains.map(({ mass }) => mass)),
    };
    const bound = found(stock, query(bounds));
    expect(free.tooLarge).toBe(0);
    expect(bound.tooLarge).toBeGreaterThan(0);
    expect(bound.trains.length).toBeGreaterThan(0);
    for (const { length, mass } of bound.trains) {
      expect(length).toBeLessThanOrEqual(bounds.mostLength);
      expect(mass).toBeLessThanOrEqual(bounds.mostMass);
    }
    const asked = query({
      by: 'shortest',
      mostStages: 2,
      from: 20,
      to: 21,
      wanted: 20.5,
      mostLength: 0.4,
      mostMass: 2,
    });
    const keys = (trains: TrainSearch['trains']) => trains.map(({ pairs }) => pairs.map(({ key }) => key).join(' '));
    expect(keys(found(small, asked).trains)).toEqual(keys(everyTrain(small, asked)));
  });

  it('leave out what would not carry the load, and say how many', () => {
    const weak = found(stock, query({ by: 'lightest' }));
    const strong = found(stock, query({ by: 'lightest', carry: 12 }));
    expect(weak.tooWeak).toBe(0);
    expect(strong.tooWeak).toBeGreaterThan(0);
    expect(strong.trains[0]!.mass).toBeGreaterThan(weak.trains[0]!.mass);
    for (const train of strong.trains) {
      const out = train.pairs.reduceRight((torque, { ratio, efficiency, carries }) => {
        expect(torque / (ratio * efficiency)).toBeLessThanOrEqual(carries * (1 + 1e-9));
        return torque / (ratio * efficiency);
      }, 12);
      expect(out).toBeGreaterThan(0);
    }
  });

  it('find nothing where nothing is', () => {
    expect(found(stock, query({ from: 4000, to: 4001, wanted: 4000 })).trains).toEqual([]);
    expect(found([], query()).trains).toEqual([]);
    expect(found(stock, query({ kinds: [] })).trains).toEqual([]);
  });

  it('are put into the mechanism with the figures of their series, and judged as the screen would', () => {
    const lift = mechanismOf(heron, 'lift');
    const [train] = found(stock, query({ by: 'most teeth', carry: 6 })).trains;
    const changed = applyChanges(heron, adoptTrain(heron, lift, train!));
    const after = mechanismOf(changed, 'lift');
    expect(after.choices[0]!.stages.map(({ stock: name }) => name)).toEqual(
      train!.pairs.map(({ stock: of }) => of.part.name),
    );
    const path = resolveDcPath(changed, after, 'raise');
    expect(path.train.total).toBeCloseTo(train!.total * 1, 9);
    const result = evaluateMechanism(changed, after);
    expect(nansIn(result)).toEqual([]);
    expect(result.headline.notKnown).toBe(0);
    expect(judgeTrain(heron, 'lift', train!)).toMatchObject({
      verdict: result.headline.verdict,
      name: result.headline.name,
    });
  });
});

describe('the second ratio', () => {
  it('is another wheel that is sold, for a total that is felt', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');
    const options = secondRatios(path, stock);
    expect(options.length).toBeGreaterThan(1);
    for (const { stage, driver, driven, total, change, moves, wheels } of options) {
      const own = path.stageParts.find(({ id }) => id === stage)!;
      if (!('driver' in own)) throw new Error('a gearbox has no wheels to change');
      expect(total).toBeCloseTo(path.train.total * change, 9);
      expect(Math.max(change, 1 / change)).toBeGreaterThan(1.06);
      expect([driver !== own.driver, driven !== own.driven].filter(Boolean)).toHaveLength(wheels);
      // Gears keep their distance: the sum of their teeth.
      if (own.kind === 'teeth') expect(driver + driven).toBe(own.driver + own.driven);
      else expect(Math.abs(moves!)).toBeLessThan(0.006);
    }
  });
});

describe('the schools on one stage', () => {
  const ways = stageWays(heron, 'climb', 'haul', 's2');

  it('are gears, chain and belt of the same ratio, on the same job', () => {
    expect(new Set(ways.map(({ stage }) => stage.kind))).toEqual(new Set(['teeth', 'chain', 'belt']));
    for (const { stage } of ways) {
      if (!('driver' in stage)) throw new Error('every way has two wheels');
      expect(stage.driven / stage.driver).toBeCloseTo(2, 1);
    }
    expect(nansIn(ways)).toEqual([]);
  });

  it('say that a wider belt and a larger chain hold more, and weigh more', () => {
    const of = (id: string) => ways.find((way) => way.id === id)!;
    expect(of('belt-5-15-1').margin).toBeGreaterThan(of('belt-5-9-1').margin);
    expect(of('belt-5-15-2').margin).toBeCloseTo(2 * of('belt-5-15-1').margin, 6);
    expect(of('chain-12.7').margin).toBeGreaterThan(of('chain-6.35').margin);
    expect(of('chain-12.7').mass).toBeGreaterThan(of('chain-6.35').mass);
  });

  it('judge each by what the gauge would say of it', () => {
    const [way] = ways.filter(({ id }) => id === 'chain-6.35');
    const changed = withChange(heron, ['mechanisms', 2, 'choices', 0, 'stages', 1], way!.stage);
    const job = evaluateMechanism(changed, mechanismOf(changed, 'climb')).jobs[0]!;
    const rungs = (['starting', 'working', 'holding'] as const).flatMap((id) =>
      job.ladders[id].rungs.filter(({ stage, multiple }) => stage === 's2' && multiple !== undefined),
    );
    expect(way!.margin).toBeCloseTo(Math.min(...rungs.map(({ multiple, wants }) => multiple! / wants)), 9);
  });
});

describe('the drawing', () => {
  it('of a chain round its sprockets has the length the formula gives', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'drive'), 'push');
    const chain = path.stageParts[1]!;
    if (chain.kind !== 'chain') throw new Error('the drive has a chain');
    const run = beltPath([
      { x: 0, y: 0, radius: chain.driverRadius, inside: true },
      { x: chain.centre, y: 0, radius: chain.drivenRadius, inside: true },
    ])!;
    expect(run.length / chain.pitch).toBeCloseTo(chain.length, 6);
  });

  it('has a hole for every shaft and every mark on its layer', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');
    const shapes = trainShapes(path, trainLayout(path)!);
    expect(shapes.filter(({ layer }) => layer === 'CENTRES')).toHaveLength(3);
    expect(shapes.filter(({ layer }) => layer === 'PITCH_CIRCLES')).toHaveLength(4);
    expect(shapes.filter(({ layer, kind }) => layer === 'CHAIN_BELT' && kind === 'arc')).toHaveLength(2);
    expect(nansIn(shapes)).toEqual([]);
  });

  it('is none while a stage has no size', () => {
    const bare = withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages', 1, 'pitch'], undefined);
    const path = resolveDcPath(bare, mechanismOf(bare, 'lift'), 'raise');
    expect(trainLayout(path)).toBeUndefined();
    expect(nansIn(evaluateMechanism(bare, mechanismOf(bare, 'lift')))).toEqual([]);
  });

  it('draws a three-shaft L with two wrong neighbours as colliding', () => {
    const flat = [
      [1, 'direction', typed(Math.PI / 2)],
      [1, 'plane', 1],
    ].reduce<Plan>(
      (plan, [stage, key, to]) =>
        withChange(plan, ['mechanisms', 1, 'choices', 0, 'stages', stage as number, key as string], to),
      heron,
    );
    const path = resolveDcPath(flat, mechanismOf(flat, 'lift'), 'raise');
    const clashes = trainGaps(path).filter(({ gap }) => gap < 0);
    expect(clashes.length).toBeGreaterThan(0);
    const check = evaluateMechanism(flat, mechanismOf(flat, 'lift')).jobs[0]!.checks.find(
      ({ id }) => id === 'clearance',
    )!;
    expect(check).toMatchObject({ verdict: 'gives way' });
    expect(said(check.sentence)).toMatch(/runs into the/);
  });
});

describe('a shaft that is dragged', () => {
  const path = resolveDcPath(heron, mechanismOf(heron, 'thrower'), mechanismOf(heron, 'thrower').jobs[0]!.id);

  it('stops at a belt that is sold, in steps of five degrees', () => {
    const [turned, belt, centre] = snapShaft(path.stageParts[0]!, ['s'], { x: 0.1, y: 0.052 }, [60, 70, 80, 90]);
    expect(turned).toMatchObject({ at: ['s', 'direction'], to: { as: '25°' } });
    expect(belt!.at).toEqual(['s', 'beltTeeth']);
    expect([60, 70, 80, 90]).toContain(belt!.to);
    expect((centre!.to as { si: number }).si).toBeGreaterThan(0.05);
  });

  it('keeps gears at their distance', () => {
    const gears = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise').stageParts[0]!;
    expect(snapShaft(gears, ['s'], { x: -1, y: 0 }, [])).toHaveLength(1);
  });

  it('with no belt sold near only turns', () => {
    expect(snapShaft(path.stageParts[0]!, ['s'], { x: 0, y: 0.1 }, [])).toHaveLength(1);
  });
});

describe('stock', () => {
  it('is physically consistent', () => {
    expect(stock.length).toBeGreaterThan(12);
    for (const { part } of stock as readonly { part: SeriesPart }[]) {
      expect(part.sizes, part.name).toEqual([...part.sizes].sort((a, b) => a - b));
      if (part.of !== 'planetary') expect(part.pitch!.si, part.name).toBeGreaterThan(0);
      if (part.of === 'planetary') expect(part.ratedTorque!.si).toBeGreaterThan(0);
      expect(part.mass!.si, part.name).toBeGreaterThan(0);
      expect(part.price!.si, part.name).toBeGreaterThan(0);
    }
  });
});
