export * from './screwEfficiency.js';
export * from './train.js';
