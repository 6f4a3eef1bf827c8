import { freshId } from '../../plan/document/freshId.js';
import type { WishMachine } from '../../path/job/wish.js';
import type { Change } from '../../plan/document/change.js';
import type { BreakerPart, PackPart, Part } from '../../plan/document/part.js';
import { MOST } from '../../plan/document/most.js';
import type { MechanismKind } from '../../plan/document/load.js';
import type { Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { thinnestWire } from '../../models/protection/wire.js';
import type { ServoUseId } from './servoGuide.js';
import type { WishValues } from '../../path/job/wish.js';

/** A kind of mechanism and the numbers that decide, as the person gave them. */
export interface Wish {
  readonly kind: MechanismKind;
  readonly name: string;
  readonly values: WishValues;
  /** What shall turn it; plain motors where absent. */
  readonly machine?: WishMachine;
  /** A servo's use, where it says more than the kind of mechanism. */
  readonly use?: ServoUseId;
}

export interface Shelved {
  readonly id: string;
  readonly revision: number;
  readonly part: Part;
  /** What others here use: help and spares are near. */
  readonly common?: boolean;
}

export interface Proposal {
  readonly id: string;
  readonly changes: readonly Change[];
  /** What the person should know of it: that nothing of the shelf quite does it. */
  readonly note?: string;
}

/** A part of the shelf as a plan keeps it. */
export const copyOf = ({ id: shelfId, revision, part }: Shelved) => ({ part, shelfId, shelfRevision: revision });

export function packOf(plan: Plan): PackPart {
  const node = plan.supply.find((candidate) => candidate.kind === 'pack');
  const part = node?.kind === 'pack' ? plan.parts[node.part]?.part : undefined;
  if (part?.kind !== 'pack') throw new Error('the plan has no pack');
  return part;
}

/** A branch of its own behind a breaker for so many amperes, and the changes that make it. */
export function newBranch(
  plan: Plan,
  kind: MechanismKind,
  amperes: number,
  shelf: readonly Shelved[],
): { readonly node: string; readonly changes: readonly Change[] } {
  // A servo's branch gets a rail of its own behind it.
  if (plan.supply.length + 2 > MOST.supply)
    throw new Error(
      `the supply has ${MOST.supply} branches and rails, which is all it can have: remove a mechanism first`,
    );
  const breaker = pickBreaker(shelf, amperes);
  const id = freshId(plan, 'breaker');
  const node = freshId(plan, `branch-${kind}`);
  const parent = plan.supply.find((node) => node.kind === 'main') ?? plan.supply.find((node) => node.kind === 'pack')!;
  const gauge = thinnestWire(breaker.part.rated?.si ?? 0) ?? 12;
  return {
    node,
    changes: [
      { at: ['parts', id], to: copyOf(breaker) },
      {
        at: ['supply', plan.supply.length],
        to: {
          id: node,
          kind: 'branch',
          parent: parent.id,
          breaker: id,
          wire: { gauge: quantityOf(gauge, `${gauge} AWG`, 'typical') },
        },
      },
    ],
  };
}

function pickBreaker(shelf: readonly Shelved[], amperes: number): Shelved & { part: BreakerPart } {
  const able = shelf
    .filter(
      (item): item is Shelved & { part: BreakerPart } =>
        item.part.kind === 'breaker' && item.part.type === 'snap' && item.part.rated !== undefined,
    )
    .sort((a, b) => a.part.rated!.si - b.part.rated!.si);
  const chosen = able.find((item) => item.part.rated!.si >= amperes) ?? able.at(-1);
  if (!chosen) throw new Error('the shelf has no breaker');
  return chosen;
}
