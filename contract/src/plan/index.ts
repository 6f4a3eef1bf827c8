export { part as partSchema } from './part.js';
export * from './text.js';
export * from './problem.js';
export * from './read.js';
export * from './problemAt.js';
