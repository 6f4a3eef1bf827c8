export * from './lines.js';
export * from './programmes.js';
export * from './truth.js';
