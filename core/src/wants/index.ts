export * from './likeForLike.js';
export * from './measure.js';
export * from './stockOf.js';
export * from './wants.js';
