import { describe, expect, it } from 'vitest';
import {
  addStage,
  applyChanges,
  criticalSpeed,
  evaluateMechanism,
  leadAngle,
  leadsFor,
  pulseSumsOf,
  resolvePath,
  screwEfficiency,
  travelPerTurn,
  WHIRL_FACTOR,
  type Plan,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, typed, withChange } from './demo.js';

const limpet = demoPlan('limpet');
const at = limpet.mechanisms.findIndex(({ id }) => id === 'sled');
const choice = limpet.mechanisms[at]!.choices.findIndex(({ id }) => id === mechanismOf(limpet, 'sled').current);
const stages = limpet.mechanisms[at]!.choices[choice]!.stages;
const screw = stages.findIndex(({ kind }) => kind === 'screw');
const place = ['mechanisms', at, 'choices', choice, 'stages', screw];
const withLead = (lead: number): Plan =>
  withChange(limpet, [...place, 'lead'], { si: lead, as: 'typed', source: 'typed' });
const pathOf = (plan: Plan) => resolvePath(plan, mechanismOf(plan, 'sled'), mechanismOf(plan, 'sled').jobs[0]!.id);

describe('A lead screw', () => {
  it('loses by its lead and its diameter: a quarter of the lead is another angle', () => {
    const diameter = 8 / (Math.PI * Math.tan(0.353));
    const by = (lead: number) => screwEfficiency(Math.atan(lead / (Math.PI * diameter)), 0.15, (15 * Math.PI) / 180);
    for (const lead of [8, 4, 2]) {
      const stage = pathOf(withLead(lead / 1000)).train.stages[screw]!;
      expect(stage.efficiency).toBeCloseTo(by(lead), 3);
    }
    // By hand: 8 mm on 6.91 mm is 20.2° and 66 %; 2 mm is 5.26° and 37 %.
    expect(by(8)).toBeCloseTo(0.663, 2);
    expect(by(2)).toBeCloseTo(0.369, 2);
    expect(leadAngle(0.002, diameter / 1000)).toBeCloseTo((5.26 * Math.PI) / 180, 3);
  });

  it('ends in metres and newtons: its link says a travel a turn, a speed along and a force', () => {
    const mechanism = mechanismOf(limpet, 'sled');
    const link = evaluateMechanism(limpet, mechanism).jobs[0]!.links.find(({ id }) => id === stages[screw]!.id)!;
    expect(JSON.stringify(link.detail)).toContain('"dimension":"length"');
    expect(link.key!.there.dimension).toBe('velocity');
    expect(link.passes!.dimension).toBe('force');
    const path = pathOf(limpet);
    expect((2 * Math.PI) / path.train.stages[screw]!.ratio).toBeCloseTo(0.008, 12);
    const before = path.train.stages.slice(0, screw).reduce((all, { ratio }) => all * ratio, 1);
    expect(travelPerTurn(path)).toBeCloseTo(0.008 / before, 12);
  });

  it('says its pulses for a turn of the screw', () => {
    const path = pathOf(limpet) as StepPath;
    const sums = pulseSumsOf(path)!;
    const before = path.train.stages.slice(0, screw).reduce((all, { ratio }) => all * ratio, 1);
    expect([sums.turns, sums.reduction]).toEqual(['screw', expect.closeTo(before, 9)]);
    expect(sums.perTurn).toBe(Math.round(path.step.stepsPerTurn * path.step.microsteps * before));
    expect(sums.perPulse * sums.perTurn).toBeCloseTo(0.008, 6);
    const turntable = demoPlan('heron');
    const turning = resolvePath(turntable, mechanismOf(turntable, 'turntable'), 'turn') as StepPath;
    expect(pulseSumsOf(turning)).toMatchObject({ turns: 'output', reduction: turning.train.total });
  });

  it('stays behind whatever is added', () => {
    const { id, changes } = addStage(limpet, 'sled', 'teeth');
    const after = mechanismOf(applyChanges(limpet, changes), 'sled').choices[choice]!.stages;
    expect(after.at(-1)!.kind).toBe('screw');
    expect(after.map((stage) => stage.id)).toContain(id);
    expect(() => addStage(limpet, 'sled', 'screw')).toThrow(/no stage of this kind/);
  });
});

describe('a screw that turns fast', () => {
  const heronLimpet = demoPlan('limpet');
  const sled = heronLimpet.mechanisms.find(({ kind }) => kind === 'carriage')!;
  const at = ['mechanisms', heronLimpet.mechanisms.indexOf(sled)];
  const job = sled.jobs[0]!.id;
  const whirls = (plan: Plan) =>
    evaluateMechanism(
      plan,
      plan.mechanisms.find(({ id }) => id === sled.id)!,
    ).jobs[0]!.checks.find(({ id }) => id === 'screw-whirls')!;

  it('whips at the first frequency of a beam, found by Rayleigh’s quotient on its own bow', () => {
    const [d, l] = [0.01, 0.6];
    // The bow of a supported beam, sin(πx/l): strain energy over kinetic energy, summed in slices.
    let [strain, kinetic] = [0, 0];
    const [area, inertia] = [(Math.PI / 4) * d ** 2, (Math.PI / 64) * d ** 4];
    const n = 2000;
    for (let i = 0; i < n; i++) {
      const x = ((i + 0.5) * l) / n;
      strain += 205e9 * inertia * ((Math.PI / l) ** 2 * Math.sin((Math.PI * x) / l)) ** 2;
      kinetic += 7850 * area * Math.sin((Math.PI * x) / l) ** 2;
    }
    expect(criticalSpeed(d, l, WHIRL_FACTOR.supported) / Math.sqrt(strain / kinetic)).toBeCloseTo(1, 6);
    expect(criticalSpeed(d, 2 * l, WHIRL_FACTOR.supported)).toBeCloseTo(
      criticalSpeed(d, l, WHIRL_FACTOR.supported) / 4,
      9,
    );
  });

  it('is held against its speed, and mended by more lead or better ends', () => {
    const choice = sled.choices.findIndex(({ id }) => id === sled.current);
    const long = withChange(heronLimpet, [...at, 'choices', choice, 'output', 'freeLength'], typed(2.5));
    expect(whirls(heronLimpet).verdict).toBe('enough');
    expect(whirls(long).verdict).toBe('gives way');
    const held = withChange(long, [...at, 'choices', choice, 'output', 'ends'], 'fixed');
    expect(whirls(held).multiple!).toBeGreaterThan(2 * whirls(long).multiple!);
  });

  it('has its lead chosen from the speed that is wanted', () => {
    const rows = leadsFor(heronLimpet, sled.id, job, 0.1);
    expect(rows.filter(({ own }) => own)).toHaveLength(1);
    for (const { lead, screwSpeed } of rows) expect((screwSpeed / (2 * Math.PI)) * lead).toBeCloseTo(0.1, 9);
    const [fine, coarse] = [rows[0]!, rows.at(-1)!];
    expect(fine.motorSpeed).toBeGreaterThan(coarse.motorSpeed);
    expect(fine.stays).toBe(true);
    expect(rows.find(({ tpi }) => tpi === 12)!.lead).toBeCloseTo(0.0254 / 12, 9);
    expect(leadsFor(demoPlan('heron'), 'lift', 'raise', 0.1)).toEqual([]);
  });

  it('loses less with a nut that rolls', () => {
    const choice = sled.choices.find(({ id }) => id === sled.current)!;
    const index = choice.stages.findIndex(({ kind }) => kind === 'screw');
    const stage = [...at, 'choices', sled.choices.indexOf(choice), 'stages', index];
    const silent = withChange(heronLimpet, [...stage, 'friction'], undefined);
    const of = (nut: string) => {
      const plan = withChange(silent, [...stage, 'nut'], nut);
      return resolvePath(
        plan,
        plan.mechanisms.find(({ id }) => id === sled.id)!,
        job,
      ).train.efficiency;
    };
    expect(of('rolling balls')).toBeGreaterThan(of('plastic'));
    expect(of('plastic')).toBeGreaterThan(of('steel'));
  });
});
