export * from './between.js';
export * from './march.js';
export * from './onPack.js';
export * from './packState.js';
export * from './propose.js';
export * from './result.js';
export { duesOf } from './schedule.js';
export { playedGoes, type PlayedGo } from './playedGoes.js';
export * from './atOnce.js';
