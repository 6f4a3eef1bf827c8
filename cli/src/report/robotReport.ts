import { wordsText } from '@rough-gear/contract/units';
import {
  eventChecks,
  judgeTogether,
  ledgerOf,
  matchSentence,
  mechanismFinding,
  robotSentence,
  rollUp,
  type JudgedMatch,
  type Plan,
  type PlanResult,
  type RobotTogether,
} from '@rough-gear/core';

/** The whole robot: its one verdict, each script it is judged by, gone through; mass, money and counts. SI throughout. */
export function robotReport(plan: Plan, { mechanisms }: PlanResult) {
  const { matches, findings } = togetherOf(plan);
  const whole = rollUp(mechanisms.length === 0 ? [] : [...mechanisms.map(mechanismFinding), ...findings]);
  const { lead, rest } = robotSentence(whole);
  const ledger = ledgerOf(plan);
  const { mass, frame, pack, price, priceMissing, motors, servos, controllers, channels, kinds, slots } = ledger;
  return {
    verdict: whole.verdict,
    answer: `${lead} ${wordsText(rest)}`,
    notKnown: whole.notKnown,
    findings: whole.findings.map(({ of, name, verdict, what, multiple, wants, sentence }) => ({
      of,
      name,
      verdict,
      what,
      multiple,
      wants,
      sentence: wordsText(sentence),
    })),
    matches: matches.map(matchReport),
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

function togetherOf(plan: Plan): RobotTogether {
  const judging = judgeTogether(plan);
  for (;;) {
    const step = judging.next();
    if (step.done) return step.value;
  }
}

function matchReport({ script, result, rungs, verdict, leftOut }: JudgedMatch) {
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
