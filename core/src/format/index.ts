export * from './show.js';
