export * from './mends.js';
export * from './target.js';
