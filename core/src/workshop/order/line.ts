import type { Words } from '../../plan/words/phrase.js';

/** Where a line stands on the sheet, in this order. */
export const ORDER_GROUPS = [
  'motors and servos',
  'controllers and boards',
  'power',
  'wheels and gearboxes',
  'chains and belts',
  'shafts, bearings, screws',
  'wire',
] as const;
export type OrderGroup = (typeof ORDER_GROUPS)[number];

/** One thing that is wanted for one mechanism, or for the robot as a whole. */
export interface OrderNeed {
  /** The same for what is bought as one line. */
  readonly key: string;
  readonly group: OrderGroup;
  readonly name: Words;
  /** Pieces; metres of what is cut to length. */
  readonly amount: number;
  readonly measure: 'pieces' | 'metres';
  /** It wears, and is worth more spares. */
  readonly wears: boolean;
  readonly owned?: number;
  /** Of one piece, or one metre. */
  readonly price?: number;
  readonly mass?: number;
  readonly shelfId?: string;
  /** The mechanism's name; absent of what belongs to the robot. */
  readonly of?: string;
}

/**
 * What a line is called wherever something is said of it: its group, and what makes it one line.
 *
 * @example lineId({ group: 'wire', key: 'wire 12' }) //=> 'wire wire 12'
 */
export const lineId = ({ group, key }: Pick<OrderNeed, 'group' | 'key'>): string => `${group} ${key}`;

/** One line of the sheet: all that is alike together. */
export interface OrderLine extends Omit<OrderNeed, 'amount' | 'of' | 'owned'> {
  readonly wanted: number;
  readonly spares: number;
  readonly owned: number;
  readonly toBuy: number;
  /** What is to be bought costs; absent where its price is not known. */
  readonly cost?: number;
  readonly of: readonly string[];
}
