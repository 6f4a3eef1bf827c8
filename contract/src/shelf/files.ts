export * from './exportCsv.js';
export * from './importCsv.js';
