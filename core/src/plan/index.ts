export * from './change.js';
export * from './job.js';
export * from './part.js';
export * from './plan.js';
export * from './quantity.js';
export * from './stage.js';
export * from './supply.js';
export * from './quantityOf.js';
