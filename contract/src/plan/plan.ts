import {
  LONGEST_NAME,
  MECHANISM_JOBS,
  MOST,
  PLAN_FORMAT,
  PLAN_VERSION,
  type ArmOutput,
  WANT_IDS,
  type CarriageOutput,
  type Choice,
  type Claim,
  type DrumOutput,
  type FlywheelOutput,
  type GripOutput,
  type Job,
  type LegOutput,
  type MatchPlan,
  type MatchScript,
  type Mechanism,
  type Output,
  type Plan,
  type Reason,
  type RollerOutput,
  type SpreadPlan,
  type Stage,
  type SupplyNode,
  type TurntableOutput,
  type WheelsOutput,
  type WireColours,
} from '@rough-gear/core';
import Joi from 'joi';
import { drive } from './drive.js';
import { day, eventSheet } from './eventSheet.js';
import { job } from './job.js';
import { partCopy } from './part.js';
import { bearing, efficiency, notNegative, positive, rounds, share, withinAnHour } from './quantity.js';
import { script } from './script.js';
import { stage } from './stage.js';
import { supplyNode } from './supply.js';
import type { Writable } from './writable.js';

const id = Joi.string().max(40).required();
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
  mass: positive,
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
const grip = Joi.object<GripOutput, true>({
  kind: Joi.string().valid('grip').required(),
  fingerLength: positive,
  inertia: positive,
});

const leg = Joi.object<LegOutput, true>({
  kind: Joi.string().valid('leg').required(),
  lever: positive,
  inertia: positive,
});

const OUTPUTS = { wheels, drum, arm, flywheel, roller, turntable, carriage, grip, leg } satisfies Record<
  Output['kind'],
  Joi.ObjectSchema
>;

const output = Joi.alternatives<Output>().conditional('.kind', {
  switch: Object.entries(OUTPUTS).map(([kind, then], i, all) =>
    i < all.length - 1
      ? { is: kind, then }
      : { is: kind, then, otherwise: Joi.object({ kind: Joi.valid(...Object.keys(OUTPUTS)).required() }).unknown() },
  ),
});

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
  writtenAt: Joi.string().isoDate().required(),
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
