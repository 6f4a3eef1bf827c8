// The one verdict on a whole robot: its mechanisms alone, its matches, its day, its event sheet and its wires, rolled up.
// Imports: every other room.
export * from './finding.js';
export * from './rollUp.js';
export * from './wholeRobot.js';
