// What a path does and what gives first: runs, limits and checks, the verdict, mends, spread, the total and first proposals.
// Imports: plan, models, path.
export * from './motion/index.js';
export * from './duty/index.js';
export * from './limits/index.js';
export * from './machine/index.js';
export * from './evaluate/index.js';
export * from './ledger/index.js';
export * from './sizing/index.js';
export * from './spread/index.js';
export * from './mends/index.js';
