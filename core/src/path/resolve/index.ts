export * from './gearedAlready.js';
export * from './resolvePath.js';
export { partOf } from './resolveSupply.js';
export { stepMotorOf, stepsOf } from './resolveStep.js';
export { railNodeOf } from './resolveServo.js';
