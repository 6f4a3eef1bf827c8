import { readFileSync } from 'node:fs';
import { beforeAll, describe, expect, it } from 'vitest';
import {
  applyChanges,
  costsOf,
  dominates,
  drivesOf,
  evaluateMechanism,
  everyCandidate,
  LOTS,
  mergeShortlists,
  rankByOrder,
  rankByWeights,
  resolveDcPath,
  searchShortlist,
  totalsBetween,
  type DcDrive,
  type Found,
  type MotorPart,
  type Plan,
  type Shelved,
  type Shortlist,
  type ShortlistQuery,
} from '../src/index.js';
import { demoPlan, mechanismOf, withChange } from './demo.js';

const heron = demoPlan('heron');
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;

const SMALL = [
  ...['motor-brushed-64', 'motor-brushed-45', 'motor-brushed-76', 'motor-brushless-60', 'motor-brushed-28'],
  ...['controller-brushed-40', 'controller-brushed-60', 'controller-brushless-60-sensors', 'controller-plain-15'],
  ...['stepper-42', 'stepper-57', 'step-servo-57', 'driver-mid', 'driver-large', 'driver-servo'],
  ...['servo-standard', 'servo-digital-steel', 'servo-strong', 'servo-leg', 'pack-lead-18', 'pack-lifepo4-4s-20'],
];
/** One drive that can do the hoist's job by itself. */
const ALONE = ['motor-brushed-36-27t', 'controller-plain-15'];
const small = shelf.filter(({ id }) => SMALL.includes(id));

const queryFor = (mechanismId: string, more: Partial<ShortlistQuery> = {}): ShortlistQuery => ({
  mechanismId,
  jobId: mechanismOf(heron, mechanismId).jobs[0]!.id,
  scope: 'everything',
  ownedOnly: false,
  mostMotors: mechanismId === 'lift' ? 3 : 2,
  packs: 'mine',
  from: 2,
  to: 80,
  wants: ['time', 'mass', 'price', 'current', 'margin'],
  ...more,
});

function searched(query: ShortlistQuery, parts: readonly Shelved[] = small, plan: Plan = heron): Shortlist {
  const lots = Array.from({ length: LOTS }, (_, index) => {
    const search = searchShortlist(plan, query, parts, { index, of: LOTS });
    for (;;) {
      const next = search.next();
      if (next.done) return next.value;
    }
  });
  return mergeShortlists(lots, query.wants);
}

const numbersOf = (list: Shortlist) => ({ ...list, front: list.front.map(({ key, figures }) => ({ key, figures })) });

describe('The shortlist', () => {
  describe.each(['lift', 'drive', 'arm', 'thrower', 'intake', 'turntable', 'grip'])('of the %s', (id) => {
    const query = queryFor(id);
    let found: Shortlist;
    beforeAll(() => {
      found = searched(query);
    });

    it('is what judging every candidate in full gives', () => {
      const grid = totalsBetween(query.from, query.to);
      const every = everyCandidate(heron, query, small, () => grid);
      expect(found.front.length).toBeGreaterThan(0);
      const costs = (one: Found) => costsOf(query.wants, one.figures);
      // Nothing that was judged the long way beats what was found, ...
      for (const one of found.front)
        expect(
          every.front.filter((other) => dominates(costs(other), costs(one))).map(({ key }) => key),
          one.key,
        ).toEqual([]);
      // ... and what is best the long way was found, or something that beats it between two steps of the grid.
      const keys = new Set(found.front.map(({ key }) => key));
      for (const one of every.front)
        expect(
          keys.has(one.key) || found.front.some((other) => dominates(costs(other), costs(one))),
          `${one.key} is lost`,
        ).toBe(true);
    });

    it('decides each candidate once', () => {
      const fallen = found.fallen.reduce((sum, { candidates }) => sum + candidates, 0);
      expect(found.judged + found.excluded).toBe(found.tried);
      expect(fallen + found.beaten + found.front.length).toBe(found.tried);
      expect(found.judged).toBeGreaterThanOrEqual(found.front.length);
      expect(found).toMatchObject({ done: true, share: 1 });
    });

    it('holds nothing that the mechanism’s screen says gives way', () => {
      for (const { changes, figures, verdict, multiple } of found.front) {
        const plan = applyChanges(heron, changes);
        const { headline, jobs } = evaluateMechanism(plan, mechanismOf(plan, id));
        expect(['enough', 'tight']).toContain(headline.verdict);
        expect({ verdict: headline.verdict, multiple: headline.multiple }).toEqual({ verdict, multiple });
        const run = jobs.find(({ jobId }) => jobId === query.jobId)!.run;
        if (figures.time !== undefined) expect(figures.time).toBe(run!.time);
      }
    });

    it('does not depend on the order of the shelf', () => {
      expect(numbersOf(searched(query, [...small].reverse()))).toEqual(numbersOf(found));
    });
  });

  describe('like for like', () => {
    const brushless = [...SMALL, 'motor-brushless-42', 'controller-brushless-60-sensors', 'motor-outrunner-190'];
    const parts = shelf.filter(({ id }) => brushless.includes(id));
    const choice = mechanismOf(heron, 'lift').choices[0]!;
    const today = heron.parts[(choice.drive as DcDrive).motor]!.part as MotorPart;
    const partOf = (name: string) => shelf.find(({ part }) => part.name === name)!.part as MotorPart;
    /** Unloaded speed on the pack by hand: (V − R·I0)/Ke from the sheet's own numbers. */
    const freeByHand = ({ data }: MotorPart, volts: number): number => {
      if (data.form !== 'sheet') return Number.NaN;
      const [rated, speed] = [data.ratedVoltage!.si, data.freeSpeed!.si];
      const [free, stall] = [data.freeCurrent!.si, data.stallCurrent!.si];
      const resistance = rated / stall;
      const ke = (rated - free * resistance) / speed;
      return (volts - free * resistance) / ke;
    };

    it('gears each motor to today’s wheel speed, and to no other', () => {
      const path = resolveDcPath(heron, mechanismOf(heron, 'lift'), 'raise');
      const volts = path.drive.restVoltage;
      const wheel = freeByHand(today, volts) / path.train.total;
      const list = searched(queryFor('lift', { like: 'speed' }), parts);
      const sheets = list.front.filter(({ motor }) => partOf(motor).data.form === 'sheet');
      expect(sheets.length).toBeGreaterThan(0);
      for (const { motor, total, key } of sheets)
        expect(freeByHand(partOf(motor), volts) / total / wheel, key).toBeCloseTo(1, 2);
      expect(new Set(list.front.map(({ motor, total }) => `${motor} ${total}`)).size).toBe(
        new Set(list.front.map(({ motor }) => motor)).size,
      );
    });

    it('takes only cans as wide as today’s', () => {
      const drives = drivesOf(heron, mechanismOf(heron, 'lift'), queryFor('lift', { like: 'can' }), shelf);
      const widths = drives.map(({ motor }) => partOf(motor).canDiameter!.si / today.canDiameter!.si);
      expect(Math.min(...widths)).toBeGreaterThanOrEqual(0.9);
      expect(Math.max(...widths)).toBeLessThanOrEqual(1 / 0.9);
      expect(new Set(drives.map(({ motor }) => partOf(motor).type))).toEqual(new Set(['brushed', 'brushless']));
      // A motor whose width nobody knows is like no other.
      const unknown = withChange(heron, ['parts', (choice.drive as DcDrive).motor, 'part', 'canDiameter'], undefined);
      expect(drivesOf(unknown, mechanismOf(unknown, 'lift'), queryFor('lift', { like: 'can' }), shelf)).toEqual([]);
    });

    it('keeps the best of each kind of motor, where one kind alone would win', () => {
      const wants = ['price'] as const;
      const [mixed, apart] = [false, true].map((eachType) => searched(queryFor('lift', { wants, eachType }), parts));
      const types = (list: Shortlist) => new Set(list.front.map(({ motor }) => partOf(motor).type));
      expect(types(mixed!).size).toBe(1);
      expect(types(apart!)).toEqual(new Set(['brushed', 'brushless']));
      for (const type of ['brushed', 'brushless'] as const) {
        const cheapest = apart!.front.filter(({ group }) => group === type);
        const alone = searched(
          queryFor('lift', { wants }),
          parts.filter(({ part }) => part.kind !== 'motor' || part.type === type),
        );
        expect(cheapest.map(({ figures }) => figures.price)).toEqual(alone.front.map(({ figures }) => figures.price));
      }
    });
  });

  it('finds the best ratio between two steps of the grid', () => {
    // One drive only, so that the total alone decides; the fastest of 4,000 totals tried by hand is the reference.
    const parts = shelf.filter(({ id }) => ALONE.includes(id));
    const query = queryFor('hoist', { wants: ['time'], mostMotors: 1, from: 3, to: 60 });
    const fine = Array.from({ length: 1500 }, (_, i) => Number((3 * 20 ** (i / 1499)).toPrecision(3)));
    const best = everyCandidate(heron, query, parts, () => [...new Set(fine)]).front[0]!;
    const [found] = searched(query, parts).front;
    expect(found!.figures.time!).toBeLessThanOrEqual(best.figures.time! * 1.0005);
  });

  it('finds a band of totals that lies between two steps', () => {
    const parts = shelf.filter(({ id }) => ALONE.includes(id));
    const query = queryFor('hoist', { wants: ['time'], mostMotors: 1, from: 3, to: 60 });
    const at = ['mechanisms', heron.mechanisms.findIndex(({ id }) => id === 'hoist'), 'jobs'];
    const hurried = (time: number) =>
      mechanismOf(heron, 'hoist').jobs.reduce<Plan>(
        (changed, _job, j) => withChange(changed, [...at, j, 'time'], { si: time, as: `${time} s`, source: 'typed' }),
        heron,
      );
    const heldOn = (plan: Plan, from: number) =>
      everyCandidate(plan, query, parts, () => totalsBetween(from, 20 * from)).held;
    // The shortest time for which a total of the grid still holds: what holds is a narrow band around it.
    let time = 0.5;
    while (heldOn(hurried(time / 1.002), query.from) > 0) time /= 1.002;
    // Moved by parts of a step, the grid misses the band.
    const missed = [1.02, 1.03, 1.04, 1.05, 1.06].filter((part) => heldOn(hurried(time), query.from * part) === 0);
    expect(missed.length).toBeGreaterThan(0);
    for (const part of missed) {
      const from = query.from * part;
      expect(searched({ ...query, from, to: 20 * from }, parts, hurried(time)).front.length).toBeGreaterThan(0);
    }
  });

  it('keeps to ceilings, and says how many fell for them', () => {
    const free = searched(queryFor('drive'));
    const prices = free.front.map(({ figures }) => figures.price!);
    const ceiling = (Math.min(...prices) + Math.max(...prices)) / 2;
    const bound = searched(queryFor('drive', { mostPrice: ceiling }));
    expect(bound.front.length).toBeGreaterThan(0);
    for (const { figures } of bound.front) expect(figures.price).toBeLessThanOrEqual(ceiling);
    expect(bound.fallen.find(({ reason }) => reason === 'over the price set')!.candidates).toBeGreaterThan(0);
    const light = searched(queryFor('drive', { mostMass: 0.01 }));
    expect(light.front).toEqual([]);
  });

  it('of a drop-in keeps controller, total and stages, and changes the motor for one on the same holes', () => {
    const query = queryFor('lift', { scope: 'drop-in' });
    const choice = mechanismOf(heron, 'lift').choices[0]!;
    const options = drivesOf(heron, mechanismOf(heron, 'lift'), query, shelf);
    expect(options.length).toBeGreaterThan(0);
    const mine = heron.parts[choice.drive.kind === 'dc' ? choice.drive.motor : '']!.part;
    for (const { changes } of options) {
      const plan = applyChanges(heron, changes);
      const [there] = mechanismOf(plan, 'lift').choices;
      expect(there!.stages).toEqual(choice.stages);
      expect({ ...there!.drive, motor: '' }).toEqual({ ...choice.drive, motor: '' });
      const part = plan.parts[there!.drive.kind === 'dc' ? there!.drive.motor : '']!.part;
      expect(part.kind === 'motor' && mine.kind === 'motor' && part.mount === mine.mount).toBe(true);
    }
  });

  it('of what is owned takes no more than lies there unused', () => {
    const owned = small.map((item) =>
      ['motor-brushed-64', 'controller-brushed-40'].includes(item.id)
        ? { ...item, part: { ...item.part, owned: item.part.kind === 'motor' ? 1 : 9 } }
        : item,
    );
    const query = queryFor('arm', { ownedOnly: true, mostMotors: 3 });
    const options = drivesOf(heron, mechanismOf(heron, 'arm'), query, owned);
    for (const option of options) expect(option.motors).toBe(1);
    const list = searched(query, owned);
    for (const { figures } of list.front) expect(figures).toMatchObject({ bought: 0, price: 0 });
  });

  it('counts parts in common with other mechanisms, and those that others here use', () => {
    const query = queryFor('drive', { wants: ['common', 'mass'] });
    const plain = searched(query);
    const common = searched(
      query,
      small.map((item) => (item.id === 'controller-brushed-60' ? { ...item, common: true } : item)),
    );
    expect(Math.max(...plain.front.map(({ figures }) => figures.common!))).toBeGreaterThan(0);
    expect(common.front.some(({ controller }) => controller === 'brushed controller 60 A')).toBe(true);
  });

  it('tries other packs for the whole robot where asked', () => {
    const list = searched(queryFor('drive', { packs: 'shelf' }));
    const mine = searched(queryFor('drive'));
    expect(list.tried).toBeGreaterThan(1.5 * mine.tried);
    for (const { pack, changes } of list.front)
      expect(changes.some(({ to }) => (to as { part?: { kind?: string } }).part?.kind === 'pack')).toBe(
        pack !== undefined,
      );
  });

  it('says what is not known rather than guessing', () => {
    const blind = small.map((item) =>
      item.part.kind === 'motor' ? { ...item, part: { ...item.part, data: { form: 'sheet' as const } } } : item,
    );
    const list = searched(queryFor('lift'), blind);
    expect(list.front).toEqual([]);
    expect(list.fallen.some(({ reason }) => reason.startsWith('not known'))).toBe(true);
  });

  it('of an empty shelf is empty', () => {
    expect(searched(queryFor('lift'), [])).toMatchObject({ front: [], tried: 0, done: true, share: 1 });
  });
});

describe('Ranking a front', () => {
  const { front } = searched(queryFor('drive'));

  it('by one weight puts the best of that want first', () => {
    for (const want of ['time', 'mass', 'price', 'current'] as const) {
      const [first] = rankByWeights(front, { [want]: 1 });
      expect(first!.candidate.figures[want]).toBe(Math.min(...front.map(({ figures }) => figures[want]!)));
      expect(first!.score).toBe(1);
    }
  });

  it('by weights lies between 0 and 1, and more of a weight does not put its best further back', () => {
    const place = (weight: number) =>
      rankByWeights(front, { price: weight, time: 1 }).findIndex(
        ({ candidate }) => candidate.figures.price === Math.min(...front.map(({ figures }) => figures.price!)),
      );
    for (const { score } of rankByWeights(front, { price: 2, time: 1, margin: 3 })) {
      expect(score).toBeGreaterThanOrEqual(0);
      expect(score).toBeLessThanOrEqual(1);
    }
    expect(place(8)).toBeLessThanOrEqual(place(1));
  });

  it('by order lets the next want decide only among those about as good', () => {
    const [first] = rankByOrder(front, ['mass', 'time']);
    const masses = front.map(({ figures }) => figures.mass!);
    const [least, most] = [Math.min(...masses), Math.max(...masses)];
    expect(first!.figures.mass).toBeLessThanOrEqual(least + 0.05 * (most - least));
    const near = front.filter(({ figures }) => figures.mass! < least + 0.05 * (most - least));
    expect(first!.figures.time).toBeLessThanOrEqual(Math.min(...near.map(({ figures }) => figures.time!)) * 1.3);
  });
});
