/** What turns pulses into motion: steps per turn of the motor, micro-steps of each, and the reduction behind it. */
export interface PulseTrain {
  readonly stepsPerTurn: number;
  readonly microsteps: number;
  readonly reduction: number;
}

/** Pulses per radian of the output shaft. */
const perRadian = ({ stepsPerTurn, microsteps, reduction }: PulseTrain): number =>
  (stepsPerTurn * microsteps * reduction) / (2 * Math.PI);

/**
 * Pulses per second that an output speed (rad/s) takes.
 *
 * @example pulseRate({ stepsPerTurn: 200, microsteps: 8, reduction: 5 }, 2) //=> 2546
 */
export const pulseRate = (train: PulseTrain, outputSpeed: number): number => outputSpeed * perRadian(train);

/**
 * Output speed (rad/s) that pulses per second make.
 *
 * @example speedAtPulses({ stepsPerTurn: 200, microsteps: 8, reduction: 5 }, 2546) //=> 2
 */
export const speedAtPulses = (train: PulseTrain, rate: number): number => rate / perRadian(train);

/**
 * Angle of the output per pulse, rad.
 *
 * @example outputResolution({ stepsPerTurn: 200, microsteps: 8, reduction: 5 }) //=> 0.0007854
 */
export const outputResolution = (train: PulseTrain): number => 1 / perRadian(train);

/**
 * Two shafts locked to each other: pulses per count of the leading shaft's encoder, so that the output
 * turns `ratio` times as far. Counts are four to an encoder line.
 *
 * @example pulsesPerCount({ stepsPerTurn: 200, microsteps: 8, reduction: 5 }, 2, 600) //=> 6.667
 */
export const pulsesPerCount = (train: PulseTrain, ratio: number, encoderLines: number): number =>
  (ratio * 2 * Math.PI * perRadian(train)) / (4 * encoderLines);

/**
 * Highest speed (rad/s) of the leading shaft at which a pulse rate keeps up with it.
 *
 * @example highestLeadingSpeed({ stepsPerTurn: 200, microsteps: 8, reduction: 5 }, 2, 20_000) //=> 7.854
 */
export const highestLeadingSpeed = (train: PulseTrain, ratio: number, rateLimit: number): number =>
  speedAtPulses(train, rateLimit) / ratio;

/**
 * Electronic gearing of a step-driven servo: encoder counts it turns per commanded pulse.
 *
 * @example electronicGearing(1000, 3200) //=> 1.25
 */
export const electronicGearing = (encoderLines: number, commandedSteps: number): number =>
  (4 * encoderLines) / commandedSteps;

/**
 * A following-error threshold in encoder counts as an angle of the output, rad.
 *
 * @example followingErrorAngle(40, 1000, 5) //=> 0.01257
 */
export const followingErrorAngle = (counts: number, encoderLines: number, reduction: number): number =>
  (2 * Math.PI * counts) / (4 * encoderLines * reduction);
