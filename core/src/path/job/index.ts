export type { JobKindSpec } from './kind.js';
export { axlesOf } from './skid.js';
export * from './table.js';
export * from './wish.js';
