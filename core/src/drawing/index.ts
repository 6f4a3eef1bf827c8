export * from './trainShapes.js';
