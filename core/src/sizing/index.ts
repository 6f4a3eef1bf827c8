export * from './sweep.js';
