import type { DcPath } from '../../../path/powerpath/path.js';
import type { AnyPath } from '../../../path/powerpath/anyPath.js';
import type { ServoPath } from '../../../path/powerpath/servoPath.js';
import type { StepPath } from '../../../path/powerpath/stepPath.js';
import type { CheckRule } from '../check.js';
import { returnCharge, returnVolts } from './brakes.js';
import { erpm } from './erpm.js';
import { fitsTogether } from './fitsTogether.js';
import { follows } from './follows.js';
import { heldBack } from './heldBack.js';
import { inTime } from './inTime.js';
import { jam } from './jam.js';
import { charge, matchBreakers, matchHeat } from './matchDay.js';
import { motorTopSpeed, motorVolts } from './motorCeilings.js';
import { motorKind } from './motorKind.js';
import { branchPlug, mainPlug } from './plugs.js';
import { recovers } from './recovers.js';
import { resolves } from './resolves.js';
import { deadSpots } from './servo/deadSpots.js';
import { railGround, railMoving, railSource, railStalled, railVoltsFull, railVoltsLeast } from './servo/rail.js';
import { surroundings } from './surroundings.js';
import { servoBoard } from './servo/servoBoard.js';
import { servoFits } from './servo/servoFits.js';
import { servoHeat } from './servo/servoHeat.js';
import { standsBlows } from './servo/standsBlows.js';
import { tip } from './servo/tip.js';
import { standsAtAngle } from './servo/standsAtAngle.js';
import { travel } from './servo/travel.js';
import { beltRoom } from './beltRoom.js';
import { brushWear } from './brushWear.js';
import { creep, holdsStill, startsLoaded } from './slowControl.js';
import { clearance } from './clearance.js';
import { runLength } from './runLength.js';
import { screwWhirls } from './screwWhirls.js';
import { staysUp } from './staysUp.js';
import { ripple, undercut } from './teethOfStages.js';
import { driverCurrent, setCurrent } from './step/currents.js';
import { draw } from './step/draw.js';
import { driverKind } from './step/driverKind.js';
import { keepsStep } from './step/keepsStep.js';
import { kick } from './step/kick.js';
import { pulseRate } from './step/pulseRate.js';
import { resolvesSteps } from './step/resolves.js';
import { decay } from './step/decay.js';
import { enableLine } from './step/enableLine.js';
import { resonance } from './step/resonance.js';
import { signal } from './step/signal.js';
import { standingHeat } from './step/standingHeat.js';
import { startsAtOnce } from './step/startsAtOnce.js';
import { timer } from './step/timer.js';
import { driverVoltsFull, driverVoltsLeast } from './step/window.js';
import { voltsFull } from './voltsFull.js';
import { voltsLeast } from './voltsLeast.js';
import { branchWire, mainWire } from './wires.js';

/** The checks of wires and plugs: the same for every machine. */
const WIRING: readonly CheckRule<AnyPath>[] = [branchWire, mainWire, branchPlug, mainPlug];

/** The checks of stages in real teeth. */
const STAGES: readonly CheckRule<AnyPath>[] = [runLength, clearance, beltRoom, ripple, undercut, screwWhirls];

/** Every check of direct-current motors, those about the job first. A new one is one new file and one line here. */
export const CHECKS: readonly CheckRule<DcPath>[] = [
  inTime,
  recovers,
  follows,
  staysUp,
  heldBack,
  creep,
  startsLoaded,
  holdsStill,
  jam,
  resolves,
  matchHeat,
  matchBreakers,
  charge,
  motorKind,
  motorVolts,
  motorTopSpeed,
  brushWear,
  voltsFull,
  voltsLeast,
  returnVolts,
  returnCharge,
  ...STAGES,
  ...WIRING,
  surroundings,
  erpm,
  fitsTogether,
];

/** Every check of a motor that takes pulses. */
export const STEP_CHECKS: readonly CheckRule<StepPath>[] = [
  inTime,
  keepsStep,
  staysUp,
  startsAtOnce,
  resonance,
  decay,
  enableLine,
  kick,
  resolvesSteps,
  standingHeat,
  pulseRate,
  timer,
  signal,
  driverKind,
  setCurrent,
  driverCurrent,
  driverVoltsFull,
  driverVoltsLeast,
  draw,
  ...STAGES,
  ...WIRING,
  surroundings,
  fitsTogether,
];

/** Every check of position servos. */
export const SERVO_CHECKS: readonly CheckRule<ServoPath>[] = [
  inTime,
  staysUp,
  standsAtAngle,
  servoFits,
  standsBlows,
  servoHeat,
  travel,
  deadSpots,
  tip,
  railVoltsFull,
  railVoltsLeast,
  railMoving,
  railStalled,
  railSource,
  railGround,
  servoBoard,
  ...STAGES,
  ...WIRING,
  surroundings,
];
