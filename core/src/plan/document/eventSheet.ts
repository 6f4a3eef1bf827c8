import type { Quantity } from './quantity.js';

/** Sums of a whole robot that an event may limit. */
export const EVENT_SUMS = [
  'mass',
  'money',
  'motors',
  'servos',
  'kinds',
  'slots',
  'packVolts',
  'mainBreaker',
  'branchBreaker',
] as const;
export type EventSum = (typeof EVENT_SUMS)[number];

interface LimitBase {
  readonly id: string;
  /** Where it stands in the event's rules, in the team's words. */
  readonly rule?: string;
}

/** At most so much of something. */
export interface SumLimit extends LimitBase {
  readonly kind: 'most';
  readonly of: EventSum;
  readonly most: Quantity;
  /** Of the mass: with the pack in it. */
  readonly withPack?: boolean;
}

/** Behind a breaker greater than this the wire is at least so thick. */
export interface WireLimit extends LimitBase {
  readonly kind: 'wire';
  /** A */
  readonly breaker: Quantity;
  /** American wire gauge: the thinnest that may be used. */
  readonly gauge: Quantity;
}

/** Only parts of these names. */
export interface ListLimit extends LimitBase {
  readonly kind: 'motors' | 'packs';
  readonly names: readonly string[];
}

export type EventLimit = SumLimit | WireLimit | ListLimit;

/** What an event allows, as the team typed it from its rules. */
export interface EventSheet {
  readonly name: string;
  readonly limits: readonly EventLimit[];
}

/** How a day goes: packs take turns, each charges until its turn comes again. */
export interface DayPlan {
  readonly matches: number;
  /** From the end of one to the start of the next, s. */
  readonly between: number;
  readonly packs: number;
  /** A */
  readonly charger: number;
  /** Matches, from 0, that are begun with a full pack from elsewhere. */
  readonly fresh?: readonly number[];
}
