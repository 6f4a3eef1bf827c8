import type { Dimension } from '../../plan/words/dimension.js';

/** A drag is told as its torque at this speed, rad/s: a torque for each rad/s says little to anyone. */
export const DRAG_AT = 100;
/** A case is told by what so many watts do to it. */
export const WATTS_TOLD = 10;

interface FoundWords {
  readonly name: string;
  readonly dimension: Dimension;
}
const figure = (name: string, dimension: Dimension): FoundWords => ({ name, dimension });

/** Every figure that a trial may find, by name. */
export const FOUND = {
  backEmfConstant: figure('back-EMF constant', 'back-EMF constant'),
  kv: figure('Kv', 'kv'),
  freeCurrent: figure('free current at rest', 'current'),
  freeCurrentPerSpeed: figure('drag, current per speed', 'drag'),
  resistance: figure('resistance', 'resistance'),
  brushDrop: figure('kept by the brushes', 'voltage'),
  torqueConstant: figure('torque constant', 'torque constant'),
  frictionTorque: figure('friction torque', 'torque'),
  viscousDrag: figure(`drag torque at ${DRAG_AT} rad/s`, 'torque'),
  restVoltage: figure('volts at rest', 'voltage'),
  packResistance: figure('resistance of the pack', 'resistance'),
  pullPerAmpere: figure('pull for each ampere', 'force'),
  lostCurrent: figure('current before it pulls', 'current'),
  rateKept: figure('fastest rate that keeps its steps', 'rate'),
  rateLost: figure('slowest rate that loses steps', 'rate'),
  idleCurrent: figure('idle current', 'current'),
  runningCurrent: figure('current while moving', 'current'),
  stallCurrent: figure('stall current', 'current'),
  travel: figure('travel over its pulses', 'angle'),
  turnPerMillisecond: figure('angle for a millisecond of pulse', 'angle'),
  play: figure('play, up less down', 'angle'),
  caseToAir: figure(`kelvins over the air for ${WATTS_TOLD} W`, 'number'),
  caseCapacity: figure('energy to warm it by 1 K', 'energy'),
  leastUp: figure('least speed on the way up', 'speed'),
  leastDown: figure('least speed on the way down', 'speed'),
  leastErpm: figure('least electrical speed', 'speed'),
  dragOffset: figure('offset that cancels the drag', 'current'),
  steepest: figure('steepest slope it starts on', 'angle'),
  tooSteep: figure('least slope it does not start on', 'angle'),
  rolledBack: figure('rolls back', 'length'),
  topSpeed: figure('top speed of the motor', 'speed'),
  goTime: figure('time of the go', 'time'),
  peakCurrent: figure('peak current of the pack', 'current'),
  meanCurrent: figure('mean current of the pack', 'current'),
  chargeTaken: figure('charge taken', 'charge'),
  leastVolts: figure('least volts', 'voltage'),
} as const satisfies Readonly<Record<string, FoundWords>>;

export type FoundKey = keyof typeof FOUND;

/** A point of a predicted run: the motor's speed, the pack's current and volts. SI. */
export interface ExpectedPoint {
  readonly time: number;
  readonly speed: number;
  readonly current: number;
  readonly voltage: number;
}

/** What sheet or estimate says of the same, SI; of a go the run that is predicted as well. */
export type Expected = Readonly<Partial<Record<FoundKey, number>>> & { readonly run?: readonly ExpectedPoint[] };
