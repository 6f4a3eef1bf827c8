import { concludeRepeated, type RepeatedColumn } from './repeated.js';
import type { Conclude } from './work.js';

const GO: readonly RepeatedColumn[] = [
  ['time', 'goTime', { label: 'time', dimension: 'time' }],
  ['peak', 'peakCurrent', { label: 'peak current', dimension: 'current' }],
  ['mean', 'meanCurrent', { label: 'mean current', dimension: 'current' }],
  ['rest', 'restVoltage', { label: 'volts before it', dimension: 'voltage' }],
  ['least', 'leastVolts', { label: 'least volts', dimension: 'voltage' }],
];

/** Means of several goes. */
export const concludeGo: Conclude = (work) => concludeRepeated(work, GO, 'go');
