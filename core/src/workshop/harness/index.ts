export * from './harness.js';
export * from './checks.js';
