export type { JobKind as JobKindSpec } from './kind.js';
export * from './table.js';
