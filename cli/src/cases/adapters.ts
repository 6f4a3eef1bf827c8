import {
  alongTrain,
  arm,
  auditMotor,
  backEfficiency,
  brakePoint,
  brakeToStop,
  currentAtPeakEfficiency,
  currentAtPeakPower,
  driveBase,
  drivePoint,
  flywheel,
  freeSpeedAt,
  fullEffort,
  fullVoltage,
  kvFromRpmPerVolt,
  lift,
  lumpsAfter,
  motorConstant,
  motorFromKv,
  motorFromSheet,
  packResistance,
  packRestVoltage,
  packVoltage,
  peakEfficiency,
  peakPower,
  settle,
  throwAt,
  thermalFromMass,
  timeToLimit,
  trainOf,
  tripTime,
  wireDiameter,
  wireResistance,
  type ArmFigures,
  type Drive,
  type FlywheelFigures,
  type HeldBy,
  type Load,
  type MotionSystem,
  type MotorSheet,
  type PackFigures,
  type Run,
  type ThrowFigures,
} from '@rough-gear/core';
import type { Got } from './got.js';
import { driveOf, type DriveGiven } from './driveOf.js';
import { REDUCTION } from './reduction.js';
import { BENCH } from './bench.js';
import { ROBOT } from './robot.js';
import { STEP_AND_SERVO } from './stepAndServo.js';

type Given = Readonly<Record<string, unknown>>;

const HELD_BY: Readonly<Record<HeldBy, string>> = {
  voltage: 'voltage',
  stator: 'stator',
  supply: 'supply',
  returned: 'return',
};

type ThrownGiven = Omit<ThrowFigures, 'pieceMass'> & { readonly shotMass: number; readonly targetSpeed: number };

interface RunGiven extends DriveGiven {
  readonly reduction: number;
  readonly efficiency: number;
}

/** Braking limits: the same two, the return limit on the pack side. */
function brakingDriveOf(
  given: Omit<DriveGiven, 'pack'> & { readonly pack: { voltage: number; resistance: number } },
): Drive {
  const { stator, returned, supply } = given.limitsPerMotor;
  return {
    ...driveOf({ ...given, limitsPerMotor: {} }),
    brakeLimit: stator,
    returnLimit: returned,
    supplyLimit: supply,
  };
}

function movingSystem(
  given: RunGiven,
  drive: Drive,
  radius: number,
  load: Load,
  until: MotionSystem['until'],
): MotionSystem {
  return {
    drive,
    packResistance: given.pack.resistance,
    total: given.reduction,
    efficiency: given.efficiency,
    backEfficiency: backEfficiency(given.efficiency),
    radius,
    load,
    until,
  };
}

function runGot(given: RunGiven, radius: number, load: Load, travel: number): Got {
  const run: Run = fullEffort(movingSystem(given, driveOf(given), radius, load, { travel }));
  return {
    stalled: run.outcome === 'stalled',
    time: run.time,
    endSpeed: run.endSpeed,
    topSpeed: run.topSpeed,
    peakMotorCurrent: run.peakMotorCurrent,
    rmsMotorCurrent: run.rmsMotorCurrent,
    peakSupplyCurrentTotal: run.peakSupplyCurrent,
    leastPackVoltage: run.leastPackVoltage,
    packEnergy: run.packEnergy,
  };
}

const adapter =
  <G>(run: (given: G) => Got) =>
  (given: Given): Got =>
    run(given as G);

/** One small adapter a kind of reference case: from what is given to the core's own functions. */
export const ADAPTERS: Readonly<Record<string, (given: Given) => Got>> = {
  ...Object.fromEntries(
    Object.entries({ ...REDUCTION, ...STEP_AND_SERVO, ...ROBOT, ...BENCH }).map(([kind, run]) => [
      kind,
      run as (given: Given) => Got,
    ]),
  ),
  'motor-from-sheet': adapter((given: MotorSheet) => {
    const motor = motorFromSheet(given);
    return {
      resistance: motor.resistance,
      torqueConstant: motor.torqueConstant,
      backEmfConstant: motor.backEmfConstant,
      motorConstant: motorConstant(motor),
      peakEfficiency: peakEfficiency(motor, given.ratedVoltage),
      currentAtPeakEfficiency: currentAtPeakEfficiency(motor, given.ratedVoltage),
      peakPower: peakPower(motor, given.ratedVoltage),
      currentAtPeakPower: currentAtPeakPower(motor, given.ratedVoltage),
    };
  }),
  'motor-from-kv': adapter((given: { kv: number; resistance: number; freeCurrent: number; voltage: number }) => {
    const motor = motorFromKv({ ...given, kv: kvFromRpmPerVolt(given.kv) });
    return {
      torqueConstant: motor.torqueConstant,
      freeSpeed: freeSpeedAt(motor, given.voltage),
      stallCurrent: given.voltage / motor.resistance,
      motorConstant: motorConstant(motor),
      peakEfficiency: peakEfficiency(motor, given.voltage),
    };
  }),
  'motor-audit': adapter((given: MotorSheet) => {
    const { torqueToBackEmfRatio, verdict } = auditMotor(motorFromSheet(given));
    return { torqueToBackEmfRatio, verdict };
  }),
  'drive-point': adapter((given: DriveGiven & { motorSpeed: number }) => {
    const drive = driveOf(given);
    const point = drivePoint(drive, given.motorSpeed);
    return {
      motorCurrent: point.motorCurrent,
      supplyCurrentTotal: given.motors * point.supplyCurrent,
      packVoltage: point.supplyVoltage,
      shaftTorque: Math.max(0, point.shaftTorque),
      limitedBy: HELD_BY[point.heldBy],
    };
  }),
  settle: adapter((given: RunGiven & { loadTorque: number }) => {
    const settled = settle(driveOf(given), given.reduction, given.efficiency, given.loadTorque);
    return {
      stalled: settled.stalled,
      outputSpeed: settled.outputSpeed,
      motorCurrent: settled.point.motorCurrent,
      supplyCurrentTotal: given.motors * settled.point.supplyCurrent,
      packVoltage: settled.point.supplyVoltage,
    };
  }),
  'drive-sprint': adapter(
    (
      given: RunGiven & {
        mass: number;
        wheelRadius: number;
        rollingResistance: number;
        grip: number;
        drivenShare: number;
        slope: number;
        distance: number;
      },
    ) => runGot(given, given.wheelRadius, driveBase(given), given.distance),
  ),
  'lift-raise': adapter(
    (
      given: RunGiven & {
        mass: number;
        drumRadius: number;
        friction: number;
        counterforce: number;
        loadPerRope: number;
        slopeDegrees: number;
        ropeTravel: number;
      },
    ) =>
      runGot(
        given,
        given.drumRadius,
        lift({ ...given, slope: (given.slopeDegrees * Math.PI) / 180 }),
        given.ropeTravel,
      ),
  ),
  'arm-swing': adapter((given: RunGiven & ArmFigures) =>
    runGot(given, 1, arm(given), Math.abs(given.toAngle - given.fromAngle)),
  ),
  'flywheel-shot': adapter((given: RunGiven & FlywheelFigures & ThrownGiven) => {
    const system = movingSystem(given, driveOf(given), 1, flywheel(given), { speed: given.targetSpeed });
    const shot = throwAt(system, { ...given, pieceMass: given.shotMass }, given.targetSpeed);
    return {
      spinUpTime: fullEffort(system).time,
      shotSpeed: shot.exitSpeed,
      speedAfterShot: shot.speedAfter,
      recoveryTime: shot.recovery,
    };
  }),
  'brake-point': adapter((given: Omit<DriveGiven, 'pack' | 'motors'> & { packVoltage: number; motorSpeed: number }) => {
    const drive = brakingDriveOf({ ...given, motors: 1, pack: { voltage: given.packVoltage, resistance: 0 } });
    const point = brakePoint(drive, given.motorSpeed);
    return {
      motorCurrent: point.motorCurrent,
      returnedCurrent: point.returnedCurrent,
      shaftTorque: point.shaftTorque,
      limitedBy: HELD_BY[point.heldBy],
    };
  }),
  'brake-to-stop': adapter(
    (
      given: RunGiven & {
        mass: number;
        wheelRadius: number;
        rollingResistance: number;
        grip: number;
        fromSpeed: number;
      },
    ) => {
      const load = driveBase({ ...given, drivenShare: 1, slope: 0 });
      const stop = brakeToStop(
        movingSystem(given, brakingDriveOf(given), given.wheelRadius, load, { time: 60 }),
        given.fromSpeed,
      );
      return { time: stop.time, distance: stop.distance };
    },
  ),
  'motor-heat': adapter(
    (given: {
      resistance20: number;
      mass: number;
      current: number;
      ambient: number;
      windingLimit: number;
      duration: number;
    }) => {
      const thermal = thermalFromMass(given.mass, given.windingLimit, given.ambient);
      const { winding, shell } = lumpsAfter(given.resistance20, thermal, given.current, given.duration);
      return {
        windingAtEnd: winding,
        caseAtEnd: shell,
        timeToLimit: timeToLimit(given.resistance20, thermal, given.current),
      };
    },
  ),
  pack: adapter((given: PackFigures & { charge: number; current: number }) => ({
    restVoltage: packRestVoltage(given, given.charge),
    resistance: packResistance(given),
    voltage: packVoltage(given, given.charge, given.current),
    fullVoltage: fullVoltage(given),
  })),
  breaker: adapter((given: { rated: number; holdMultiple: number; timeConstant: number; current: number }) => ({
    tripTime: tripTime(given, given.current),
  })),
  wire: adapter((given: { gauge: number; lengthOneWay: number; temperature: number }) => ({
    diameter: wireDiameter(given.gauge),
    resistanceBothWays: wireResistance(given.gauge, given.lengthOneWay, given.temperature),
  })),
  'wheel-slip': adapter(
    (
      given: DriveGiven & {
        reduction: number;
        efficiency: number;
        wheelRadius: number;
        mass: number;
        grip: number;
        drivenShare: number;
        slopeDegrees: number;
      },
    ) => {
      const base = driveBase({ ...given, rollingResistance: 0, slope: (given.slopeDegrees * Math.PI) / 180 });
      const push = base.traction ?? 0;
      const perAmpere =
        (given.reduction * given.efficiency * given.motor.torqueConstant * given.motors) / given.wheelRadius;
      return { pushAtSlip: push, motorCurrentAtSlip: given.motor.freeCurrent + push / perAmpere };
    },
  ),
  train: adapter(
    (given: {
      stages: { driver: number; driven: number; efficiency: number }[];
      motorTorque: number;
      motorSpeed: number;
    }) => {
      const train = trainOf(
        given.stages.map(({ driver, driven, efficiency }) => ({
          ratio: driven / driver,
          efficiency,
          backEfficiency: backEfficiency(efficiency),
        })),
      );
      const shafts = alongTrain(train, given.motorTorque, given.motorSpeed);
      return {
        reduction: train.total,
        efficiency: train.efficiency,
        backEfficiency: train.backEfficiency,
        outputTorque: shafts.at(-1)?.torque ?? given.motorTorque,
        outputSpeed: shafts.at(-1)?.speed ?? given.motorSpeed,
        torqueAfterFirst: shafts[0]?.torque ?? given.motorTorque,
        speedAfterFirst: shafts[0]?.speed ?? given.motorSpeed,
      };
    },
  ),
};
