export * from './api/api.js';
export * from './plan/index.js';
export * from './units/index.js';
