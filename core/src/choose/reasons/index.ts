export * from './reasons.js';
