import type { Holder } from '../../plan/plan.js';
import type { CheckRule } from '../check.js';

const HELD_BY: Readonly<Record<Holder, string>> = {
  nothing: 'nothing',
  brake: 'brake',
  ratchet: 'ratchet',
  stage: 'a stage that stays',
};

/** A lifted load asks what keeps it up when the power goes. */
export const staysUp: CheckRule = {
  id: 'stays-up',
  name: 'stays up, power off',
  link: 'output',
  needs: ['load', 'output'],
  run: false,
  levers: ['holder'],
  applies: (path) => path.job.kind === 'raise',
  answer: (path) => {
    const asked = 'must not fall';
    if (path.load.holdForce(0) <= 0) {
      return {
        outcome: { holds: true },
        asked,
        there: 'counterforce',
        sentence: 'The counterforce carries the load, power or not.',
      };
    }
    const byStage = path.train.backEfficiency === 0;
    const holder = path.holder === 'nothing' && byStage ? 'stage' : path.holder;
    const claimed = holder === 'stage' && !byStage;
    const holds = holder !== 'nothing' && !claimed;
    const there = claimed ? 'no stage stays' : HELD_BY[holder];
    const sentence = holds
      ? `With the power off it stays up: ${there}.`
      : claimed
        ? 'No stage of this train stays by itself: the load runs back when the power goes.'
        : 'Nothing keeps it up when the power goes: it falls on whoever stands under it.';
    return { outcome: { holds }, asked, there, sentence };
  },
};
