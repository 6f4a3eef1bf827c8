/** How wheels throw a piece. SI. */
export interface ThrowFigures {
  readonly pieceMass: number;
  readonly wheelRadius: number;
  /** Share of the rim's speed the piece leaves at: 0.5 between one wheel and a hood, 1 between two wheels. */
  readonly speedShare: number;
  /** What slipping leaves of it, typical 0.9. */
  readonly slip: number;
  /** β of the piece: inertia over m·r², 0.4 solid, 0.67 hollow. */
  readonly ballInertiaFactor: number;
}

/** Speed share of one wheel with a hood. */
export const HOODED = 0.5;

/**
 * v = s·slip·r·ω
 *
 * @example exitSpeed(thrown, 400) //=> 9
 */
export const exitSpeed = ({ speedShare, slip, wheelRadius }: ThrowFigures, wheelSpeed: number): number =>
  speedShare * slip * wheelRadius * wheelSpeed;

/**
 * The wheel speed at which a piece leaves at `speed`.
 *
 * @example wheelSpeedFor(thrown, 9) //=> 400
 */
export const wheelSpeedFor = ({ speedShare, slip, wheelRadius }: ThrowFigures, speed: number): number =>
  speed / (speedShare * slip * wheelRadius);

/**
 * Angular momentum a throw takes from the wheels, κ·r·m·v: κ is 1 for two wheels, (1 + β)/2 for a wheel
 * and hood, since the piece rolls along the hood and leaves spinning. N·m·s
 *
 * @example throwImpulse(thrown, 9) //=> 0.07501
 */
export function throwImpulse(figures: ThrowFigures, speed: number): number {
  const hooded = figures.speedShare <= HOODED;
  const kappa = hooded ? (1 + figures.ballInertiaFactor) / 2 : 1;
  return kappa * figures.wheelRadius * figures.pieceMass * speed;
}
