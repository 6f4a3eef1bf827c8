export * from './band.js';
export * from './factors.js';
export * from './random.js';
export * from './spread.js';
