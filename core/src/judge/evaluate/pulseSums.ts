import { screwAt } from '../../path/powerpath/screw.js';
import { pulsesPerTurn, type StepPath } from '../../path/powerpath/stepPath.js';
import { stepCeilingOf } from './stepCeiling.js';
import {
  electronicGearing,
  followingErrorAngle,
  highestLeadingSpeed,
  outputResolution,
  pulseRate,
  pulsesPerCount,
  speedAtPulses,
  type PulseTrain,
} from '../../models/stepper/pulses.js';

/** Pulses and movement of a path, both ways. Movement is the load's: m, or rad of what turns. */
export interface PulseSums {
  readonly train: PulseTrain;
  /** For a turn of the output; of the screw, where it goes along one. */
  readonly perTurn: number;
  /** What turns: the output itself, or the screw that moves it. */
  readonly turns: 'output' | 'screw';
  /** From the motor to what turns. */
  readonly reduction: number;
  /** Moved by one pulse. */
  readonly perPulse: number;
  /** Pulses a second at the fastest it can turn, and what sets that: pulses, torque, volts or the motor. */
  readonly most: { readonly rate: number; readonly by: string };
  /** Speed at that rate. */
  readonly fastest: number;
  /** Locked to another turning shaft. */
  readonly leading?: { readonly perCount: number; readonly counts: number; readonly highest: number };
  /** Of a motor with an encoder: counts a turn, counts a pulse, and how far behind its driver alarms. */
  readonly gearing?: { readonly counts: number; readonly perPulse: number; readonly error?: number };
}

/** Movement of the load per radian of the output shaft. */
const perRadian = ({ radius, asked }: StepPath): number => radius * asked.perCoordinate;

/** Speed of the load at a pulse rate, m/s or rad/s. */
export const loadSpeedAt = (path: StepPath, rate: number): number =>
  speedAtPulses(pulseTrainOf(path), rate) * perRadian(path);

const pulseTrainOf = ({ step, train }: StepPath): PulseTrain => ({
  stepsPerTurn: step.stepsPerTurn,
  microsteps: step.microsteps,
  reduction: train.total,
});

/** `undefined` where a figure of the reduction or the output is missing. */
export function pulseSumsOf(path: StepPath): PulseSums | undefined {
  const { step, driver, lead, radius } = path;
  const train = pulseTrainOf(path);
  if (!Number.isFinite(train.reduction * perRadian(path))) return undefined;
  const ceiling = stepCeilingOf(path);
  const most = { rate: (ceiling.speed * pulsesPerTurn(path)) / (2 * Math.PI), by: ceiling.by };
  const screw = screwAt(path);
  const reduction = train.reduction / (path.train.stages[screw]?.ratio ?? 1);
  const sums = {
    train,
    perTurn: Math.round(pulseRate({ ...train, reduction }, 2 * Math.PI)),
    turns: screw < 0 ? ('output' as const) : ('screw' as const),
    reduction,
    perPulse: outputResolution(train) * perRadian(path),
    most,
    fastest: loadSpeedAt(path, most.rate),
  };
  const leading = lead && Number.isFinite(most.rate) ? leadingOf(lead, train, radius, most.rate) : undefined;
  const gearing =
    step.encoderLines === undefined ? undefined : gearingOf(path, step.encoderLines, driver.followingError);
  return { ...sums, leading, gearing };
}

function leadingOf(lead: NonNullable<StepPath['lead']>, train: PulseTrain, radius: number, rate: number) {
  const ratio = lead.perTurn / (2 * Math.PI * radius);
  return {
    perCount: pulsesPerCount(train, ratio, lead.encoderLines),
    counts: 4 * lead.encoderLines,
    highest: highestLeadingSpeed(train, ratio, rate),
  };
}

function gearingOf(path: StepPath, lines: number, alarmsAt: number | undefined) {
  const gearing = { counts: 4 * lines, perPulse: electronicGearing(lines, path.step.stepsPerTurn) };
  if (alarmsAt === undefined) return gearing;
  return { ...gearing, error: followingErrorAngle(alarmsAt, lines, path.train.total) * perRadian(path) };
}
