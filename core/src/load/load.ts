/** A load on one coordinate q (m or rad): what motion and limits see of it. */
export interface Load {
  readonly unit: 'm' | 'rad';
  /** Resisting force while moving forwards, or about to; friction in full. N or N·m. */
  force(q: number): number;
  /** What pulls back at rest with friction left out. */
  holdForce(q: number): number;
  /** Moved inertia seen on q, kg or kg·m². */
  inertia(q: number): number;
  /** The greatest force the tyres carry before they slip; absent where nothing can slip. */
  readonly grip?: number;
  /** A rope can pull but not push. */
  readonly rope: boolean;
}

/** What the job asks, on the load's own coordinate. */
export interface Asked {
  /** Where it ends; absent where the job ends by time. */
  readonly travel?: number;
  /** Time the job may take, s. */
  readonly time: number;
  readonly every: number;
  readonly held: number;
  readonly shock: number;
  /** Speed the job needs: typed, else travel/time. */
  readonly speed: number;
  /** Acceleration the job needs: typed, else 2·travel/time². */
  readonly acceleration: number;
  /** Share of the time it is at work. */
  readonly dutyShare: number;
  /** Metres (or rad) of the real load per unit of q: what screens multiply speeds by. */
  readonly perCoordinate: number;
}

const SAMPLES = 16;

/** The greatest of a quantity along the way from 0 to the end of travel. */
export function worstOver(travel: number | undefined, of: (q: number) => number): number {
  if (!travel) return of(0);
  let worst = -Infinity;
  for (let i = 0; i <= SAMPLES; i++) worst = Math.max(worst, of((travel * i) / SAMPLES));
  return worst;
}
