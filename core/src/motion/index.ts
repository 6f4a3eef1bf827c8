export * from './acceleration.js';
export * from './fullEffort.js';
export * from './settle.js';
export * from './system.js';
