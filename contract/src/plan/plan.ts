import {
  LONGEST_NAME,
  MECHANISM_JOBS,
  MOST,
  PLAN_FORMAT,
  PLAN_VERSION,
  WANT_IDS,
  type Choice,
  type Claim,
  type Job,
  type MatchPlan,
  type MatchScript,
  type Mechanism,
  type Plan,
  type Reason,
  type SpreadPlan,
  type Stage,
  type SupplyNode,
  type WireColours,
} from '@rough-gear/core';
import Joi from 'joi';
import { drive } from './drive.js';
import { day, eventSheet } from './eventSheet.js';
import { job, output } from './load.js';
import { partCopy } from './part.js';
import { notNegative, rounds, share, withinAnHour } from './quantity.js';
import { script } from './script.js';
import { stage } from './stage.js';
import { supplyNode } from './supply.js';
import type { Writable } from './writable.js';
import { moment } from './moment.js';

const id = Joi.string().max(40).required();
const choice = Joi.object<Writable<Choice>, true>({
  id,
  name: Joi.string().max(LONGEST_NAME).required(),
  drive: drive.required(),
  stages: Joi.array<Stage[]>().items(stage).max(MOST.stages).required(),
  tuning: Joi.string().max(40),
  output: output.required(),
});

const mechanism = Joi.object<Writable<Mechanism>, true>({
  id,
  name: Joi.string().trim().min(1).max(80).required(),
  kind: Joi.string()
    .valid(...Object.keys(MECHANISM_JOBS))
    .required(),
  jobs: Joi.array<Job[]>().items(job).min(1).max(MOST.jobs).required(),
  choices: Joi.array<Choice[]>().items(choice).min(1).max(MOST.choices).required(),
  current: id,
  structure: notNegative,
});

const colour = Joi.string().max(30);
const wireColours = Joi.object<WireColours, true>({
  plus: colour,
  minus: colour,
  motor: colour,
  signal: colour,
  ground: colour,
  sensor: colour,
});
const match = Joi.object<MatchPlan, true>({ length: withinAnHour, rest: notNegative, rounds });
const spread = Joi.object<SpreadPlan, true>({
  constants: share,
  friction: share,
  mass: share,
  leastCharge: share,
  mostCharge: share,
  efficiency: share,
});

const claim = Joi.object<Claim, true>({
  want: Joi.string()
    .valid(...WANT_IDS)
    .required(),
  then: Joi.number().required(),
  bound: Joi.number().required(),
});

const reason = Joi.object<Writable<Reason>, true>({
  id,
  writtenAt: moment().required(),
  mechanism: id,
  job: id,
  choice: id,
  chosen: Joi.string().max(300).required(),
  over: Joi.string().max(300).required(),
  claims: Joi.array<Claim[]>().items(claim).max(20).required(),
  gaveUp: Joi.string().max(300),
  why: Joi.string().max(500),
});

/** The plan document: what the API, the file import and the command line all hold to. */
export const planSchema = Joi.object<Writable<Plan>, true>({
  format: Joi.string().valid(PLAN_FORMAT).required(),
  version: Joi.number().valid(PLAN_VERSION).required(),
  name: Joi.string().trim().min(1).max(80).required(),
  note: Joi.string().max(2000).allow(''),
  match,
  spread,
  scripts: Joi.array<MatchScript[]>().items(script).max(MOST.scripts),
  day,
  event: eventSheet,
  frame: notNegative,
  wireColours,
  parts: Joi.object()
    .pattern(/^(?!__proto__$).{1,40}$/, partCopy)
    .required(),
  supply: Joi.array<SupplyNode[]>().items(supplyNode).min(1).max(MOST.supply).required(),
  mechanisms: Joi.array<Mechanism[]>().items(mechanism).max(MOST.mechanisms).required(),
  reasons: Joi.array<Reason[]>().items(reason).max(MOST.reasons),
});
