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

/** What keeps a lifted load up when the power goes. */
export type Holder = 'nothing' | 'brake' | 'ratchet' | 'stage';

/** Of an output that lifts: what keeps it up when the power goes, and what may come down all the same. */
export interface Lifted {
  readonly holder?: Holder;
  /** Energy up to which a fall is only noted. */
  readonly harmlessFall?: Quantity;
  /** Why it may come down when the power goes, in the person's own words; absent where it must not. */
  readonly mayFall?: string;
}

export interface WheelsOutput {
  readonly kind: 'wheels';
  readonly radius?: Quantity;
  /** Mass of the whole robot on these wheels. */
  readonly mass?: Quantity;
  readonly grip?: Quantity;
  /** Share of the weight that rests on driven wheels, 0…1; driven wheels over all of them where absent. */
  readonly drivenShare?: Quantity;
  /** Wheels that carry the robot, and how many of them are driven: all where absent, one a motor where each has its own. */
  readonly wheels?: number;
  readonly driven?: number;
  readonly rollingResistance?: Quantity;
  /** From the wheels of one side to those of the other, and from the first axle that stands on the ground to the last. */
  readonly track?: Quantity;
  readonly base?: Quantity;
  /** Grip of a tyre that is dragged sideways. */
  readonly scrub?: Quantity;
  /** Of the whole robot about its upright axis. */
  readonly yawInertia?: Quantity;
  /** Of all wheels together, about their axles. */
  readonly wheelInertia?: Quantity;
  /** Motors of the drive's kind that sit on the same wheels and only turn along: dead, or left unpowered. */
  readonly dragged?: number;
}

export interface DrumOutput extends Lifted {
  readonly kind: 'drum';
  readonly radius?: Quantity;
  /** Metres of load per metre of rope: 1 for a plain rope, 2 for a two-stage cascade. */
  readonly loadPerRope?: Quantity;
  /** Share of the rope's pull left after the drum and its pulleys, 0…1. */
  readonly efficiency?: Quantity;
  readonly ropeStrength?: Quantity;
  readonly knotted?: boolean;
  /** With the drum's width it says how many layers of rope lie on the drum at the end. */
  readonly ropeDiameter?: Quantity;
  readonly drumWidth?: Quantity;
}

/** An arm about a pivot. */
export interface ArmOutput extends Lifted {
  readonly kind: 'arm';
  readonly length?: Quantity;
  readonly mass?: Quantity;
  /** From the pivot to the arm's own centre of mass. */
  readonly centre?: Quantity;
  /** About its centre of mass. */
  readonly inertia?: Quantity;
  readonly friction?: Quantity;
  /** Torque per radian of a spring that lifts below its neutral angle. */
  readonly springRate?: Quantity;
  readonly springZero?: Quantity;
}

/** One wheel and a hood, or two wheels. */
export interface FlywheelOutput {
  readonly kind: 'flywheel';
  readonly radius?: Quantity;
  /** Of all wheels together. */
  readonly inertia?: Quantity;
  readonly wheels?: 'one' | 'two';
  readonly ball?: 'solid' | 'hollow';
  readonly slip?: Quantity;
  readonly friction?: Quantity;
  readonly airDrag?: Quantity;
}

export interface RollerOutput {
  readonly kind: 'roller';
  readonly radius?: Quantity;
}

export interface TurntableOutput {
  readonly kind: 'turntable';
  readonly inertia?: Quantity;
  readonly friction?: Quantity;
  /** Steps of the sensor per turn of the motor; absent where the table itself is measured. */
  readonly counts?: Quantity;
  readonly backlash?: Quantity;
}

/** A carriage on a lead screw; the screw's lead is a stage. */
export interface CarriageOutput extends Lifted {
  readonly kind: 'carriage';
  /** Root diameter and free length of the screw: what buckles. */
  readonly screwDiameter?: Quantity;
  readonly freeLength?: Quantity;
  /** How the screw's ends are held. */
  readonly ends?: 'fixed-free' | 'supported' | 'fixed-supported' | 'fixed';
}

export interface GripOutput {
  readonly kind: 'grip';
  readonly fingerLength?: Quantity;
  readonly inertia?: Quantity;
}

/** A leg that stands: the foot's distance from its joint, level. */
export interface LegOutput {
  readonly kind: 'leg';
  readonly lever?: Quantity;
  readonly inertia?: Quantity;
}

export type Output =
  | LegOutput
  | WheelsOutput
  | DrumOutput
  | ArmOutput
  | FlywheelOutput
  | RollerOutput
  | TurntableOutput
  | CarriageOutput
  | GripOutput;

export type MechanismKind =
  'drive-base' | 'lift' | 'arm' | 'climb' | 'thrower' | 'roller' | 'turntable' | 'carriage' | 'grip' | 'leg';
