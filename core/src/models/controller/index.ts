export * from './brakePoint.js';
export * from './currents.js';
export * from './drive.js';
export * from './drivePoint.js';
export * from './heat.js';
export * from './leastSpeed.js';
export * from './sharedPack.js';
