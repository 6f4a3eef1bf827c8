export * from './dimension.js';
export * from './show.js';
