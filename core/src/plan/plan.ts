import type { Job } from './job.js';
import type { PartCopy } from './part.js';
import type { Quantity } from './quantity.js';
import type { Stage } from './stage.js';
import type { SupplyNode } from './supply.js';

/** What keeps a lifted load up when the power goes. */
export type Holder = 'nothing' | 'brake' | 'ratchet' | 'stage';

export interface WheelsOutput {
  readonly kind: 'wheels';
  readonly radius?: Quantity;
  /** Mass of the whole robot on these wheels. */
  readonly mass?: Quantity;
  readonly grip?: Quantity;
  /** Share of the weight that rests on driven wheels, 0…1. */
  readonly drivenShare?: Quantity;
  readonly rollingResistance?: Quantity;
}

export interface DrumOutput {
  readonly kind: 'drum';
  readonly radius?: Quantity;
  /** Metres of load per metre of rope: 1 for a plain rope, 2 for a two-stage cascade. */
  readonly loadPerRope?: Quantity;
  /** Share of the rope's pull left after the drum and its pulleys, 0…1. */
  readonly efficiency?: Quantity;
  readonly ropeStrength?: Quantity;
  readonly knotted?: boolean;
  readonly holder?: Holder;
}

export type Output = WheelsOutput | DrumOutput;

/** A direct-current drive, brushed or brushless: motors of one part on one gearbox. */
export interface DcDrive {
  readonly kind: 'dc';
  readonly motor: string;
  readonly motors: number;
  readonly controller: string;
  /** The supply node it hangs on. */
  readonly node: string;
  /** Limits set in the controller for this mechanism; the part's own where absent. */
  readonly statorLimit?: Quantity;
  readonly supplyLimit?: Quantity;
}

/** One way to do the mechanism's jobs. */
export interface Choice {
  readonly id: string;
  readonly name: string;
  readonly drive: DcDrive;
  readonly stages: readonly Stage[];
  /** The stage whose driven teeth or ratio move when the total is dragged. */
  readonly tuning?: string;
  readonly output: Output;
}

export type MechanismKind = 'drive-base' | 'lift';

export interface Mechanism {
  readonly id: string;
  readonly name: string;
  readonly kind: MechanismKind;
  readonly jobs: readonly Job[];
  readonly choices: readonly Choice[];
  /** Id of the choice in force. */
  readonly current: string;
}

export const PLAN_FORMAT = 'rough-gear-plan';
export const PLAN_VERSION = 1;

/** The document: one robot's plan. */
export interface Plan {
  readonly format: typeof PLAN_FORMAT;
  readonly version: typeof PLAN_VERSION;
  readonly name: string;
  readonly note?: string;
  readonly parts: Readonly<Record<string, PartCopy>>;
  readonly supply: readonly SupplyNode[];
  readonly mechanisms: readonly Mechanism[];
}

/** The choice a mechanism is judged by. Throws where the document names one that is not there. */
export function currentChoice(mechanism: Mechanism): Choice {
  const found = mechanism.choices.find((choice) => choice.id === mechanism.current);
  if (!found)
    throw new Error(`mechanism ${mechanism.name}: its current choice ${mechanism.current} is not among its choices`);
  return found;
}
