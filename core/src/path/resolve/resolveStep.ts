import { timerRange, type TimerChip } from '../../models/signal/timerChip.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import type { FigureCollector } from '../../plan/figures/collector.js';
import type { Place } from '../../plan/document/place.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { thermalFromMass } from '../../models/motor/heat.js';
import type { BoardPart, DriverPart, StepperPart, StepServoPart } from '../../plan/document/part.js';
import type { Plan, StepDrive } from '../../plan/document/plan.js';
import { commandedMotion } from '../../models/stepper/commanded.js';
import { asPath, resolveFirstStage, resolveLoadSide, type Begun } from './beginPath.js';
import { partOf, resolveSupply } from './resolveSupply.js';
import type { StepPath } from '../powerpath/stepPath.js';

import { currentRowFor, rmsOf } from '../../models/stepper/switches.js';
import { digits } from '../../plan/words/show.js';

const DETENT_SHARE = 0.04;
/** kg·m² of a usual hybrid stepper of 1 N·m, and how it grows with the torque: small ones have less for their torque. */
const STEPPER_INERTIA = 1.95e-5;
const STEPPER_INERTIA_GROWS = 4 / 3;
/** kg·m² for each N·m of rated torque, of usual small servo motors. */
const SERVO_INERTIA = 4.5e-5;
const TOP_OVER_RATED = 1.3;
const DEFAULT_STEPS = 200;
/** A stepper's winding and case stand this much, °C. */
const STEPPER_LIMIT = 110;

/** Puts one job of a mechanism driven by a motor that takes pulses together. */
export function resolveStep(begun: Begun, drive: StepDrive): StepPath {
  const { plan, choiceAt, collect } = begun;
  const { motors } = drive;
  const supply = resolveSupply(plan, drive.node, motors, collect);
  const driverPart = partOf(plan, drive.driver, 'driver');
  const driver = resolveDriver(driverPart, ['parts', drive.driver, 'part'], collect);
  const boardPart = partOf(plan, drive.board, 'board');
  const board = resolveBoard(boardPart, ['parts', drive.board, 'part'], collect);
  const motorPart = stepMotorOf(plan, drive.motor);
  const driveAt = [...choiceAt, 'drive'];
  const motorAt = ['parts', drive.motor, 'part'];
  const volts = supply.restVoltage;
  const step =
    motorPart.kind === 'stepper'
      ? resolveStepper(
          motorPart,
          { part: driverPart, most: driver.mostCurrent },
          drive,
          volts,
          motorAt,
          driveAt,
          collect,
        )
      : resolveStepServo(motorPart, driverPart, drive, volts, motorAt, collect);
  const loadSide = resolveLoadSide(begun);
  const ramp = drive.ramp !== 'at once';
  const commanded = commandedMotion(loadSide.asked, ramp);
  const { engaged, lead } = readEngaged(drive, loadSide, driveAt, collect);
  const fitting = readFitting(begun, motorPart, motorAt);
  return asPath<StepPath, 'asked' | 'fitting'>(loadSide, {
    // The pulses say how fast it goes: rungs and chart speak of the same motion.
    asked: Object.assign(
      { ...loadSide.asked, speed: commanded.speed, acceleration: commanded.acceleration },
      { pulses: ramp ? ('ramp' as const) : ('at once' as const) },
    ),
    machine: 'step',
    motors,
    figures: collect.figures(),
    lacks: collect.lacks(),
    pack: supply.pack,
    main: supply.main,
    branch: supply.branch,
    step,
    driver,
    board,
    decay: drive.decay ?? driverPart.decay,
    enable: { input: driverPart.enable, wired: drive.enableWired ?? false },
    signalStage: drive.signalStage ?? 'none',
    ramp,
    commanded,
    engaged,
    lead,
    restVoltage: supply.restVoltage,
    supplyResistance: supply.supplyResistance,
    fitting,
  });
}

/** What its shaft goes into, and its face onto. */
function readFitting(begun: Begun, part: StepperPart | StepServoPart, at: Place): StepPath['fitting'] {
  const { bore, stageMount } = resolveFirstStage(begun);
  const shaft = begun.collect.takeOptional('motor.shaftDiameter', part.shaftDiameter, [...at, 'shaftDiameter']);
  return { bore, stageMount, shaft, mount: part.mount, timed: false, against: false };
}

const DEFAULT_LINES = 600;

/** What is coupled in while it runs, and the screw or table that its encoder sits on. */
function readEngaged(
  drive: StepDrive,
  { load, asked }: ReturnType<typeof resolveLoadSide>,
  at: Place,
  collect: FigureCollector,
): Pick<StepPath, 'engaged' | 'lead'> {
  const turning = load.unit === 'rad';
  const engaged = turning
    ? collect.takeOptional('drive.engagedInertia', drive.engagedInertia, [...at, 'engagedInertia'])
    : collect.takeOptional('drive.engagedMass', drive.engagedMass, [...at, 'engagedMass']);
  const perTurn = turning
    ? collect.takeOptional('drive.leadAngle', drive.leadAngle, [...at, 'leadAngle'])
    : collect.takeOptional('drive.leadPitch', drive.leadPitch, [...at, 'leadPitch']);
  const encoderLines = drive.leadEncoderLines ?? DEFAULT_LINES;
  return {
    engaged,
    lead: perTurn === undefined ? undefined : { perTurn: perTurn / asked.perCoordinate, encoderLines },
  };
}

/** The motor a step drive names. Throws where it is none that takes pulses. */
export function stepMotorOf(plan: Plan, id: string): StepperPart | StepServoPart {
  const part = plan.parts[id]?.part;
  if (part?.kind !== 'stepper' && part?.kind !== 'step-servo')
    throw new Error(`the plan names ${id} as a stepping motor, but holds no such part`);
  return part;
}

/** The steps a drive is set to: as set, else the finest of the driver's own that its table has at or under 8. */
export const stepsOf = (drive: StepDrive, driver: DriverPart): number =>
  drive.steps ??
  [...driver.stepSwitches]
    .map(({ value }) => value)
    .sort((a, b) => b - a)
    .find((value) => driver.drives === 'step-servo' || value <= 8) ??
  driver.stepSwitches[0]?.value ??
  1;

/** What was typed, as the driver's switches make it. */
const onSwitch = (typed: Quantity, switched: number): Quantity =>
  Math.abs(switched / typed.si - 1) < 5e-3
    ? { ...typed, si: switched }
    : {
        si: switched,
        as: `${digits(switched, 3)} A`,
        source: typed.source,
        from: `the switch for the ${typed.as} that was set`,
      };

/** A driver, and the most it gives. */
interface DriverWith {
  readonly part: DriverPart;
  /** A */
  readonly most: number;
}

/** The current it is set to; where switches set it, the chosen switch is the truth: nothing flows between two of its positions. */
function readSetCurrent(
  { part: driver, most }: DriverWith,
  drive: StepDrive,
  ratedCurrent: number,
  at: Place,
  collect: FigureCollector,
): number {
  const typicalSet = Number.isNaN(most) ? ratedCurrent : Math.min(ratedCurrent, most);
  const row = currentRowFor(driver, drive.setCurrent?.si ?? typicalSet);
  const switched = row && rmsOf(row.value, driver);
  const set = drive.setCurrent && switched !== undefined ? onSwitch(drive.setCurrent, switched) : drive.setCurrent;
  return collect.take('drive.setCurrent', set, [...at, 'setCurrent'], {
    value: ifFinite(switched ?? typicalSet),
    why: row
      ? 'the switch at or under what motor and driver stand'
      : typicalSet === ratedCurrent
        ? 'the motor’s rated current'
        : 'as far as the driver goes',
    source: 'typical',
  });
}

function resolveStepper(
  part: StepperPart,
  driver: DriverWith,
  drive: StepDrive,
  volts: number,
  at: Place,
  driveAt: Place,
  collect: FigureCollector,
): StepPath['step'] {
  const take = (key: 'phaseResistance' | 'phaseInductance' | 'ratedCurrent' | 'holdingTorque') =>
    collect.take(`stepper.${key}`, part[key], [...at, key]);
  const phaseResistance = take('phaseResistance');
  const phaseInductance = take('phaseInductance');
  const ratedCurrent = take('ratedCurrent');
  const holdingTorque = take('holdingTorque');
  const detentTorque = collect.take('stepper.detentTorque', part.detentTorque, [...at, 'detentTorque'], {
    value: Number.isNaN(holdingTorque) ? undefined : DETENT_SHARE * holdingTorque,
    why: '4 % of the holding torque',
  });
  const rotorInertia = collect.take('stepper.rotorInertia', part.rotorInertia, [...at, 'rotorInertia'], {
    value: ifFinite(STEPPER_INERTIA * holdingTorque ** STEPPER_INERTIA_GROWS),
    why: 'by its holding torque, as such rotors are',
  });
  const setCurrent = readSetCurrent(driver, drive, ratedCurrent, driveAt, collect);
  const stepsPerTurn = part.stepsPerTurn ?? DEFAULT_STEPS;
  return {
    ...resolveBody(part, at, collect),
    kind: 'stepper',
    motor: {
      loop: 'open',
      figures: {
        phaseResistance,
        phaseInductance,
        ratedCurrent,
        holdingTorque,
        detentTorque,
        polePairs: stepsPerTurn / 4,
        supplyVoltage: volts,
        setCurrent,
      },
    },
    rotorInertia,
    polePairs: stepsPerTurn / 4,
    stepsPerTurn,
    microsteps: stepsOf(drive, driver.part),
    setCurrent,
    idleShare: collect.take('drive.idleShare', drive.idleShare, [...driveAt, 'idleShare']),
    ratedCurrent,
    phaseResistance,
    holdingTorque,
    detentTorque,
    efficiency: 1,
    encoderLines: undefined,
  };
}

function resolveStepServo(
  part: StepServoPart,
  driver: DriverPart,
  drive: StepDrive,
  volts: number,
  at: Place,
  collect: FigureCollector,
): StepPath['step'] {
  const take = (key: 'ratedVoltage' | 'ratedTorque' | 'ratedSpeed') =>
    collect.take(`stepServo.${key}`, part[key], [...at, key]);
  const ratedVoltage = take('ratedVoltage');
  const ratedTorque = take('ratedTorque');
  const ratedSpeed = take('ratedSpeed');
  const peakTorque = collect.take('stepServo.peakTorque', part.peakTorque, [...at, 'peakTorque'], {
    value: ifFinite(ratedTorque),
    why: 'the rated torque',
  });
  const topSpeed = collect.take('stepServo.topSpeed', part.topSpeed, [...at, 'topSpeed'], {
    value: ifFinite(TOP_OVER_RATED * ratedSpeed),
    why: '1.3 times the rated speed',
  });
  const rotorInertia = collect.take('stepServo.rotorInertia', part.rotorInertia, [...at, 'rotorInertia'], {
    value: ifFinite(SERVO_INERTIA * ratedTorque),
    why: 'by its rated torque, as such rotors are',
  });
  return {
    ...resolveBody(part, at, collect),
    kind: 'step-servo',
    motor: {
      loop: 'closed',
      figures: { ratedTorque, ratedSpeed, peakTorque, topSpeed, voltageShare: volts / ratedVoltage },
    },
    rotorInertia,
    polePairs: NaN,
    stepsPerTurn: stepsOf(drive, driver),
    microsteps: 1,
    setCurrent: NaN,
    idleShare: 1,
    ratedCurrent: NaN,
    phaseResistance: NaN,
    holdingTorque: ratedTorque,
    detentTorque: 0,
    efficiency: collect.take('stepServo.efficiency', part.efficiency, [...at, 'efficiency']),
    encoderLines: part.encoderLines,
  };
}

/** What both kinds of motor have: a mass that warms. */
function resolveBody(part: StepperPart | StepServoPart, at: Place, collect: FigureCollector) {
  const mass = collect.take('motor.mass', part.mass, [...at, 'mass']);
  const ambient = collect.take('ambient', undefined, []);
  collect.takeOptional('motor.price', part.price, [...at, 'price']);
  return { thermal: thermalFromMass(mass, STEPPER_LIMIT, ambient) };
}

function resolveDriver(part: DriverPart, at: Place, collect: FigureCollector): StepPath['driver'] {
  const take = (
    key:
      | 'lowestVoltage'
      | 'highestVoltage'
      | 'mostCurrent'
      | 'pulseLimit'
      | 'leastPulse'
      | 'inputForward'
      | 'inputResistance'
      | 'inputCurrent'
      | 'inputRated',
  ) => collect.take(`driver.${key}`, part[key], [...at, key]);
  return {
    lowestVoltage: take('lowestVoltage'),
    highestVoltage: take('highestVoltage'),
    // A step-driven servo's current is its own driver's business.
    mostCurrent: part.drives === 'stepper' ? take('mostCurrent') : Infinity,
    pulseLimit: take('pulseLimit'),
    leastPulse: take('leastPulse'),
    input: {
      ledForward: take('inputForward'),
      inputResistance: take('inputResistance'),
      needCurrent: take('inputCurrent'),
      ratedSignal: take('inputRated'),
    },
    drives: part.drives,
    followingError: collect.takeOptional('driver.followingError', part.followingError, [...at, 'followingError']),
    trimmerVolts: collect.takeOptional('driver.trimmerVolts', part.trimmerVolts, [...at, 'trimmerVolts']),
    alarm: part.alarm ?? false,
    damps: part.damps ?? false,
  };
}

/** A timer is known by both resistors and its capacitor; without a knob its rate is one. */
function resolveTimer(part: BoardPart, at: Place, collect: FigureCollector): TimerChip | undefined {
  const take = (key: 'timerUpper' | 'timerLower' | 'timerLowerMost' | 'timerCapacitor') =>
    collect.takeOptional(`board.${key}`, part[key], [...at, key]);
  const [upper, lower, most, capacitor] = [
    take('timerUpper'),
    take('timerLower'),
    take('timerLowerMost'),
    take('timerCapacitor'),
  ];
  if (upper === undefined || lower === undefined || capacitor === undefined) return undefined;
  return { upper, lower, lowerMost: Math.max(lower, most ?? lower), capacitor };
}

function resolveBoard(part: BoardPart, at: Place, collect: FigureCollector): StepPath['board'] {
  const take = (key: 'pinVoltage' | 'pinCurrent' | 'feedVoltage') =>
    collect.take(`board.${key}`, part[key], [...at, key]);
  const timer = resolveTimer(part, at, collect);
  return {
    signalVoltage: take('pinVoltage'),
    pinCurrent: take('pinCurrent'),
    pulseLimit: collect.take('board.pulseLimit', part.pulseLimit, [...at, 'pulseLimit'], {
      value: timer && timerRange(timer).fast.rate,
      why: 'the fast end of its timer',
    }),
    feedVoltage: take('feedVoltage'),
    timer,
  };
}
