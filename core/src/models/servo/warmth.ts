import { bisect } from '../numbers/bisect.js';
import { BURNT, lumpsFrom, lumpsOver, thermalFromMass, type Lumps, type MotorThermal } from '../motor/heat.js';

/** One stretch of a servo's day: so many seconds with so many watts left inside it. */
export interface WarmStretch {
  readonly seconds: number;
  readonly watts: number;
}

const HOUR = 3600;
/** Of the 20 °C resistance: watts are told as they are, so that copper's rise makes them more as it warms. */
const OHM = 1;

/**
 * Motor and case of a servo, from its mass alone, an *estimate*: a small case in free air.
 *
 * @example servoThermal(0.055, 100, 25).caseToAir //=> 41.86
 */
export const servoThermal = (mass: number, limit: number, ambient: number): MotorThermal =>
  thermalFromMass(mass, limit, ambient);

/**
 * What stays inside as heat, W: all it takes at rest; what it takes less what leaves at the horn while it moves.
 *
 * @example servoHeat({ voltage: 6, current: 1.2, torque: 0.8, speed: 4 }) //=> 4
 */
export const servoHeat = (of: {
  readonly voltage: number;
  readonly current: number;
  readonly torque: number;
  readonly speed: number;
}): number => Math.max(0, of.voltage * of.current - of.torque * of.speed);

/** Go after go through matches in a row, with rests between. */
export interface WarmDay {
  readonly go: readonly WarmStretch[];
  readonly goes: number;
  readonly rest: number;
  readonly rounds: number;
}

/**
 * Motor and case at their hottest through a day, °C.
 *
 * @example warmestOf(servoThermal(0.055, 100, 25), { go: [{ seconds: 5, watts: 2 }, { seconds: 5, watts: 0 }], goes: 12, rest: 600, rounds: 3 }) //=> { winding: 49.14, shell: 31.99 }
 */
export function warmestOf(thermal: MotorThermal, { go, goes, rest, rounds }: WarmDay): Lumps {
  const over = ({ seconds, watts }: WarmStretch) => lumpsOver(OHM, thermal, { squared: watts, friction: 0 }, seconds);
  // The same few stretches come again all day: what each does is worked out once.
  const stretches = go.filter(({ seconds }) => seconds > 0).map(over);
  const rested = rest > 0 ? over({ seconds: rest, watts: 0 }) : undefined;
  const now = { winding: thermal.ambient, shell: thermal.ambient };
  const most = { ...now };
  for (let round = 0; round < rounds; round++) {
    for (let i = 0; i < goes; i++)
      for (const after of stretches) {
        after(now, now);
        // What burns at once overflows the sum: it stays burnt.
        if (!(now.winding < BURNT)) now.winding = BURNT;
        if (!(now.shell < BURNT)) now.shell = BURNT;
        most.winding = Math.max(most.winding, now.winding);
        most.shell = Math.max(most.shell, now.shell);
      }
    if (rested) rested(now, now);
  }
  return most;
}

/**
 * Seconds of steady watts until the motor inside reaches its limit, from cold; ∞ where it does not within an hour.
 *
 * @example secondsAtWatts(servoThermal(0.055, 100, 25), 15) //=> 15.33
 */
export function secondsAtWatts(thermal: MotorThermal, watts: number): number {
  const cold = { winding: thermal.ambient, shell: thermal.ambient };
  const beyond = (seconds: number): boolean =>
    !(lumpsFrom(cold, OHM, thermal, { squared: watts, friction: 0 }, seconds).winding < thermal.windingLimit);
  if (!beyond(HOUR)) return Infinity;
  return bisect(0, HOUR, (seconds) => !beyond(seconds))[1];
}
