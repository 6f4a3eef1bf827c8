export { type Link } from './links/link.js';
export * from './mechanism.js';
export * from './plan.js';
export * from './reach.js';
export * from './brakeReach.js';
export { leastOutputSpeed as leastOutputSpeedOf } from '../limits/checks/slowControl.js';
export * from './endurance.js';
export * from './bind.js';
export * from './wireLoss.js';
