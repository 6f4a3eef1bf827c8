export * from './difference.js';
export * from './fields/cell.js';
export * from './fields/field.js';
export * from './fields/table.js';
export * from './blankPart.js';
