// Measured: trials, their readings and fits, what is taken from them, why a go was not as predicted, and the simulated rig.
// Imports: plan, models, path, judge.
export * from './trials/index.js';
export * from './corrected/index.js';
export * from './traced/index.js';
export * from './rig/index.js';
