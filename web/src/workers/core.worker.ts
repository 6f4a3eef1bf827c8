import {
  evaluate,
  findMends,
  ratioMarks,
  resolvePath,
  rulerSpan,
  sweepRatios,
  type Mend,
  type MechanismResult,
  type Plan,
  type RatioMarks,
  type SweepPoint,
  type Target,
} from '@rough-gear/core';
import { expose } from 'comlink';

const SWEEP_POINTS = 41;

/** Lets messages in between two slices, so that a newer request or a stop is heard. */
const breathe = (): Promise<void> => new Promise((resolve) => setTimeout(resolve));

/** What runs beside the screen. A newer request of the same kind stops the older one, which then gives `undefined`. */
export class CoreWorker {
  private sweeping = 0;
  private mending = 0;

  /** Headlines of all mechanisms, without the runs' samples. */
  evaluate(plan: Plan): readonly MechanismResult[] {
    return evaluate(plan).mechanisms.map((mechanism) => ({
      ...mechanism,
      jobs: mechanism.jobs.map(({ run: _run, ...job }) => job),
    }));
  }

  async marks(
    plan: Plan,
    mechanismId: string,
    jobId: string,
    progress: (share: number) => void,
  ): Promise<RatioMarks | undefined> {
    const mine = ++this.sweeping;
    const mechanism = plan.mechanisms.find((candidate) => candidate.id === mechanismId);
    if (!mechanism) return undefined;
    const path = resolvePath(plan, mechanism, jobId);
    const points: SweepPoint[] = [];
    const [low, high] = rulerSpan(path.train.total);
    for (const point of sweepRatios(path, low, high, SWEEP_POINTS)) {
      points.push(point);
      if (points.length % 4 === 0) {
        progress(points.length / SWEEP_POINTS);
        await breathe();
        if (mine !== this.sweeping) return undefined;
      }
    }
    return ratioMarks(points);
  }

  async mends(
    plan: Plan,
    mechanismId: string,
    target: Target,
    progress: (found: readonly Mend[]) => void,
  ): Promise<readonly Mend[] | undefined> {
    const mine = ++this.mending;
    const found: Mend[] = [];
    for (const mend of findMends(plan, mechanismId, target)) {
      if (mend) {
        found.push(mend);
        progress(found);
      }
      await breathe();
      if (mine !== this.mending) return undefined;
    }
    return found;
  }

  stopMarks(): void {
    this.sweeping++;
  }
}

expose(new CoreWorker());
