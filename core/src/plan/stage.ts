import type { Quantity } from './quantity.js';

interface StageBase {
  readonly id: string;
  readonly name?: string;
  /** Efficiency driving forwards, 0…1; the kind's typical value where absent. */
  readonly efficiency?: Quantity;
  readonly pitch?: Quantity;
  readonly face?: Quantity;
  readonly bore?: Quantity;
  /** Pattern of the holes a motor is screwed to. */
  readonly mount?: string;
  readonly shaftPosition?: { readonly x: Quantity; readonly y: Quantity };
}

/** A ratio that is known as one number, such as a gearbox bought whole. */
export interface RatioStage extends StageBase {
  readonly kind: 'ratio';
  readonly ratio?: Quantity;
}

/** Two wheels with teeth: `driver` teeth drive `driven` teeth. */
export interface ToothedStage extends StageBase {
  readonly kind: 'teeth' | 'chain' | 'belt';
  readonly driver: number;
  readonly driven: number;
}

export interface PlanetaryStage extends StageBase {
  readonly kind: 'planetary';
  readonly ratio?: Quantity;
}

/** Worm and wheel: starts of the worm, teeth of the wheel, lead angle and friction decide the losses. */
export interface WormStage extends StageBase {
  readonly kind: 'worm';
  readonly starts: number;
  readonly teeth: number;
  readonly leadAngle?: Quantity;
  readonly flankAngle?: Quantity;
  readonly friction?: Quantity;
}

/** Lead screw: lead per turn; the output is then a force on the nut. */
export interface ScrewStage extends StageBase {
  readonly kind: 'screw';
  readonly lead?: Quantity;
  readonly leadAngle?: Quantity;
  readonly flankAngle?: Quantity;
  readonly friction?: Quantity;
}

export type Stage = RatioStage | ToothedStage | PlanetaryStage | WormStage | ScrewStage;
export type StageKind = Stage['kind'];
