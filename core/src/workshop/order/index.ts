export * from './line.js';
export * from './needs.js';
export * from './orderSheet.js';
export * from './secondWheels.js';
export * from './spares.js';
export * from './standIns.js';
