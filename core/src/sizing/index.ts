export * from './sweep.js';
export * from './tuneTotal.js';
