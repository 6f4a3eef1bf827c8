export * from './machine.js';
export * from './table.js';
