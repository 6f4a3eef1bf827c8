import type { FigureCollector } from '../../plan/figures/collector.js';
import { Memory } from '../../plan/figures/memory.js';
import type { Place } from '../../plan/document/place.js';
import { draggedAlong, withDragged, type Dragged } from '../../models/load/dragged.js';
import { advanced } from '../../models/motor/advanced.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import { driveOf } from '../../models/controller/drive.js';
import { LEAST_ERPM } from '../../models/controller/leastSpeed.js';
import type { ControllerPart, MotorPart, StartStyle } from '../../plan/document/part.js';
import type { DcDrive, Plan } from '../../plan/document/plan.js';
import type { DcPath } from '../powerpath/path.js';
import { asPath, resolveFirstStage, resolveLoadSide, type Begun } from './beginPath.js';
import { resolveMotor } from './resolveMotor.js';
import { partOf, resolveSupply } from './resolveSupply.js';

/** Motors on the same wheels that only turn along. */
function readDragged(
  { choice }: Begun,
  { asked, train, radius }: ReturnType<typeof resolveLoadSide>,
  motor: MotorConstants,
  rotorInertia: number,
): Dragged | undefined {
  const count = choice.output.kind === 'wheels' ? (choice.output.dragged ?? 0) : 0;
  if (count === 0) return undefined;
  const lever = train.total / radius;
  return draggedAlong({
    count,
    motor,
    speed: asked.speed * lever,
    lever,
    backEfficiency: train.backEfficiency,
    rotorInertia,
  });
}

/**
 * Puts one job of a mechanism driven by direct-current motors together: every figure with its source, what
 * is missing by need, and the numbers the models compute with. Throws only where the document refers
 * to something that is not in it; a missing figure is never an error.
 */
export function resolveDc(begun: Begun, drive: DcDrive): DcPath {
  const { plan, choiceAt, collect } = begun;
  const motors = drive.motors;
  const supply = resolveSupply(plan, drive.node, motors, collect);
  const motorPart = partOf(plan, drive.motor, 'motor');
  const controller = collect.once(
    CONTROLLERS,
    [drive, plan.parts[drive.controller]?.part, motorPart.type, motorPart.sensors, ...choiceAt],
    () => resolveController(plan, drive, motorPart, choiceAt, collect),
  );
  const motor = resolveMotor(motorPart, ['parts', drive.motor, 'part'], collect);
  const loadSide = resolveLoadSide(begun);
  const { statorLimit, supplyLimit, brakeLimit, returnLimit } = controller;
  const first = resolveFirstStage(begun);
  const dragged = readDragged(begun, loadSide, motor.constants, motor.rotorInertia);
  const resistance = motor.constants.resistance;
  const control = resolveControl(drive, resistance, supply.restVoltage, controller, choiceAt, collect);

  return asPath<DcPath, 'fitting' | 'load' | 'dragged'>(loadSide, {
    machine: 'dc',
    motors,
    load: dragged ? withDragged(loadSide.load, dragged) : loadSide.load,
    dragged,
    fitting: {
      bore: first.bore,
      stageMount: first.stageMount,
      shaft: motor.shaftDiameter,
      mount: motorPart.mount,
      timed: motorPart.rotation === 'clockwise' || motorPart.rotation === 'anticlockwise',
      against: motorPart.rotation === (drive.direction === 'reverse' ? 'clockwise' : 'anticlockwise'),
    },
    figures: collect.figures(),
    lacks: collect.lacks(),
    drive: driveOf({
      motor: advanced(motor.constants, control.timing),
      motors,
      rotorInertia: motor.rotorInertia,
      controllerResistance: controller.resistance,
      restVoltage: supply.restVoltage,
      supplyResistance: supply.supplyResistance,
      greatestDuty: controller.greatestDuty,
      statorLimit,
      supplyLimit,
      brakeLimit,
      returnLimit,
    }),
    pack: supply.pack,
    restVoltage: supply.restVoltage,
    main: supply.main,
    branch: supply.branch,
    controller,
    control,
    motor: pathMotor(motorPart, motor),
  });
}

/** What limits and checks ask of the motor beside its constants. */
const pathMotor = (part: MotorPart, motor: ReturnType<typeof resolveMotor>): DcPath['motor'] => ({
  type: part.type,
  sensors: part.sensors ?? part.type === 'brushed',
  audit: motor.audit,
  thermal: motor.thermal,
  continuousCurrent: motor.continuousCurrent,
  polePairs: motor.polePairs,
  shaftDiameter: motor.shaftDiameter,
  highestVoltage: motor.highestVoltage,
  highestSpeed: motor.highestSpeed,
  brushLife: motor.brushLife,
  detent: motor.detent,
});

const CONTROLLERS = new Memory();

/** What is set in the controller, and is not its part's. */
function resolveControl(
  drive: DcDrive,
  resistance: number,
  volts: number,
  { statorLimit }: { readonly statorLimit: number | undefined },
  choiceAt: Place,
  collect: FigureCollector,
): DcPath['control'] {
  const at = [...choiceAt, 'drive'];
  const most = statorLimit ?? volts / resistance;
  return {
    rampTime: collect.take('drive.rampTime', drive.rampTime, [...at, 'rampTime']),
    rollBack: collect.take('drive.rollBack', drive.rollBack, [...at, 'rollBack'], {
      value: Number.isNaN(most) ? undefined : most / 2,
      why: statorLimit === undefined ? 'half the stall current' : 'half the motor-side limit',
      source: 'typical',
    }),
    dragOffset: collect.take('drive.dragOffset', drive.dragOffset, [...at, 'dragOffset']),
    timing: collect.take('drive.timing', drive.timing, [...at, 'timing']),
    encoderCounts: collect.takeOptional('drive.encoderCounts', drive.encoderCounts, [...at, 'encoderCounts']),
    encoderOn: drive.encoderOn ?? 'motor',
    idle: drive.idle ?? 'brake',
    mode: drive.control ?? 'effort',
  };
}

function resolveController(
  plan: Plan,
  drive: DcDrive,
  { type, sensors }: MotorPart,
  choiceAt: Place,
  collect: FigureCollector,
) {
  const part: ControllerPart = partOf(plan, drive.controller, 'controller');
  const at = ['parts', drive.controller, 'part'];
  const driveAt = [...choiceAt, 'drive'];
  const limit = (key: 'statorLimit' | 'supplyLimit' | 'brakeLimit' | 'returnLimit') =>
    collect.takeOptional(`controller.${key}`, drive[key] ?? part[key], [...driveAt, key]);
  // Sensors are of the pair: one side alone has none, and what it does without them is its own.
  const style: StartStyle = part.startStyle ?? 'bump';
  const startStyle: StartStyle = style === 'sensors' && type === 'brushless' && !sensors ? 'bump' : style;
  for (const key of ['regulatorVoltage', 'regulatorContinuous', 'regulatorBurst', 'price'] as const)
    collect.takeOptional(`controller.${key}`, part[key], [...at, key]);
  return {
    resistance: collect.take('controller.resistance', part.resistance, [...at, 'resistance']),
    overSheet: overSheetOf(drive, part),
    statorLimit: limit('statorLimit'),
    supplyLimit: limit('supplyLimit'),
    brakeLimit: limit('brakeLimit'),
    returnLimit: limit('returnLimit'),
    lowestVoltage: collect.take('controller.lowestVoltage', part.lowestVoltage, [...at, 'lowestVoltage']),
    highestVoltage: collect.take('controller.highestVoltage', part.highestVoltage, [...at, 'highestVoltage']),
    greatestDuty: collect.take('controller.greatestDuty', part.greatestDuty, [...at, 'greatestDuty']),
    // A brushed motor has no electrical speed, and lacks nothing without that limit.
    erpmLimit: type === 'brushless' ? collect.take('controller.erpmLimit', part.erpmLimit, [...at, 'erpmLimit']) : NaN,
    leastErpm:
      type === 'brushless'
        ? collect.take('controller.leastErpm', part.leastErpm, [...at, 'leastErpm'], {
            value: (LEAST_ERPM[startStyle] * Math.PI) / 30,
            why: START_WORDS[startStyle],
            source: 'typical',
          })
        : 0,
    continuousCurrent: collect.takeOptional('controller.continuousCurrent', part.continuousCurrent, [
      ...at,
      'continuousCurrent',
    ]),
    switching: collect.take('controller.switching', part.switching, [...at, 'switching']),
    dutyStep: collect.take('controller.dutyStep', part.dutyStep, [...at, 'dutyStep']),
    startStyle,
    drives: part.drives,
  };
}

const START_WORDS: Readonly<Record<StartStyle, string>> = {
  sensors: 'sensors know where the rotor stands',
  forced: 'it is stepped blindly up to speed',
  bump: 'it is bumped until it catches',
};

/** Limits that are set above those of the controller's sheet. */
const overSheetOf = (drive: DcDrive, part: ControllerPart): DcPath['controller']['overSheet'] =>
  (
    [
      ['motor-side limit', drive.statorLimit, part.statorLimit],
      ['pack-side limit', drive.supplyLimit, part.supplyLimit],
    ] as const
  ).flatMap(([limit, set, sheet]) =>
    set && sheet && set.si > sheet.si ? [{ limit, set: set.si, sheet: sheet.si }] : [],
  );
