import { currentOfPower } from '../../path/powerpath/operating.js';
import { BURNT, lumpsFrom, type Lumps } from '../../models/motor/heat.js';
import type { RunSample } from '../../judge/motion/run.js';
import type { Mover } from './mover.js';
import type { JobOn, LaneOn, TimedJob } from './onPack.js';
import type { GoResult, LaneResult } from './result.js';
import type { Due } from './schedule.js';

/** A brushless motor at rest heats one phase twice as much as the mean. */
const AT_REST_BRUSHLESS = 2;

/** A run whose power over time is known: when it began, and how far it has been read. */
interface TimedNow {
  readonly run: TimedJob['run'];
  readonly since: number;
  at: number;
}

/** A lane as the match goes on: what it does, what it draws, and what that has done to it. */
export class LaneNow {
  mover: Mover | undefined;
  timed: TimedNow | undefined;
  /** The go that is under way, and since when; goes that wait for it. */
  due: Due | undefined;
  began = 0;
  readonly queue: Due[] = [];
  /** What is told of the go that is under way. */
  told: Pick<GoResult, 'job' | 'wanted' | 'alone'> = {};
  /** Until when it holds, keeps its speed, or is given up. */
  until = Infinity;
  /** At the pack: A; and of one motor. */
  current = 0;
  motorCurrent = 0;
  energy = 0;
  peak = 0;
  tripsAt: number | undefined;
  lumps: Lumps | undefined;
  branchHeat: number;
  private branchPeak: number;
  private hottest = -Infinity;
  /** ∫I²dt and ∫friction dt of one motor since heat was last gone through. */
  private squared = 0;
  private friction = 0;
  warmedAt = 0;

  constructor(
    readonly on: LaneOn,
    start: { readonly lumps?: Lumps; readonly branch: number },
  ) {
    const { thermal } = on;
    this.lumps = thermal && (start.lumps ?? { winding: thermal.ambient, shell: thermal.ambient });
    this.branchHeat = start.branch;
    this.branchPeak = start.branch;
  }

  /** Something turns: it must be marched. What holds stands still. */
  get moves(): boolean {
    return this.mover !== undefined && this.mover.command.kind !== 'hold';
  }

  /** The job that is under way. */
  get job(): JobOn | undefined {
    return this.due?.go.job === undefined ? undefined : this.on.jobs.get(this.due.go.job);
  }

  /** What it draws at some volts, where its mover is at a place and a speed, A. */
  drawnAt(volts: number, place: number, speed: number, time: number): number {
    if (this.mover) return this.mover.drawn(volts, place, speed, time);
    return this.timed ? timedCurrent(this.timed, volts, time) : 0;
  }

  /** Takes in a step, from what was drawn at its beginning to what is drawn at its end. */
  count(time: number, h: number, current: number, motorCurrent: number, volts: readonly [number, number]): void {
    const { on } = this;
    this.energy += (h * (this.current * volts[0] + current * volts[1])) / 2;
    this.peak = Math.max(this.peak, current);
    const hottest = on.brushless && !this.moves ? AT_REST_BRUSHLESS : 1;
    this.squared += (hottest * h * (this.motorCurrent ** 2 + motorCurrent ** 2)) / 2;
    if (this.moves) this.friction += h * this.mover!.frictionAt(motorCurrent);
    if (on.branch) {
      const share = on.branch.together ? 1 : 1 / on.motors;
      const [a, b] = [share * this.current, share * current];
      const settles = (a * a + a * b + b * b) / 3 / on.branch.holds ** 2;
      this.branchHeat = settles + (this.branchHeat - settles) * Math.exp(-h / on.branch.timeConstant);
      this.branchPeak = Math.max(this.branchPeak, this.branchHeat);
      if (this.branchHeat >= 1) this.tripsAt ??= time + h;
    }
    this.current = current;
    this.motorCurrent = motorCurrent;
  }

  /** Goes through the heat of what has flowed until now. */
  warm(time: number): void {
    const seconds = time - this.warmedAt;
    this.warmedAt = time;
    const { thermal, resistance } = this.on;
    if (!this.lumps || !thermal || resistance === undefined || seconds <= 0) return;
    const heating = { squared: this.squared / seconds, friction: this.friction / seconds };
    const { winding, shell } = lumpsFrom(this.lumps, resistance, thermal, heating, seconds);
    this.lumps = { winding: Math.min(winding, BURNT), shell: Math.min(shell, BURNT) };
    this.hottest = Math.max(this.hottest, this.lumps.winding);
    this.squared = 0;
    this.friction = 0;
  }

  /** Nothing is commanded any more. */
  rest(time: number): void {
    this.warm(time);
    this.mover = undefined;
    this.timed = undefined;
    this.until = Infinity;
  }

  result(): LaneResult {
    const { on, energy, peak, lumps, hottest, branchPeak, tripsAt } = this;
    const { thermal } = on;
    return {
      mechanism: on.mechanism,
      name: on.name,
      energy,
      peak,
      heat:
        lumps && thermal
          ? {
              peak: Math.max(hottest, lumps.winding),
              limit: thermal.windingLimit,
              ambient: thermal.ambient,
              end: lumps,
            }
          : undefined,
      branch: on.branch && { peak: branchPeak, tripsAt },
      lacking: on.lacking,
    };
  }
}

/** Current of a run whose power is known, at other volts than those it was worked out with. */
function timedCurrent(timed: TimedNow, volts: number, time: number): number {
  const since = time - timed.since;
  const { samples } = timed.run;
  if (since > timed.run.time + 1e-9) return 0;
  if (timed.at > 0 && samples[timed.at]!.time > since) timed.at = 0;
  while (timed.at < samples.length - 2 && samples[timed.at + 1]!.time <= since) timed.at++;
  const [from, to] = [samples[timed.at]!, samples[timed.at + 1] ?? samples[timed.at]!];
  const span = to.time - from.time;
  const share = span > 0 ? Math.min(1, Math.max(0, (since - from.time) / span)) : 0;
  const power = powerOf(from) + share * (powerOf(to) - powerOf(from));
  return currentOfPower(power, Math.max(volts, 1e-3), 0) ?? 0;
}

const powerOf = ({ packVoltage, supplyCurrent }: RunSample): number => packVoltage * supplyCurrent;
