import { wordsText } from '@rough-gear/contract/units';
import {
  eventChecks,
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
  const ledger = ledgerOf(plan);
  const { mass, frame, pack, price, priceMissing, motors, servos, controllers, channels, kinds, slots } = ledger;
  return {
    matches: scripts.flatMap((script) => matchReport(plan, script) ?? []),
    ledger: { mass, frame, pack, price, priceMissing, motors, servos, controllers, channels, kinds, slots },
    event: eventChecks(plan, ledger).map(({ name, verdict, multiple, is, most, sentence }) => ({
      name,
      verdict,
      // What has no end of room says nothing by its number.
      multiple: Number.isFinite(multiple) ? multiple : undefined,
      is,
      most,
      sentence: wordsText(sentence),
    })),
  };
}

function matchReport(plan: Plan, script: MatchScript) {
  const robot = robotOnPack(plan, script);
  if (!robot) return undefined;
  const { result, rungs, verdict, leftOut } = judged(robot, script, simulateMatch(robot, script), eventChecks(plan));
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
