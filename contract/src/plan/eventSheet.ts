import {
  EVENT_SUMS,
  MOST,
  type DayPlan,
  type EventLimit,
  type EventSheet,
  type ListLimit,
  type SumLimit,
  type WireLimit,
} from '@rough-gear/core';
import Joi from 'joi';
import { gauge, notNegative, positive } from './quantity.js';
import type { Writable } from './writable.js';

/** What an event allows, and how a day goes. */

const base = { id: Joi.string().trim().min(1).max(80).required(), rule: Joi.string().trim().max(200) };
const kind = (...kinds: readonly string[]) =>
  Joi.string()
    .valid(...kinds)
    .required();

const most = Joi.object<SumLimit, true>({
  ...base,
  kind: kind('most'),
  of: Joi.string()
    .valid(...EVENT_SUMS)
    .required(),
  most: notNegative.required(),
  withPack: Joi.boolean(),
});
const wire = Joi.object<WireLimit, true>({
  ...base,
  kind: kind('wire'),
  breaker: positive.required(),
  gauge: gauge.required(),
});
const list = Joi.object<Writable<ListLimit>, true>({
  ...base,
  kind: kind('motors', 'packs'),
  names: Joi.array<string[]>().items(Joi.string().trim().min(1).max(120)).max(200).required(),
});
/** By its kind, so that a fault is told of the very figure. */
const limit = Joi.alternatives<EventLimit>().conditional('.kind', {
  switch: [
    { is: 'most', then: most },
    { is: 'wire', then: wire },
    {
      is: Joi.valid('motors', 'packs'),
      then: list,
      otherwise: Joi.object({ kind: kind('most', 'wire', 'motors', 'packs') }).unknown(),
    },
  ],
});

export const eventSheet = Joi.object<Writable<EventSheet>, true>({
  name: Joi.string().trim().min(1).max(80).required(),
  limits: Joi.array<EventLimit[]>().items(limit).unique('id').max(MOST.eventLimits).required(),
});

export const day = Joi.object<Writable<DayPlan>, true>({
  matches: Joi.number().integer().min(1).max(MOST.matches).required(),
  between: Joi.number().min(0).max(86_400).required(),
  packs: Joi.number().integer().min(1).max(MOST.packs).required(),
  charger: Joi.number().min(0).max(1000).required(),
  fresh: Joi.array<number[]>()
    .items(
      Joi.number()
        .integer()
        .min(0)
        .max(MOST.matches - 1),
    )
    .max(MOST.matches),
});
