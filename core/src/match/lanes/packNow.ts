import type { SettledPack } from '../../models/controller/sharedPack.js';
import type { PackOn } from './onPack.js';
import type { MatchStart } from './result.js';

/** Hours over which a pack's capacity is rated: drawn faster, lead gives less. */
const RATED_HOURS = 20;

/** The pack as the match goes on: charge, the main breaker, and what has flowed. */
export class PackNow {
  charge: number;
  mainHeat: number;
  mainPeak: number;
  mainTripsAt: number | undefined;
  /** A·s as the capacity law counts them, and as they flowed. */
  taken = 0;
  flowed = 0;
  /** At the terminals, what stands took of it, and what the shared wire kept, J. */
  energy = 0;
  standing = 0;
  wire = 0;

  /** Of the pack alone, Ω. */
  readonly resistance: number;

  constructor(
    readonly on: PackOn,
    start: MatchStart | undefined,
  ) {
    this.resistance = on.resistance;
    this.charge = start?.charge ?? 1;
    this.mainHeat = start?.main ?? 0;
    this.mainPeak = this.mainHeat;
  }

  /** Takes in a step, from what flowed at its beginning to what flows at its end. */
  count(time: number, h: number, before: SettledPack, after: SettledPack, rest: number, stands: number): void {
    const { on } = this;
    const mean = (before.current + after.current) / 2;
    const squared = (before.current ** 2 + before.current * after.current + after.current ** 2) / 3;
    this.energy += h * (rest * mean - this.resistance * squared);
    this.wire += h * on.mainResistance * squared;
    this.standing += (h * stands * (before.volts + after.volts)) / 2;
    this.flowed += h * mean;
    const { capacity } = on;
    const rate = capacity === undefined || mean <= 0 ? 1 : Math.max(1, (RATED_HOURS * 3600 * mean) / capacity);
    const counted = h * mean * rate ** (on.capacityExponent - 1);
    this.taken += counted;
    if (capacity !== undefined) this.charge = Math.max(0, this.charge - counted / capacity);
    if (!on.main) return;
    const settles = squared / on.main.holds ** 2;
    this.mainHeat = settles + (this.mainHeat - settles) * Math.exp(-h / on.main.timeConstant);
    this.mainPeak = Math.max(this.mainPeak, this.mainHeat);
    if (this.mainHeat >= 1) this.mainTripsAt ??= time + h;
  }
}
