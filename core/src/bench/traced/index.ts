export * from './causes.js';
export * from './nextTrial.js';
export * from './observed.js';
export * from './trace.js';
