export * from './holes.js';
export * from './trainShapes.js';
