// One job of one mechanism put together: how a job is read, the plan as a path with every figure's source, its formulas, wires and
// drawing, and what a person does to it, as changes. Imports: plan, models.
export * from './powerpath/index.js';
export * from './worked/index.js';
export * from './drawing/index.js';
export * from './job/index.js';
export * from './resolve/index.js';
export * from './edits/index.js';
export * from './wiring/index.js';
