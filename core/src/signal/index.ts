export * from './optoInput.js';
export * from './transistorStage.js';
