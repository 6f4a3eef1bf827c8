import Joi from 'joi';

/** Short texts and choices of words that occur in many places: the published schema writes each once. */

export const id = Joi.string().max(40);
export const title = Joi.string().max(80);
export const partName = Joi.string().max(120);
export const remark = Joi.string().max(500);
/** What a case keeps out, and where a part lives long. */
export const sealing = Joi.string().valid('open', 'dust and splashes', 'under water');
export const dirtStood = Joi.string().valid('clean only', 'some dirt', 'any dirt');
/** What a job brings, and how that counts. */
export const wet = Joi.string().valid('dust and splashes', 'under water');
export const dirt = Joi.string().valid('some dirt', 'any dirt');
export const surroundings = Joi.string().valid('must', 'score');
export const profile = Joi.string().valid('moving', 'stop', 'trapezoid');
export const shaftForm = Joi.string().valid('round', 'flat', 'keyed', 'hexagon', 'toothed');
