export * from './screwEfficiency.js';
export * from './screwLoad.js';
export * from './spool.js';
export * from './train.js';
