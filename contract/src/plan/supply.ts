import type { PackNode, ProtectedNode, RailNode, SupplyNode, WireRun } from '@rough-gear/core';
import Joi from 'joi';
import { gauge, notNegative, positive, share } from './quantity.js';

const node = { id: Joi.string().max(40).required(), name: Joi.string().max(60) };
const parent = Joi.string().max(40).required();
const partId = Joi.string().max(40);

const wire = Joi.object<WireRun, true>({ gauge, length: notNegative });

const packNode = Joi.object<PackNode, true>({
  ...node,
  kind: Joi.string().valid('pack').required(),
  part: partId.required(),
  charge: share,
  others: notNegative,
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
  kind: Joi.string().valid('regulator', 'rail').required(),
  parent,
  part: partId,
  voltage: positive,
  continuous: positive,
  burst: positive,
});

/** Any node of the supply tree, by its kind. */
export const supplyNode = Joi.alternatives<SupplyNode>().conditional('.kind', {
  switch: [
    { is: 'pack', then: packNode },
    { is: Joi.valid('main', 'branch'), then: protectedNode },
    {
      is: Joi.valid('regulator', 'rail'),
      then: railNode,
      otherwise: Joi.object({ kind: Joi.valid('pack', 'main', 'branch', 'regulator', 'rail').required() }).unknown(),
    },
  ],
});
