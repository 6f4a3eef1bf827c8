import { BURNT, lumpsOver, type Lumps, type MotorThermal } from '../motor/heat.js';
import type { Run } from '../motion/run.js';
import type { PathProtection, DcPath } from '../powerpath/path.js';
import { holdingCurrent as breakerHolds } from '../protection/breaker.js';
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
    readonly samples: readonly DaySample[];
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

const known = new WeakMap<DcPath, Day>();

/** The day of a path, worked out once for each path. */
export function dayOf(path: DcPath, run: Run): Day {
  const found = known.get(path);
  if (found) return found;
  const day = integrateDay(path, cycleOf(path, run));
  known.set(path, day);
  return day;
}

/** Goes through every match, go by go, and every rest between two. */
export function integrateDay(path: DcPath, cycle: Cycle): Day {
  const { match, motor, drive } = path;
  const goes = Math.max(1, Math.floor(match.length / cycle.seconds));
  const together = Math.max(1, goes / MOST_GOES);
  const segments = cycle.segments.map((segment) => ({ ...segment, seconds: segment.seconds * together }));
  const heat = Number.isNaN(motor.thermal.windingCapacity)
    ? undefined
    : new HeatDay(motor.thermal, drive.motor.resistance);
  const motors = drive.motors;
  const branch = breakerDay(path.branch, path.branch.together ? motors : 1, 0);
  const main = breakerDay(path.main, motors, path.pack.others);
  const rounds = Math.max(1, Math.round(match.rounds));
  const rest = idleFor(match.rest);
  let charge = 0;
  const pass = (segment: Segment, counts: boolean): void => {
    if (segment.seconds <= 0) return;
    heat?.pass(segment);
    branch?.pass(segment);
    main?.pass(segment);
    if (counts) charge += chargeTaken(path, segment);
  };
  for (let round = 0; round < rounds; round++) {
    const first = round === 0;
    cycle.prelude.forEach((segment) => pass(segment, first));
    for (let go = 0; go < Math.round(goes / together); go++) segments.forEach((segment) => pass(segment, first));
    heat?.endMatch();
    if (round < rounds - 1) pass(rest, false);
  }
  return {
    cycle,
    goes,
    ...(heat ? { heat: heat.result() } : {}),
    ...(branch ? { branch: branch.result() } : {}),
    ...(main ? { main: main.result() } : {}),
    charge,
  };
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

class HeatDay {
  private now: Lumps;
  private time = 0;
  private peak: number;
  private limitAt: number | undefined;
  private readonly afterMatch: number[] = [];
  private readonly samples: DaySample[] = [];
  private readonly known = new Map<Segment, { looks: number; step: number; after: ReturnType<typeof lumpsOver> }>();

  constructor(
    private readonly thermal: MotorThermal,
    private readonly resistance: number,
  ) {
    this.now = { winding: thermal.ambient, shell: thermal.ambient };
    this.peak = thermal.ambient;
    this.note();
  }

  pass(segment: Segment): void {
    const { looks, step, after } = this.over(segment);
    for (let i = 0; i < looks; i++) {
      const { winding, shell } = after(this.now);
      this.now = { winding: Math.min(BURNT, winding), shell: Math.min(BURNT, shell) };
      this.time += step;
      this.peak = Math.max(this.peak, this.now.winding);
      if (this.now.winding >= this.thermal.windingLimit) this.limitAt ??= this.time;
    }
    this.note();
  }

  /** The same few segments come again all day: each is worked out once. */
  private over(segment: Segment) {
    const known = this.known.get(segment);
    if (known) return known;
    const { seconds, motorSquared: squared, friction } = segment;
    const looks = squared > 0 ? Math.min(MOST_LOOKS, Math.ceil(seconds / LOOK_EVERY)) : 1;
    const step = seconds / looks;
    const one = { looks, step, after: lumpsOver(this.resistance, this.thermal, { squared, friction }, step) };
    this.known.set(segment, one);
    return one;
  }

  private note(): void {
    this.samples.push({ time: this.time, winding: this.now.winding, shell: this.now.shell });
  }

  endMatch(): void {
    this.afterMatch.push(this.now.winding);
  }

  result(): NonNullable<Day['heat']> {
    const { peak, limitAt, afterMatch, samples } = this;
    return { peak, limitAt, afterMatch, samples };
  }
}

function breakerDay(protection: PathProtection | undefined, share: number, others: number): BreakerHeat | undefined {
  const breaker = protection?.breaker;
  if (!breaker || !(breakerHolds(breaker) > 0) || !(breaker.timeConstant > 0)) return undefined;
  return new BreakerHeat(breakerHolds(breaker), breaker.timeConstant, share, others);
}

/** dθ/dt = ((I/(h·Ir))² − θ)/τ, exactly along each segment. */
class BreakerHeat {
  private heat = 0;
  private time = 0;
  private peak = 0;
  private tripsAt: number | undefined;
  private readonly known = new Map<Segment, { settles: number; left: number }>();

  constructor(
    private readonly holds: number,
    private readonly timeConstant: number,
    private readonly share: number,
    private readonly others: number,
  ) {}

  pass(segment: Segment): void {
    const { seconds } = segment;
    const { settles, left } = this.over(segment);
    const before = this.heat;
    this.heat = settles + (before - settles) * left;
    this.peak = Math.max(this.peak, this.heat);
    if (this.heat >= 1) this.tripsAt ??= this.time + this.timeConstant * Math.log((settles - before) / (settles - 1));
    this.time += seconds;
  }

  private over(segment: Segment) {
    const known = this.known.get(segment);
    if (known) return known;
    const { seconds, supply, supplySquared } = segment;
    // What others draw adds to the mean, and to the mean square both ways.
    const squared = this.share ** 2 * supplySquared + 2 * this.share * supply * this.others + this.others ** 2;
    const one = { settles: squared / this.holds ** 2, left: Math.exp(-seconds / this.timeConstant) };
    this.known.set(segment, one);
    return one;
  }

  result(): BreakerDay {
    return { peak: this.peak, tripsAt: this.tripsAt };
  }
}
