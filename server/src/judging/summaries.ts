import { setTimeout as sleep } from 'node:timers/promises';
import type { PlanStore } from '../plans/store.js';
import type { Judge } from './judgeThread.js';

/** So many are judged before what came of them is written: a list follows soon, and the disk is not asked for each. */
const AT_ONCE = 8;
/** At most so long between two, ms. */
const MOST_REST = 1000;
/** After a failure of the disk, ms. */
const AGAIN_AFTER = 5000;

/**
 * Keeps what lists say up to date, behind every request: whatever was saved, or was judged by another version of the
 * program, is judged in another thread and kept beside the plan.
 */
export class Summaries {
  private working: Promise<void> | undefined;
  private again = false;
  private stopped = false;
  private timer: NodeJS.Timeout | undefined;

  /** `version` says by what a plan is judged: where it is another, all are judged again. */
  constructor(
    private readonly plans: PlanStore,
    private readonly judge: Judge,
    private readonly version: string,
    private readonly failed: (problem: unknown) => void = () => undefined,
  ) {}

  /** Begins: whatever another version has judged is to be judged again. */
  async start(): Promise<void> {
    await this.plans.forgetJudgedBy(this.version);
    this.plans.onChange = () => this.wake();
    this.wake();
  }

  /** There is something to do. */
  wake(): void {
    this.again = true;
    if (this.stopped || this.working) return;
    this.working = this.work()
      .catch((problem: unknown) => {
        // The disk does not answer now; nothing but the list is behind.
        this.failed(problem);
        this.timer = setTimeout(() => this.wake(), AGAIN_AFTER).unref();
      })
      .finally(() => {
        this.working = undefined;
        if (this.again && !this.timer) this.wake();
      });
  }

  /** Resolves when there is nothing left to do. */
  async settled(): Promise<void> {
    while (this.working) await this.working;
  }

  async stop(): Promise<void> {
    this.stopped = true;
    clearTimeout(this.timer);
    await this.judge.close();
  }

  private async work(): Promise<void> {
    this.timer = undefined;
    this.again = false;
    for (;;) {
      const stale = await this.plans.unjudged(AT_ONCE);
      if (stale.length === 0 || this.stopped) return;
      const judged = [];
      for (const { id, revision, text } of stale) {
        if (this.stopped) return;
        const began = performance.now();
        judged.push({ id, revision, judged: await this.judge.judge(text) });
        // As long at rest as at work: on a small machine it leaves room for whoever saves.
        await sleep(Math.min(MOST_REST, performance.now() - began));
      }
      if (!this.stopped) await this.plans.keepJudged(judged, this.version);
    }
  }
}
