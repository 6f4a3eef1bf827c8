// The core's table of contents: nine rooms, low to high. A room imports only from those above it in this list.
export * from './plan/index.js';
export * from './models/index.js';
export * from './path/index.js';
export * from './judge/index.js';
export * from './bench/index.js';
export * from './match/index.js';
export * from './choose/index.js';
export * from './workshop/index.js';
export * from './verdict/index.js';
