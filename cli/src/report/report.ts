import { wordsText } from '@rough-gear/contract/units';
import {
  ladderSentence,
  mendsWithin,
  rungSentence,
  SITUATIONS,
  type Check,
  type JobResult,
  type Ladder,
  type Mend,
  type Measured,
  type MechanismResult,
  type Plan,
  type PlanResult,
  type Rung,
  type Target,
  type Words,
} from '@rough-gear/core';

/** A number with the unit it is in; always SI here. */
interface WithUnit {
  readonly value: number;
  readonly unit: string;
}

const SI_UNITS: Readonly<Record<Measured['dimension'], string>> = {
  torque: 'N·m',
  'torque constant': 'N·m/A',
  'back-EMF constant': 'V·s/rad',
  'angular impulse': 'N·m·s',
  speed: 'rad/s',
  kv: 'rad/(V·s)',
  voltage: 'V',
  current: 'A',
  resistance: 'Ω',
  mass: 'kg',
  force: 'N',
  stress: 'Pa',
  length: 'm',
  time: 's',
  angle: 'rad',
  velocity: 'm/s',
  'angular acceleration': 'rad/s²',
  stiffness: 'N·m/rad',
  'air drag': 'N·m·s²',
  acceleration: 'm/s²',
  inertia: 'kg·m²',
  temperature: '°C',
  charge: 'A·s',
  share: '1',
  ratio: '1',
  number: '1',
  gauge: 'AWG',
  energy: 'J',
  power: 'W',
  drag: 'A·s/rad',
  inductance: 'H',
  capacitance: 'F',
  rate: '1/s',
  pulse: 's',
  turning: 'rad/s',
  'pin current': 'A',
  'input resistance': 'Ω',
};

const measured = ({ value, dimension }: Measured): WithUnit => ({ value, unit: SI_UNITS[dimension] });
/** What an output that goes along, or turns, is measured in. */
const forceOf = ({ unit }: JobResult) => (unit === 'm' ? ('force' as const) : ('torque' as const));
const speedOf = ({ unit }: JobResult) => (unit === 'm' ? ('velocity' as const) : ('speed' as const));

const answered = (answer: Measured | Words | undefined) =>
  answer === undefined
    ? undefined
    : typeof answer === 'object' && 'value' in answer
      ? measured(answer)
      : wordsText(answer);

/** The evaluation as a document for other programs: no samples, every number with its unit. */
export function reportOf(plan: Plan, result: PlanResult) {
  return {
    format: 'rough-gear-evaluation',
    version: 1,
    plan: result.name,
    mechanisms: result.mechanisms.map((mechanism) => ({
      id: mechanism.id,
      name: mechanism.name,
      kind: mechanism.kind,
      headline: mechanism.headline,
      jobs: mechanism.jobs.map((job) => jobReport(plan, mechanism, job)),
    })),
  };
}

function jobReport(plan: Plan, mechanism: MechanismResult, job: JobResult) {
  const { run } = job;
  return {
    id: job.jobId,
    name: job.name,
    verdict: job.verdict,
    situations: Object.fromEntries(SITUATIONS.map((id) => [id, ladderReport(plan, mechanism, job, job.ladders[id])])),
    checks: job.checks.map((check) => checkReport(plan, mechanism, job, check)),
    links: job.links.map(({ id, title, detail, verdict, used, key, passes }) => ({
      id,
      title,
      detail: wordsText(detail),
      verdict,
      used,
      there: key && measured(key.there),
      of: key?.other && measured(key.other),
      passes: passes && measured(passes),
    })),
    run: run && {
      outcome: run.outcome,
      // What never arrives has no time, however long it is pushed at.
      time: run.outcome === 'arrived' ? { value: run.time, unit: 's' } : undefined,
      topSpeed: measured({ value: run.topSpeed, dimension: speedOf(job) }),
      peakMotorCurrent: { value: run.peakMotorCurrent, unit: 'A' },
      rmsMotorCurrent: { value: run.rmsMotorCurrent, unit: 'A' },
      peakSupplyCurrent: { value: run.peakSupplyCurrent, unit: 'A' },
      leastPackVoltage: { value: run.leastPackVoltage, unit: 'V' },
      packEnergy: { value: run.packEnergy, unit: 'J' },
      windingTemperature:
        run.windingTemperature === undefined ? undefined : { value: run.windingTemperature, unit: '°C' },
    },
  };
}

function ladderReport(
  plan: Plan,
  mechanism: MechanismResult,
  job: JobResult,
  ladder: JobResult['ladders'][Ladder['situation']],
) {
  return {
    verdict: ladder.verdict,
    answer: answerOf(ladder),
    idle: ladder.idle,
    demand: ladder.demand === undefined ? undefined : measured({ value: ladder.demand, dimension: forceOf(job) }),
    speed: ladder.speed === undefined ? undefined : measured({ value: ladder.speed, dimension: speedOf(job) }),
    first: ladder.first?.id,
    missing: ladder.lacks.map(({ label }) => label),
    rungs: ladder.rungs.map((rung) => rungReport(plan, mechanism, job, ladder, rung)),
  };
}

function answerOf(ladder: Ladder): string {
  const { lead, rest } = ladderSentence(ladder);
  return `${lead} ${rest}`;
}

function rungReport(plan: Plan, mechanism: MechanismResult, job: JobResult, ladder: Ladder, rung: Rung) {
  const needsMend = !rung.outOfReach && (rung.verdict === 'tight' || rung.verdict === 'gives way');
  return {
    id: rung.id,
    name: rung.name,
    verdict: rung.verdict,
    capacity: rung.capacity === undefined ? undefined : measured({ value: rung.capacity, dimension: forceOf(job) }),
    multiple: rung.multiple,
    shortfall: rung.shortfall?.kind,
    wants: rung.wants,
    outOfReach: rung.outOfReach,
    sentence: wordsText(rungSentence(rung, ladder, job.unit)),
    missing: rung.lacks.map(({ label }) => label),
    ...(needsMend
      ? mendReport(plan, mechanism.id, { jobId: job.jobId, rung: rung.id, situation: ladder.situation })
      : {}),
  };
}

function checkReport(plan: Plan, mechanism: MechanismResult, job: JobResult, check: Check) {
  return {
    id: check.id,
    name: check.name,
    verdict: check.verdict,
    multiple: check.multiple,
    asked: answered(check.asked),
    there: answered(check.there),
    sentence: wordsText(check.sentence),
    hint: check.verdict === 'gives way' && check.hint !== undefined ? wordsText(check.hint) : undefined,
    missing: check.lacks.map(({ label }) => label),
    ...(check.verdict === 'gives way' ? mendReport(plan, mechanism.id, { jobId: job.jobId, check: check.id }) : {}),
  };
}

/** Time for the mends of one rung or check, ms: a bound for what never ends, far beyond what a busy machine takes. */
const MENDS_WITHIN = 10_000;

function mendReport(plan: Plan, mechanismId: string, target: Target) {
  const { mends, finished } = mendsWithin(plan, mechanismId, target, MENDS_WITHIN, Date.now);
  return {
    mends: mends.map(({ label, before, after, firstAfter }: Mend) => ({
      label: wordsText(label),
      before,
      after,
      firstAfter,
    })),
    mendsUnfinished: finished ? undefined : true,
  };
}
