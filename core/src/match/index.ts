// The whole robot on one pack: scripts, a match step by step, its verdict, a day, and changes that mend them.
// Imports: plan, models, path, judge, bench.
export * from './lanes/index.js';
export * from './robot/index.js';
export * from './robotMends/index.js';
