import { describe, expect, it } from 'vitest';
import { refusalOf, type Allowance } from '../src/components/fields/allowance.js';

const CASES: readonly (readonly [Allowance, readonly number[], readonly number[]])[] = [
  ['positive', [1e-9, 5], [0, -1]],
  ['not negative', [0, 5], [-1e-9]],
  ['share', [0, 0.5, 1], [-0.01, 1.01]],
  ['efficiency', [0.01, 1], [0, 1.01]],
  ['any', [-5, 0, 5], []],
];

describe('what a field takes', () => {
  it.each(CASES)('%s', (allow, taken, refused) => {
    for (const value of taken) expect(refusalOf(value, allow), String(value)).toBeUndefined();
    for (const value of refused) expect(refusalOf(value, allow), String(value)).toMatch(/ is$/);
  });
});
