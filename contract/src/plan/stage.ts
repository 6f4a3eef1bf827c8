import type {
  BeltStage,
  ChainStage,
  GearStage,
  PlanetaryStage,
  RatioStage,
  ScrewStage,
  Stage,
  StageShaft,
  WormStage,
} from '@rough-gear/core';
import Joi from 'joi';
import { angle, anyQuantity, efficiency, notNegative, positive } from './quantity.js';

const TOOTHED = ['teeth', 'chain', 'belt'] as const;

export const shaft = Joi.object<StageShaft, true>({
  form: Joi.string().valid('round', 'hexagon', 'keyed').required(),
  size: positive,
  material: Joi.string().valid('hardened steel', 'mild steel', '7075 aluminium', '6061 aluminium'),
  overhang: notNegative,
  bearing: positive,
});

const common = {
  id: Joi.string().max(40).required(),
  name: Joi.string().max(60),
  efficiency,
  bore: positive,
  mount: Joi.string().max(80),
  shaft,
  drivenBore: positive,
  direction: anyQuantity,
  plane: Joi.number().integer().min(1).max(20),
  stock: Joi.string().max(120),
  mass: positive,
  price: notNegative,
};

const teeth = Joi.number().integer().min(6).max(400).required();
const wheels = { driver: teeth, driven: teeth, pitch: positive, face: positive };
const takeUp = Joi.string().valid('fixed', 'slide', 'tensioner');
const box = { ratedTorque: positive, across: positive };

const ratio = Joi.object<RatioStage, true>({
  ...common,
  ...box,
  kind: Joi.string().valid('ratio').required(),
  ratio: positive,
});
const planetary = Joi.object<PlanetaryStage, true>({
  ...common,
  ...box,
  kind: Joi.string().valid('planetary').required(),
  ratio: positive,
});
const gears = Joi.object<GearStage, true>({
  ...common,
  ...wheels,
  kind: Joi.string().valid('teeth').required(),
  material: Joi.string().valid(
    'hardened steel',
    'plain steel',
    '7075 aluminium',
    'brass',
    'nylon or acetal',
    'printed',
  ),
  idler: Joi.number().integer().min(6).max(400),
});
const chain = Joi.object<ChainStage, true>({
  ...common,
  ...wheels,
  kind: Joi.string().valid('chain').required(),
  links: Joi.number().integer().min(8).max(2000),
  centre: positive,
  takeUp,
  strength: positive,
  wear: notNegative,
  tension: positive,
  material: Joi.string().valid('hardened steel', 'mild steel', '7075 aluminium', '6061 aluminium'),
});
const belt = Joi.object<BeltStage, true>({
  ...common,
  ...wheels,
  kind: Joi.string().valid('belt').required(),
  beltTeeth: Joi.number().integer().min(8).max(2000),
  centre: positive,
  takeUp,
  profile: Joi.string().valid('round', 'modified round'),
  belts: Joi.number().integer().min(1).max(4),
  room: positive,
  tension: positive,
  strength: positive,
  idler: Joi.boolean(),
});
const worm = Joi.object<WormStage, true>({
  ...common,
  ...box,
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
  nut: Joi.string().valid('bronze', 'plastic', 'steel', 'rolling balls'),
  lead: positive,
  pitchDiameter: positive,
  flankAngle: angle,
  friction: notNegative,
});

/** Any stage, by its kind. */
export const stage = Joi.alternatives<Stage>().conditional('.kind', {
  switch: [
    { is: 'ratio', then: ratio },
    { is: 'planetary', then: planetary },
    { is: 'teeth', then: gears },
    { is: 'chain', then: chain },
    { is: 'belt', then: belt },
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
