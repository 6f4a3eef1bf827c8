export * from './columns.js';
export * from './rigReader.js';
export * from './trialSchema.js';
export * from './headerUnits.js';
export * from './trialCsv.js';
