export * from './search.js';
export * from './secondRatio.js';
export * from './stagesOf.js';
export * from './wheelPairs.js';
