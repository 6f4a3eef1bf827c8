import type { Dimension } from '@rough-gear/core';

/** What was typed could be either of these: it is asked, not guessed. */
export interface Doubt {
  readonly reason: string;
  readonly choices: readonly string[];
}

interface Shorthand {
  readonly of: readonly Dimension[];
  readonly pattern: RegExp;
  doubt(number: string): Doubt;
}

const N = String.raw`(\d+(?:[.,]\d+)?|[.,]\d+)`;

/** Short ways to write a figure that a sheet has with more words. */
const SHORTHANDS: readonly Shorthand[] = [
  // "21 kg" on a servo is what it pulls one centimetre out.
  {
    of: ['torque'],
    pattern: new RegExp(`^${N} ?kgs?$`, 'i'),
    doubt: (n) => ({
      reason: 'kilograms pull at a distance: one centimetre, as on a servo’s sheet?',
      choices: [`${n} kg·cm`],
    }),
  },
  {
    of: ['torque'],
    pattern: new RegExp(`^${N} ?oz$`, 'i'),
    doubt: (n) => ({ reason: 'ounces pull at a distance: one inch, as on a servo’s sheet?', choices: [`${n} oz-in`] }),
  },
  // "0.10" or "0.1 s" as a servo's speed: seconds for sixty degrees.
  {
    of: ['speed', 'turning'],
    pattern: new RegExp(`^${N} ?s(?:ec)?$`, 'i'),
    doubt: (n) => ({ reason: 'seconds for how far: sixty degrees, as on a servo’s sheet?', choices: [`${n} s/60°`] }),
  },
  {
    of: ['turning'],
    pattern: /^(0?[.,]\d+)$/,
    doubt: (n) => ({ reason: 'seconds for sixty degrees, or degrees a second?', choices: [`${n} s/60°`, `${n} °/s`] }),
  },
];

/** "11:38": a small wheel that drives a large one, or a ratio that speeds up. */
const SPEEDS_UP = /^(\d+) ?: ?(\d+)$/;

/** What is doubtful in a text; `undefined` where nothing is. */
export function doubtIn(text: string, dimension: Dimension): Doubt | undefined {
  for (const { of, pattern, doubt } of SHORTHANDS) {
    const match = of.includes(dimension) ? pattern.exec(text) : null;
    if (match) return doubt(match[1]!);
  }
  const pair = dimension === 'ratio' ? SPEEDS_UP.exec(text) : null;
  if (pair && Number(pair[1]) < Number(pair[2]) && Number(pair[1]) > 1)
    return {
      reason: `does ${pair[1]} drive ${pair[2]}, or ${pair[2]} drive ${pair[1]}?`,
      choices: [`${pair[1]} → ${pair[2]}`, `${pair[2]} → ${pair[1]}`],
    };
  return undefined;
}
