import { BURNT, lumpsOver, type MotorThermal } from '../../models/motor/heat.js';
import type { Run } from '../motion/run.js';
import { oncePer } from '../../path/powerpath/memory.js';
import type { PathProtection, DcPath } from '../../path/powerpath/path.js';
import { holdingCurrent as breakerHolds } from '../../models/protection/breaker.js';
import { cycleOf, type Cycle, type Segment } from './cycle.js';

/** One moment of a day of matches: seconds since its start, °C. */
export interface DaySample {
  readonly time: number;
  readonly winding: number;
  readonly shell: number;
}

/** What a breaker goes through: its greatest heat, 1 trips, and when it would. */
export interface BreakerDay {
  readonly peak: number;
  readonly tripsAt?: number;
}

/** Matches in a row with their rests, go after go. */
export interface Day {
  readonly cycle: Cycle;
  readonly goes: number;
  /** Absent without thermal figures. */
  readonly heat?: {
    readonly peak: number;
    readonly limitAt?: number;
    /** Winding at the end of each match. */
    readonly afterMatch: readonly number[];
  };
  readonly branch?: BreakerDay;
  readonly main?: BreakerDay;
  /** Charge one match takes out of the pack, as its capacity law counts it, A·s. */
  readonly charge: number;
}

/** Seconds of steady heating after which it is looked at anew. */
const LOOK_EVERY = 2;
const MOST_LOOKS = 6;
/** More goes than this in a match are taken together, so that a tiny time between them costs no more. */
const MOST_GOES = 400;

/**
 * The day of a path, worked out once for each path.
 *
 * @example dayOf(path, judgement.run).goes //=> 10
 */
export const dayOf = oncePer((path: DcPath, run: Run): Day => integrateDay(path, cycleOf(path, run)));

/**
 * Goes through every match, go by go, and every rest between two.
 *
 * @param note told the temperatures after each stretch; a day has thousands, and only a chart wants them
 *
 * @example integrateDay(path, cycleOf(path, judgement.run)).charge //=> 1137
 */
export function integrateDay(path: DcPath, cycle: Cycle, note?: (sample: DaySample) => void): Day {
  const { match, motor, drive } = path;
  const goes = Math.max(1, Math.floor(match.length / cycle.seconds));
  const together = Math.max(1, goes / MOST_GOES);
  const heat = Number.isNaN(motor.thermal.windingCapacity)
    ? undefined
    : new HeatDay(motor.thermal, drive.motor.resistance, note);
  const motors = drive.motors;
  const branch = breakerDay(path.branch, path.branch.together ? motors : 1, 0);
  const main = breakerDay(path.main, motors, path.pack.others);
  const rounds = Math.max(1, Math.round(match.rounds));
  let charge = 0;
  /** The same few segments come again all day: what each does is worked out once. */
  const stretches = (segments: readonly Segment[], times: number): readonly Stretch[] =>
    segments
      .map((segment) => (times === 1 ? segment : { ...segment, seconds: segment.seconds * times }))
      .filter(({ seconds }) => seconds > 0)
      .map((segment) => ({
        heat: heat?.over(segment),
        branch: branch?.over(segment),
        main: main?.over(segment),
        charge: chargeTaken(path, segment),
      }));
  const pass = (stretch: Stretch, counts: boolean): void => {
    if (heat) heat.pass(stretch.heat!);
    if (branch) branch.pass(stretch.branch!);
    if (main) main.pass(stretch.main!);
    if (counts) charge += stretch.charge;
  };
  const prelude = stretches(cycle.prelude, 1);
  const goesOn = stretches(cycle.segments, together);
  const rest = stretches([idleFor(match.rest)], 1);
  const times = Math.round(goes / together);
  for (let round = 0; round < rounds; round++) {
    const first = round === 0;
    for (const stretch of prelude) pass(stretch, first);
    for (let go = 0; go < times; go++) for (const stretch of goesOn) pass(stretch, first);
    heat?.endMatch();
    if (round < rounds - 1) for (const stretch of rest) pass(stretch, false);
  }
  return {
    cycle,
    goes,
    heat: heat?.result(),
    branch: branch?.result(),
    main: main?.result(),
    charge,
  };
}

/**
 * How long the usable charge of the pack keeps one job going, over and over, with nothing else on it, s; `undefined` where
 * the charge is not known or the job takes none.
 *
 * @example runTimeOf(path, judgement.run) //=> 6838
 */
export function runTimeOf(path: DcPath, run: Run): number | undefined {
  const { capacity, usable } = path.pack;
  const { charge, goes, cycle } = dayOf(path, run);
  return capacity === undefined || !(charge > 0) ? undefined : ((usable * capacity) / charge) * goes * cycle.seconds;
}

/** Temperatures through the day, for a chart. */
export function daySamples(path: DcPath, run: Run): readonly DaySample[] {
  const samples: DaySample[] = [];
  integrateDay(path, dayOf(path, run).cycle, (sample) => samples.push(sample));
  return samples;
}

/** What one segment does to winding, breakers and charge. */
interface Stretch {
  readonly heat?: HeatStretch;
  readonly branch?: BreakerStretch;
  readonly main?: BreakerStretch;
  readonly charge: number;
}

const idleFor = (seconds: number): Segment => ({ seconds, motorSquared: 0, friction: 0, supply: 0, supplySquared: 0 });

/** I·max(1, 20 h·I/Q)^(k−1) over the time; without a capacity plain amperes count. */
function chargeTaken(path: DcPath, segment: Segment): number {
  const amperes = path.drive.motors * segment.supply;
  const { capacity, capacityExponent } = path.pack;
  if (capacity === undefined) return amperes * segment.seconds;
  const rate = Math.max(1, (20 * 3600 * amperes) / capacity);
  return amperes * rate ** (capacityExponent - 1) * segment.seconds;
}

interface HeatStretch {
  readonly looks: number;
  readonly step: number;
  readonly after: ReturnType<typeof lumpsOver>;
}

class HeatDay {
  private readonly now: { winding: number; shell: number };
  private time = 0;
  private peak: number;
  private limitAt: number | undefined;
  private readonly afterMatch: number[] = [];

  constructor(
    private readonly thermal: MotorThermal,
    private readonly resistance: number,
    private readonly note?: (sample: DaySample) => void,
  ) {
    this.now = { winding: thermal.ambient, shell: thermal.ambient };
    this.peak = thermal.ambient;
    this.tell();
  }

  over({ seconds, motorSquared: squared, friction }: Segment): HeatStretch {
    const looks = squared > 0 ? Math.min(MOST_LOOKS, Math.ceil(seconds / LOOK_EVERY)) : 1;
    const step = seconds / looks;
    return { looks, step, after: lumpsOver(this.resistance, this.thermal, { squared, friction }, step) };
  }

  pass({ looks, step, after }: HeatStretch): void {
    const { now } = this;
    for (let i = 0; i < looks; i++) {
      after(now, now);
      if (now.winding > BURNT) now.winding = BURNT;
      if (now.shell > BURNT) now.shell = BURNT;
      this.time += step;
      if (now.winding > this.peak) this.peak = now.winding;
      if (now.winding >= this.thermal.windingLimit) this.limitAt ??= this.time;
    }
    this.tell();
  }

  private tell(): void {
    this.note?.({ time: this.time, winding: this.now.winding, shell: this.now.shell });
  }

  endMatch(): void {
    this.afterMatch.push(this.now.winding);
  }

  result(): NonNullable<Day['heat']> {
    const { peak, limitAt, afterMatch } = this;
    return { peak, limitAt, afterMatch };
  }
}

function breakerDay(protection: PathProtection | undefined, share: number, others: number): BreakerHeat | undefined {
  const breaker = protection?.breaker;
  if (!breaker || !(breakerHolds(breaker) > 0) || !(breaker.timeConstant > 0)) return undefined;
  return new BreakerHeat(breakerHolds(breaker), breaker.timeConstant, share, others);
}

/** Where the breaker's heat would settle, and how much of the way to there is left at the end. */
interface BreakerStretch {
  readonly seconds: number;
  readonly settles: number;
  readonly left: number;
}

/** dθ/dt = ((I/(h·Ir))² − θ)/τ, exactly along each segment. */
class BreakerHeat {
  private heat = 0;
  private time = 0;
  private peak = 0;
  private tripsAt: number | undefined;

  constructor(
    private readonly holds: number,
    private readonly timeConstant: number,
    private readonly share: number,
    private readonly others: number,
  ) {}

  over({ seconds, supply, supplySquared }: Segment): BreakerStretch {
    // What others draw adds to the mean, and to the mean square both ways.
    const squared = this.share ** 2 * supplySquared + 2 * this.share * supply * this.others + this.others ** 2;
    return { seconds, settles: squared / this.holds ** 2, left: Math.exp(-seconds / this.timeConstant) };
  }

  pass({ seconds, settles, left }: BreakerStretch): void {
    const before = this.heat;
    this.heat = settles + (before - settles) * left;
    if (this.heat > this.peak) this.peak = this.heat;
    if (this.heat >= 1) this.tripsAt ??= this.time + this.timeConstant * Math.log((settles - before) / (settles - 1));
    this.time += seconds;
  }

  result(): BreakerDay {
    return { peak: this.peak, tripsAt: this.tripsAt };
  }
}
