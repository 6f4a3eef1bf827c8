import type { Quantity } from './quantity.js';

interface JobBase {
  readonly id: string;
  readonly name: string;
  /** Time from the start of one go to the start of the next. */
  readonly every?: Quantity;
  /** How long it must hold still under load. */
  readonly held?: Quantity;
  /** Multiplies the starting demand only. */
  readonly shock?: Quantity;
  readonly slope?: Quantity;
  /** Speed the job needs, where it is more than distance over time. */
  readonly speed?: Quantity;
  readonly acceleration?: Quantity;
}

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

/** Straight lift: raise a mass by a height in a time. */
export interface RaiseJob extends JobBase {
  readonly kind: 'raise';
  readonly mass?: Quantity;
  readonly distance?: Quantity;
  readonly time?: Quantity;
  readonly friction?: Quantity;
  readonly counterforce?: Quantity;
}

export type Job = SprintJob | PushJob | RaiseJob;
export type JobKind = Job['kind'];
