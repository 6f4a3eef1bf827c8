import type { JobKind, Output } from '@rough-gear/core';
import type { Allowance } from '../../../components/fields/allowance.js';

/** What a kind of job asks: the numbers that decide in front, then what is typical. */
export interface JobFields {
  readonly says: string;
  readonly deciding: readonly string[];
  readonly rest: readonly string[];
}

const TURNING = [
  'job.turnCreep',
  'job.shock',
  'job.held',
  'job.heldAgainstTurn',
  'job.turnSpeed',
  'job.turnAcceleration',
];
const MOVING = ['job.creep', 'job.shock', 'job.held', 'job.heldAgainst', 'job.speed', 'job.acceleration'];

export const JOB_FIELDS: Readonly<Record<JobKind, JobFields>> = {
  sprint: {
    says: 'cover a distance in a time',
    deciding: ['output.mass', 'job.distance', 'job.time', 'job.every'],
    rest: ['job.slope', ...MOVING],
  },
  push: {
    says: 'push against something',
    deciding: ['job.push', 'job.time', 'job.every', 'output.mass'],
    rest: ['job.pushSpeed', 'job.slope', 'job.creep', 'job.shock', 'job.held', 'job.heldAgainst'],
  },
  skid: {
    says: 'turn on the spot',
    deciding: ['job.angle', 'job.time', 'job.every', 'output.track', 'output.base'],
    rest: ['output.mass', 'output.scrub', 'output.yawInertia', 'job.slope', ...TURNING],
  },
  raise: {
    says: 'move a load by a height in a time',
    deciding: ['job.mass', 'job.distance', 'job.time', 'job.every'],
    rest: ['job.friction', 'job.counterforce', 'job.slope', ...MOVING],
  },
  swing: {
    says: 'swing from one angle to another',
    deciding: ['job.payload', 'job.from', 'job.to', 'job.time', 'job.every'],
    rest: ['job.holdAngle', ...TURNING],
  },
  haul: {
    says: 'haul a mass on a rope',
    deciding: ['job.mass', 'job.distance', 'job.time', 'job.held'],
    rest: [
      'job.every',
      'job.friction',
      'job.heldAgainst',
      'job.slope',
      'job.creep',
      'job.shock',
      'job.speed',
      'job.acceleration',
    ],
  },
  throw: {
    says: 'throw pieces one after another',
    deciding: ['job.pieceMass', 'job.exitSpeed', 'job.every', 'job.time', 'job.recover'],
    rest: ['job.shock'],
  },
  convey: {
    says: 'pull something along, and stand a jam',
    deciding: ['job.conveyMass', 'job.distance', 'job.time', 'job.every', 'job.jam'],
    rest: ['job.pull', 'job.slope', ...MOVING],
  },
  turn: {
    says: 'turn by an angle and stand there',
    deciding: ['job.angle', 'job.time', 'job.every', 'job.settle'],
    rest: TURNING,
  },
  stride: {
    says: 'carry its share of the robot while it swings',
    deciding: ['job.legMass', 'job.legsDown', 'job.angle', 'job.time'],
    rest: ['job.every', ...TURNING],
  },
  slide: {
    says: 'move along on a screw',
    deciding: ['job.mass', 'job.distance', 'job.time', 'job.every'],
    rest: ['job.slidePush', 'job.slope', 'job.friction', ...MOVING],
  },
  grip: {
    says: 'close on something and hold it',
    deciding: ['job.gripMass', 'job.held', 'job.time', 'job.every'],
    rest: [
      'job.gripForce',
      'job.heldAgainstTurn',
      'job.angle',
      'job.shake',
      'job.padGrip',
      'job.safety',
      'job.shock',
      'job.turnSpeed',
      'job.turnAcceleration',
      'job.turnCreep',
    ],
  },
};

/** Fields that take more than what is greater than nothing. */
export const JOB_ALLOW: Readonly<Record<string, Allowance>> = {
  'job.slope': 'any',
  'job.from': 'any',
  'job.to': 'any',
  'job.holdAngle': 'any',
  'job.friction': 'not negative',
  'job.counterforce': 'not negative',
  'job.payload': 'not negative',
  'job.pull': 'not negative',
  'job.slidePush': 'not negative',
  'job.heldAgainst': 'not negative',
  'job.heldAgainstTurn': 'not negative',
  'job.shake': 'not negative',
};

export const PROFILE_OPTIONS = [
  { value: 'moving', text: 'arrives on the move' },
  { value: 'stop', text: 'stops there, braking late' },
  { value: 'trapezoid', text: 'commanded speed and ramps' },
] as const;

/** An output as its panel shows it: its fields, what is chosen of a few, and what to know about it. */
export interface OutputFields {
  readonly title: string;
  readonly says: string;
  readonly fields: readonly string[];
  /** What only some of its jobs ask of it. */
  readonly ofJob?: Readonly<Partial<Record<JobKind, readonly string[]>>>;
  readonly choices: readonly OutputChoice[];
  readonly note: string;
}

interface OutputChoice {
  readonly key: string;
  readonly label: string;
  readonly options: readonly { readonly value: string; readonly text: string }[];
}

const HOLDER: OutputChoice = {
  key: 'holder',
  label: 'power off, held up by',
  options: [
    { value: 'nothing', text: 'nothing' },
    { value: 'brake', text: 'a closing brake' },
    { value: 'ratchet', text: 'a ratchet' },
    { value: 'stage', text: 'a stage that stays by itself' },
  ],
};
const FALLS = 'What is lifted falls when the power goes: a brake or ratchet, and nobody under it.';

export const OUTPUT_FIELDS: Readonly<Record<Output['kind'], OutputFields>> = {
  wheels: {
    title: 'Wheels',
    says: 'what touches the floor',
    fields: [
      'output.wheelRadius',
      'output.mass',
      'output.grip',
      'output.drivenShare',
      'output.rollingResistance',
      'output.wheelInertia',
    ],
    ofJob: { skid: ['output.track', 'output.base', 'output.scrub', 'output.yawInertia'] },
    choices: [],
    note: 'Grip is the pull that makes the wheels slip over the weight on them. Measure it: a scale, and the robot pulled with its wheels locked.',
  },
  drum: {
    title: 'Drum',
    says: 'rope on a drum; the load hangs on it',
    fields: [
      'output.drumRadius',
      'output.loadPerRope',
      'output.efficiency',
      'output.ropeStrength',
      'output.ropeDiameter',
      'output.drumWidth',
      'output.harmlessFall',
    ],
    choices: [HOLDER],
    note: `${FALLS} Thick rope winds up in layers: the fullest one is judged.`,
  },
  arm: {
    title: 'Arm',
    says: 'about a pivot',
    fields: [
      'output.armLength',
      'output.armMass',
      'output.armCentre',
      'output.armInertia',
      'output.armFriction',
      'output.springRate',
      'output.springZero',
      'output.harmlessFall',
    ],
    choices: [HOLDER],
    note: `${FALLS} A spring across the pivot takes weight off the motor, and stores what can bite.`,
  },
  flywheel: {
    title: 'Flywheel',
    says: 'what throws',
    fields: [
      'output.flywheelRadius',
      'output.flywheelInertia',
      'output.slip',
      'output.flywheelFriction',
      'output.airDrag',
    ],
    choices: [
      {
        key: 'wheels',
        label: 'made of',
        options: [
          { value: 'one', text: 'one wheel and a hood' },
          { value: 'two', text: 'two wheels' },
        ],
      },
      {
        key: 'ball',
        label: 'the piece is',
        options: [
          { value: 'hollow', text: 'hollow' },
          { value: 'solid', text: 'solid' },
        ],
      },
    ],
    note: 'A wheel that bursts throws parts: a guard around it, eye protection, and nobody in its plane. Pieces fly: a clear zone.',
  },
  roller: {
    title: 'Roller',
    says: 'what pulls the piece along',
    fields: ['output.rollerRadius'],
    choices: [],
    note: 'Rollers catch fingers and sleeves: power isolated before hands go in.',
  },
  turntable: {
    title: 'Turntable',
    says: 'what turns, and what knows where it stands',
    fields: ['output.tableInertia', 'output.tableFriction', 'output.counts', 'output.backlash'],
    choices: [],
    note: 'The sensor’s steps are counted at the motor; left empty, the table itself is measured.',
  },
  carriage: {
    title: 'Carriage',
    says: 'nut on a lead screw; the lead is a stage of the reduction',
    fields: ['output.screwDiameter', 'output.freeLength', 'output.harmlessFall'],
    choices: [
      {
        key: 'ends',
        label: 'ends of the screw',
        options: [
          { value: 'fixed-free', text: 'one fixed, one free' },
          { value: 'supported', text: 'both in a bearing' },
          { value: 'fixed-supported', text: 'one fixed, one in a bearing' },
          { value: 'fixed', text: 'both fixed' },
        ],
      },
      HOLDER,
    ],
    note: 'A screw pushes only as hard as it does not buckle: thicker, shorter or better held at its ends.',
  },
  leg: {
    title: 'Leg',
    says: 'what carries the robot',
    fields: ['output.legLever', 'output.legInertia'],
    choices: [],
    note: 'A leg that loses power folds: hands and faces out from under the robot.',
  },
  grip: {
    title: 'Fingers',
    says: 'what closes and holds',
    fields: ['output.fingerLength', 'output.gripInertia'],
    choices: [],
    note: 'Fingers pinch. With the power off a driven grip lets go, unless a stage stays by itself.',
  },
};

export const OUTPUT_ALLOW: Readonly<Record<string, Allowance>> = {
  'output.drivenShare': 'share',
  'output.rollingResistance': 'not negative',
  'output.efficiency': 'efficiency',
  'output.slip': 'efficiency',
  'output.ropeDiameter': 'not negative',
  'output.armMass': 'not negative',
  'output.armFriction': 'not negative',
  'output.harmlessFall': 'not negative',
  'output.springRate': 'not negative',
  'output.springZero': 'any',
  'output.flywheelFriction': 'not negative',
  'output.airDrag': 'not negative',
  'output.tableFriction': 'not negative',
  'output.backlash': 'not negative',
};
