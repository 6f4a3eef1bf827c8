export * from './audit.js';
export * from './constants.js';
export * from './fromKv.js';
export * from './fromSheet.js';
export * from './fromTurns.js';
export * from './rewound.js';
export * from './heat.js';
export * from './peaks.js';
