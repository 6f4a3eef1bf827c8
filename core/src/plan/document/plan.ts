import type { Job, MechanismKind, Output } from './load.js';
import type { Decay, PartCopy } from './part.js';
import type { Quantity } from './quantity.js';
import type { Stage } from './stage.js';
import type { DayPlan, EventSheet } from './eventSheet.js';
import type { MatchScript } from './script.js';
import type { SupplyNode } from './supply.js';
import type { WantId } from './want.js';
import type { WireColours } from './wireColours.js';

/** A direct-current drive, brushed or brushless: motors of one part, on one gearbox or each on its own. */
export interface DcDrive {
  readonly kind: 'dc';
  readonly motor: string;
  readonly motors: number;
  /** Each motor has a train of its own, and turns a wheel of its own: they share the load, not the teeth. */
  readonly apart?: boolean;
  readonly controller: string;
  /** The supply node it hangs on. */
  readonly node: string;
  /** Limits set in the controller for this mechanism; the part's own where absent. */
  readonly statorLimit?: Quantity;
  readonly supplyLimit?: Quantity;
  readonly brakeLimit?: Quantity;
  readonly returnLimit?: Quantity;
  /** Seconds in which the controller goes from nothing to full. */
  readonly rampTime?: Quantity;
  /** What it does with no command. */
  readonly idle?: 'brake' | 'coast';
  readonly direction?: 'forward' | 'reverse';
  /** Plain effort, or a speed lock that rolls its current back in a bind. */
  readonly control?: 'effort' | 'lock';
  readonly rollBack?: Quantity;
  /** A small steady current that cancels the drag of running idle. */
  readonly dragOffset?: Quantity;
  /** How far the motor is timed ahead of what its sheet was measured at: an electrical angle. */
  readonly timing?: Quantity;
  /** Counts of its encoder for a turn of the shaft that it sits on. */
  readonly encoderCounts?: Quantity;
  readonly encoderOn?: 'motor' | 'output';
}

/** A stepping motor, or a step-driven servo, behind a driver that takes pulses from a board. */
export interface StepDrive {
  readonly kind: 'step';
  readonly motor: string;
  readonly motors: number;
  /** Each motor has a train of its own, and turns a wheel of its own: they share the load, not the teeth. */
  readonly apart?: boolean;
  readonly driver: string;
  readonly board: string;
  /** The supply node it hangs on. */
  readonly node: string;
  /** Micro-steps of a full step; of a step-driven servo the commanded steps of a turn. */
  readonly steps?: number;
  /** Of one phase, r.m.s. */
  readonly setCurrent?: Quantity;
  /** Share of the set current while it stands. */
  readonly idleShare?: Quantity;
  /** Speeds up and slows down along a ramp, or starts and stops at once. */
  readonly ramp?: 'ramp' | 'at once';
  /** Set on the driver, where it can be; the driver's own where absent. */
  readonly decay?: Decay;
  /** Whether the board drives the driver's enable input. */
  readonly enableWired?: boolean;
  /** What lies between the board's pin and the driver's input. */
  readonly signalStage?: 'none' | 'transistor' | 'resistor';
  /** Inertia that is suddenly coupled to the turning output. */
  readonly engagedInertia?: Quantity;
  readonly engagedMass?: Quantity;
  /** Locked to another turning shaft: how far the output moves per turn of it, and its encoder. */
  readonly leadPitch?: Quantity;
  readonly leadAngle?: Quantity;
  readonly leadEncoderLines?: number;
}

/** How a servo's horn moves what it moves. Lengths of a four-bar linkage, or of a straight push rod. */
export interface DirectLinkage {
  readonly kind: 'direct';
}
export interface FourBarLinkage {
  readonly kind: 'four-bar';
  readonly ground?: Quantity;
  readonly horn?: Quantity;
  readonly rod?: Quantity;
  readonly lever?: Quantity;
  readonly crossed?: boolean;
  /** Horn's angle at the start of the job, from the line through both axles. */
  readonly start?: Quantity;
  /** Which way the horn turns for the job. */
  readonly turns?: 'with' | 'against';
}
export interface PushRodLinkage {
  readonly kind: 'push-rod';
  readonly horn?: Quantity;
  readonly rod?: Quantity;
  readonly offset?: Quantity;
  /** Horn's angle at the start of the job, from the line it pushes along. */
  readonly start?: Quantity;
  readonly turns?: 'with' | 'against';
}
export type LinkagePlan = DirectLinkage | FourBarLinkage | PushRodLinkage;

/** A pulse that was sent, and the angle measured. */
export interface PulseAtAngle {
  readonly pulse: Quantity;
  readonly angle: Quantity;
}

/** A joint between this servo and the tip, or after it: for the error of the tip. */
export interface ChainLink {
  readonly name: string;
  readonly length?: Quantity;
  readonly angle?: Quantity;
  readonly error?: Quantity;
}

export type HornShape = 'one arm' | 'two arms' | 'cross' | 'disc';

/** Position servos of one part on one output, fed from a rail. */
export interface ServoDrive {
  readonly kind: 'servo';
  readonly servo: string;
  readonly servos: number;
  /** Joints alike, each with servos of its own: they share the rail, not the load. */
  readonly joints?: number;
  /** The rail it hangs on. */
  readonly node: string;
  readonly linkage?: LinkagePlan;
  readonly calibration?: readonly PulseAtAngle[];
  /** Joints from the base to the tip; this servo's own is the one without an error typed. */
  readonly chain?: readonly ChainLink[];
  /** How exactly the tip must come back. */
  readonly tipWindow?: Quantity;
  /** Programmed into it: share of its speed it may go at, and where it goes when it is switched on. */
  readonly speedCap?: Quantity;
  readonly startPoint?: Quantity;
  /** The horn that is to go on it: its teeth and its shape; and the room there is for its case. */
  readonly hornTeeth?: number;
  readonly hornShape?: HornShape;
  readonly roomLength?: Quantity;
  readonly roomWidth?: Quantity;
  readonly roomHeight?: Quantity;
}

/** What turns the output. */
export type MachineDrive = DcDrive | StepDrive | ServoDrive;

/** One way to do the mechanism's jobs. */
export interface Choice {
  readonly id: string;
  readonly name: string;
  readonly drive: MachineDrive;
  readonly stages: readonly Stage[];
  /** The stage whose driven teeth or ratio move when the total is dragged. */
  readonly tuning?: string;
  readonly output: Output;
}

export interface Mechanism {
  readonly id: string;
  readonly name: string;
  readonly kind: MechanismKind;
  readonly jobs: readonly Job[];
  readonly choices: readonly Choice[];
  /** Id of the choice in force. */
  readonly current: string;
  /** What it is built of besides motors, controllers and its train: frames, drums, wheels, what it carries along. */
  readonly structure?: Quantity;
}

export const PLAN_FORMAT = 'rough-gear-plan';
export const PLAN_VERSION = 4;

/** How a day goes: matches of a length, with rests between. */
export interface MatchPlan {
  readonly length?: Quantity;
  readonly rest?: Quantity;
  readonly rounds?: Quantity;
}

/** How far real builds vary, each ± of the middle unless it says otherwise. */
export interface SpreadPlan {
  readonly constants?: Quantity;
  readonly friction?: Quantity;
  readonly mass?: Quantity;
  readonly leastCharge?: Quantity;
  readonly mostCharge?: Quantity;
  readonly efficiency?: Quantity;
}

/** What a choice was made on: a figure then, and where it stops being so. */
export interface Claim {
  readonly want: WantId;
  readonly then: number;
  /** The other's figure, or what the job asks: past it the claim is no longer true. */
  readonly bound: number;
}

/** Why something was chosen: one line of the plan's log. */
export interface Reason {
  readonly id: string;
  /** ISO 8601 */
  readonly writtenAt: string;
  readonly mechanism: string;
  readonly job: string;
  readonly choice: string;
  /** What was chosen, and over what, in words. */
  readonly chosen: string;
  readonly over: string;
  readonly claims: readonly Claim[];
  /** What it is worse in, in words. */
  readonly gaveUp?: string;
  /** The person's own sentence. */
  readonly why?: string;
}

/** The document: one robot's plan. */
export interface Plan {
  readonly format: typeof PLAN_FORMAT;
  readonly version: typeof PLAN_VERSION;
  readonly name: string;
  readonly note?: string;
  readonly match?: MatchPlan;
  readonly spread?: SpreadPlan;
  /** What the robot does in a match; several ways of playing it are kept. */
  readonly scripts?: readonly MatchScript[];
  readonly day?: DayPlan;
  /** What its event allows. */
  readonly event?: EventSheet;
  /** Mass of what belongs to no mechanism: frame, boards, covers; without the pack. */
  readonly frame?: Quantity;
  /** Colours the team gives its wires. */
  readonly wireColours?: WireColours;
  readonly parts: Readonly<Record<string, PartCopy>>;
  readonly supply: readonly SupplyNode[];
  readonly mechanisms: readonly Mechanism[];
  /** Why things are as they are, the oldest first. */
  readonly reasons?: readonly Reason[];
}

/**
 * The drive of a choice that plain motors turn. Throws for any other machine: who asks must have looked.
 *
 * @example dcDriveOf(currentChoice(mast)).motors //=> 1
 */
export function dcDriveOf({ name, drive }: Choice): DcDrive {
  if (drive.kind !== 'dc') throw new Error(`${name} is turned by a ${drive.kind} drive, not by plain motors`);
  return drive;
}

/**
 * Motors, or servos, in all.
 *
 * @example countOf(currentChoice(mast).drive) //=> 1
 */
export const countOf = (drive: MachineDrive): number => (drive.kind === 'servo' ? drive.servos : drive.motors);

/** The same with every joint's own servos: the pieces that are bought, wired and commanded. */
export const piecesIn = (drive: MachineDrive): number =>
  countOf(drive) * (drive.kind === 'servo' ? (drive.joints ?? 1) : 1);

/** How many motors have a train and a wheel of their own; `undefined` where all turn one. */
export const apartOf = (drive: MachineDrive): number | undefined =>
  drive.kind !== 'servo' && drive.apart && drive.motors > 1 ? drive.motors : undefined;

/** How many trains there are: one for all motors, or one each where they drive apart. */
export const trainsOf = (drive: MachineDrive): number =>
  drive.kind !== 'servo' && drive.apart === true ? drive.motors : 1;

/** The parts a drive is made of, by their ids: one of each to a motor, but one board for all. */
export function partIdsOf(drive: MachineDrive): readonly string[] {
  if (drive.kind === 'servo') return [drive.servo];
  return drive.kind === 'dc' ? [drive.motor, drive.controller] : [drive.motor, drive.driver];
}

/**
 * The choice a mechanism is judged by. Throws where the document names one that is not there.
 *
 * @example currentChoice(mast).name //=> 'as built'
 */
export function currentChoice(mechanism: Mechanism): Choice {
  const found = mechanism.choices.find((choice) => choice.id === mechanism.current);
  if (!found)
    throw new Error(`mechanism ${mechanism.name}: its current choice ${mechanism.current} is not among its choices`);
  return found;
}
