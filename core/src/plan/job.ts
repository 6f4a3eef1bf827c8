import type { Quantity } from './quantity.js';

interface JobBase {
  readonly id: string;
  readonly name: string;
  /** Time from the start of one go to the start of the next. */
  readonly every?: Quantity;
  /** How long it must hold still under load. */
  readonly held?: Quantity;
  /** What pushes on it from outside while it is held, whichever way is worse: ground on a wheel, another robot. */
  readonly heldAgainst?: Quantity;
  /** Multiplies the starting demand only. */
  readonly shock?: Quantity;
  readonly slope?: Quantity;
  /** Speed the job needs, where it is more than distance over time. */
  readonly speed?: Quantity;
  readonly acceleration?: Quantity;
  /** Slowest speed it must keep steadily; absent where it never has to creep. */
  readonly creep?: Quantity;
  /** How it comes to its end; arriving on the move where absent. */
  readonly profile?: Profile;
  /** What its motor and electronics meet where it works; dry and clean where absent. */
  readonly wet?: 'dust and splashes' | 'under water';
  readonly dirt?: 'some dirt' | 'any dirt';
  /** Whether it is struck again and again: a landing, a wall. */
  readonly blows?: boolean;
  /** Whether parts must stand that, or are only scored by it; a must where absent. */
  readonly surroundings?: 'must' | 'score';
}

/** moving: full effort, arriving on the move. stop: full effort, braking as late as it may. trapezoid: by speed and acceleration. */
export type Profile = 'moving' | 'stop' | 'trapezoid';

/** Drive base: cover a distance in a time. */
export interface SprintJob extends JobBase {
  readonly kind: 'sprint';
  readonly distance?: Quantity;
  readonly time?: Quantity;
}

/** Drive base: push with a force for a time. */
export interface PushJob extends JobBase {
  readonly kind: 'push';
  readonly push?: Quantity;
  readonly time?: Quantity;
}

/** Drive base: turn on the spot, its two sides running against each other. */
export interface SkidJob extends JobBase {
  readonly kind: 'skid';
  readonly angle?: Quantity;
  readonly time?: Quantity;
}

/** Straight lift: raise a mass by a height in a time, or let it down. */
export interface RaiseJob extends JobBase {
  readonly kind: 'raise';
  readonly mass?: Quantity;
  readonly distance?: Quantity;
  readonly time?: Quantity;
  readonly friction?: Quantity;
  readonly counterforce?: Quantity;
  readonly direction?: 'up' | 'down';
}

/** Arm: swing from one angle to another; angles from level, up is positive. */
export interface SwingJob extends JobBase {
  readonly kind: 'swing';
  /** What it carries at its tip. */
  readonly payload?: Quantity;
  readonly from?: Quantity;
  readonly to?: Quantity;
  readonly time?: Quantity;
  /** Angle it is held at; the worst of the swing where absent. */
  readonly holdAngle?: Quantity;
}

/** Climb or winch: haul a mass on a rope. */
export interface HaulJob extends JobBase {
  readonly kind: 'haul';
  readonly mass?: Quantity;
  readonly distance?: Quantity;
  readonly time?: Quantity;
  readonly friction?: Quantity;
}

/** Flywheel thrower: spin up within `time`, throw, be back at speed within `recover`. */
export interface ThrowJob extends JobBase {
  readonly kind: 'throw';
  readonly pieceMass?: Quantity;
  readonly exitSpeed?: Quantity;
  readonly time?: Quantity;
  readonly recover?: Quantity;
}

/** Roller or conveyor: pull something along at the surface. */
export interface ConveyJob extends JobBase {
  readonly kind: 'convey';
  readonly mass?: Quantity;
  readonly pull?: Quantity;
  readonly distance?: Quantity;
  readonly time?: Quantity;
  /** How long it may stall at full effort. */
  readonly jam?: Quantity;
}

/** Turntable: turn by an angle in a time and stand within a window. */
export interface TurnJob extends JobBase {
  readonly kind: 'turn';
  /** Turns on and on without stopping: angle and time say how fast. */
  readonly onAndOn?: boolean;
  readonly angle?: Quantity;
  readonly time?: Quantity;
  readonly settle?: Quantity;
}

/** Lead-screw carriage: move a mass along, against a push. */
export interface SlideJob extends JobBase {
  readonly kind: 'slide';
  readonly mass?: Quantity;
  readonly distance?: Quantity;
  readonly time?: Quantity;
  readonly push?: Quantity;
  readonly friction?: Quantity;
}

/** Grip: close on an object and hold it. */
export interface GripJob extends JobBase {
  readonly kind: 'grip';
  readonly mass?: Quantity;
  readonly gripForce?: Quantity;
  readonly angle?: Quantity;
  readonly time?: Quantity;
  /** What the robot's moves add to gravity while it is held. */
  readonly shake?: Quantity;
  readonly padGrip?: Quantity;
  readonly safety?: Quantity;
}

/** Leg joint: carry its share of the robot while it swings by an angle. */
export interface StrideJob extends JobBase {
  readonly kind: 'stride';
  readonly mass?: Quantity;
  readonly legsDown?: Quantity;
  readonly angle?: Quantity;
  readonly time?: Quantity;
}

export type Job =
  | StrideJob
  | SprintJob
  | PushJob
  | SkidJob
  | RaiseJob
  | SwingJob
  | HaulJob
  | ThrowJob
  | ConveyJob
  | TurnJob
  | SlideJob
  | GripJob;
export type JobKind = Job['kind'];
