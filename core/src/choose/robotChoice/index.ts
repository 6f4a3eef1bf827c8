export * from './adoptAll.js';
export * from './ceilings.js';
export * from './choose.js';
export * from './option.js';
export * from './question.js';
export * from './reasonsFor.js';
export * from './schools.js';
export * from './solve.js';
