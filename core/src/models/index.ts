// One model a file of the things themselves: motor, pack, controller, gear, load. Knows amounts and parts as the plan names
// them, but no mechanism. Imports: plan.
export * from './numbers/index.js';
export * from './motor/index.js';
export * from './pack/index.js';
export * from './protection/index.js';
export * from './controller/index.js';
export * from './stepper/index.js';
export * from './servo/index.js';
export * from './signal/index.js';
export * from './reduction/index.js';
export * from './load/index.js';
