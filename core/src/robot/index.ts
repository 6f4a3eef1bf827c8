export * from './judge.js';
export * from './ledger.js';
export * from './matchRungs.js';
export * from './day.js';
