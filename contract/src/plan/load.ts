import type {
  WheelsOutput,
  DrumOutput,
  ArmOutput,
  FlywheelOutput,
  RollerOutput,
  TurntableOutput,
  CarriageOutput,
  GripOutput,
  LegOutput,
  Output,
  GripJob,
  ConveyJob,
  HaulJob,
  Job,
  PushJob,
  RaiseJob,
  ThrowJob,
  SkidJob,
  SlideJob,
  SprintJob,
  StrideJob,
  SwingJob,
  TurnJob,
} from '@rough-gear/core';
import Joi from 'joi';
import { bearing, efficiency, notNegative, positive, share, slope } from './quantity.js';
import { dirt, id, profile, surroundings, title, wet } from './words.js';

/** One of several schemas, by its kind; any other kind is refused with those there are. */
const byKind = <T>(schemas: Readonly<Record<string, Joi.ObjectSchema>>) =>
  Joi.alternatives<T>().conditional('.kind', {
    switch: Object.entries(schemas).map(([kind, then], i, all) =>
      i < all.length - 1
        ? { is: kind, then }
        : { is: kind, then, otherwise: Joi.object({ kind: Joi.valid(...Object.keys(schemas)).required() }).unknown() },
    ),
  });

const common = {
  id: id.required(),
  name: title.required(),
  every: positive,
  held: positive,
  heldAgainst: notNegative,
  shock: positive,
  slope,
  speed: positive,
  acceleration: positive,
  creep: positive,
  profile,
  wet,
  dirt,
  surroundings,
  blows: Joi.boolean(),
};

const sprint = Joi.object<SprintJob, true>({
  ...common,
  kind: Joi.string().valid('sprint').required(),
  distance: positive,
  time: positive,
});
const push = Joi.object<PushJob, true>({
  ...common,
  kind: Joi.string().valid('push').required(),
  push: positive,
  time: positive,
});
const skid = Joi.object<SkidJob, true>({
  ...common,
  kind: Joi.string().valid('skid').required(),
  angle: positive,
  time: positive,
});
const raise = Joi.object<RaiseJob, true>({
  ...common,
  kind: Joi.string().valid('raise').required(),
  mass: positive,
  distance: positive,
  time: positive,
  friction: notNegative,
  counterforce: notNegative,
  direction: Joi.string().valid('up', 'down'),
});

const swing = Joi.object<SwingJob, true>({
  ...common,
  kind: Joi.string().valid('swing').required(),
  payload: notNegative,
  from: bearing,
  to: bearing,
  time: positive,
  holdAngle: bearing,
});
const haul = Joi.object<HaulJob, true>({
  ...common,
  kind: Joi.string().valid('haul').required(),
  mass: positive,
  distance: positive,
  time: positive,
  friction: notNegative,
});
const throwing = Joi.object<ThrowJob, true>({
  ...common,
  kind: Joi.string().valid('throw').required(),
  pieceMass: positive,
  exitSpeed: positive,
  time: positive,
  recover: positive,
});
const convey = Joi.object<ConveyJob, true>({
  ...common,
  kind: Joi.string().valid('convey').required(),
  mass: positive,
  pull: notNegative,
  distance: positive,
  time: positive,
  jam: positive,
});
const turn = Joi.object<TurnJob, true>({
  ...common,
  kind: Joi.string().valid('turn').required(),
  onAndOn: Joi.boolean(),
  angle: positive,
  time: positive,
  settle: positive,
});
const slide = Joi.object<SlideJob, true>({
  ...common,
  kind: Joi.string().valid('slide').required(),
  mass: positive,
  distance: positive,
  time: positive,
  push: notNegative,
  friction: notNegative,
});
const grip = Joi.object<GripJob, true>({
  ...common,
  kind: Joi.string().valid('grip').required(),
  mass: positive,
  gripForce: positive,
  angle: positive,
  time: positive,
  shake: notNegative,
  padGrip: positive,
  safety: positive,
});

const stride = Joi.object<StrideJob, true>({
  ...common,
  kind: Joi.string().valid('stride').required(),
  mass: positive,
  legsDown: positive,
  angle: positive,
  time: positive,
});

const JOBS = {
  sprint,
  push,
  skid,
  raise,
  swing,
  haul,
  throw: throwing,
  convey,
  turn,
  slide,
  grip,
  stride,
} satisfies Record<Job['kind'], Joi.ObjectSchema>;

/** Any job, by its kind. A new kind is one more schema above. */
export const job = byKind<Job>(JOBS);

const lifted = {
  holder: Joi.string().valid('nothing', 'brake', 'ratchet', 'stage'),
  harmlessFall: notNegative,
  mayFall: Joi.string().max(200),
};

const wheels = Joi.object<WheelsOutput, true>({
  kind: Joi.string().valid('wheels').required(),
  radius: positive,
  mass: positive,
  grip: positive,
  drivenShare: share,
  wheels: Joi.number().integer().min(1).max(40),
  driven: Joi.number().integer().min(1).max(40),
  rollingResistance: notNegative,
  track: positive,
  base: notNegative,
  scrub: positive,
  yawInertia: positive,
  wheelInertia: positive,
  dragged: Joi.number().integer().min(0).max(11),
});

const drum = Joi.object<DrumOutput, true>({
  kind: Joi.string().valid('drum').required(),
  radius: positive,
  loadPerRope: positive,
  efficiency,
  ropeStrength: positive,
  knotted: Joi.boolean(),
  ...lifted,
  ropeDiameter: notNegative,
  drumWidth: positive,
});
const arm = Joi.object<ArmOutput, true>({
  kind: Joi.string().valid('arm').required(),
  length: positive,
  mass: notNegative,
  centre: positive,
  inertia: positive,
  friction: notNegative,
  springRate: notNegative,
  springZero: bearing,
  ...lifted,
});
const flywheel = Joi.object<FlywheelOutput, true>({
  kind: Joi.string().valid('flywheel').required(),
  radius: positive,
  inertia: positive,
  wheels: Joi.string().valid('one', 'two'),
  ball: Joi.string().valid('solid', 'hollow'),
  slip: efficiency,
  friction: notNegative,
  airDrag: notNegative,
});
const roller = Joi.object<RollerOutput, true>({ kind: Joi.string().valid('roller').required(), radius: positive });
const turntable = Joi.object<TurntableOutput, true>({
  kind: Joi.string().valid('turntable').required(),
  inertia: positive,
  friction: notNegative,
  counts: positive,
  backlash: notNegative,
});
const carriage = Joi.object<CarriageOutput, true>({
  kind: Joi.string().valid('carriage').required(),
  screwDiameter: positive,
  freeLength: positive,
  ends: Joi.string().valid('fixed-free', 'supported', 'fixed-supported', 'fixed'),
  ...lifted,
});
const gripOutput = Joi.object<GripOutput, true>({
  kind: Joi.string().valid('grip').required(),
  fingerLength: positive,
  inertia: positive,
});

const leg = Joi.object<LegOutput, true>({
  kind: Joi.string().valid('leg').required(),
  lever: positive,
  inertia: positive,
});

const OUTPUTS = {
  wheels,
  drum,
  arm,
  flywheel,
  roller,
  turntable,
  carriage,
  grip: gripOutput,
  leg,
} satisfies Record<Output['kind'], Joi.ObjectSchema>;

/** What a mechanism ends in, by its kind. A new kind is one more schema above. */
export const output = byKind<Output>(OUTPUTS);
