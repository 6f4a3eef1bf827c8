/** Share of the resonance to either side that is stayed out of. */
export const RESONANCE_WIDTH = 0.3;
/** Micro-steps from which the resonance is smoothed away. */
export const SMOOTH_MICROSTEPS = 8;

/**
 * Natural rate of the rotor and what it moves, full steps per second: √(p·Th/J)/2π. `inertia` is all of it at the motor;
 * 0 where that is none a motor could turn, behind a screw so steep that it cannot be driven.
 *
 * @example resonanceRate(1.9, 0.00015, 50) //=> 126.7
 */
export const resonanceRate = (holdingTorque: number, inertia: number, polePairs: number): number =>
  Math.sqrt(Math.max(0, (polePairs * holdingTorque) / inertia)) / (2 * Math.PI);

/**
 * Angle of a full step, rad: four to a pole pair.
 *
 * @example fullStep(50) //=> 0.03142
 */
export const fullStep = (polePairs: number): number => (2 * Math.PI) / (4 * polePairs);

/**
 * Full steps per second up to which it starts without a ramp: √(T/(2·step·J)), T what pull-out at rest
 * leaves over the load. A safe bound away from resonance; 0 where nothing is left, or nothing can be driven.
 *
 * @example startRate(0.8, 0.0003, 50) //=> 206
 */
export const startRate = (spare: number, inertia: number, polePairs: number): number =>
  Math.sqrt(Math.max(0, Math.max(0, spare) / (2 * fullStep(polePairs) * inertia)));

/**
 * Motor speed of a rate of full steps, rad/s.
 *
 * @example speedAtRate(400, 50) //=> 12.57
 */
export const speedAtRate = (rate: number, polePairs: number): number => rate * fullStep(polePairs);

/**
 * Full steps per second at a motor speed.
 *
 * @example rateAtSpeed(12.57, 50) //=> 400.1
 */
export const rateAtSpeed = (speed: number, polePairs: number): number => speed / fullStep(polePairs);
