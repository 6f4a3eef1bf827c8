// The document: words, amounts and figures, and what a team has decided. Imports nothing but itself.
export * from './words/index.js';
export * from './document/index.js';
export * from './figures/index.js';
