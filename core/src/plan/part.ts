import type { Quantity } from './quantity.js';

interface PartBase {
  readonly name: string;
  readonly mass?: Quantity;
  readonly note?: string;
}

/** Data-sheet form: four numbers at one rated voltage. A stated resistance or Kv is only cross-checked. */
export interface MotorSheetData {
  readonly form: 'sheet';
  readonly ratedVoltage?: Quantity;
  readonly freeSpeed?: Quantity;
  readonly freeCurrent?: Quantity;
  readonly stallTorque?: Quantity;
  readonly stallCurrent?: Quantity;
  readonly statedResistance?: Quantity;
  readonly statedKv?: Quantity;
}

/** Velocity-constant form, usual for brushless motors. Kv is in rad/s per volt inside. */
export interface MotorKvData {
  readonly form: 'kv';
  readonly kv?: Quantity;
  readonly resistance?: Quantity;
  readonly freeCurrent?: Quantity;
}

export interface MotorPart extends PartBase {
  readonly kind: 'motor';
  readonly type: 'brushed' | 'brushless';
  readonly data: MotorSheetData | MotorKvData;
  readonly freeCurrentPerSpeed?: Quantity;
  readonly rotorInertia?: Quantity;
  readonly canDiameter?: Quantity;
  readonly continuousCurrent?: Quantity;
  readonly windingLimit?: Quantity;
  readonly polePairs?: number;
  /** A gearmotor's sheet may speak of the gearbox's output: then its losses are in the figures already. */
  readonly figuresAt?: 'shaft' | 'output';
}

export type Chemistry = 'lipo' | 'liion' | 'lifepo4' | 'nimh' | 'lead' | 'alkaline';

export interface PackPart extends PartBase {
  readonly kind: 'pack';
  readonly chemistry: Chemistry;
  readonly series: number;
  readonly parallel: number;
  /** Charge of the whole pack, in ampere-seconds inside. */
  readonly capacity?: Quantity;
  readonly cellResistance?: Quantity;
  readonly leadResistance?: Quantity;
  readonly dischargeLimit?: Quantity;
  readonly chargeLimit?: Quantity;
}

export interface ControllerPart extends PartBase {
  readonly kind: 'controller';
  readonly drives: readonly ('brushed' | 'brushless')[];
  readonly resistance?: Quantity;
  /** Motor-side (stator) limit per motor; absent means the controller has none. */
  readonly statorLimit?: Quantity;
  /** Pack-side (supply) limit per motor; absent means the controller has none. */
  readonly supplyLimit?: Quantity;
  readonly lowestVoltage?: Quantity;
  readonly highestVoltage?: Quantity;
  readonly greatestDuty?: Quantity;
  readonly erpmLimit?: Quantity;
}

export interface BreakerPart extends PartBase {
  readonly kind: 'breaker';
  readonly type: 'snap' | 'main' | 'fuse';
  readonly rated?: Quantity;
  readonly holdMultiple?: Quantity;
  readonly timeConstant?: Quantity;
}

export type Part = MotorPart | PackPart | ControllerPart | BreakerPart;
export type PartKind = Part['kind'];

/** A plan carries copies of its parts, so that it stands without the shelf it took them from. */
export interface PartCopy {
  readonly part: Part;
  readonly shelfId?: string;
  readonly shelfRevision?: number;
  readonly copiedAt?: string;
}
