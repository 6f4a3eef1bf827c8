import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { evaluate } from '@rough-gear/core';
import { bare, plan } from './demo.js';
import { leastMs } from './least.js';
import { shortlist } from './shortlist.js';
import { spread } from './spread.js';

/** What the application computes in a worker, beside the screen: so it is measured, each in one of its own. */
const MEASURES = {
  spread,
  lift: (bareMs: number) => shortlist(bareMs, 'lift'),
  drive: (bareMs: number) => shortlist(bareMs, 'drive'),
  arm: (bareMs: number) => shortlist(bareMs, 'arm'),
};
type Measure = keyof typeof MEASURES;

/** Measures one of them in a worker, by this very file. */
const beside = <K extends Measure>(file: string, measure: K): Promise<ReturnType<(typeof MEASURES)[K]>> =>
  new Promise((resolve, reject) => {
    new Worker(file, { workerData: measure }).once('message', resolve).once('error', reject);
  });

export const spreadBeside = (file: string) => beside(file, 'spread');

/** One after the other, so that none takes the machine from another. */
export const shortlistsBeside = async (file: string) => ({
  lift: await beside(file, 'lift'),
  drive: await beside(file, 'drive'),
  arm: await beside(file, 'arm'),
});

/** In such a worker: measures what was asked, beside a bare loop in the same minute. Gives back whether it was one. */
export function measuredBeside(): boolean {
  if (isMainThread) return false;
  // A worker has judged the robot before anybody asks it to search.
  leastMs(20, () => evaluate({ ...plan, mechanisms: plan.mechanisms.map((one) => ({ ...one })) }));
  const bareMs = leastMs(2000, bare);
  parentPort!.postMessage(MEASURES[workerData as Measure](bareMs));
  return true;
}
