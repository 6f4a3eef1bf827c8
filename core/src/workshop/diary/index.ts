export * from './entry.js';
export * from './pieces.js';
export * from './typedIn.js';
export * from './checked.js';
export * from './stillCounts.js';
