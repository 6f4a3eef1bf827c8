export * from './path.js';
export * from './resolve.js';
export { partOf } from './resolveSupply.js';
export * from './operating.js';
