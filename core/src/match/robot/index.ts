export * from './matchRungs.js';
export * from './judge.js';
export * from './holds.js';
export * from './moment.js';
export * from './day.js';
export * from './matchLog.js';
