export * from './sweep.js';
export * from './tuneTotal.js';
export * from './propose.js';
