import { runOf } from '../../judge/evaluate/mechanism.js';
import { meanSupplyCurrent } from '../../judge/motion/meanSupplyCurrent.js';
import type { Mechanism, Plan } from '../../plan/document/plan.js';
import { resolvePath, type Adjust } from '../../path/resolve/resolvePath.js';
import type { FoundKey } from '../trials/found.js';

/** What is read of a go. */
export const OBSERVED = [
  'goTime',
  'peakCurrent',
  'meanCurrent',
  'leastVolts',
  'restVoltage',
] as const satisfies readonly FoundKey[];
export type ObservedKey = (typeof OBSERVED)[number];
export type Observed = Readonly<Record<ObservedKey, number>>;

/** A go as the program has it: `undefined` where it does not arrive, or a figure is missing. */
export function predictedGo(plan: Plan, mechanism: Mechanism, jobId: string, adjust?: Adjust): Observed | undefined {
  const path = resolvePath(plan, mechanism, jobId, adjust);
  const run = runOf(path);
  if (run?.outcome !== 'arrived') return undefined;
  const seen: Observed = {
    goTime: run.time,
    peakCurrent: run.peakSupplyCurrent,
    meanCurrent: meanSupplyCurrent(run),
    leastVolts: run.leastPackVoltage,
    restVoltage: path.restVoltage,
  };
  return OBSERVED.every((key) => Number.isFinite(seen[key])) ? seen : undefined;
}
