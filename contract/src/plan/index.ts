export { part as partSchema } from './part.js';
export * from './text.js';
export { planSchema } from './plan.js';
export * from './problem.js';
export * from './read.js';
