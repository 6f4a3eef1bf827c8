import { branchBreaker, mainBreaker } from './electric/breakers.js';
import { brownOut } from './electric/brownOut.js';
import { continuous } from './electric/continuous.js';
import { controllerHeat } from './electric/controllerHeat.js';
import { discharge } from './electric/discharge.js';
import { heat } from './electric/heat.js';
import { stator } from './electric/stator.js';
import { supply } from './electric/supply.js';
import { volts } from './electric/volts.js';
import { all, machineLists, turning, type ByMachine } from './byMachine.js';
import type { DcPath } from '../../path/powerpath/path.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';
import type { Limit, LimitId, StageLimitId } from './limit.js';
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

/** What each stage has for itself, by its id: the compiler asks for one that is missing. */
const OF_STAGES: Readonly<Record<StageLimitId, StageLimit>> = {
  tooth,
  'chain-skip': chainSkip,
  'chain-snap': chainSnap,
  'sprocket-shear': sprocketShear,
  'belt-skip': beltSkip,
  'belt-shear': beltShear,
  'belt-snap': beltSnap,
  gearbox,
  shaft,
};
export const STAGE_LIMITS: readonly StageLimit[] = Object.values(OF_STAGES);

/** Every other limit that is a force, by its id, and the machines that have it. A new one is one new file and one line here. */
const OF_MACHINES: Readonly<
  Record<Exclude<LimitId, StageLimitId>, ByMachine<Limit<DcPath>, Limit<StepPath>, Limit<ServoPath>>>
> = {
  volts: { dc: volts },
  stator: { dc: stator },
  supply: { dc: supply },
  'brown-out': { dc: brownOut },
  discharge: { dc: discharge },
  'branch-breaker': { dc: branchBreaker },
  'main-breaker': { dc: mainBreaker },
  continuous: { dc: continuous },
  heat: { dc: heat },
  'controller-heat': { dc: controllerHeat },
  'pull-out': { step: pullOut },
  'peak-torque': { step: peakTorque },
  'rated-torque': { step: ratedTorque },
  'hold-current': { step: holdCurrent },
  servo: { servo: servoTorque },
  'servo-hold': { servo: servoHold },
  rail: { servo: railLimit },
  slip: all(slip),
  rope: all(rope),
  buckling: turning(buckling),
};
const { dc, step, servo } = machineLists(OF_MACHINES);

export const LIMITS: readonly Limit<DcPath>[] = [...dc, ...STAGE_LIMITS];
export const STEP_LIMITS: readonly Limit<StepPath>[] = [...step, ...STAGE_LIMITS];
export const SERVO_LIMITS: readonly Limit<ServoPath>[] = servo;
