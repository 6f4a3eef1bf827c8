import type {
  BreakerPart,
  ControllerPart,
  MotorKvData,
  MotorPart,
  MotorSheetData,
  PackPart,
  Part,
  PartCopy,
} from '@rough-gear/core';
import Joi from 'joi';
import type { Writable } from './writable.js';
import { efficiency, notNegative, positive, temperature } from './quantity.js';

const common = {
  name: Joi.string().max(120).required(),
  mass: positive,
  note: Joi.string().max(500),
};

const motorSheet = Joi.object<MotorSheetData, true>({
  form: Joi.string().valid('sheet').required(),
  ratedVoltage: positive,
  freeSpeed: positive,
  freeCurrent: notNegative,
  stallTorque: positive,
  stallCurrent: positive,
  statedResistance: positive,
  statedKv: positive,
}).custom((data: MotorSheetData, helpers) => {
  const { stallCurrent, freeCurrent } = data;
  if (stallCurrent && freeCurrent && stallCurrent.si <= freeCurrent.si) return helpers.error('motor.stall');
  return data;
});

const motorKv = Joi.object<MotorKvData, true>({
  form: Joi.string().valid('kv').required(),
  kv: positive,
  resistance: positive,
  freeCurrent: notNegative,
});

export const motorPart = Joi.object<MotorPart, true>({
  ...common,
  kind: Joi.string().valid('motor').required(),
  type: Joi.string().valid('brushed', 'brushless').required(),
  data: Joi.alternatives()
    .conditional('.form', {
      switch: [
        { is: 'sheet', then: motorSheet },
        { is: 'kv', then: motorKv, otherwise: motorSheet },
      ],
    })
    .required(),
  freeCurrentPerSpeed: notNegative,
  rotorInertia: positive,
  canDiameter: positive,
  continuousCurrent: positive,
  windingLimit: temperature,
  polePairs: Joi.number().integer().min(1).max(100),
  figuresAt: Joi.string().valid('shaft', 'output'),
}).messages({ 'motor.stall': '{{#label}}: the stall current must be greater than the free current' });

export const packPart = Joi.object<PackPart, true>({
  ...common,
  kind: Joi.string().valid('pack').required(),
  chemistry: Joi.string().valid('lipo', 'liion', 'lifepo4', 'nimh', 'lead', 'alkaline').required(),
  series: Joi.number().integer().min(1).max(60).required(),
  parallel: Joi.number().integer().min(1).max(60).required(),
  capacity: positive,
  cellResistance: positive,
  leadResistance: notNegative,
  dischargeLimit: positive,
  chargeLimit: positive,
});

export const controllerPart = Joi.object<Writable<ControllerPart>, true>({
  ...common,
  kind: Joi.string().valid('controller').required(),
  drives: Joi.array<('brushed' | 'brushless')[]>().items(Joi.string().valid('brushed', 'brushless')).min(1).required(),
  resistance: notNegative,
  statorLimit: positive,
  supplyLimit: positive,
  lowestVoltage: positive,
  highestVoltage: positive,
  greatestDuty: efficiency,
  erpmLimit: positive,
});

export const breakerPart = Joi.object<BreakerPart, true>({
  ...common,
  kind: Joi.string().valid('breaker').required(),
  type: Joi.string().valid('snap', 'main', 'fuse').required(),
  rated: positive,
  holdMultiple: positive,
  timeConstant: positive,
});

/** Any part, by its kind. A new kind is one more line here. */
export const part = Joi.alternatives<Part>().conditional('.kind', {
  switch: [
    { is: 'motor', then: motorPart },
    { is: 'pack', then: packPart },
    { is: 'controller', then: controllerPart },
    {
      is: 'breaker',
      then: breakerPart,
      otherwise: Joi.object({ kind: Joi.valid('motor', 'pack', 'controller', 'breaker').required() }).unknown(),
    },
  ],
});

export const partCopy = Joi.object<PartCopy, true>({
  part: part.required(),
  shelfId: Joi.string().max(80),
  shelfRevision: Joi.number().integer().min(1),
  copiedAt: Joi.string().isoDate(),
});
