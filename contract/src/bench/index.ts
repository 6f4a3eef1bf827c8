export * from './columns.js';
