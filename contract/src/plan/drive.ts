import type {
  ChainLink,
  DcDrive,
  DirectLinkage,
  FourBarLinkage,
  LinkagePlan,
  MachineDrive,
  PulseAtAngle,
  PushRodLinkage,
  ServoDrive,
  StepDrive,
} from '@rough-gear/core';
import Joi from 'joi';
import { advance, bearing, efficiency, notNegative, positive, share } from './quantity.js';
import type { Writable } from './writable.js';

const id = Joi.string().max(40).required();
const count = Joi.number().integer().min(1).max(12).required();

const dc = Joi.object<DcDrive, true>({
  kind: Joi.string().valid('dc').required(),
  motor: id,
  motors: count,
  apart: Joi.boolean(),
  controller: id,
  node: id,
  statorLimit: positive,
  supplyLimit: positive,
  brakeLimit: positive,
  returnLimit: positive,
  rampTime: notNegative,
  idle: Joi.string().valid('brake', 'coast'),
  direction: Joi.string().valid('forward', 'reverse'),
  control: Joi.string().valid('effort', 'lock'),
  rollBack: positive,
  dragOffset: notNegative,
  timing: advance,
  encoderCounts: positive,
  encoderOn: Joi.string().valid('motor', 'output'),
});

const step = Joi.object<StepDrive, true>({
  kind: Joi.string().valid('step').required(),
  motor: id,
  motors: count,
  apart: Joi.boolean(),
  driver: id,
  board: id,
  node: id,
  steps: Joi.number().integer().min(1).max(100_000),
  setCurrent: positive,
  idleShare: share,
  ramp: Joi.string().valid('ramp', 'at once'),
  decay: Joi.string().valid('slow', 'mixed', 'fast'),
  enableWired: Joi.boolean(),
  signalStage: Joi.string().valid('none', 'transistor', 'resistor'),
  engagedInertia: notNegative,
  engagedMass: notNegative,
  leadPitch: positive,
  leadAngle: positive,
  leadEncoderLines: Joi.number().integer().min(1).max(100_000),
});

const turns = Joi.string().valid('with', 'against');
const direct = Joi.object<DirectLinkage, true>({ kind: Joi.string().valid('direct').required() });
const fourBar = Joi.object<FourBarLinkage, true>({
  kind: Joi.string().valid('four-bar').required(),
  ground: positive,
  horn: positive,
  rod: positive,
  lever: positive,
  crossed: Joi.boolean(),
  start: bearing,
  turns,
});
const pushRod = Joi.object<PushRodLinkage, true>({
  kind: Joi.string().valid('push-rod').required(),
  horn: positive,
  rod: positive,
  offset: bearing,
  start: bearing,
  turns,
});
const linkage = Joi.alternatives<LinkagePlan>().conditional('.kind', {
  switch: [
    { is: 'direct', then: direct },
    { is: 'four-bar', then: fourBar },
    {
      is: 'push-rod',
      then: pushRod,
      otherwise: Joi.object({ kind: Joi.valid('direct', 'four-bar', 'push-rod').required() }).unknown(),
    },
  ],
});

const servo = Joi.object<Writable<ServoDrive>, true>({
  kind: Joi.string().valid('servo').required(),
  servo: id,
  servos: count,
  joints: Joi.number().integer().min(1).max(24),
  node: id,
  linkage,
  calibration: Joi.array<PulseAtAngle[]>()
    .items(Joi.object<PulseAtAngle, true>({ pulse: positive.required(), angle: bearing.required() }))
    .max(40),
  chain: Joi.array<ChainLink[]>()
    .items(
      Joi.object<ChainLink, true>({
        name: Joi.string().max(60).required(),
        length: positive,
        angle: bearing,
        error: notNegative,
      }),
    )
    .max(12),
  tipWindow: positive,
  speedCap: efficiency,
  startPoint: bearing,
  hornTeeth: Joi.number().integer().min(4).max(60),
  hornShape: Joi.string().valid('one arm', 'two arms', 'cross', 'disc'),
  roomLength: positive,
  roomWidth: positive,
  roomHeight: positive,
});

/** What turns the output, by its kind. */
export const drive = Joi.alternatives<MachineDrive>().conditional('.kind', {
  switch: [
    { is: 'dc', then: dc },
    { is: 'step', then: step },
    {
      is: 'servo',
      then: servo,
      otherwise: Joi.object({ kind: Joi.valid('dc', 'step', 'servo').required() }).unknown(),
    },
  ],
});
