import type { Part, PartKind } from '@rough-gear/core';
import { choice, count, figure, text, words, yes, type PartField } from './field.js';

/** What every part says: name first, the shelf's own matters last. */
const FIRST: readonly PartField[] = [text('name', 'name', { main: true, needed: true })];
const LAST: readonly PartField[] = [
  figure('mass', 'mass', 'mass', { main: true }),
  figure('price', 'price', 'number', { main: true }),
  count('owned', 'owned', { main: true }),
  yes('secondHand', 'second-hand'),
  choice('sealing', 'sealing', ['open', 'dust and splashes', 'under water']),
  choice('dirt', 'dirt it stands', ['clean only', 'some dirt', 'any dirt']),
  text('sheet', 'data sheet'),
  text('note', 'note'),
];

const SHAFT_FORMS = ['round', 'flat', 'keyed', 'hexagon', 'toothed'];
const SHAFT: readonly PartField[] = [
  figure('shaftDiameter', 'shaft', 'length'),
  choice('shaftForm', 'shaft is', SHAFT_FORMS),
  text('mount', 'holes'),
];
const MATERIALS = [
  ...['hardened steel', 'plain steel', '7075 aluminium', 'brass', 'nylon or acetal', 'printed'],
  ...['mild steel', '6061 aluminium'],
];

const SERVO_POINTS: readonly PartField[] = [0, 1, 2, 3].flatMap((i) => {
  const at = (key: string) => `points.${i}.${key}`;
  const name = (label: string) => `${label}, point ${i + 1}`;
  return [
    figure(at('voltage'), name('volts'), 'voltage', { main: i === 0, needed: i === 0 }),
    figure(at('stallTorque'), name('stall torque'), 'torque', { main: i === 0 }),
    figure(at('stallForce'), name('stall force'), 'force'),
    figure(at('speed'), name('speed'), 'turning', { main: i === 0 }),
    figure(at('velocity'), name('speed along its line'), 'velocity'),
    figure(at('stallCurrent'), name('stall current'), 'current'),
  ];
});

/** The fields of each kind of part, in the order of a data sheet. A new figure is one more line here. */
const KINDS: Readonly<Record<PartKind, readonly PartField[]>> = {
  motor: [
    choice('type', 'type', ['brushed', 'brushless'], { main: true, needed: true }),
    choice('data.form', 'figures by', ['sheet', 'kv', 'turns'], { needed: true }),
    figure('data.ratedVoltage', 'rated volts', 'voltage', { form: 'sheet', main: true }),
    figure('data.freeSpeed', 'free speed', 'speed', { form: 'sheet', main: true }),
    figure('data.freeCurrent', 'free current', 'current', { form: 'sheet' }),
    figure('data.stallTorque', 'stall torque', 'torque', { form: 'sheet', main: true }),
    figure('data.stallCurrent', 'stall current', 'current', { form: 'sheet', main: true }),
    figure('data.statedResistance', 'stated resistance', 'resistance', { form: 'sheet' }),
    figure('data.statedKv', 'stated Kv', 'kv', { form: 'sheet' }),
    figure('data.kv', 'Kv', 'kv', { form: 'kv', main: true }),
    figure('data.resistance', 'resistance', 'resistance', { form: 'kv' }),
    figure('data.freeCurrent', 'free current by Kv', 'current', { form: 'kv' }),
    figure('data.turns', 'turns', 'number', { form: 'turns', main: true }),
    figure('data.canLength', 'length of the can', 'length', { form: 'turns' }),
    figure('data.referenceTurns', 'turns of the reference', 'number', { form: 'turns' }),
    figure('data.referenceLength', 'length of the reference', 'length', { form: 'turns' }),
    figure('data.referenceKv', 'Kv of the reference', 'kv', { form: 'turns' }),
    figure('data.referenceResistance', 'resistance of the reference', 'resistance', { form: 'turns' }),
    figure('data.referenceFreeCurrent', 'free current of the reference', 'current', { form: 'turns' }),
    figure('freeCurrentPerSpeed', 'free current per speed', 'drag'),
    figure('rotorInertia', 'rotor inertia', 'inertia'),
    figure('canDiameter', 'can', 'length'),
    figure('length', 'can length', 'length'),
    figure('continuousCurrent', 'continuous current', 'current'),
    figure('windingLimit', 'winding limit', 'temperature'),
    figure('highestVoltage', 'most volts', 'voltage'),
    figure('highestSpeed', 'most speed', 'speed'),
    figure('detentTorque', 'detent torque', 'torque'),
    choice('brushes', 'brushes of', ['carbon', 'metal']),
    figure('brushDrop', 'brushes drop', 'voltage'),
    figure('brushLife', 'brushes last', 'time'),
    choice('winding', 'wound by', ['machine', 'hand']),
    yes('balanced', 'rotor balanced'),
    choice('joined', 'phases joined in', ['star', 'delta']),
    count('polePairs', 'pole pairs'),
    count('slots', 'slots'),
    figure('internalGear', 'gear inside', 'ratio'),
    yes('sensors', 'sensors'),
    choice('rotation', 'rotation', ['either', 'clockwise', 'anticlockwise']),
    ...SHAFT,
    choice('figuresAt', 'figures are at the', ['shaft', 'output']),
  ],
  controller: [
    words('drives', 'drives', ['brushed', 'brushless'], { main: true, needed: true }),
    figure('lowestVoltage', 'least volts', 'voltage', { main: true }),
    figure('highestVoltage', 'most volts', 'voltage', { main: true }),
    figure('statorLimit', 'motor-side limit', 'current', { main: true }),
    figure('supplyLimit', 'pack-side limit', 'current', { main: true }),
    figure('continuousCurrent', 'continuous current', 'current'),
    figure('switching', 'switching takes', 'share'),
    figure('resistance', 'resistance', 'resistance'),
    figure('greatestDuty', 'greatest duty', 'share'),
    figure('erpmLimit', 'electrical speed limit', 'speed'),
    figure('brakeLimit', 'motor-side limit braking', 'current'),
    figure('returnLimit', 'pack-side limit braking', 'current'),
    choice('startStyle', 'starts by', ['sensors', 'forced', 'bump']),
    figure('leastErpm', 'least electrical speed', 'speed'),
    figure('dutyStep', 'step of duty', 'share'),
    figure('regulatorVoltage', 'regulator', 'voltage'),
    figure('regulatorContinuous', 'regulator, steady', 'current'),
    figure('regulatorBurst', 'regulator, burst', 'current'),
  ],
  pack: [
    choice('chemistry', 'chemistry', ['lipo', 'liion', 'lifepo4', 'nimh', 'lead', 'alkaline', 'bench'], {
      main: true,
      needed: true,
    }),
    count('series', 'cells in series', { main: true, needed: true }),
    count('parallel', 'in parallel', { needed: true }),
    figure('voltage', 'bench supply set to', 'voltage'),
    figure('capacity', 'charge', 'charge', { main: true }),
    figure('cellResistance', 'resistance of a cell', 'resistance', { main: true }),
    figure('leadResistance', 'resistance of its leads', 'resistance'),
    figure('dischargeLimit', 'most out', 'current', { main: true }),
    figure('chargeLimit', 'most in', 'current'),
    figure('capacityExponent', 'exponent of the capacity law', 'number'),
    figure('usable', 'usable share', 'share'),
  ],
  breaker: [
    choice('type', 'type', ['snap', 'main', 'fuse'], { main: true, needed: true }),
    figure('rated', 'rated', 'current', { main: true }),
    figure('holdMultiple', 'holds for ever at', 'number', { main: true }),
    figure('timeConstant', 'time constant', 'time'),
  ],
  stepper: [
    figure('holdingTorque', 'holding torque', 'torque', { main: true }),
    figure('ratedCurrent', 'current of a phase', 'current', { main: true }),
    figure('phaseResistance', 'resistance of a phase', 'resistance', { main: true }),
    figure('phaseInductance', 'inductance of a phase', 'inductance', { main: true }),
    figure('detentTorque', 'detent torque', 'torque'),
    figure('rotorInertia', 'rotor inertia', 'inertia'),
    count('stepsPerTurn', 'steps of a turn'),
    choice('leads', 'wires', [4, 6, 8]),
    choice('wiring', 'wired', ['series', 'parallel', 'half coil']),
    ...SHAFT,
  ],
  'step-servo': [
    figure('ratedVoltage', 'rated volts', 'voltage', { main: true }),
    figure('ratedTorque', 'rated torque', 'torque', { main: true }),
    figure('ratedSpeed', 'rated speed', 'speed', { main: true }),
    figure('peakTorque', 'peak torque', 'torque', { main: true }),
    figure('topSpeed', 'top speed', 'speed'),
    figure('rotorInertia', 'rotor inertia', 'inertia'),
    count('encoderLines', 'lines of the encoder'),
    figure('efficiency', 'efficiency', 'share'),
    ...SHAFT,
  ],
  driver: [
    choice('drives', 'drives', ['stepper', 'step-servo'], { main: true, needed: true }),
    figure('lowestVoltage', 'least volts', 'voltage', { main: true }),
    figure('highestVoltage', 'most volts', 'voltage', { main: true }),
    figure('mostCurrent', 'most current', 'current', { main: true }),
    choice('counts', 'switches count', ['peak', 'rms']),
    { key: 'stepSwitches', label: 'steps by switches', type: { is: 'switches' }, needed: true },
    { key: 'currentSwitches', label: 'current by switches', type: { is: 'switches' } },
    count('stepSwitchFrom', 'first switch of the steps'),
    count('currentSwitchFrom', 'first switch of the current'),
    figure('pulseLimit', 'pulse limit', 'rate', { main: true }),
    figure('leastPulse', 'least pulse', 'pulse'),
    figure('inputForward', 'volts of an input', 'voltage'),
    figure('inputResistance', 'resistor of an input', 'input resistance'),
    figure('inputCurrent', 'current of an input', 'pin current'),
    figure('inputRated', 'level of an input', 'voltage'),
    choice('pulseForm', 'pulses by', ['step and direction', 'one line a direction']),
    yes('alarm', 'alarm line'),
    figure('followingError', 'following error of the alarm', 'number'),
    choice('enable', 'enable input', ['runs when left open', 'runs when driven']),
    choice('decay', 'takes current down', ['slow', 'mixed', 'fast']),
    yes('damps', 'damps resonance'),
  ],
  board: [
    figure('pinVoltage', 'volts of a pin', 'voltage', { main: true }),
    figure('pinCurrent', 'current of a pin', 'pin current', { main: true }),
    figure('pulseLimit', 'pulse limit', 'rate', { main: true }),
    figure('feedVoltage', 'volts to feed inputs', 'voltage'),
    figure('timerUpper', 'timer: resistor above', 'input resistance'),
    figure('timerLower', 'timer: resistor below, fast', 'input resistance'),
    figure('timerLowerMost', 'timer: resistor below, slow', 'input resistance'),
    figure('timerCapacitor', 'timer: capacitor', 'capacitance'),
  ],
  servo: [
    choice('motion', 'moves', ['joint', 'continuous', 'linear'], { main: true, needed: true }),
    ...SERVO_POINTS,
    figure('idleCurrent', 'idle current', 'current'),
    figure('runningCurrent', 'running current', 'current'),
    figure('highestVoltage', 'most volts', 'voltage'),
    figure('travel', 'travel', 'angle'),
    figure('stroke', 'stroke', 'length'),
    figure('shortestPulse', 'shortest pulse', 'pulse'),
    figure('longestPulse', 'longest pulse', 'pulse'),
    figure('deadband', 'deadband', 'pulse'),
    figure('slop', 'play', 'angle'),
    choice('signal', 'signal', ['digital', 'analogue']),
    choice('motor', 'motor inside', ['brushed', 'coreless', 'brushless']),
    choice('gears', 'gears', ['plastic', 'reinforced resin', 'brass', 'aluminium', 'steel', 'titanium'], {
      main: true,
    }),
    choice('caseMaterial', 'case', ['plastic', 'part metal', 'metal']),
    choice('bearing', 'bearing', ['bush', 'one ball bearing', 'two ball bearings']),
    figure('caseLength', 'case, length', 'length'),
    figure('caseWidth', 'case, width', 'length'),
    figure('caseHeight', 'case, height', 'length'),
    count('splineTeeth', 'teeth of the spline'),
    { key: 'inside', label: 'stages inside', type: { is: 'pairs' } },
    figure('rotorInertia', 'rotor inertia', 'inertia'),
  ],
  series: [
    choice('of', 'of', ['gears', 'sprockets', 'pulleys', 'belts', 'planetary'], { main: true, needed: true }),
    figure('pitch', 'pitch or module', 'length', { main: true }),
    figure('face', 'width', 'length', { main: true }),
    figure('bore', 'bore', 'length', { main: true }),
    { key: 'sizes', label: 'sizes', type: { is: 'counts' }, main: true, needed: true },
    choice('material', 'material', MATERIALS),
    choice('profile', 'profile', ['round', 'modified round']),
    figure('pricePerTooth', 'price of a tooth more', 'number'),
    figure('ratedTorque', 'rated torque', 'torque'),
  ],
  wire: [
    figure('gauge', 'gauge', 'gauge', { main: true }),
    figure('insulation', 'insulation to', 'temperature', { main: true }),
  ],
  chain: [figure('pitch', 'pitch', 'length', { main: true }), figure('strength', 'breaks at', 'force', { main: true })],
};

/** All fields of a kind. */
export const fieldsOf = (kind: PartKind): readonly PartField[] => [...FIRST, ...KINDS[kind], ...LAST];

/** The fields that a part of some form has: of a motor those of its form of figures. */
export function fieldsOfPart(part: Part): readonly PartField[] {
  const form = part.kind === 'motor' ? part.data.form : undefined;
  return fieldsOf(part.kind).filter((field) => field.form === undefined || field.form === form);
}

/** Kinds of part as they are spoken of. */
export const KIND_NAMES: Readonly<Record<PartKind, string>> = {
  motor: 'Motors and windings',
  controller: 'Controllers',
  servo: 'Servos',
  stepper: 'Steppers',
  'step-servo': 'Step servos',
  driver: 'Drivers',
  board: 'Boards',
  pack: 'Packs',
  breaker: 'Breakers',
  wire: 'Wires',
  series: 'Gears, belts and wheels',
  chain: 'Chains',
};
