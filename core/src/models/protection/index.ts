export * from './breaker.js';
export * from './wire.js';
