import type { JobKind } from '@rough-gear/core';
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
