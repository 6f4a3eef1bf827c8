export * from './expression.js';
export * from './typeset.js';
export * from './workingOf.js';
