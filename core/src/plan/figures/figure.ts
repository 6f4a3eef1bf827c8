import type { Place } from '../document/place.js';
import type { Source } from '../document/quantity.js';
import type { Dimension } from '../words/dimension.js';

/** A group of figures that some limit needs together. */
export type Need =
  | 'motor'
  | 'rotor'
  | 'heat'
  | 'continuous'
  | 'poles'
  | 'pack'
  | 'discharge'
  | 'wiring'
  | 'controller'
  | 'window'
  | 'erpm'
  | 'branch breaker'
  | 'main breaker'
  | 'train'
  | 'output'
  | 'traction'
  | 'rope'
  | 'load'
  | 'job'
  | 'buckling'
  | 'braking'
  | 'returned'
  | 'charge'
  | 'start'
  | 'creep'
  | 'throw'
  | 'settling'
  | 'shaft'
  | 'driver'
  | 'pulses'
  | 'signal'
  | 'engaged'
  | 'rail'
  | 'linkage'
  | 'travel'
  | 'precision'
  | 'gear'
  | 'chain'
  | 'slack'
  | 'belt'
  | 'gearbox'
  | 'shaft strength'
  | 'layout';

/** The link of the power path a figure, a rung or a check belongs to. */
export type LinkKind = 'pack' | 'branch' | 'rail' | 'controller' | 'motor' | 'linkage' | 'stage' | 'output' | 'load';

/** One input of the computation: its value in SI, what it is, and where it came from. */
export interface Figure {
  readonly key: string;
  readonly label: string;
  /** TeX */
  readonly symbol: string;
  readonly dimension: Dimension;
  readonly need: Need;
  /** `undefined` where it is missing and nothing stands in for it. */
  readonly value: number | undefined;
  readonly source: Source | 'missing';
  /** Why a typical or estimated value is what it is, or what the plan says of the source. */
  readonly from?: string;
  /** What was typed, where it was. */
  readonly as?: string;
  /** Of a measured one: standard deviation of what it may really be, SI. */
  readonly error?: number;
  /** The trial it was measured in. */
  readonly trial?: string;
  readonly at: Place;
  /** An optional figure may be absent without anything becoming unknown. */
  readonly optional: boolean;
}

/** A figure that is missing, as the screen names it. */
export interface Lack {
  readonly key: string;
  readonly label: string;
  readonly at: Place;
  /** Why nothing stands in for it here, where there is more to say than that nobody gave it. */
  readonly why?: string;
}
