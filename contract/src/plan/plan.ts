import {
  PLAN_FORMAT,
  PLAN_VERSION,
  type Choice,
  type DcDrive,
  type DrumOutput,
  type Job,
  type Mechanism,
  type Output,
  type Plan,
  type Stage,
  type SupplyNode,
  type WheelsOutput,
} from '@rough-gear/core';
import Joi from 'joi';
import { job } from './job.js';
import { partCopy } from './part.js';
import { efficiency, notNegative, positive, share } from './quantity.js';
import { stage } from './stage.js';
import { supplyNode } from './supply.js';
import type { Writable } from './writable.js';

const id = Joi.string().max(40).required();

const wheels = Joi.object<WheelsOutput, true>({
  kind: Joi.string().valid('wheels').required(),
  radius: positive,
  mass: positive,
  grip: positive,
  drivenShare: share,
  rollingResistance: notNegative,
});

const drum = Joi.object<DrumOutput, true>({
  kind: Joi.string().valid('drum').required(),
  radius: positive,
  loadPerRope: positive,
  efficiency,
  ropeStrength: positive,
  knotted: Joi.boolean(),
  holder: Joi.string().valid('nothing', 'brake', 'ratchet', 'stage'),
});

const output = Joi.alternatives<Output>().conditional('.kind', {
  switch: [
    { is: 'wheels', then: wheels },
    { is: 'drum', then: drum, otherwise: Joi.object({ kind: Joi.valid('wheels', 'drum').required() }).unknown() },
  ],
});

const drive = Joi.object<DcDrive, true>({
  kind: Joi.string().valid('dc').required(),
  motor: id,
  motors: Joi.number().integer().min(1).max(12).required(),
  controller: id,
  node: id,
  statorLimit: positive,
  supplyLimit: positive,
});

const choice = Joi.object<Writable<Choice>, true>({
  id,
  name: Joi.string().max(60).required(),
  drive: drive.required(),
  stages: Joi.array<Stage[]>().items(stage).max(8).required(),
  tuning: Joi.string().max(40),
  output: output.required(),
});

const mechanism = Joi.object<Writable<Mechanism>, true>({
  id,
  name: Joi.string().trim().min(1).max(80).required(),
  kind: Joi.string().valid('drive-base', 'lift').required(),
  jobs: Joi.array<Job[]>().items(job).min(1).max(12).required(),
  choices: Joi.array<Choice[]>().items(choice).min(1).max(4).required(),
  current: id,
});

/** The plan document: what the API, the file import and the command line all hold to. */
export const planSchema = Joi.object<Writable<Plan>, true>({
  format: Joi.string().valid(PLAN_FORMAT).required(),
  version: Joi.number().valid(PLAN_VERSION).required(),
  name: Joi.string().trim().min(1).max(80).required(),
  note: Joi.string().max(2000).allow(''),
  parts: Joi.object()
    .pattern(/^.{1,40}$/, partCopy)
    .required(),
  supply: Joi.array<SupplyNode[]>().items(supplyNode).min(1).max(80).required(),
  mechanisms: Joi.array<Mechanism[]>().items(mechanism).max(40).required(),
});
