import type { PlanetaryStage, RatioStage, ScrewStage, Stage, ToothedStage, WormStage } from '@rough-gear/core';
import Joi from 'joi';
import { angle, anyQuantity, efficiency, notNegative, positive } from './quantity.js';

const TOOTHED = ['teeth', 'chain', 'belt'] as const;

const common = {
  id: Joi.string().max(40).required(),
  name: Joi.string().max(60),
  efficiency,
  pitch: positive,
  face: positive,
  bore: positive,
  mount: Joi.string().max(80),
  shaftPosition: Joi.object({ x: anyQuantity.required(), y: anyQuantity.required() }),
};

const teeth = Joi.number().integer().min(6).max(400).required();

const ratio = Joi.object<RatioStage, true>({
  ...common,
  kind: Joi.string().valid('ratio').required(),
  ratio: positive,
});
const planetary = Joi.object<PlanetaryStage, true>({
  ...common,
  kind: Joi.string().valid('planetary').required(),
  ratio: positive,
});
const toothed = Joi.object<ToothedStage, true>({
  ...common,
  kind: Joi.string()
    .valid(...TOOTHED)
    .required(),
  driver: teeth,
  driven: teeth,
});
const worm = Joi.object<WormStage, true>({
  ...common,
  kind: Joi.string().valid('worm').required(),
  starts: Joi.number().integer().min(1).max(12).required(),
  teeth,
  leadAngle: angle,
  flankAngle: angle,
  friction: notNegative,
});
const screw = Joi.object<ScrewStage, true>({
  ...common,
  kind: Joi.string().valid('screw').required(),
  lead: positive,
  leadAngle: angle,
  flankAngle: angle,
  friction: notNegative,
});

/** Any stage, by its kind. */
export const stage = Joi.alternatives<Stage>().conditional('.kind', {
  switch: [
    { is: 'ratio', then: ratio },
    { is: 'planetary', then: planetary },
    { is: Joi.valid(...TOOTHED), then: toothed },
    { is: 'worm', then: worm },
    {
      is: 'screw',
      then: screw,
      otherwise: Joi.object({
        kind: Joi.valid('ratio', ...TOOTHED, 'planetary', 'worm', 'screw').required(),
      }).unknown(),
    },
  ],
});
