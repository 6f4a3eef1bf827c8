import type { SeriesPart } from '../../../plan/document/part.js';

/** A stock series with the name it goes by on the shelf. */
export interface Stock {
  readonly id: string;
  readonly part: SeriesPart;
}

export type PairKind = 'teeth' | 'chain' | 'belt' | 'planetary';

/** Two wheels off the shelf (or a gearbox) that could be one stage, with what it costs and takes. */
export interface WheelPair {
  /** Names the pair: equal ones are the same wheels. */
  readonly key: string;
  readonly kind: PairKind;
  readonly stock: Stock;
  readonly driver: number;
  readonly driven: number;
  readonly ratio: number;
  readonly efficiency: number;
  readonly price: number;
  readonly mass: number;
  /** From the driver's far edge to the driven wheel's, m. */
  readonly length: number;
  readonly leastTeeth: number;
  /** Turns the sense of rotation round. */
  readonly reverses: boolean;
  /** Torque on its driving shaft that it carries with the margins wanted. */
  readonly carries: number;
  /** Even links, or a belt that is sold, and the centre it lies taut at. */
  readonly run?: { readonly count: number; readonly centre: number };
}
