import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  dcDriveOf,
  applyChanges,
  candidatesFor,
  compareVariant,
  constantsOf,
  motorConstant,
  motorCounts,
  motorFromTurns,
  resolveDcPath,
  rewound,
  SCORE_FACTORS,
  compareVerdicts,
  currentChoice,
  evaluateMechanism,
  gearOverJobs,
  quantityOf,
  rankScores,
  scoreCard,
  standingOf,
  tuneTotal,
  unloadedOutput,
  withDrivenShare,
  voltVariants,
  WEIGHT_SETS,
  weighted,
  windingFor,
  windingsOf,
  windingVariants,
  type Shelved,
} from '../src/index.js';
import { plainPlan, mechanismOf, nansIn, sampleDrive, through, typed, withChange } from './demo.js';

const heron = plainPlan('heron');
const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };
const scored = (...asked: Parameters<typeof scoreCard>) => through(scoreCard(...asked));
const results = (variants: Parameters<typeof compareVariant>[3][], id = 'lift', job = 'raise') =>
  variants.map((variant) => compareVariant(heron, id, job, variant));

describe('windings', () => {
  it('of one frame change Kv and resistance; torque for the same loss stays', () => {
    const windings = windingsOf(sampleDrive.motor);
    const [half, , one, , twice] = windings;
    expect(half!.kv).toBeCloseTo(2 * one!.kv, 9);
    expect(twice!.resistance).toBeCloseTo(4 * one!.resistance, 9);
    for (const winding of windings) {
      expect(winding.motorConstant).toBeCloseTo(one!.motorConstant, 12);
      expect(winding.torqueAt50W).toBeCloseTo(one!.torqueAt50W, 12);
    }
  });

  it('by turns with a reference: 2:1 turns halve Kv and quadruple R', () => {
    const reference = { referenceTurns: 27, referenceKv: 200, referenceResistance: 0.1, referenceFreeCurrent: 2 };
    const wound = motorFromTurns({ ...reference, turns: 54, lengthRatio: 1 });
    expect(wound.backEmfConstant).toBeCloseTo(1 / 100, 12);
    expect(wound.resistance).toBeCloseTo(0.4, 12);
    expect(wound.freeCurrent).toBeCloseTo(1, 12);
    expect(motorConstant(wound)).toBeCloseTo(
      motorConstant(motorFromTurns({ ...reference, turns: 27, lengthRatio: 1 })),
      12,
    );
    const longer = motorFromTurns({ ...reference, turns: 27, lengthRatio: 1.5 });
    expect(motorConstant(longer)).toBeCloseTo(
      Math.sqrt(1.5) * motorConstant(motorFromTurns({ ...reference, turns: 27, lengthRatio: 1 })),
      12,
    );
  });

  it('of the shelf’s turned cans share one motor constant for each can', () => {
    const cans = shelf.flatMap(({ part }) => (part.kind === 'motor' && part.data.form === 'turns' ? [part] : []));
    const kindOf = ({ slots, length }: (typeof cans)[number]) => `${slots} slots, ${length!.si} m`;
    const kinds = new Set(cans.map(kindOf));
    expect(kinds.size).toBeGreaterThanOrEqual(3);
    for (const kind of kinds) {
      const alike = cans.filter((part) => kindOf(part) === kind);
      expect(alike.length, kind).toBeGreaterThanOrEqual(2);
      const constants = alike.map((part) => motorConstant(constantsOf(part)!));
      for (const one of constants) expect(one, kind).toBeCloseTo(constants[0]!, 9);
    }
    // A can says one length, and what has brushes needs no sensors.
    for (const { name, length, data, sensors } of cans) {
      expect(data.form === 'turns' && data.canLength?.si, name).toBe(length!.si);
      expect(sensors, name).toBeUndefined();
    }
  });

  it('with the same reduction a slower winding is no stronger motor: the heat for this work stays', () => {
    const variants = windingVariants(heron, 'lift', shelf, false).filter(({ id }) => id.startsWith('turns'));
    const rows = results([...variants]);
    const own = rows.find(({ id }) => id === 'turns-1')!;
    for (const row of rows) {
      expect(row.motorHeat! / own.motorHeat!, row.label).toBeCloseTo(1, 6);
    }
    const slow = rows.find(({ id }) => id === 'turns-2')!;
    expect(slow.motorCurrent!).toBeCloseTo(own.motorCurrent! / 2, 6);
    // What it does is run out of volts sooner.
    expect(slow.headline.verdict).toBe('gives way');
    expect(slow.total).toBe(own.total);
  });

  it('a bigger can is: less heat for the same work', () => {
    const bigger = windingVariants(heron, 'lift', shelf, true).filter(({ id }) => id.startsWith('can-'));
    expect(bigger.length).toBeGreaterThan(0);
    const own = results([{ id: 'own', label: 'own', changes: [] }])[0]!;
    expect(Math.min(...results([...bigger]).map(({ motorHeat }) => motorHeat!))).toBeLessThan(own.motorHeat!);
  });

  it('leave the motor of other mechanisms alone', () => {
    const [variant] = windingVariants(heron, 'lift', shelf, false);
    const changed = applyChanges(heron, variant!.changes);
    const motorOf = (plan: typeof heron, id: string) =>
      plan.parts[dcDriveOf(mechanismOf(plan, id).choices[0]!).motor]!.part;
    expect(motorOf(changed, 'climb')).toEqual(motorOf(heron, 'climb'));
    expect(motorOf(changed, 'lift')).not.toEqual(motorOf(heron, 'lift'));
  });

  it('keep what sets Kt and Ke apart', () => {
    const wound = rewound(sampleDrive.motor, 1.41);
    expect(wound.torqueConstant / wound.backEmfConstant).toBeCloseTo(18 / 19, 12);
  });
});

describe('several motors', () => {
  it('share the load: less heat in all, more pull, more cost', () => {
    const rows = results([...motorCounts(heron, 'lift', false, false)]);
    expect(rows.map(({ label }) => label)).toEqual(['as it is, one', 'two', 'three', 'four']);
    const each = 1.15;
    for (let i = 1; i < 4; i++) {
      expect(rows[i]!.motorHeat!).toBeLessThan(rows[i - 1]!.motorHeat!);
      expect(rows[i]!.pull!).toBeGreaterThan(rows[i - 1]!.pull!);
      expect(rows[i]!.braking!).toBeGreaterThan(rows[i - 1]!.braking!);
      expect(rows[i]!.price!).toBeCloseTo(rows[0]!.price! * (i + 1), 9);
      expect(rows[i]!.parts).toBe(3 * (i + 1));
      // The train is there once, whatever turns it, and it weighs something.
      expect(rows[i]!.mass!).toBeCloseTo(rows[0]!.mass! + i * each, 9);
    }
    expect(rows[0]!.mass!).toBeGreaterThan(1.1 * each);
  });

  it('with trains of their own weigh and cost a train each, and are told as far as the plan has them', () => {
    const at = ['mechanisms', heron.mechanisms.indexOf(mechanismOf(heron, 'drive')), 'choices', 0] as const;
    const six = applyChanges(heron, [
      { at: [...at, 'drive', 'motors'], to: 6 },
      { at: [...at, 'drive', 'apart'], to: true },
      { at: [...at, 'stages', 0, 'price'], to: quantityOf(10, '10') },
    ]);
    const rows = motorCounts(six, 'drive', false, false).map((one) => compareVariant(six, 'drive', 'push', one));
    expect(rows.map(({ label }) => label)).toEqual(['one', 'two', 'three', 'four', 'five', 'as it is, six', 'seven']);
    const step = rows[1]!.price! - rows[0]!.price!;
    expect(step).toBeCloseTo(83 + 10, 9);
    expect(rows[6]!.price! - rows[5]!.price!).toBeCloseTo(step, 9);
    // Each brings the wheels and the chain of its train.
    expect(rows[1]!.mass! - rows[0]!.mass!).toBeGreaterThan(1.2);
  });

  it('that each turn a wheel of their own move the weight that drives, and the pull that the tyres carry', () => {
    const at = ['mechanisms', heron.mechanisms.indexOf(mechanismOf(heron, 'drive')), 'choices', 0] as const;
    const apart = withDrivenShare(heron, 'drive', [
      { at: [...at, 'drive', 'motors'], to: 2 },
      { at: [...at, 'drive', 'apart'], to: true },
    ]);
    // What was typed for four driven wheels is not true of two.
    expect(apart.at(-1)).toEqual({ at: [...at, 'output', 'drivenShare'], to: undefined });
    const two = applyChanges(heron, apart);
    const share = (plan: typeof heron) =>
      resolveDcPath(plan, mechanismOf(plan, 'drive'), 'push').figures['output.drivenShare']!.value;
    expect(share(heron)).toBe(1);
    expect(share(two)).toBe(0.5);
    expect(share(applyChanges(two, [{ at: [...at, 'output', 'wheels'], to: 6 }]))).toBeCloseTo(1 / 3, 12);
    const pulls = motorCounts(two, 'drive', false, false).map((one) => compareVariant(two, 'drive', 'push', one).pull!);
    expect(pulls[3]! / pulls[1]!).toBeCloseTo(2, 6);
    // Driven wheels are counted without motors of their own, too.
    const driven = applyChanges(heron, withDrivenShare(heron, 'drive', [{ at: [...at, 'output', 'driven'], to: 2 }]));
    expect(share(driven)).toBe(0.5);
    // A change of something else leaves the share that was typed.
    expect(withDrivenShare(heron, 'drive', [{ at: [...at, 'drive', 'motors'], to: 2 }])).toHaveLength(1);
  });

  it('with one dead pull as one fewer does, and one alone not at all', () => {
    const dead = motorCounts(heron, 'lift', true, false);
    expect(dead.map(({ label }) => label).slice(0, 3)).toEqual([
      'as it is, one',
      'one, and it is dead',
      'two, one dead',
    ]);
    expect(dead[1]!.note).toMatch(/nothing moves/);
    const [, , two] = results([...dead]);
    const [one] = results([...motorCounts(heron, 'lift', false, false)]);
    expect(two!.pull).toBeCloseTo(one!.pull!, 9);
  });

  it('behind one shared pack-side limit pull √2 times as hard at stall', () => {
    const free = withChange(heron, ['parts', 'controller-1', 'part', 'statorLimit'], undefined);
    const rows = motorCounts(free, 'lift', false, true).map((variant) =>
      compareVariant(free, 'lift', 'raise', variant),
    );
    expect(rows[2]!.pull! / rows[1]!.pull!).toBeGreaterThan(1.35);
    expect(rows[2]!.pull! / rows[1]!.pull!).toBeLessThan(1.45);
  });
});

describe('volts first', () => {
  it('from a happy speed to a winding and a reduction, by hand', () => {
    const { kv, total } = windingFor(480, 12, 40);
    expect(kv).toBeCloseTo(50, 12);
    expect(total).toBe(12);
  });

  const rows = (plan: typeof heron, id: string, job: string, fastest?: number) =>
    voltVariants(plan, id, job, fastest).map((variant) => compareVariant(plan, id, job, variant));

  it('goes both ways from the cells that are there, once by the reduction and once by the winding', () => {
    const variants = voltVariants(heron, 'lift', 'raise', 600);
    expect(variants.map(({ id }) => id)).toEqual([
      'geared-3',
      'wound-3',
      'geared-5',
      'wound-5',
      'now',
      'geared-7',
      'wound-7',
      'geared-9',
      'wound-9',
      'geared-12',
      'wound-12',
    ]);
    expect(variants[4]!.changes).toEqual([]);
    expect(variants.find(({ id }) => id === 'geared-7')!.note).toBeUndefined();
    expect(variants.find(({ id }) => id === 'geared-12')!.note).toMatch(/motor would turn/);
    const one = withChange(heron, ['parts', 'pack-1', 'part', 'series'], 1);
    expect(voltVariants(one, 'lift', 'raise').map(({ id }) => id)).toEqual(['now', 'geared-2', 'wound-2']);
  });

  it('does the same work with fewer amperes, no hotter, and runs the output no slower', () => {
    for (const [mechanism, job] of [
      ['lift', 'raise'],
      ['climb', 'haul'],
    ] as const) {
      const found = rows(heron, mechanism, job);
      const by = (id: string) => found.find((row) => row.id === id)!;
      const own = by('now');
      for (const id of ['geared-7', 'geared-9', 'geared-12', 'wound-7', 'wound-9', 'wound-12'].map(by)) {
        // Each stage that moves ends on a whole tooth.
        expect(id.top! / own.top!, id.label).toBeGreaterThan(0.98);
        expect(id.supplyCurrent!, id.label).toBeLessThan(own.supplyCurrent!);
        expect(id.motorCurrent!, id.label).toBeLessThan(own.motorCurrent!);
        expect(id.hottest!, id.label).toBeLessThan(own.hottest! + 5);
        expect(id.time!, id.label).toBeCloseTo(own.time!, 6);
      }
      expect(by('geared-5').motorCurrent!).toBeGreaterThan(own.motorCurrent!);
      // As many times the turns as volts leave the heat for the same work as it is.
      expect(by('wound-12').motorHeat! / own.motorHeat!).toBeCloseTo(1, 6);
    }
  });
});

describe('gearing over all jobs', () => {
  /** Every total of a fine sweep, judged as it stands. */
  const sweep = (plan: typeof heron, id: string) =>
    Array.from({ length: 120 }, (_, i) => 2 * 1.04 ** i).map((total) => {
      const mechanism = mechanismOf(plan, id);
      const change = tuneTotal(plan, mechanism, resolveDcPath(plan, mechanism, mechanism.jobs[0]!.id), total)!;
      const changed = applyChanges(plan, [change]);
      return evaluateMechanism(changed, mechanismOf(changed, id)).headline;
    });

  it.each(['lift', 'drive', 'climb', 'thrower', 'intake'])('%s: finds a total as good as any of a fine sweep', (id) => {
    const { headline, changes } = gearOverJobs(heron, id);
    for (const other of sweep(heron, id)) {
      expect(compareVerdicts(headline.verdict, other.verdict), `${other.name}`).toBeLessThanOrEqual(0);
      if (other.verdict === headline.verdict && other.verdict !== 'enough')
        expect(standingOf(headline) ?? 1).toBeGreaterThan((standingOf(other) ?? 1) * 0.97);
    }
    // What is given is what puts it there.
    const made = applyChanges(heron, changes);
    expect(evaluateMechanism(made, mechanismOf(made, id)).headline).toEqual(headline);
  });

  it('goes down to the shaft itself, and opens the ratio where the teeth do not reach', () => {
    const slow = withChange(heron, ['parts', 'motor-1', 'part', 'data', 'freeSpeed'], typed(3));
    const direct = gearOverJobs(slow, 'lift');
    expect(direct.total).toBe(1);
    expect(currentChoice(mechanismOf(applyChanges(slow, direct.changes), 'lift')).stages).toEqual([]);
    const lift = heron.mechanisms.indexOf(mechanismOf(heron, 'lift'));
    // With 100 teeth on the driver 200 on the driven wheel make no more than 2:1 of it.
    const coarse = withChange(heron, ['mechanisms', lift, 'choices', 0, 'stages', 1, 'driver'], 100);
    const deep = gearOverJobs(coarse, 'lift');
    expect(deep.total).toBeGreaterThan(8);
    const stages = currentChoice(mechanismOf(applyChanges(coarse, deep.changes), 'lift')).stages;
    expect(stages.map(({ kind }) => kind)).toEqual(['ratio']);
  });

  it('says that no total was found, and what the best comes to', () => {
    const heavy = withChange(
      heron,
      ['mechanisms', heron.mechanisms.indexOf(mechanismOf(heron, 'lift')), 'jobs', 0, 'mass'],
      typed(120),
    );
    const { best, headline } = gearOverJobs(heavy, 'lift');
    expect(headline.verdict).toBe('gives way');
    expect(headline.multiple!).toBeGreaterThan(0.05);
    expect(best).toMatch(/^0\.\d+×/);
    const row = compareVariant(heavy, 'lift', 'raise', { id: 'a', label: 'a', changes: [], gear: 'over all jobs' });
    expect(row.note).toContain(`no total found, best ${best}`);
    // A fall is none of the total's: nothing is said of it.
    expect(gearOverJobs(heron, 'climb')).toMatchObject({ best: undefined, headline: { check: 'stays-up' } });
  });
});

describe('other windings', () => {
  it('keep the form the motor is told in: what its brushes drop stays beside its resistance', () => {
    const kv = { form: 'kv', kv: typed(52), resistance: typed(0.1), freeCurrent: typed(2.2) };
    const told = applyChanges(heron, [
      { at: ['parts', 'motor-1', 'part', 'data'], to: kv },
      { at: ['parts', 'motor-1', 'part', 'brushDrop'], to: typed(1) },
      { at: ['parts', 'motor-1', 'part', 'continuousCurrent'], to: typed(30) },
      { at: ['parts', 'motor-1', 'part', 'freeCurrentPerSpeed'], to: typed(0.002) },
    ]);
    const own = resolveDcPath(told, mechanismOf(told, 'lift'), 'raise');
    for (const { id, changes } of windingVariants(told, 'lift', [], false)) {
      const turns = Number(id.replace('turns-', ''));
      const made = applyChanges(told, changes);
      const { drive, motor } = resolveDcPath(made, mechanismOf(made, 'lift'), 'raise');
      expect(drive.motor.brushDrop, id).toBe(1);
      expect(drive.motor.resistance / own.drive.motor.resistance, id).toBeCloseTo(turns ** 2, 9);
      expect(drive.motor.backEmfConstant / own.drive.motor.backEmfConstant, id).toBeCloseTo(turns, 9);
      expect(drive.motor.freeCurrentPerSpeed * turns, id).toBeCloseTo(0.002, 12);
      expect(motor.continuousCurrent * turns, id).toBeCloseTo(30, 9);
      // No ceiling comes in by the form it is told in.
      expect(motor.highestSpeed, id).toEqual(own.motor.highestSpeed);
    }
  });
});

describe('the score card', () => {
  const candidates = candidatesFor(heron, 'lift', 'raise', shelf);
  const card = scored(heron, 'lift', 'raise', candidates);

  it('has the design’s own pair and both kinds from the shelf', () => {
    expect(candidates[0]!.changes).toEqual([]);
    expect(new Set(card.map(({ type }) => type))).toEqual(new Set(['brushed', 'brushless']));
    expect(nansIn(card)).toEqual([]);
  });

  it('scores every factor within 0…1', () => {
    for (const { scores } of card) {
      for (const factor of SCORE_FACTORS) {
        const score = scores[factor];
        if (score === undefined) continue;
        expect(score).toBeGreaterThanOrEqual(0);
        expect(score).toBeLessThanOrEqual(1);
      }
    }
  });

  it('shows the least controlled speed of each, so that the number speaks', () => {
    const known = card.filter(({ numbers }) => numbers.leastSpeed !== undefined);
    expect(known.length).toBe(card.length);
    const sensing = card.find(({ name }) => name.includes('with sensors'));
    // Nothing creeps at nothing: friction’s scatter and detent stall a motor with sensors too.
    expect(sensing!.numbers.leastSpeed).toBeGreaterThan(0);
    const brushed = card.find(({ type }) => type === 'brushed')!;
    expect(brushed.numbers.leastSpeed).toBeGreaterThan(0);
  });

  it('is weighed by the person: the two schools differ, and both have their reasons', () => {
    expect(WEIGHT_SETS).toHaveLength(2);
    for (const { reasons } of WEIGHT_SETS) expect(reasons.length).toBeGreaterThan(80);
    const score = card[0]!;
    expect(weighted({ ...score, scores: { cost: 1, dirt: 0 } }, { cost: 3, dirt: 1 })).toBeCloseTo(0.75, 12);
    expect(weighted({ ...score, scores: {} }, { cost: 3 })).toBe(0);
    const [precise, power] = WEIGHT_SETS.map(({ weights }) => card.map((one) => weighted(one, weights)));
    expect(precise).not.toEqual(power);
  });

  it('counts what is owned as paid', () => {
    const owned = withChange(heron, ['parts', 'motor-1', 'part', 'owned'], 2);
    const [own] = scored(owned, 'lift', 'raise', candidatesFor(owned, 'lift', 'raise', shelf));
    expect(own!.numbers.price).toBe(45);
    expect(own!.scores.owned).toBe(1);
  });

  it('never ranks one that gives way over one that does the job, whatever the weights', () => {
    const one = (id: string, verdict: 'enough' | 'gives way', cost: number) =>
      ({ ...card[0]!, id, headline: { ...card[0]!.headline, verdict }, scores: { cost } }) as (typeof card)[number];
    const ranked = rankScores([one('cheap', 'gives way', 1), one('dear', 'enough', 0.1), one('fair', 'enough', 0.2)], {
      cost: 5,
    });
    expect(ranked.map(({ id }) => id)).toEqual(['fair', 'dear', 'cheap']);
  });

  it('gears each rival over all jobs: none is shown at nothing, and what is taken gives the row’s figures', () => {
    for (const [id, job] of [
      ['lift', 'raise'],
      ['lift', 'lower'],
      ['drive', 'push'],
      ['drive', 'sprint'],
    ] as const) {
      const scores = scored(heron, id, job, candidatesFor(heron, id, job, shelf));
      expect(scores.length).toBeGreaterThan(3);
      for (const { name, headline, changes, total } of scores) {
        if (headline.multiple !== undefined) expect(headline.multiple, name).toBeGreaterThan(0.02);
        const taken = applyChanges(heron, changes);
        expect(evaluateMechanism(taken, mechanismOf(taken, id)).headline, name).toEqual(headline);
        expect(resolveDcPath(taken, mechanismOf(taken, id), job).train.total).toBe(total);
      }
    }
  });

  it('compares in the same can and at the same wheel speed at once', () => {
    const both = candidatesFor(heron, 'drive', 'push', shelf, 'can and speed');
    const own = resolveDcPath(heron, mechanismOf(heron, 'drive'), 'push');
    for (const score of scored(heron, 'drive', 'push', both)) {
      const changed = applyChanges(heron, score.changes);
      const path = resolveDcPath(changed, mechanismOf(changed, 'drive'), 'push');
      expect(Math.abs(unloadedOutput(path)! / unloadedOutput(own)! - 1), score.name).toBeLessThan(0.06);
    }
    const cans = candidatesFor(heron, 'drive', 'push', shelf, 'can').map(({ id }) => id);
    expect(both.map(({ id }) => id)).toEqual(cans);
  });

  it('of a missing figure has no numbers rather than wrong ones', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'hoist'), 'raise');
    expect(path.lacks.motor).toBeDefined();
    expect(nansIn(scored(heron, 'hoist', 'raise', candidatesFor(heron, 'hoist', 'raise', shelf)))).toEqual([]);
  });
});
