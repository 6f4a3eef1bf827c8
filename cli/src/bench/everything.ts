import { performance } from 'node:perf_hooks';
import { shortlistsBeside, spreadBeside } from './beside.js';
import { firstScreen } from './firstScreen.js';
import { bareMs, keystrokes, times } from './keystrokes.js';
import { round } from './least.js';
import { days, matches } from './matches.js';
import { trains } from './trains.js';
import { transferred } from './transferred.js';

const started = performance.now();

/** All that is measured. `file` is what a worker is started from. */
export async function everything(file: string) {
  return {
    bareMs: round(bareMs),
    times,
    keystrokes,
    spread: await spreadBeside(file),
    trains: trains(),
    shortlists: await shortlistsBeside(file),
    matches: matches(),
    days: days(),
    transferredGzipBytes: transferred(),
    firstScreen: await firstScreen(),
    tookMs: round(performance.now() - started),
  };
}
