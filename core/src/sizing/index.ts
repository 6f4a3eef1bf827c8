export * from './constantsOf.js';
export * from './sweep.js';
export * from './tuneTotal.js';
export * from './propose.js';
export * from './proposeChoice.js';
export * from './servoGuide.js';
export * from './wish.js';
export * from './trains/index.js';
