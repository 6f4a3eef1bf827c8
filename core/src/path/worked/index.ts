export * from './expression.js';
export * from './typeset.js';
