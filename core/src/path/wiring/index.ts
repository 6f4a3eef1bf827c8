export type { Wire } from './wire.js';
export * from './wiresOf.js';
