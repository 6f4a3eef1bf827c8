export * from './path.js';
export * from './resolve.js';
export { partOf } from './resolveSupply.js';
export * from './operating.js';
export * from './servoPath.js';
export * from './stepPath.js';
export { stepMotorOf, stepsOf } from './resolveStep.js';
export { railNodeOf } from './resolveServo.js';
