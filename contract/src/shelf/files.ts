export * from './exportCsv.js';
export * from './importCsv.js';
export * from './most.js';
