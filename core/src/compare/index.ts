export * from './counts.js';
export * from './scoreCard.js';
export * from './servoScores.js';
export * from './stepMachines.js';
export * from './variant.js';
export * from './volts.js';
export * from './windings.js';
export * from './stageSchools.js';
