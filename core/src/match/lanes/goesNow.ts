import { throwAt } from '../../judge/motion/throw.js';
import type { Trapezoid } from '../../judge/motion/trapezoid.js';
import type { Go, MatchScript } from '../../plan/document/script.js';
import type { LaneNow } from './laneNow.js';
import { Mover, type Command } from './mover.js';
import type { MovedJob } from './onPack.js';
import type { GoOutcome, GoResult } from './result.js';
import { duesOf, givenUpAfter, insertDue, waitingFor, type Due } from './schedule.js';

/** A wheel this near its speed has it. */
const AT_SPEED = 0.98;
/** How many times between two throws a wheel is kept at speed for the next. */
const KEEPS = 1.5;

/** The goes of a match: what is due, what is under way in each lane, and how each ended. */
export class GoesNow {
  readonly ended: GoResult[] = [];
  private readonly dues: Due[];

  constructor(
    private readonly script: MatchScript,
    private readonly lanes: readonly LaneNow[],
    private readonly length: number,
  ) {
    this.dues = duesOf(script, length);
  }

  /** When the next go is due, s. */
  get next(): number {
    return this.dues[0]?.planned ?? Infinity;
  }

  /** Begins what is due; a go whose lane is busy waits for it. Says whether anything was switched. */
  beginDue(time: number, off: boolean): boolean {
    let switched = false;
    while (this.next <= time + 1e-9) {
      const due = this.dues.shift()!;
      this.lanes[due.lane]?.queue.push(due);
    }
    this.lanes.forEach((lane, i) => {
      while (!lane.due && lane.queue.length > 0) {
        this.begin(i, lane.queue.shift()!, time, off);
        switched = true;
      }
    });
    return switched;
  }

  /** Ends what is over by the clock: a hold, a cruise, a job of so many seconds, a go that never gets there. */
  endByClock(time: number): boolean {
    let switched = false;
    this.lanes.forEach((lane, i) => {
      const done = lane.timed && time >= lane.timed.since + lane.timed.run.time - 1e-9;
      if (!done && time < lane.until - 1e-9) return;
      // The end of a run is no arrival: a servo that stalls stands where it was when its time is over.
      if (done) this.end(i, lane.timed!.run.outcome === 'arrived' ? 'arrived' : 'stalled', time);
      else if (lane.due && byTime(lane)) this.end(i, 'arrived', time);
      else this.end(i, 'stalled', time);
      lane.rest(time);
      switched = true;
    });
    return switched;
  }

  end(i: number, outcome: GoOutcome, time: number): void {
    const lane = this.lanes[i]!;
    const { due, began, told } = lane;
    if (!due) return;
    this.ended.push({ lane: i, go: due.go.id, planned: due.planned, began, ended: time, outcome, ...told });
    lane.due = undefined;
    this.wake(due.go, 'after', time);
  }

  /** A go that has got there: its lane holds, keeps its speed, or rests. */
  arrive(i: number, time: number): void {
    const lane = this.lanes[i]!;
    const { job, mover } = lane;
    this.end(i, 'arrived', time);
    if (job?.kind !== 'moved' || !mover) return lane.rest(time);
    const { target, held, every } = job.asked;
    if (target !== undefined) {
      mover.tell(steadily(target), time);
      lane.until = time + KEEPS * every;
    } else if (job.holdCurrent > 0) {
      lane.warm(time);
      mover.speed = 0;
      mover.tell({ kind: 'hold', current: job.holdCurrent }, time);
      lane.until = time + held;
    } else lane.rest(time);
  }

  /** Ends the match: what is under way is cut off, what waits never begins. */
  cutOff(time: number): readonly GoResult[] {
    this.lanes.forEach((lane, i) => {
      lane.warm(time);
      this.end(i, 'cut off', time);
      for (const due of lane.queue) this.never(i, due);
    });
    // What was due in the very last moment.
    for (const due of this.dues) if (due.planned < this.length) this.never(due.lane, due);
    return this.ended.sort((a, b) => a.planned - b.planned);
  }

  private never(lane: number, { go, planned }: Due): void {
    this.ended.push({ lane, go: go.id, job: go.job, planned, outcome: 'never begun' });
  }

  private begin(i: number, due: Due, time: number, off: boolean): void {
    const lane = this.lanes[i]!;
    const { go } = due;
    const job = go.job === undefined ? undefined : lane.on.jobs.get(go.job);
    if (lane.tripsAt !== undefined || off || (!job && !go.cruise)) return this.never(i, due);
    lane.warm(time);
    const spun = job?.kind === 'moved' && job.thrown ? lane.mover?.speed : undefined;
    lane.rest(time);
    lane.due = due;
    lane.began = time;
    const asked = job?.kind === 'moved' ? job.asked.time : 0;
    lane.until = time + givenUpAfter(asked);
    lane.told = { job: go.job };
    if (go.cruise) cruise(lane, go.cruise, time);
    else if (job?.kind === 'timed') {
      lane.timed = { run: job.run, since: time, at: 0 };
      lane.told = { job: go.job, wanted: job.wanted, alone: job.run.outcome === 'arrived' ? job.run.time : undefined };
    } else if (job?.kind === 'moved') move(lane, job, spun, time);
    this.wake(go, 'with', time);
  }

  private wake({ id }: Go, kind: 'after' | 'with', time: number): void {
    for (const { lane, go, wait } of waitingFor(this.script, id, kind)) {
      insertDue(this.dues, { lane, go, planned: time + wait });
    }
  }
}

/** A job that ends by the clock alone, or a cruise. */
function byTime({ due, job }: LaneNow): boolean {
  if (due?.go.cruise) return true;
  return job?.kind === 'moved' && job.asked.travel === undefined && job.asked.target === undefined;
}

const steadily = (speed: number): Command => ({ kind: 'follow', speedAt: () => speed, rateAt: () => 0 });

function cruise(lane: LaneNow, { speed, seconds }: NonNullable<Go['cruise']>, time: number): void {
  const first = [...lane.on.jobs.values()].find((job): job is MovedJob => job.kind === 'moved');
  if (!first) return;
  lane.mover = new Mover(first.system, lane.on.branchResistance);
  lane.mover.tell(steadily(speed / first.asked.perCoordinate), time);
  lane.until = time + seconds;
}

/** @param spun speed a wheel already has */
function move(lane: LaneNow, job: MovedJob, spun: number | undefined, time: number): void {
  const { system, asked, thrown, curve, trapezoid, alone } = job;
  const mover = new Mover(system, lane.on.branchResistance);
  const { travel, target } = asked;
  lane.mover = mover;
  const byClock = travel === undefined && target === undefined;
  lane.told = byClock ? lane.told : { ...lane.told, wanted: asked.time, alone };
  if (target !== undefined && spun !== undefined && spun >= AT_SPEED * target && thrown) {
    const { speedAfter, recovery } = throwAt(system, thrown, target);
    mover.speed = speedAfter;
    lane.told = { ...lane.told, wanted: asked.workingSeconds, alone: recovery };
  } else mover.speed = spun ?? 0;
  if (curve) mover.tell({ kind: 'stop', curve }, time);
  else if (travel !== undefined && trapezoid) mover.tell(along(trapezoid, travel), time);
  else mover.tell({ kind: 'effort' }, time);
  if (byClock) lane.until = time + asked.time;
}

/** A share of the greatest speed at which a commanded motion creeps in at its end: what lagged behind still comes there. */
const CREEP = 0.02;

/** Up a ramp, along, and down again to stand at the end of its way. */
function along({ speed, acceleration }: Trapezoid, travel: number): Command {
  const top = Math.min(speed, Math.sqrt(acceleration * travel));
  const ramp = top / acceleration;
  const flat = Math.max(0, travel / top - ramp);
  const speedAt = (t: number): number => {
    if (t < ramp) return acceleration * t;
    return t < ramp + flat ? top : Math.max(CREEP * top, top - acceleration * (t - ramp - flat));
  };
  const rateAt = (t: number): number => {
    if (t < ramp) return acceleration;
    return t < ramp + flat || t > 2 * ramp + flat ? 0 : -acceleration;
  };
  return { kind: 'follow', speedAt, rateAt };
}
