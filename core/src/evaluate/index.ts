export * from './links.js';
export * from './mechanism.js';
export * from './plan.js';
export * from './reach.js';
