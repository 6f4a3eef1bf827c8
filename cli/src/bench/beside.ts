import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { evaluate } from '@rough-gear/core';
import { bare, plan } from './demo.js';
import { leastMs } from './least.js';
import { shortlists } from './shortlists.js';
import { spread } from './spread.js';

/** What the application computes in workers of their own, beside the screen: so it is measured. */
const MEASURES = { spread, shortlists };
type Measure = keyof typeof MEASURES;

/** Measures one of them in a worker, by this very file. */
export const beside = <K extends Measure>(file: string, measure: K): Promise<ReturnType<(typeof MEASURES)[K]>> =>
  new Promise((resolve, reject) => {
    new Worker(file, { workerData: measure }).once('message', resolve).once('error', reject);
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
