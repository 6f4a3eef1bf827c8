import { screwBackEfficiency } from './screwEfficiency.js';

/** Whether a screw or worm stays by itself, over the band in which its friction really lies. */
export interface SelfHolding {
  /** Back efficiency at the friction given. */
  readonly asGiven: number;
  /** At 0.7 of it: grease, shaking. */
  readonly greased: number;
  /** Friction at and above which it stays: cosα·tanλ. */
  readonly staysFrom: number;
  readonly answer: 'stays' | 'may creep' | 'runs back';
}

/** Friction falls to 0.7 of what is taken for it when it is greased and shaken. */
export const FRICTION_LEFT = 0.7;

/**
 * Stays only where it still does so at 0.7·μ. Angles in rad.
 *
 * @example selfHolding(0.08, 0.12, 0.26) //=> { asGiven: 0, greased: 0, staysFrom: 0.07748, answer: 'stays' }
 */
export function selfHolding(leadAngle: number, friction: number, flankAngle: number): SelfHolding {
  const asGiven = screwBackEfficiency(leadAngle, friction, flankAngle);
  const greased = screwBackEfficiency(leadAngle, FRICTION_LEFT * friction, flankAngle);
  return {
    asGiven,
    greased,
    staysFrom: Math.cos(flankAngle) * Math.tan(leadAngle),
    answer: greased <= 0 ? 'stays' : asGiven <= 0 ? 'may creep' : 'runs back',
  };
}
