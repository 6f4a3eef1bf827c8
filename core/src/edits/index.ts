export * from './choices.js';
export * from './jobs.js';
export * from './mechanisms.js';
export * from './packs.js';
export * from './parts.js';
export * from './stageKinds.js';
export * from './stages.js';
export * from './unused.js';
