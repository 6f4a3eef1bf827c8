export * from './anyPath.js';
export * from './path.js';
export * from './operating.js';
export * from './servoPath.js';
export * from './stepPath.js';
export * from './lengthFit.js';
export * from './stageParts.js';
export * from './trainLayout.js';
