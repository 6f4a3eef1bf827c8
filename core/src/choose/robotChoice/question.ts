import type { Ceilings } from './ceilings.js';
import type { Choosable } from './option.js';

/** What is to be best over the whole robot. Practitioners disagree; each says what it is for. */
export type JointWant = 'mass' | 'price' | 'coolness' | 'margin' | 'kinds';

/** Of these the least of all mechanisms is to be greatest; of the others a sum least. */
export const isLeast = (want: JointWant): want is 'coolness' | 'margin' => want === 'coolness' || want === 'margin';

/** One option each, by number, and what they come to together. */
export interface JointChoice {
  readonly picks: readonly number[];
  /** What was asked to be best: a sum, or of coolness and margin the least of all. */
  readonly value: number;
  readonly mass: number;
  readonly price: number;
  readonly motors: number;
  readonly slots: number;
  readonly kinds: number;
  readonly charge: number;
  readonly peak: number;
  readonly margin: number;
  readonly coolness: number;
}

/** Options that may not be taken all together again: of each mechanism named, any of some. */
export type Cut = readonly { readonly mechanism: number; readonly options: readonly number[] }[];

export interface JointQuestion<O extends Choosable = Choosable> {
  /** Of each mechanism. */
  readonly options: readonly (readonly O[])[];
  readonly ceilings: Ceilings;
  readonly want: JointWant;
}
