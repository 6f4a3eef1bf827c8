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
  scoreCard,
  voltVariants,
  WEIGHT_SETS,
  weighted,
  windingFor,
  windingsOf,
  windingVariants,
  type Shelved,
} from '../src/index.js';
import { plainPlan, mechanismOf, nansIn, sampleDrive, withChange } from './demo.js';

const heron = plainPlan('heron');
const { parts: shelf } = JSON.parse(
  readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8'),
) as { parts: Shelved[] };
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

  it('of the shelf’s turned cans share one motor constant', () => {
    const cans = shelf.filter(({ part }) => part.kind === 'motor' && part.data.form === 'turns');
    expect(cans.length).toBeGreaterThanOrEqual(4);
    const constants = cans.map(({ part }) => motorConstant(constantsOf(part)!));
    for (const one of constants) expect(one).toBeCloseTo(constants[0]!, 9);
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
    expect(rows.map(({ label }) => label)).toEqual(['one', 'two', 'three', 'four']);
    for (let i = 1; i < 4; i++) {
      expect(rows[i]!.motorHeat!).toBeLessThan(rows[i - 1]!.motorHeat!);
      expect(rows[i]!.pull!).toBeGreaterThan(rows[i - 1]!.pull!);
      expect(rows[i]!.braking!).toBeGreaterThan(rows[i - 1]!.braking!);
      expect(rows[i]!.price!).toBeCloseTo(rows[0]!.price! * (i + 1), 9);
      expect(rows[i]!.parts).toBe(3 * (i + 1));
      expect(rows[i]!.mass!).toBeCloseTo(rows[0]!.mass! * (i + 1), 9);
    }
  });

  it('with one dead pull as one fewer does, and one alone not at all', () => {
    const dead = motorCounts(heron, 'lift', true, false);
    expect(dead[0]!.note).toMatch(/nothing moves/);
    const [, two] = results([...dead]);
    const [one] = results([...motorCounts(heron, 'lift', false, false)]);
    expect(two!.pull).toBeCloseTo(one!.pull!, 9);
  });

  it('behind one shared pack-side limit pull √2 times as hard at stall', () => {
    const free = withChange(heron, ['parts', 'controller-1', 'part', 'statorLimit'], undefined);
    const rows = motorCounts(free, 'lift', false, true).map((variant) =>
      compareVariant(free, 'lift', 'raise', variant),
    );
    expect(rows[1]!.pull! / rows[0]!.pull!).toBeGreaterThan(1.35);
    expect(rows[1]!.pull! / rows[0]!.pull!).toBeLessThan(1.45);
  });
});

describe('volts first', () => {
  it('from a happy speed to a winding and a reduction, by hand', () => {
    const { kv, total } = windingFor(480, 12, 40);
    expect(kv).toBeCloseTo(50, 12);
    expect(total).toBe(12);
  });

  it('more volts with more reduction: fewer amperes and less heat for the same job, until something ends it', () => {
    const variants = voltVariants(heron, 'lift', 'raise', 900);
    const rows = results([...variants]);
    expect(rows.length).toBe(4);
    for (let i = 1; i < rows.length; i++) {
      expect(rows[i]!.total).toBeGreaterThan(rows[i - 1]!.total);
      expect(rows[i]!.supplyCurrent!).toBeLessThan(rows[i - 1]!.supplyCurrent!);
      expect(rows[i]!.controllerHeat!).toBeLessThan(rows[i - 1]!.controllerHeat!);
    }
    expect(variants[0]!.note).toBeUndefined();
    expect(variants[3]!.note).toMatch(/controller takes 28 V.*motor would turn/);
  });
});

describe('the score card', () => {
  const candidates = candidatesFor(heron, 'lift', 'raise', shelf);
  const card = scoreCard(heron, 'lift', 'raise', candidates);

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
    const [own] = scoreCard(owned, 'lift', 'raise', candidatesFor(owned, 'lift', 'raise', shelf));
    expect(own!.numbers.price).toBe(45);
    expect(own!.scores.owned).toBe(1);
  });

  it('of a missing figure has no numbers rather than wrong ones', () => {
    const path = resolveDcPath(heron, mechanismOf(heron, 'hoist'), 'raise');
    expect(path.lacks.motor).toBeDefined();
    expect(nansIn(scoreCard(heron, 'hoist', 'raise', candidatesFor(heron, 'hoist', 'raise', shelf)))).toEqual([]);
  });
});
