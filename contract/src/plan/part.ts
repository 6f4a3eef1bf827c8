import type {
  BoardPart,
  BreakerPart,
  ChainPart,
  ControllerPart,
  DriverPart,
  MotorKvData,
  MotorPart,
  MotorSheetData,
  MotorTurnsData,
  PackPart,
  Part,
  PartCopy,
  PartKind,
  ServoPart,
  SeriesPart,
  ServoPoint,
  StepServoPart,
  StepperPart,
  SwitchRow,
  WirePart,
} from '@rough-gear/core';
import Joi from 'joi';
import type { Writable } from './writable.js';
import { atLeastOne, efficiency, gauge, notNegative, positive, share, temperature } from './quantity.js';
import { dirtStood, partName, remark, sealing, shaftForm, title } from './words.js';
import { moment } from './moment.js';

const common = {
  name: partName.required(),
  mass: positive,
  price: notNegative,
  owned: Joi.number().integer().min(0).max(9999),
  secondHand: Joi.boolean(),
  sealing,
  dirt: dirtStood,
  sheet: Joi.string().max(200),
  note: remark,
};

const motorSheet = Joi.object<MotorSheetData, true>({
  form: Joi.string().valid('sheet').required(),
  ratedVoltage: positive,
  freeSpeed: positive,
  freeCurrent: notNegative,
  stallTorque: positive,
  stallCurrent: positive,
  statedResistance: positive,
  statedKv: positive,
}).custom((data: MotorSheetData, helpers) => {
  const { stallCurrent, freeCurrent } = data;
  if (stallCurrent && freeCurrent && stallCurrent.si <= freeCurrent.si) return helpers.error('motor.stall');
  return data;
});

const motorKv = Joi.object<MotorKvData, true>({
  form: Joi.string().valid('kv').required(),
  kv: positive,
  resistance: positive,
  freeCurrent: notNegative,
});

const motorTurns = Joi.object<MotorTurnsData, true>({
  form: Joi.string().valid('turns').required(),
  turns: positive,
  canLength: positive,
  referenceTurns: positive,
  referenceLength: positive,
  referenceKv: positive,
  referenceResistance: positive,
  referenceFreeCurrent: notNegative,
});

const motorPart = Joi.object<MotorPart, true>({
  ...common,
  kind: Joi.string().valid('motor').required(),
  type: Joi.string().valid('brushed', 'brushless').required(),
  data: Joi.alternatives()
    .conditional('.form', {
      switch: [
        { is: 'sheet', then: motorSheet },
        { is: 'kv', then: motorKv },
        { is: 'turns', then: motorTurns, otherwise: motorSheet },
      ],
    })
    .required(),
  freeCurrentPerSpeed: notNegative,
  rotorInertia: positive,
  canDiameter: positive,
  length: positive,
  continuousCurrent: positive,
  windingLimit: temperature,
  highestVoltage: positive,
  highestSpeed: positive,
  detentTorque: notNegative,
  brushes: Joi.string().valid('carbon', 'metal'),
  brushDrop: notNegative,
  brushLife: positive,
  winding: Joi.string().valid('machine', 'hand'),
  balanced: Joi.boolean(),
  joined: Joi.string().valid('star', 'delta'),
  polePairs: Joi.number().integer().min(1).max(100),
  slots: Joi.number().integer().min(2).max(200),
  internalGear: positive,
  sensors: Joi.boolean(),
  rotation: Joi.string().valid('either', 'clockwise', 'anticlockwise'),
  shaftDiameter: positive,
  shaftForm: shaftForm,
  mount: title,
  figuresAt: Joi.string().valid('shaft', 'output'),
}).messages({ 'motor.stall': '{{#label}}: the stall current must be greater than the free current' });

const packPart = Joi.object<PackPart, true>({
  ...common,
  kind: Joi.string().valid('pack').required(),
  chemistry: Joi.string().valid('lipo', 'liion', 'lifepo4', 'nimh', 'lead', 'alkaline', 'bench').required(),
  series: Joi.number().integer().min(1).max(60).required(),
  parallel: Joi.number().integer().min(1).max(60).required(),
  voltage: positive,
  capacity: positive,
  cellResistance: positive,
  leadResistance: notNegative,
  dischargeLimit: positive,
  chargeLimit: positive,
  capacityExponent: atLeastOne,
  usable: efficiency,
});

const controllerPart = Joi.object<Writable<ControllerPart>, true>({
  ...common,
  kind: Joi.string().valid('controller').required(),
  drives: Joi.array<('brushed' | 'brushless')[]>().items(Joi.string().valid('brushed', 'brushless')).min(1).required(),
  resistance: notNegative,
  statorLimit: positive,
  supplyLimit: positive,
  continuousCurrent: positive,
  switching: share,
  lowestVoltage: positive,
  highestVoltage: positive,
  greatestDuty: efficiency,
  erpmLimit: positive,
  brakeLimit: positive,
  returnLimit: positive,
  startStyle: Joi.string().valid('sensors', 'forced', 'bump'),
  leastErpm: positive,
  dutyStep: efficiency,
  regulatorVoltage: positive,
  regulatorContinuous: positive,
  regulatorBurst: positive,
});

const breakerPart = Joi.object<BreakerPart, true>({
  ...common,
  kind: Joi.string().valid('breaker').required(),
  type: Joi.string().valid('snap', 'main', 'fuse').required(),
  rated: positive,
  holdMultiple: positive,
  timeConstant: positive,
});

const stepperPart = Joi.object<StepperPart, true>({
  ...common,
  kind: Joi.string().valid('stepper').required(),
  phaseResistance: positive,
  phaseInductance: positive,
  ratedCurrent: positive,
  holdingTorque: positive,
  detentTorque: notNegative,
  rotorInertia: positive,
  stepsPerTurn: Joi.number().integer().min(4).max(1000).multiple(4),
  leads: Joi.number().valid(4, 6, 8),
  wiring: Joi.string().valid('series', 'parallel', 'half coil'),
  shaftDiameter: positive,
  shaftForm,
  mount: title,
});

const stepServoPart = Joi.object<StepServoPart, true>({
  ...common,
  kind: Joi.string().valid('step-servo').required(),
  ratedVoltage: positive,
  ratedTorque: positive,
  ratedSpeed: positive,
  peakTorque: positive,
  topSpeed: positive,
  rotorInertia: positive,
  encoderLines: Joi.number().integer().min(16).max(100_000),
  efficiency,
  shaftDiameter: positive,
  shaftForm,
  mount: title,
})
  .custom((part: StepServoPart, helpers) => {
    const { ratedSpeed, topSpeed, ratedTorque, peakTorque } = part;
    if (ratedSpeed && topSpeed && topSpeed.si <= ratedSpeed.si) return helpers.error('stepServo.speed');
    if (ratedTorque && peakTorque && peakTorque.si < ratedTorque.si) return helpers.error('stepServo.torque');
    return part;
  })
  .messages({
    'stepServo.speed': '{{#label}}: the top speed must be greater than the rated speed',
    'stepServo.torque': '{{#label}}: the peak torque must be at least the rated torque',
  });

const switchRow = Joi.object<SwitchRow, true>({
  value: Joi.number().greater(0).max(100_000).required(),
  on: Joi.string()
    .pattern(/^[01]{1,8}$/)
    .required(),
});

const driverPart = Joi.object<Writable<DriverPart>, true>({
  ...common,
  kind: Joi.string().valid('driver').required(),
  drives: Joi.string().valid('stepper', 'step-servo').required(),
  lowestVoltage: positive,
  highestVoltage: positive,
  mostCurrent: positive,
  counts: Joi.string().valid('peak', 'rms'),
  stepSwitches: Joi.array<SwitchRow[]>().items(switchRow).min(1).max(32).required(),
  freeSteps: Joi.boolean(),
  currentSwitches: Joi.array<SwitchRow[]>().items(switchRow).max(32),
  stepSwitchFrom: Joi.number().integer().min(1).max(16),
  currentSwitchFrom: Joi.number().integer().min(1).max(16),
  pulseLimit: positive,
  leastPulse: positive,
  inputForward: positive,
  inputResistance: positive,
  inputCurrent: positive,
  inputRated: positive,
  pulseForm: Joi.string().valid('step and direction', 'one line a direction'),
  alarm: Joi.boolean(),
  followingError: positive,
  trimmerVolts: positive,
  enable: Joi.string().valid('runs when left open', 'runs when driven'),
  decay: Joi.string().valid('slow', 'mixed', 'fast'),
  damps: Joi.boolean(),
});

const boardPart = Joi.object<BoardPart, true>({
  ...common,
  kind: Joi.string().valid('board').required(),
  pinVoltage: positive,
  pinCurrent: positive,
  pulseLimit: positive,
  feedVoltage: positive,
  timerUpper: positive,
  timerLower: positive,
  timerLowerMost: positive,
  timerCapacitor: positive,
  channels: Joi.number().integer().min(1).max(64),
  pulseStep: positive,
  servoCurrent: positive,
  servoVoltage: positive,
});

const servoPoint = Joi.object<ServoPoint, true>({
  voltage: positive,
  stallTorque: positive,
  stallForce: positive,
  speed: positive,
  velocity: positive,
  stallCurrent: positive,
});

const gearPair = Joi.object({
  driver: Joi.number().integer().min(4).max(400).required(),
  driven: Joi.number().integer().min(4).max(400).required(),
});

const servoPart = Joi.object<Writable<ServoPart>, true>({
  ...common,
  kind: Joi.string().valid('servo').required(),
  motion: Joi.string().valid('joint', 'continuous', 'linear').required(),
  points: Joi.array<ServoPoint[]>().items(servoPoint).min(1).max(4).required(),
  idleCurrent: notNegative,
  runningCurrent: positive,
  highestVoltage: positive,
  travel: positive,
  stroke: positive,
  shortestPulse: positive,
  longestPulse: positive,
  deadband: notNegative,
  slop: notNegative,
  signal: Joi.string().valid('digital', 'analogue'),
  motor: Joi.string().valid('brushed', 'coreless', 'brushless'),
  gears: Joi.string().valid('plastic', 'reinforced resin', 'brass', 'aluminium', 'steel', 'titanium'),
  caseMaterial: Joi.string().valid('plastic', 'part metal', 'metal'),
  bearing: Joi.string().valid('bush', 'metal bush', 'one ball bearing', 'two ball bearings'),
  yields: notNegative,
  windingLimit: temperature,
  gearSetPrice: notNegative,
  caseLength: positive,
  caseWidth: positive,
  caseHeight: positive,
  splineTeeth: Joi.number().integer().min(10).max(40),
  inside: Joi.array<{ driver: number; driven: number }[]>().items(gearPair).min(1).max(8),
  rotorInertia: positive,
})
  .custom((part: ServoPart, helpers) => {
    const { shortestPulse, longestPulse } = part;
    return shortestPulse && longestPulse && longestPulse.si <= shortestPulse.si ? helpers.error('servo.pulses') : part;
  })
  .messages({ 'servo.pulses': '{{#label}}: the longest pulse must be longer than the shortest' });

const seriesPart = Joi.object<Writable<SeriesPart>, true>({
  ...common,
  kind: Joi.string().valid('series').required(),
  of: Joi.string().valid('gears', 'sprockets', 'pulleys', 'belts', 'planetary').required(),
  pitch: positive,
  face: positive,
  bore: positive,
  sizes: Joi.array<number[]>().items(Joi.number().min(1).max(2000)).min(1).max(200).unique().required(),
  material: Joi.string().valid(
    'hardened steel',
    'plain steel',
    '7075 aluminium',
    'brass',
    'nylon or acetal',
    'printed',
    'mild steel',
    '6061 aluminium',
  ),
  profile: Joi.string().valid('round', 'modified round'),
  pricePerTooth: notNegative,
  ratedTorque: positive,
});

const wirePart = Joi.object<WirePart, true>({
  ...common,
  kind: Joi.string().valid('wire').required(),
  gauge,
  insulation: temperature,
});

const chainPart = Joi.object<ChainPart, true>({
  ...common,
  kind: Joi.string().valid('chain').required(),
  pitch: positive,
  strength: positive,
});

/** A schema for each kind of part. A new kind is one more line here. */
const PARTS = {
  motor: motorPart,
  pack: packPart,
  controller: controllerPart,
  breaker: breakerPart,
  stepper: stepperPart,
  'step-servo': stepServoPart,
  driver: driverPart,
  board: boardPart,
  servo: servoPart,
  series: seriesPart,
  wire: wirePart,
  chain: chainPart,
} satisfies Record<PartKind, Joi.ObjectSchema>;

/** Any part, by its kind. */
export const part = Joi.alternatives<Part>().conditional('.kind', {
  switch: Object.entries(PARTS).map(([kind, then], i, all) =>
    i < all.length - 1
      ? { is: kind, then }
      : { is: kind, then, otherwise: Joi.object({ kind: Joi.valid(...Object.keys(PARTS)).required() }).unknown() },
  ),
});

export const partCopy = Joi.object<PartCopy, true>({
  part: part.required(),
  shelfId: Joi.string().max(80),
  shelfRevision: Joi.number().integer().min(1),
  copiedAt: moment(),
});
