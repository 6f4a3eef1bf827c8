import { readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import {
  applyChanges,
  currentChoice,
  evaluateMechanism,
  fullEffort,
  proposeMechanism,
  quantityOf,
  ratioMarks,
  resolveDcPath,
  sweepRatios,
  systemOf,
  tuneTotal,
  type ChainStage,
  type PackPart,
  type Plan,
  type Shelved,
  type WishMachine,
} from '../src/index.js';
import { plainPlan, mechanismOf, nansIn, typed, withChange } from './demo.js';

const heron = plainPlan('heron');
const lift = mechanismOf(heron, 'lift');
const path = resolveDcPath(heron, lift, 'raise');
const shelf = (
  JSON.parse(readFileSync(new URL('../../contract/demo/shelf.json', import.meta.url), 'utf8')) as { parts: Shelved[] }
).parts;

describe('the ruler', () => {
  it('steps whole driven teeth of the tuning stage', () => {
    expect(tuneTotal(heron, lift, path, 9.4)).toMatchObject({
      at: ['mechanisms', 1, 'choices', 0, 'stages', 1],
      to: { driver: 18, driven: 50 },
    });
    expect(tuneTotal(heron, lift, path, 9.01, 'up')?.to).toMatchObject({ driven: 49 });
    expect(tuneTotal(heron, lift, path, 8.99, 'down')?.to).toMatchObject({ driven: 47 });
    expect(tuneTotal(heron, lift, path, 9, 'up')?.to).toMatchObject({ driven: 48 });
  });

  it('sets the chain free, so that another length goes round the new wheel at the same distance', () => {
    const to = tuneTotal(heron, lift, path, 9.4)!.to as ChainStage;
    expect(to).not.toHaveProperty('links');
    expect(to.centre!.si).toBeCloseTo(0.19127, 4);
    const gears = withChange(heron, ['mechanisms', 1, 'choices', 0, 'tuning'], 's1');
    expect(tuneTotal(gears, mechanismOf(gears, 'lift'), path, 9.4)).toEqual({
      at: ['mechanisms', 1, 'choices', 0, 'stages', 0, 'driven'],
      to: 56,
    });
  });

  it('keeps within wheels that can be made', () => {
    expect(tuneTotal(heron, lift, path, 0.01)?.to).toMatchObject({ driven: 8 });
    expect(tuneTotal(heron, lift, path, 1e6)?.to).toMatchObject({ driven: 200 });
  });

  it('sets a ratio to three digits', () => {
    const limpet = plainPlan('limpet');
    const drive = mechanismOf(limpet, 'drive');
    expect(tuneTotal(limpet, drive, resolveDcPath(limpet, drive, 'sprint'), 31.4159)).toMatchObject({
      to: { si: 31.4, as: '31.4:1', source: 'typed' },
    });
  });

  it('moves nothing where there is no stage to move', () => {
    const bare = withChange(heron, ['mechanisms', 1, 'choices', 0, 'stages'], []);
    expect(
      tuneTotal(bare, mechanismOf(bare, 'lift'), resolveDcPath(bare, mechanismOf(bare, 'lift'), 'raise'), 5),
    ).toBeUndefined();
  });
});

describe('the marks', () => {
  const points = [...sweepRatios(path, 3, 29, 61)];
  const marks = ratioMarks(points);
  const runAt = (total: number) => fullEffort({ ...systemOf(path), total });

  it('put fastest where neither side is faster', () => {
    const best = runAt(marks.fastest!).time;
    expect(best).toBeLessThan(runAt(marks.fastest! * 1.15).time);
    expect(best).toBeLessThan(runAt(marks.fastest! / 1.15).time);
  });

  it('put coolest deeper than fastest, since deep means less current', () => {
    expect(marks.coolest!).toBeGreaterThan(marks.fastest!);
  });

  it('say nothing where nothing arrives', () => {
    expect(ratioMarks(points.map((point) => ({ ...point, arrives: false })))).toEqual({});
  });

  it('refine between the points of the sweep', () => {
    const at = (total: number, time: number) => ({ total, arrives: true, time, heat: 1, peakSupplyCurrent: 1 });
    const marked = ratioMarks([at(4, 3), at(8, 1), at(16, 2)]);
    expect(marked.fastest).toBeGreaterThan(8);
    expect(marked.fastest).toBeLessThan(9);
  });
});

describe('a proposal', () => {
  const wish = {
    kind: 'lift' as const,
    name: 'New lift',
    values: { mass: quantityOf(12, '12 kg'), distance: quantityOf(1, '1 m'), time: quantityOf(2, '2 s') },
  };

  function propose(plan: Plan, wished: Parameters<typeof proposeMechanism>[1]) {
    const { id, changes } = proposeMechanism(plan, wished, shelf);
    const changed = applyChanges(plan, changes);
    return { changed, mechanism: mechanismOf(changed, id) };
  }

  it('answers at once, with every guess marked typical', () => {
    const { changed, mechanism } = propose(heron, wish);
    const result = evaluateMechanism(changed, mechanism);
    expect(nansIn(result)).toEqual([]);
    expect(result.jobs[0]!.run?.outcome).toBe('arrived');
    const [choice] = mechanism.choices;
    expect(choice!.stages[0]).toMatchObject({ ratio: { source: 'typical' } });
    expect(choice!.output).toMatchObject({ radius: { source: 'typical' } });
    expect(mechanism.jobs[0]).toMatchObject({ mass: { source: 'typed' } });
  });

  it.each([2, 8, 20, 45])('lifts %d kg with the motor it picks', (mass) => {
    const { changed, mechanism } = propose(heron, { ...wish, values: { ...wish.values, mass: typed(mass) } });
    const [job] = evaluateMechanism(changed, mechanism).jobs;
    expect(job!.ladders.working.first!.multiple).toBeGreaterThan(1);
    expect(job!.checks.find(({ id }) => id === 'in-time')!.verdict).toBe('enough');
  });

  it('asks a drive base for sprint and push', () => {
    const { changed, mechanism } = propose(heron, {
      ...wish,
      kind: 'drive-base',
      values: { mass: typed(50), distance: typed(6), time: typed(3) },
    });
    expect(mechanism.jobs.map((job) => job.kind)).toEqual(['sprint', 'push']);
    expect(evaluateMechanism(changed, mechanism).headline.verdict).not.toBe('not known');
  });

  it('does not take an id that is there', () => {
    const first = propose(heron, wish);
    expect(propose(first.changed, wish).mechanism.id).not.toBe(first.mechanism.id);
  });

  it('says when the shelf has nothing for this pack', () => {
    const cells = withChange(heron, ['parts', 'pack-1', 'part', 'series'], 60);
    expect(() => proposeMechanism(cells, wish, shelf)).toThrow(
      'no motor of the shelf stands 138 V together with a controller: put one on the shelf, or choose another machine',
    );
  });

  /** Packs, and the machines that nothing of the shelf drives on them: drivers of step servos want more than 12.6 V. */
  const PACKS: readonly (readonly [name: string, pack: Partial<PackPart>, ...none: readonly WishMachine[]])[] = [
    ['a supply of 13.8 V', { chemistry: 'bench', series: 1, voltage: typed(13.8) }],
    ['a supply of 24 V', { chemistry: 'bench', series: 1, voltage: typed(24) }],
    ['2 cells of LiPo', { chemistry: 'lipo', series: 2 }, 'step-servo'],
    ['3 cells of LiPo', { chemistry: 'lipo', series: 3 }, 'step-servo'],
    ['6 cells of LiPo', { chemistry: 'lipo', series: 6 }],
    ['12 cells of LiPo', { chemistry: 'lipo', series: 12 }],
  ];
  const MACHINES: readonly WishMachine[] = ['dc', 'step', 'step-servo', 'servo'];

  it.each(PACKS)('is made on %s for every machine, or says what to do', (name, figures, ...none) => {
    const pack: object = Object.assign({}, heron.parts['pack-1']!.part, figures);
    const plan = withChange(heron, ['parts', 'pack-1', 'part'], JSON.parse(JSON.stringify(pack)));
    for (const machine of MACHINES) {
      const use = machine === 'servo' ? { use: 'grip' as const, kind: 'grip' as const } : {};
      const values =
        machine === 'servo'
          ? { mass: typed(0.4), length: typed(0.08), time: typed(0.5) }
          : { mass: typed(2), distance: typed(0.3), time: typed(2) };
      const wished = { kind: 'carriage' as const, name: machine, machine, values, ...use };
      if (none.includes(machine)) {
        expect(() => propose(plan, wished), `${machine} on ${name}`).toThrow(/put one on the shelf/);
        continue;
      }
      const { changed, mechanism } = propose(plan, wished);
      const { headline } = evaluateMechanism(changed, mechanism);
      expect(headline.verdict, `${machine} on ${name}`).not.toBe('not known');
      const { drive } = currentChoice(mechanism);
      if (drive.kind === 'dc') {
        const { part } = changed.parts[drive.controller]!;
        expect(part.kind === 'controller' && part.highestVoltage!.si).toBeGreaterThanOrEqual(
          resolveDcPath(changed, mechanism, mechanism.jobs[0]!.id).pack.full,
        );
      }
    }
  });
});
