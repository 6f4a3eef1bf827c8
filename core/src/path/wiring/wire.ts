import type { WireRole } from '../../plan/document/wireColours.js';
import type { Words } from '../../plan/words/phrase.js';

/** One wire of a mechanism: from a terminal to another, and what sits in it. */
export interface Wire {
  readonly from: string;
  readonly to: string;
  readonly role: WireRole;
  /** American wire gauge; absent for thin signal wires, and where nobody said. */
  readonly gauge?: number;
  /** One way, m. */
  readonly length?: number;
  /** What is in or on it: a resistor, a capacitor, a joint. */
  readonly with?: Words;
}

/** A wire of a role; what is not known is left out. */
export const wire = (
  role: WireRole,
  from: string,
  to: string,
  more: Pick<Wire, 'gauge' | 'length' | 'with'> = {},
): Wire => ({ role, from, to, ...more });
