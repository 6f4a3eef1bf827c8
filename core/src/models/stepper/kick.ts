/**
 * How far a stepper's rotor may lag its field before it falls out of step: a quarter of the field's turn, π/(2p).
 *
 * @example lagAllowed(50) //=> 0.03142
 */
export const lagAllowed = (polePairs: number): number => Math.PI / (2 * polePairs);

/**
 * Torque at a turning motor when a load at rest is suddenly engaged, N·m: the load must have come up to speed
 * before the rotor lags too far, T = J·ω²/(2·φ). `inertia` is the load's at the motor, `speed` the motor's in
 * rad/s, `angle` what it may lag: a stepper's quarter turn of the field, a servo's following error.
 *
 * @example kickTorque(0.0004, 5, 0.1) //=> 0.05
 */
export const kickTorque = (inertia: number, speed: number, angle: number): number =>
  (inertia * speed ** 2) / (2 * angle);

/**
 * The same where coupling, belt or teeth give first: ω·√(k·J), k the stiffness in N·m/rad at the motor.
 *
 * @example kickThroughSpring(0.0004, 5, 20) //=> 0.4472
 */
export const kickThroughSpring = (inertia: number, speed: number, stiffness: number): number =>
  speed * Math.sqrt(stiffness * inertia);

/**
 * Speed of the motor after the jolt, by angular momentum: what the load's inertia leaves of it.
 *
 * @example speedAfterJolt(10, 0.00005, 0.00015) //=> 2.5
 */
export const speedAfterJolt = (speed: number, rotor: number, load: number): number => (speed * rotor) / (rotor + load);
