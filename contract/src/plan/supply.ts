import type { PackNode, ProtectedNode, RailNode, SupplyNode, WireRun } from '@rough-gear/core';
import Joi from 'joi';
import { countOf, gauge, notNegative, positive, share } from './quantity.js';

const node = { id: Joi.string().max(40).required(), name: Joi.string().max(60) };
const parent = Joi.string().max(40).required();
const partId = Joi.string().max(40);

const wire = Joi.object<WireRun, true>({
  gauge,
  length: notNegative,
  connectors: countOf,
  connectorResistance: notNegative,
  connectorRated: positive,
});

const packNode = Joi.object<PackNode, true>({
  ...node,
  kind: Joi.string().valid('pack').required(),
  part: partId.required(),
  charge: share,
  others: notNegative,
  brownOut: positive,
});

const protectedNode = Joi.object<ProtectedNode, true>({
  ...node,
  kind: Joi.string().valid('main', 'branch').required(),
  parent,
  breaker: partId,
  wire,
  together: Joi.boolean(),
});

const railNode = Joi.object<RailNode, true>({
  ...node,
  kind: Joi.string().valid('rail').required(),
  parent,
  source: Joi.string().valid('regulator', 'pack', 'board'),
  voltage: positive,
  continuous: positive,
  burst: positive,
  resistance: notNegative,
  ground: Joi.string().valid('common', 'apart'),
  board: partId,
});

/** Any node of the supply tree, by its kind. */
export const supplyNode = Joi.alternatives<SupplyNode>().conditional('.kind', {
  switch: [
    { is: 'pack', then: packNode },
    { is: Joi.valid('main', 'branch'), then: protectedNode },
    {
      is: 'rail',
      then: railNode,
      otherwise: Joi.object({ kind: Joi.valid('pack', 'main', 'branch', 'rail').required() }).unknown(),
    },
  ],
});
