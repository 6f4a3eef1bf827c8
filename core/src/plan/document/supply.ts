import type { Quantity } from './quantity.js';

/** A run of wire: gauge is an American wire gauge number, length is one way. */
export interface WireRun {
  readonly gauge?: Quantity;
  readonly length?: Quantity;
  /** Plugs along the run, both ways counted, and what each adds and carries. */
  readonly connectors?: Quantity;
  readonly connectorResistance?: Quantity;
  readonly connectorRated?: Quantity;
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
  /** Volts at which the robot's computers give up. */
  readonly brownOut?: Quantity;
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

/** What position servos hang on: a regulator's output, the pack itself, or a logic board's pin. */
export interface RailNode extends NodeBase {
  readonly kind: 'rail';
  readonly parent: string;
  readonly source?: 'regulator' | 'pack' | 'board';
  /** Of a regulator; a rail on the pack has the pack's. */
  readonly voltage?: Quantity;
  readonly continuous?: Quantity;
  readonly burst?: Quantity;
  /** Wires and plugs from the source to the servos. */
  readonly resistance?: Quantity;
  /** Whether its ground is joined to that of the board that sends the pulses. */
  readonly ground?: 'common' | 'apart';
  /** The board for servos they are plugged into. */
  readonly board?: string;
}

/** The supply is a tree at the robot's level: pack → main → branches → rails. */
export type SupplyNode = PackNode | ProtectedNode | RailNode;
