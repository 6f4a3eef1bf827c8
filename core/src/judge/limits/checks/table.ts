import { overSheet } from './overSheet.js';
import { all, machineLists, turning, type ByMachine } from '../byMachine.js';
import type { DcPath } from '../../../path/powerpath/path.js';
import type { ServoPath } from '../../../path/powerpath/servoPath.js';
import type { StepPath } from '../../../path/powerpath/stepPath.js';
import type { CheckId, CheckRule } from '../check.js';
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

/**
 * Every check, by its id, and the machines that have it; those about the job first. A new one is one new file and one line
 * here, and the compiler asks for one that is missing.
 */
const OF_MACHINES: Readonly<Record<CheckId, ByMachine<CheckRule<DcPath>, CheckRule<StepPath>, CheckRule<ServoPath>>>> =
  {
    'in-time': all(inTime),
    recovers: { dc: recovers },
    follows: { dc: follows },
    'keeps-step': { step: keepsStep },
    'stays-up': all(staysUp),
    'held-back': { dc: heldBack },
    creep: { dc: creep },
    'starts-loaded': { dc: startsLoaded },
    'over-sheet': { dc: overSheet },
    'holds-still': { dc: holdsStill },
    jam: { dc: jam },
    'starts-at-once': { step: startsAtOnce },
    resonance: { step: resonance },
    decay: { step: decay },
    'enable-line': { step: enableLine },
    kick: { step: kick },
    resolves: { dc: resolves, step: resolvesSteps },
    'match-heat': { dc: matchHeat },
    'match-breakers': { dc: matchBreakers },
    charge: { dc: charge },
    'standing-heat': { step: standingHeat },
    'pulse-rate': { step: pulseRate },
    timer: { step: timer },
    signal: { step: signal },
    'motor-kind': { dc: motorKind, step: driverKind },
    'motor-volts': { dc: motorVolts },
    'motor-speed': { dc: motorTopSpeed },
    'brush-wear': { dc: brushWear },
    'set-current': { step: setCurrent },
    'driver-current': { step: driverCurrent },
    'stands-at-angle': { servo: standsAtAngle },
    'servo-fits': { servo: servoFits },
    'stands-blows': { servo: standsBlows },
    'servo-heat': { servo: servoHeat },
    travel: { servo: travel },
    'dead-spots': { servo: deadSpots },
    tip: { servo: tip },
    'volts-full': { dc: voltsFull, step: driverVoltsFull, servo: railVoltsFull },
    'volts-least': { dc: voltsLeast, step: driverVoltsLeast, servo: railVoltsLeast },
    'return-volts': { dc: returnVolts },
    'return-charge': { dc: returnCharge },
    draw: { step: draw },
    'rail-moving': { servo: railMoving },
    'rail-stalled': { servo: railStalled },
    'rail-source': { servo: railSource },
    'rail-ground': { servo: railGround },
    'servo-board': { servo: servoBoard },
    'run-length': all(runLength),
    clearance: all(clearance),
    'belt-room': all(beltRoom),
    ripple: all(ripple),
    undercut: all(undercut),
    'screw-whirls': all(screwWhirls),
    'branch-wire': all(branchWire),
    'main-wire': all(mainWire),
    'branch-plug': all(branchPlug),
    'main-plug': all(mainPlug),
    surroundings: all(surroundings),
    erpm: { dc: erpm },
    'fits-together': turning(fitsTogether),
  };
const { dc, step, servo } = machineLists(OF_MACHINES);

export const CHECKS: readonly CheckRule<DcPath>[] = dc;
export const STEP_CHECKS: readonly CheckRule<StepPath>[] = step;
export const SERVO_CHECKS: readonly CheckRule<ServoPath>[] = servo;
