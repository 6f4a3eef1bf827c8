import type { Pull } from './acceleration.js';
import type { MotionSystem } from './system.js';

/** Place, speed, energy at the pack's terminals, ∫I²dt of one motor. */
export type State = readonly [place: number, speed: number, energy: number, squared: number];
export const Q = 0;
export const V = 1;
export const ENERGY = 2;
export const I2 = 3;

/** What pulls at a place, a speed and a time since the start. */
export type PullRule = (q: number, speed: number, time: number) => Pull;

/** How every part of the state changes per second under a pull. */
export function slopeAt({ drive, packResistance }: MotionSystem, state: State, pull: Pull): State {
  const { motorCurrent, supplyCurrent } = pull.point;
  const total = drive.motors * supplyCurrent;
  const power = (drive.restVoltage - packResistance * total) * total;
  return [state[V], pull.acceleration, power, motorCurrent * motorCurrent];
}

/** A state moved by a step along a weighted sum of slopes: plain arithmetic, since every step does it six times. */
function along(state: State, step: number, slopes: readonly State[], weights: readonly number[]): State {
  let [place, speed, energy, squared] = state;
  for (let i = 0; i < slopes.length; i++) {
    const slope = slopes[i]!;
    const weight = step * weights[i]!;
    place += weight * slope[Q];
    speed += weight * slope[V];
    energy += weight * slope[ENERGY];
    squared += weight * slope[I2];
  }
  return [place, speed, energy, squared];
}

/** Bogacki–Shampine's weights: of the half step, of three quarters, of the third-order answer, and of the error. */
const HALF = [1 / 2];
const LATER = [3 / 4];
const THIRD = [2 / 9, 1 / 3, 4 / 9];
const ERROR = [2 / 9 - 7 / 24, 1 / 3 - 1 / 4, 4 / 9 - 1 / 3, -1 / 8];
const NOWHERE: State = [0, 0, 0, 0];

function slopeOf(system: MotionSystem, rule: PullRule, state: State, time: number): State {
  return slopeAt(system, state, rule(state[Q], Math.max(0, state[V]), time));
}

/** One Bogacki–Shampine step: third order, with the second-order answer beside it as the error. */
export function tryStep(system: MotionSystem, rule: PullRule, state: State, k1: State, time: number, step: number) {
  const k2 = slopeOf(system, rule, along(state, step, [k1], HALF), time + step / 2);
  const k3 = slopeOf(system, rule, along(state, step, [k2], LATER), time + (3 * step) / 4);
  const next = along(state, step, [k1, k2, k3], THIRD);
  const k4 = slopeOf(system, rule, next, time + step);
  const error = along(NOWHERE, step, [k1, k2, k3, k4], ERROR);
  return { state: next, slope: k4, error };
}

/** Shortens a step that went beyond an end until it ends there: the least step after which `beyond` holds. */
export function stepTo(
  system: MotionSystem,
  rule: PullRule,
  state: State,
  slope: State,
  time: number,
  longest: number,
  beyond: (state: State) => boolean,
): { readonly step: number; readonly state: State } {
  let [low, high] = [0, longest];
  let reached = tryStep(system, rule, state, slope, time, high).state;
  // To a part in ten million of a step: far below what the step itself errs.
  for (let i = 0; i < 24; i++) {
    const middle = (low + high) / 2;
    const tried = tryStep(system, rule, state, slope, time, middle).state;
    if (beyond(tried)) [high, reached] = [middle, tried];
    else low = middle;
  }
  return { step: high, state: reached };
}

/** The next step length from the error of one that was tried, over what is allowed. */
export const nextStep = (step: number, error: number): number =>
  error > 1 ? step * Math.max(0.2, 0.9 / Math.cbrt(error)) : step * Math.min(4, 0.9 / Math.cbrt(Math.max(error, 1e-4)));

/** The greatest of place's and speed's errors over what is allowed. */
export const errorOf = (error: State, place: number, speed: number, tolerance: number): number =>
  Math.max(Math.abs(error[Q]) / (tolerance * place), Math.abs(error[V]) / (tolerance * speed));
