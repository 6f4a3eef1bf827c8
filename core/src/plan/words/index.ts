export * from './dimension.js';
export * from './phrase.js';
export * from './show.js';
