import { digits } from '@rough-gear/core';

/** How long a pack keeps a job going: nobody counts it in seconds, nor beyond a day of matches. */
export const lastsText = (seconds: number): string =>
  seconds === Infinity ? 'over a day of matches' : `${digits(seconds / 60, 3)} min`;
