export * from './overTime.js';
