export * from './currents.js';
export * from './drive.js';
export * from './drivePoint.js';
