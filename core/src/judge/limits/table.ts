import { branchBreaker, mainBreaker } from './electric/breakers.js';
import { brownOut } from './electric/brownOut.js';
import { continuous } from './electric/continuous.js';
import { controllerHeat } from './electric/controllerHeat.js';
import { discharge } from './electric/discharge.js';
import { heat } from './electric/heat.js';
import { stator } from './electric/stator.js';
import { supply } from './electric/supply.js';
import { volts } from './electric/volts.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';
import type { Limit } from './limit.js';
import { buckling } from './mechanical/buckling.js';
import { rope } from './mechanical/rope.js';
import { slip } from './mechanical/slip.js';
import { beltShear, beltSkip, beltSnap } from './stages/belt.js';
import { chainSkip, chainSnap, sprocketShear } from './stages/chain.js';
import { gearbox } from './stages/gearbox.js';
import { shaft } from './stages/shaft.js';
import type { StageLimit } from './stages/stageLimit.js';
import { tooth } from './stages/tooth.js';
import { railLimit, servoHold, servoTorque } from './servo/servoLimit.js';
import { holdCurrent } from './step/holdCurrent.js';
import { pullOut } from './step/pullOut.js';
import { peakTorque, ratedTorque } from './step/stepServo.js';

/** What each stage has for itself. */
export const STAGE_LIMITS: readonly StageLimit[] = [
  tooth,
  chainSkip,
  chainSnap,
  sprocketShear,
  beltSkip,
  beltShear,
  beltSnap,
  gearbox,
  shaft,
];

/** What gives mechanically, whatever turns it. */
const MECHANICAL: readonly Limit[] = [slip, rope, buckling, ...STAGE_LIMITS];

/** Every limit of direct-current motors that is a force. A new one is one new file and one line here. */
export const LIMITS: readonly Limit<DcPath>[] = [
  volts,
  stator,
  supply,
  brownOut,
  discharge,
  branchBreaker,
  mainBreaker,
  continuous,
  heat,
  controllerHeat,
  ...MECHANICAL,
];

/** Every limit of a motor that takes pulses. */
export const STEP_LIMITS: readonly Limit<StepPath>[] = [pullOut, peakTorque, ratedTorque, holdCurrent, ...MECHANICAL];

/** Every limit of position servos. */
export const SERVO_LIMITS: readonly Limit<ServoPath>[] = [servoTorque, servoHold, railLimit, slip, rope];
