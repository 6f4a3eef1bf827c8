export * from './mends.js';
export * from './target.js';
export { LEVERS } from './levers.js';
export type { Lever, LeverContext, LeverSetting } from './lever.js';
