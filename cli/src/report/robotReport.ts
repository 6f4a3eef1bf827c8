import { wordsText } from '@rough-gear/contract/units';
import {
  atOnce,
  eventChecks,
  judgeTogether,
  ledgerOf,
  matchSentence,
  robotSentence,
  wholeOf,
  type JudgedMatch,
  type Plan,
  type PlanResult,
} from '@rough-gear/core';

/** The whole robot: its one verdict, each script it is judged by, gone through; mass, money and counts. SI throughout. */
export function robotReport(plan: Plan, { mechanisms }: PlanResult) {
  const together = atOnce(judgeTogether(plan));
  const whole = wholeOf(mechanisms, together);
  const { lead, rest } = robotSentence(whole);
  const ledger = ledgerOf(plan);
  const { mass, frame, pack, price, priceMissing, motors, servos, controllers, channels, kinds, slots } = ledger;
  return {
    verdict: whole.verdict,
    answer: `${lead} ${wordsText(rest)}`,
    notKnown: whole.notKnown,
    findings: whole.findings.map(({ of, name, verdict, what, multiple, wants, notKnown, sentence }) => ({
      of,
      name,
      verdict,
      what,
      multiple,
      wants,
      notKnown,
      sentence: wordsText(sentence),
    })),
    matches: together.matches.map(matchReport),
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
