import { wordsText } from '@rough-gear/contract/units';
import {
  judged,
  ledgerOf,
  matchSentence,
  robotOnPack,
  simulateMatch,
  type MatchScript,
  type Plan,
} from '@rough-gear/core';

/** The whole robot: each script it is judged by, gone through; mass, money and counts. SI throughout. */
export function robotReport(plan: Plan) {
  const scripts = (plan.scripts ?? []).filter(({ counts }) => counts);
  const { mass, massMissing, price, priceMissing, motors, servos, controllers, kinds, slots } = ledgerOf(plan);
  return {
    matches: scripts.flatMap((script) => matchReport(plan, script) ?? []),
    ledger: { mass, massMissing, price, priceMissing, motors, servos, controllers, kinds, slots },
  };
}

function matchReport(plan: Plan, script: MatchScript) {
  const robot = robotOnPack(plan, script);
  if (!robot) return undefined;
  const { result, rungs, verdict, leftOut } = judged(robot, script, simulateMatch(robot, script));
  const { lead, rest } = matchSentence({ rungs, verdict });
  return {
    script: script.name,
    verdict,
    answer: `${lead} ${wordsText(rest)}`,
    rungs: rungs.map(({ name, multiple, wants, verdict: its, sentence }) => ({
      name,
      multiple,
      wants,
      verdict: its,
      sentence: wordsText(sentence),
    })),
    leastVolts: result.leastVolts,
    peakCurrent: result.peakCurrent,
    energy: result.energy,
    charge: result.charge,
    lanes: result.lanes.map(({ name, energy, peak }) => ({ name, energy, peak })),
    leftOut,
  };
}
