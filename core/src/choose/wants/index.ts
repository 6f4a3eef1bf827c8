export * from './affordable.js';
export * from './gaveWayLast.js';
export * from './wants.js';
export * from './likeForLike.js';
