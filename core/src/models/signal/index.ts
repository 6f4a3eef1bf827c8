export * from './optoInput.js';
export * from './timerChip.js';
export * from './transistorStage.js';
