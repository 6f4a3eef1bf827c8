// What leaves for the workshop and the pit: the order, cards, the robot's wires, checks, and the diary of what was done.
// Imports: every room but verdict.
export * from './cards/index.js';
export * from './order/index.js';
export * from './harness/index.js';
export * from './pit/index.js';
export * from './diary/index.js';
