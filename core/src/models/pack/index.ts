export * from './cells.js';
export * from './pack.js';
export * from './restVoltage.js';
