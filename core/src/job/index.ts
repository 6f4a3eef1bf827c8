export type { JobKindSpec } from './kind.js';
export * from './table.js';
