export * from './matchWork.js';
export * from './packTold.js';
export * from './checks.js';
