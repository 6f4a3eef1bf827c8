import { describe, expect, it } from 'vitest';
import {
  addStage,
  applyChanges,
  evaluateMechanism,
  leadAngle,
  pulseSumsOf,
  resolvePath,
  screwEfficiency,
  travelPerTurn,
  type Plan,
  type StepPath,
} from '../src/index.js';
import { demoPlan, mechanismOf, withChange } from './demo.js';

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
