import type { Figures, WantId } from '../../plan/document/want.js';
import type { Like } from '../wants/likeForLike.js';
import type { Must } from './musts.js';

/** Everything on the shelf that could turn it, or only a motor that takes the place of the one that is there. */
export type Scope = 'everything' | 'drop-in';

/** What is searched, and what the designs found are compared by. */
export interface ShortlistQuery {
  readonly mechanismId: string;
  /** The job whose time and currents are compared; what holds is judged over all. */
  readonly jobId: string;
  readonly scope: Scope;
  /** Only what lies on the shelf and is not used elsewhere, in the number it takes. */
  readonly ownedOnly: boolean;
  readonly mostMotors: number;
  /** The robot's own pack, or every pack on the shelf: another pack is another for all its mechanisms. */
  readonly packs: 'mine' | 'shelf';
  /** What plain motors are alike in; the total is not searched where they are alike in speed. */
  readonly like?: Like;
  /** Designs are beaten only by those of their own kind of motor, so that the best of each kind are found. */
  readonly eachType?: boolean;
  /** Least and greatest total that is tried. */
  readonly from: number;
  readonly to: number;
  /** What motors or servos must be; one that does not say is not. */
  readonly musts?: readonly Must[];
  /** What may not be passed, whatever else is better. */
  readonly mostPrice?: number;
  readonly mostMass?: number;
  /** What designs are compared by: a design that is worse in some and better in none is beaten. */
  readonly wants: readonly WantId[];
}

/** Which ceiling a design passes; what is not known passes it. `undefined` where it stays under all that are set. */
export function overCeiling({ price, mass }: Figures, { mostPrice, mostMass }: ShortlistQuery): string | undefined {
  if (mostPrice !== undefined && !((price ?? Infinity) <= mostPrice)) return 'over the price set';
  return mostMass !== undefined && !((mass ?? Infinity) <= mostMass) ? 'over the mass set' : undefined;
}
