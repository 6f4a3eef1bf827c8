export * from './driveBase.js';
export * from './gravity.js';
export * from './lift.js';
export * from './load.js';
