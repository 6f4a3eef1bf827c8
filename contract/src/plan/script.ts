import {
  MOST,
  type Go,
  type Lane,
  type MatchPart,
  type MatchScript,
  type StandingDraw,
  type When,
} from '@rough-gear/core';
import Joi from 'joi';
import type { Writable } from './writable.js';

/** Match scripts of a plan. Times in seconds from the start, as they were chosen. */

/** Longest practice anyone simulates, s. */
const LONGEST = 3600;
const id = Joi.string().trim().min(1).max(80).required();
const name = Joi.string().trim().min(1).max(60).required();
const seconds = Joi.number().min(0).max(LONGEST);

const kind = (...kinds: readonly string[]) =>
  Joi.string()
    .valid(...kinds)
    .required();
const every = Joi.object({
  kind: kind('every'),
  time: Joi.number().min(0.1).max(LONGEST).required(),
  from: seconds.required(),
  to: seconds.required(),
});
const beside = Joi.object({ kind: kind('after', 'with'), go: id, wait: seconds.required() });
/** By its kind, so that a fault is told of the very figure. */
const when = Joi.alternatives<When>().conditional('.kind', {
  switch: [
    { is: 'every', then: every },
    { is: Joi.valid('after', 'with'), then: beside },
  ],
  otherwise: Joi.object({ kind: kind('at', 'every', 'after', 'with'), time: seconds.required() }),
});

const go = Joi.object<Go, true>({
  id,
  when: when.required(),
  job: Joi.string().max(80),
  cruise: Joi.object({
    speed: Joi.number().greater(0).max(100).required(),
    seconds: Joi.number().greater(0).max(LONGEST).required(),
  }),
}).xor('job', 'cruise');

const lane = Joi.object<Writable<Lane>, true>({
  mechanism: id,
  goes: Joi.array<Go[]>().items(go).unique('id').max(MOST.goes).required(),
});

const draw = Joi.object<StandingDraw, true>({
  id,
  name,
  current: Joi.number().min(0).max(1000).required(),
  from: seconds.required(),
  to: seconds,
});

const part = Joi.object<MatchPart, true>({ name, seconds: Joi.number().greater(0).max(LONGEST).required() });

export const script = Joi.object<Writable<MatchScript>, true>({
  id,
  name,
  counts: Joi.boolean().required(),
  parts: Joi.array<MatchPart[]>().items(part).min(1).max(MOST.parts).required(),
  lanes: Joi.array<Lane[]>().items(lane).unique('mechanism').max(MOST.mechanisms).required(),
  draws: Joi.array<StandingDraw[]>().items(draw).unique('id').max(MOST.goes).required(),
});
