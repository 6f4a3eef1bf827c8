import type {
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
import { bearing, notNegative, positive, slope } from './quantity.js';
import { dirt, id, profile, surroundings, title, wet } from './words.js';

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

const KINDS = {
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
export const job = Joi.alternatives<Job>().conditional('.kind', {
  switch: Object.entries(KINDS).map(([kind, then], i, all) =>
    i < all.length - 1
      ? { is: kind, then }
      : { is: kind, then, otherwise: Joi.object({ kind: Joi.valid(...Object.keys(KINDS)).required() }).unknown() },
  ),
});
