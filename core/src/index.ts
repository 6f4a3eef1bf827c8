// The core's table of contents, in the order in which the work is done. Folders import only what stands before them in
// the list of floors in `.dependency-cruiser.cjs`.

// Words: dimensions, and values in them.
export * from './words/index.js';

// The document: what a team has decided, and the figures in it with what stands in for a missing one.
export * from './plan/index.js';
export * from './figures/index.js';

// Models of the things themselves, one each: no mechanism, no plan.
export * from './motor/index.js';
export * from './pack/index.js';
export * from './protection/index.js';
export * from './controller/index.js';
export * from './stepper/index.js';
export * from './servo/index.js';
export * from './signal/index.js';
export * from './reduction/index.js';
export * from './load/index.js';

// What a person does to a plan, as changes.
export * from './edits/index.js';

// One job of one mechanism put together: the path, how a job is read, how the plan becomes a path.
export * from './powerpath/index.js';
export * from './job/index.js';
export * from './resolve/index.js';
export * from './wiring/index.js';

// What it does: runs, and matches go by go.
export * from './motion/index.js';
export * from './duty/index.js';

// Judging: what may give, what each machine has of it, the verdict and its working.
export * from './limits/index.js';
export * from './machine/index.js';
export * from './evaluate/index.js';
export * from './match/index.js';
export * from './worked/index.js';

// Deciding: amounts, changes that help, builds that vary, wants, comparisons, the search, and why.
export * from './sizing/index.js';
export * from './mends/index.js';
export * from './spread/index.js';
export * from './wants/index.js';
export * from './robot/index.js';
export * from './compare/index.js';
export * from './shortlist/index.js';
export * from './reasons/index.js';

// The whole robot changed: what mends its match and its day, and what to choose for all mechanisms at once.
export * from './robotMends/index.js';
export * from './robotChoice/index.js';

// From the plan to the workshop: what to buy, what to type in, where each wire goes.
export * from './cards/index.js';
export * from './order/index.js';
export * from './harness/index.js';

// In the pit: what to look at, what a pack tells. What was done since: ordered, typed in, ticked and played.
export * from './pit/index.js';
export * from './diary/index.js';

// Measured on the bench: readings, their fits, and how sure they are.
export * from './bench/index.js';
export * from './corrected/index.js';
export * from './traced/index.js';
export * from './rig/index.js';

// The train to scale.
export * from './drawing/index.js';
