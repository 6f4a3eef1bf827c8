export * from './cycle.js';
export * from './day.js';
