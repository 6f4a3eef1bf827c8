import type { Job, PushJob, RaiseJob, SprintJob } from '@rough-gear/core';
import Joi from 'joi';
import { notNegative, positive, slope } from './quantity.js';

const common = {
  id: Joi.string().max(40).required(),
  name: Joi.string().max(80).required(),
  every: positive,
  held: positive,
  shock: positive,
  slope,
  speed: positive,
  acceleration: positive,
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
const raise = Joi.object<RaiseJob, true>({
  ...common,
  kind: Joi.string().valid('raise').required(),
  mass: positive,
  distance: positive,
  time: positive,
  friction: notNegative,
  counterforce: notNegative,
});

/** Any job, by its kind. A new kind is one more line here. */
export const job = Joi.alternatives<Job>().conditional('.kind', {
  switch: [
    { is: 'sprint', then: sprint },
    { is: 'push', then: push },
    {
      is: 'raise',
      then: raise,
      otherwise: Joi.object({ kind: Joi.valid('sprint', 'push', 'raise').required() }).unknown(),
    },
  ],
});
