import { setTimeout as sleep } from 'node:timers/promises';
import type { PlanStore, ToJudge } from '../plans/store.js';
import type { Depth } from './judge.js';
import type { Judge } from './judgeThread.js';

/** So many are judged before what came of them is written: a list follows soon, and the disk is not asked for each. */
const AT_ONCE = 8;
/** At most so long between two, ms. */
const MOST_REST = 1000;
/** A plan that was not saved for so long is judged whole, with its matches: whoever is at work is not slowed down, ms. */
const RESTED = 10_000;
/** After a failure of the disk, ms. */
const AGAIN_AFTER = 5000;

/**
 * Keeps what lists say up to date, behind every request: whatever was saved, or was judged by another version of the
 * program, is judged in another thread and kept beside the plan; its mechanisms alone at once, the whole robot once the plan
 * has rested.
 */
export class Summaries {
  private working: Promise<void> | undefined;
  private again = false;
  private stopped = false;
  private timer: NodeJS.Timeout | undefined;
  private later: NodeJS.Timeout | undefined;
  /** What was saved before that rests: nobody was at work. */
  private startedAt = 0;
  /** Who has judged a plan whose whole robot is still to be judged. */
  private readonly alone: string;

  /** `version` says by what a plan is judged: where it is another, all are judged again. */
  constructor(
    private readonly plans: PlanStore,
    private readonly judge: Judge,
    private readonly version: string,
    private readonly failed: (problem: unknown) => void = () => undefined,
    private readonly rested = RESTED,
  ) {
    this.alone = `${version} alone`;
  }

  /** Begins: whatever another version has judged is to be judged again. */
  async start(): Promise<void> {
    this.startedAt = Date.now();
    await this.plans.forgetJudgedBut([this.version, this.alone]);
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
    clearTimeout(this.later);
    await this.judge.close();
  }

  private async work(): Promise<void> {
    this.timer = undefined;
    this.again = false;
    for (;;) {
      const stale = await this.plans.unjudged(AT_ONCE);
      if (this.stopped) return;
      if (stale.length > 0) await this.judgeAll(stale, 'alone');
      else if (!(await this.judgeOneWhole())) return;
    }
  }

  /** The whole of one robot that has rested; false where there is none, and then it is looked again once one has. */
  private async judgeOneWhole(): Promise<boolean> {
    const since = Math.max(Date.now() - this.rested, this.startedAt);
    const rested = await this.plans.judgedBy(this.alone, new Date(since).toISOString());
    if (rested && !this.stopped) await this.judgeAll([rested], 'whole');
    if (rested || this.stopped) return rested !== undefined;
    const last = await this.plans.lastJudgedBy(this.alone);
    clearTimeout(this.later);
    if (last !== undefined)
      this.later = setTimeout(
        () => this.wake(),
        Math.max(0, Date.parse(last) + this.rested - Date.now()) + MOST_REST,
      ).unref();
    return false;
  }

  private async judgeAll(plans: readonly ToJudge[], depth: Depth): Promise<void> {
    const judged = [];
    for (const { id, revision, text } of plans) {
      if (this.stopped) return;
      const began = performance.now();
      judged.push({ id, revision, judged: await this.judge.judge(text, depth) });
      // As long at rest as at work: on a small machine it leaves room for whoever saves.
      await sleep(Math.min(MOST_REST, performance.now() - began));
    }
    if (!this.stopped) await this.plans.keepJudged(judged, depth === 'whole' ? this.version : this.alone);
  }
}
