export * from './brushes.js';
export * from './cycle.js';
export * from './day.js';
