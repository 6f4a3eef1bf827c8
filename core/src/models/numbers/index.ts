export * from './bisect.js';
export * from './overTime.js';
