export * from './brushes.js';
export * from './cycle.js';
export * from './day.js';
export * from './lives.js';
export * from './season.js';
export * from './servoWarmth.js';
