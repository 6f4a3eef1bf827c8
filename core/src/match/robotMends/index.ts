export * from './involved.js';
export * from './robotLever.js';
export * from './robotMends.js';
export * from './dayMends.js';
