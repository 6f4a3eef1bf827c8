import { describe, expect, it } from 'vitest';
import {
  evaluateMechanism,
  ladderSentence,
  rungSentence,
  type Ladder,
  type LimitId,
  type Plan,
  type SituationId,
} from '../src/index.js';
import { plainPlan, mechanismOf, typed, withChange, said } from './demo.js';

const heron = plainPlan('heron');
const lift = ['mechanisms', 1];

function answer(plan: Plan, situation: SituationId, mechanism = 'lift', job = 0): string {
  const { lead, rest } = ladderSentence(
    evaluateMechanism(plan, mechanismOf(plan, mechanism)).jobs[job]!.ladders[situation],
  );
  return `${lead} ${rest}`;
}

const ladder = (plan: Plan, situation: SituationId): Ladder =>
  evaluateMechanism(plan, mechanismOf(plan, 'lift')).jobs[0]!.ladders[situation];

describe('the answer in a sentence', () => {
  it.each<[string, Plan, SituationId, RegExp]>([
    [
      'a current limit first is good',
      heron,
      'starting',
      /^Enough\. The controller’s motor-side limit gives first, at 1\.56× the job: good to give first\.$/,
    ],
    ['a little close', heron, 'working', /^Tight\..*good to give first, a little close\.$/],
    [
      'what is lacking',
      withChange(heron, [...lift, 'jobs', 0, 'mass'], typed(30)),
      'working',
      /^Gives way\. The controller’s pack-side limit gives first: it moves, but too slowly: \d\d % of the speed\./,
    ],
    [
      'a wish far too fast, which moves all the same',
      withChange(heron, [...lift, 'jobs', 0, 'time'], typed(0.05)),
      'working',
      /^Gives way\. The motor at full volts gives first: it moves, but too slowly: \d % of the speed\./,
    ],
    [
      'a load that it does not move',
      withChange(heron, [...lift, 'jobs', 0, 'mass'], typed(80)),
      'working',
      /^Gives way\. The controller’s pack-side limit gives first: it does not move: \d\d % of the force\./,
    ],
    [
      'a rope first is bad',
      withChange(
        withChange(heron, [...lift, 'choices', 0, 'output', 'ropeStrength'], typed(1600)),
        [...lift, 'jobs', 0, 'mass'],
        typed(8),
      ),
      'holding',
      /ratchet/,
    ],
    ['the ratchet lets the motor rest', heron, 'holding', /^Enough\. The ratchet holds it: the motor may rest\.$/],
    [
      'one figure missing',
      withChange(heron, ['parts', 'motor-1', 'part', 'data', 'stallTorque'], undefined),
      'working',
      /^Not known\. Stall torque is missing\. What is known gives at \d\.\d\d×: rope\.$/,
    ],
    [
      'the job itself missing',
      withChange(heron, [...lift, 'jobs', 0, 'mass'], undefined),
      'working',
      /^Not known\. Load is missing\.$/,
    ],
  ])('%s', (_name, plan, situation, sentence) => {
    expect(answer(plan, situation)).toMatch(sentence);
  });

  it('says of a slip that it spares what is behind it', () => {
    expect(answer(heron, 'starting', 'drive', 1)).toContain(
      'Wheel slip gives first, at 1.34× the job: good to give first, since it spares everything behind it.',
    );
  });

  it('names another limit that is worse off by its own margin', () => {
    const slippery = withChange(heron, ['mechanisms', 0, 'choices', 0, 'output', 'grip'], typed(0.75));
    const said = answer(slippery, 'working', 'drive', 1);
    expect(said).toMatch(/Wheel slip gives first/);
    const weak = withChange(slippery, ['mechanisms', 0, 'choices', 0, 'drive', 'supplyLimit'], typed(24));
    expect(answer(weak, 'working', 'drive', 1)).toMatch(
      /^Tight\. Wheel slip gives first.*Pack-side limit is tight at 1\.\d\d×\.$/,
    );
  });

  it('says of each rung what there is, what is asked and the margin', () => {
    const of = (plan: Plan, rung: LimitId) => {
      const all = ladder(plan, 'working');
      return said(
        rungSentence(
          all.rungs.find(({ id }) => id === rung)!,
          all,
          'm',
        ),
      );
    };
    expect(of(heron, 'volts')).toBe(
      'The motor at full volts gives at 269 N, 1.29× the 208 N the job takes; wanted is 1.50×.',
    );
    expect(of(heron, 'stator')).toBe('The controller’s motor-side limit is not reached: the voltage runs out first.');
    const lacking = withChange(heron, ['parts', 'pack-1', 'part', 'dischargeLimit'], undefined);
    expect(of(lacking, 'discharge')).toBe('The pack’s discharge limit: not known, discharge limit missing.');
  });
});
