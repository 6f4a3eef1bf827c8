import { newPull, type Pull, type PullRule } from './acceleration.js';
import type { MotionSystem } from './system.js';

/** Place, speed, energy at the pack's terminals, ∫I²dt of one motor. Plain numbers in a row: nothing is made anew in a step. */
export type State = Float64Array;
export const Q = 0;
export const V = 1;
export const ENERGY = 2;
export const I2 = 3;
const PARTS = 4;

export const stateOf = (place: number, speed: number, energy = 0, squared = 0): State =>
  Float64Array.of(place, speed, energy, squared);

/** How every part of the state changes per second under a pull, written into `into`. */
export function slopeInto(into: State, { drive, packResistance }: MotionSystem, speed: number, pull: Pull): void {
  const total = drive.motors * pull.supplyCurrent;
  into[Q] = speed;
  into[V] = pull.acceleration;
  into[ENERGY] = (drive.restVoltage - packResistance * total) * total;
  into[I2] = pull.motorCurrent * pull.motorCurrent;
}

/** An end is found to this share of a step: far below what the step itself errs. */
const NEAR_THE_END = 2 ** -24;
const LOOKS_BY_LINE = 10;
/** Halving from there on, the whole step at worst. */
const MOST_LOOKS = LOOKS_BY_LINE + 24;

/** The room a step needs: its slopes, where it comes to, and by how much it may be off. */
export class StepRoom {
  readonly k1 = new Float64Array(PARTS);
  readonly k4 = new Float64Array(PARTS);
  readonly next = new Float64Array(PARTS);
  readonly error = new Float64Array(PARTS);
  private readonly k2 = new Float64Array(PARTS);
  private readonly k3 = new Float64Array(PARTS);
  private readonly middle = new Float64Array(PARTS);

  private readonly pull = newPull();
  private pullAtEnd = newPull();

  constructor(
    private readonly system: MotionSystem,
    private readonly rule: PullRule,
  ) {}

  private slope(into: State, state: State, time: number, pull = this.pull): void {
    const speed = state[V]!;
    slopeInto(into, this.system, speed, this.rule(state[Q]!, Math.max(0, speed), time, pull));
  }

  /** Where one Bogacki–Shampine step from a state comes to, third order. `k1` is the slope there. */
  advance(state: State, time: number, step: number): void {
    const { k1, k2, k3, middle, next } = this;
    for (let i = 0; i < PARTS; i++) middle[i] = state[i]! + step * (1 / 2) * k1[i]!;
    this.slope(k2, middle, time + step / 2);
    for (let i = 0; i < PARTS; i++) middle[i] = state[i]! + step * (3 / 4) * k2[i]!;
    this.slope(k3, middle, time + (3 * step) / 4);
    for (let i = 0; i < PARTS; i++)
      next[i] = state[i]! + step * (2 / 9) * k1[i]! + step * (1 / 3) * k2[i]! + step * (4 / 9) * k3[i]!;
  }

  /** The same with the second-order answer beside it as the error, and the slope at the end. */
  try(state: State, time: number, step: number): void {
    this.advance(state, time, step);
    const { k1, k2, k3, k4, next, error } = this;
    this.slope(k4, next, time + step, this.pullAtEnd);
    for (let i = 0; i < PARTS; i++)
      error[i] =
        step * (2 / 9 - 7 / 24) * k1[i]! +
        step * (1 / 3 - 1 / 4) * k2[i]! +
        step * (4 / 9 - 1 / 3) * k3[i]! +
        step * (-1 / 8) * k4[i]!;
  }

  /** What pulls at the end of the step that was tried last, in exchange for one that may be written over. */
  takePull(instead: Pull): Pull {
    const pull = this.pullAtEnd;
    this.pullAtEnd = instead;
    return pull;
  }

  /**
   * Shortens a step that went past an end until it ends there: the least step after which `past` is not under 0. Where a
   * line between the two ends puts it, and by halving where that does not come nearer.
   */
  endOf(state: State, time: number, longest: number, past: (state: State) => number): { step: number; state: State } {
    const near = longest * NEAR_THE_END;
    let [low, high] = [0, longest];
    let under = past(state);
    this.advance(state, time, high);
    let over = past(this.next);
    const reached = Float64Array.from(this.next);
    for (let i = 0; i < MOST_LOOKS && high - low > near; i++) {
      const line = low - (under * (high - low)) / (over - under);
      const step =
        i < LOOKS_BY_LINE && Number.isFinite(line)
          ? Math.min(high - near / 2, Math.max(low + near / 2, line))
          : (low + high) / 2;
      this.advance(state, time, step);
      const there = past(this.next);
      if (there >= 0) {
        // An end that stays where it is draws the line to the other side: half its weight brings that nearer too.
        if (over < there * 2) under /= 2;
        [high, over] = [step, there];
        reached.set(this.next);
      } else {
        if (-under < -there * 2) over /= 2;
        [low, under] = [step, there];
      }
    }
    return { step: high, state: reached };
  }
}

/** The next step length from the error of one that was tried, over what is allowed. */
export const nextStep = (step: number, error: number): number =>
  error > 1 ? step * Math.max(0.2, 0.9 / Math.cbrt(error)) : step * Math.min(4, 0.9 / Math.cbrt(Math.max(error, 1e-4)));

/** What heats may err by so many times as much as what moves: it is a root, and no end is found by it. */
const LOOSER_HEAT = 30;

/**
 * The greatest error over what is allowed: of place and speed, and of ∫I²dt over what it has come to, since a step that
 * jumps from one limit to the next moves a light load right and its heat wrong.
 */
export const errorOf = (error: State, next: State, place: number, speed: number, tolerance: number): number =>
  Math.max(
    Math.abs(error[Q]!) / (tolerance * place),
    Math.abs(error[V]!) / (tolerance * speed),
    next[I2]! > 0 ? Math.abs(error[I2]!) / (LOOSER_HEAT * tolerance * next[I2]!) : 0,
  );
