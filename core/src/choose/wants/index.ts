export * from './wants.js';
export * from './likeForLike.js';
