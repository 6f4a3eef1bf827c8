export * from './collector.js';
export * from './figure.js';
export * from './table.js';
