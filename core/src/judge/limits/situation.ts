import type { Need } from '../../plan/figures/figure.js';
import { oncePer } from '../../path/powerpath/memory.js';
import {
  heldForce,
  motorSpeed,
  worstDrivenPlace,
  worstHoldingPlace,
  worstStartingPlace,
  worstWorkingPlace,
  type PowerPath,
} from '../../path/powerpath/path.js';
import {
  askedAccelerationOf,
  askedSpeedOf,
  figureOf,
  holdForceOf,
  inertiaOf,
  resistingOf,
  workingOfLoad,
} from '../../path/terms/pathTerms.js';
import { add, mul, named, neg, num, type Expression } from '../../path/worked/expression.js';

export const SITUATIONS = ['starting', 'working', 'holding'] as const;
export type SituationId = (typeof SITUATIONS)[number];

/** What a situation demands of the output, and at which speed. On q: N and m/s, or N·m and rad/s. */
export interface Situation {
  readonly id: SituationId;
  readonly demand: number;
  readonly speed: number;
  readonly motorSpeed: number;
  /** Only the starting situation takes some of the motor for speeding up its own rotor. */
  readonly acceleration: number;
  /** How long it pushes, s: what breakers feel. */
  readonly seconds: number;
  /** The load pushes back through the train, or pushes on: losses help. */
  readonly back: boolean;
}

/** The figures a situation's demand rests on. */
export const SITUATION_NEEDS: Readonly<Record<SituationId, readonly Need[]>> = {
  starting: ['load', 'output', 'throw', 'job'],
  working: ['load', 'output', 'throw', 'job'],
  holding: ['load', 'output'],
};

const situationsOf = oncePer((_path: PowerPath): Partial<Record<SituationId, Situation>> => ({}));

/**
 * D, v and a of one situation. Worked out once for a path: every limit, link and check asks.
 *
 * @example situationOf(path, 'working') //=> { id: 'working', demand: 208.1, speed: 0.8438, motorSpeed: 345.2, acceleration: 0, seconds: 1.6, back: false }
 */
export function situationOf(path: PowerPath, id: SituationId): Situation {
  return (situationsOf(path)[id] ??= workedOut(path, id));
}

/**
 * D of starting at an acceleration, where starting as it is asked is hardest: shock·(F(q, 0) + M(q)·a).
 *
 * @example startingDemand(path, 0) < startingDemand(path, 1) //=> true
 */
export function startingDemand(path: PowerPath, acceleration: number): number {
  const place = worstStartingPlace(path);
  return path.asked.shock * (path.load.force(place, 0) + path.load.inertia(place) * acceleration);
}

function workedOut(path: PowerPath, id: SituationId): Situation {
  const { load, asked } = path;
  switch (id) {
    case 'starting': {
      const { acceleration } = asked;
      const seconds = acceleration > 0 ? asked.speed / acceleration : asked.time;
      const demand = startingDemand(path, acceleration);
      const at = { id, speed: 0, motorSpeed: 0, seconds };
      if (demand > 0) return { ...at, demand, acceleration, back: false };
      // Let go, the load runs off by itself: starting it takes holding it.
      const drives = Math.max(0, -load.force(worstDrivenPlace(path), 0));
      return { ...at, demand: asked.shock * drives, acceleration: 0, back: drives > 0 };
    }
    case 'working':
      return {
        id,
        demand: load.force(worstWorkingPlace(path), asked.speed) + (asked.recovery ?? 0),
        speed: asked.speed,
        motorSpeed: motorSpeed(path, asked.speed),
        acceleration: 0,
        seconds: asked.workingSeconds,
        back: false,
      };
    case 'holding':
      return {
        id,
        demand: heldForce(path),
        speed: 0,
        motorSpeed: 0,
        acceleration: 0,
        seconds: asked.held,
        back: true,
      };
  }
}

/** The demand's formula. */
export function demandWorking(path: PowerPath, id: SituationId): Expression {
  const unit = path.load.unit === 'm' ? 'force' : 'torque';
  const demand = (of: Expression): Expression => named('D', `demand, ${id}`, unit, of);
  if (id === 'holding') {
    const place = worstHoldingPlace(path);
    const held = holdForceOf(path, place);
    return demand(path.load.holdForce(place) < 0 ? neg(held) : held);
  }
  if (id === 'working') return demand(workingOfLoad(path, worstWorkingPlace(path)));
  const shock = figureOf(path, 'job.shock');
  if (situationOf(path, id).back) return demand(mul(shock, neg(atRest(path, worstDrivenPlace(path)))));
  const inertia = mul(inertiaOf(path), askedAccelerationOf(path));
  return demand(mul(shock, add(atRest(path, worstStartingPlace(path)), inertia)));
}

/** What resists at rest: a wheel's air drag is not there yet. */
const atRest = (path: PowerPath, place: number): Expression =>
  path.thrown ? figureOf(path, 'output.flywheelFriction') : resistingOf(path, place);

/** v of a situation as a term. */
export const speedWorking = (path: PowerPath, id: SituationId): Expression =>
  id === 'working' ? askedSpeedOf(path) : num(0);
