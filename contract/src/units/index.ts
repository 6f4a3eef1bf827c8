export * from './display.js';
export * from './parse.js';
export * from './units.js';
