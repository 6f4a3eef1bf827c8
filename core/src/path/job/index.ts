export type { JobKindSpec } from './kind.js';
export { axlesOf } from './skid.js';
export * from './table.js';
export { USUAL_WHEELS } from './wheels.js';
export * from './wish.js';
