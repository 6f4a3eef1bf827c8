// Deciding between designs: wants, comparisons, the search, reasons, and one choice for all mechanisms.
// Imports: plan, models, path, judge, bench, match.
export * from './wants/index.js';
export * from './compare/index.js';
export * from './shortlist/index.js';
export * from './reasons/index.js';
export * from './robotChoice/index.js';
