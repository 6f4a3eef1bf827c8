export * from './pairStage.js';
export * from './pairStrength.js';
export * from './search.js';
export * from './secondRatio.js';
export * from './stagesOf.js';
export * from './wheelPairs.js';
export * from './snapShaft.js';
export * from './judgeTrain.js';
