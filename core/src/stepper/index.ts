export * from './kick.js';
export * from './pullOut.js';
export * from './pulses.js';
export * from './stepRates.js';
export * from './stepServo.js';
export * from './switches.js';
export * from './torque.js';
export * from './commanded.js';
