import type { Quantity } from './quantity.js';

/** A run of wire: gauge is an American wire gauge number, length is one way. */
export interface WireRun {
  readonly gauge?: Quantity;
  readonly length?: Quantity;
}

interface NodeBase {
  readonly id: string;
  readonly name?: string;
}

export interface PackNode extends NodeBase {
  readonly kind: 'pack';
  readonly part: string;
  /** Charge it is judged at, 0…1. */
  readonly charge?: Quantity;
  /** What the rest of the robot draws meanwhile. */
  readonly others?: Quantity;
}

/** One breaker and everything behind it. */
export interface ProtectedNode extends NodeBase {
  readonly kind: 'main' | 'branch';
  readonly parent: string;
  readonly breaker?: string;
  readonly wire?: WireRun;
  /** A branch is one per motor unless all motors hang on it together. */
  readonly together?: boolean;
}

export interface RailNode extends NodeBase {
  readonly kind: 'regulator' | 'rail';
  readonly parent: string;
  readonly part?: string;
  readonly voltage?: Quantity;
  readonly continuous?: Quantity;
  readonly burst?: Quantity;
}

/** The supply is a tree at the robot's level: pack → main → branches → regulators and rails. */
export type SupplyNode = PackNode | ProtectedNode | RailNode;
