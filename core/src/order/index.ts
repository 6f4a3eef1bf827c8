export * from './line.js';
export * from './needs.js';
export * from './orderSheet.js';
export * from './spares.js';
