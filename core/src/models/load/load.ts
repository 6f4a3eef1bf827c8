import type { Profile } from '../../plan/document/load.js';

/** A load on one coordinate q (m or rad): what motion and limits see of it. */
export interface Load {
  readonly unit: 'm' | 'rad';
  /** Resisting force while moving forwards at v ≥ 0, or about to; friction in full. N or N·m. Under 0 the load drives. */
  force(q: number, speed: number): number;
  /** What pulls back at rest with friction left out; under 0 it pulls on. */
  holdForce(q: number): number;
  /** What holds it at rest up to its own size, N or N·m; nothing where absent. */
  readonly rest?: { readonly force: number; readonly by: 'friction' | 'rolling resistance' };
  /** Moved inertia seen on q, kg or kg·m². */
  inertia(q: number): number;
  /** The greatest force the tyres carry before they slip; absent where nothing can slip. */
  readonly traction?: number;
  /** Of what falls when the power goes: the energy stored at q by weight, spring and counterforce, J, from any zero. */
  potential?(q: number): number;
  /** A rope can pull but not push: on the way up its force is never under 0, on the way down never over. */
  readonly rope?: 'up' | 'down';
  /** Places between start and end where the force may be greatest or least, besides the two ends. */
  readonly places?: readonly number[];
}

/** A load with every field in one order, absent ones too: see `driveOf`. */
export const loadOf = (load: Load): Load => ({
  unit: load.unit,
  force: load.force,
  holdForce: load.holdForce,
  rest: load.rest,
  inertia: load.inertia,
  traction: load.traction,
  potential: load.potential,
  rope: load.rope,
  places: load.places,
});

/** What the job asks, on the load's own coordinate. */
export interface Asked {
  /** Where it ends; absent where the job ends by time or at a speed. */
  readonly travel?: number;
  /** Speed it is brought to; absent where the job ends at a place or by time. */
  readonly target?: number;
  /** Time the job may take, s. */
  readonly time: number;
  readonly every: number;
  readonly held: number;
  readonly shock: number;
  /** Speed the job needs: typed, else travel/time. */
  readonly speed: number;
  /** Acceleration the job needs: typed, else 2·travel/time². */
  readonly acceleration: number;
  /** Torque or force, besides the load's own, that brings it back after each go: a throw's. */
  readonly recovery?: number;
  /** Slowest speed it must keep steadily; absent where it need not creep. */
  readonly creep?: number;
  readonly profile: Profile;
  /** Present where pulses command the motion: along a ramp, or at once. */
  readonly pulses?: 'ramp' | 'at once';
  readonly typedSpeed?: number;
  readonly typedAcceleration?: number;
  /** Place it is held at, on q; the worst along the way where absent. */
  readonly holdPlace?: number;
  /** Seconds the working situation lasts. */
  readonly workingSeconds: number;
  /** Goes on without an end: `travel` only says how fast. */
  readonly endless?: boolean;
  /** Share of the time it is at work. */
  readonly dutyShare: number;
  /** Metres (or rad) of the real load per unit of q: what screens multiply speeds by. */
  readonly perCoordinate: number;
}

const SAMPLES = 16;

/**
 * Where along the way from 0 to the end of travel a quantity is greatest: of evenly spaced places, and those the load
 * itself names.
 */
export function worstPlace(travel: number | undefined, load: Load, of: (q: number) => number): number {
  let worst = 0;
  if (!travel) return worst;
  let greatest = of(worst);
  const look = (place: number) => {
    const value = of(place);
    if (!(value > greatest)) return;
    greatest = value;
    worst = place;
  };
  for (let i = 1; i <= SAMPLES; i++) look((travel * i) / SAMPLES);
  for (const place of load.places ?? []) if (place > 0 && place < travel) look(place);
  return worst;
}

/** The greatest of a quantity along the way from 0 to the end of travel. */
export function worstOver(travel: number | undefined, load: Load, of: (q: number) => number): number {
  return of(worstPlace(travel, load, of));
}
