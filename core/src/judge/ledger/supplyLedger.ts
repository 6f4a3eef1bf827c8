import { branchOf } from '../../plan/document/branchOf.js';
import { countOf, currentChoice, type Plan } from '../../plan/document/plan.js';
import type { ProtectedNode } from '../../plan/document/supply.js';

/** Slots of the board one after the other, and who hangs on each. */
export interface BoardSlot {
  /** From 1. */
  readonly number: number;
  /** The branch; several slots are of one where each motor has its own. */
  readonly node: string;
  /** Rated amperes of its breaker, where it has one. */
  readonly rated?: number;
  /** Ids of the mechanisms that hang on it, and their names. */
  readonly mechanisms: readonly string[];
  readonly name: string;
}

/** Wire of one gauge, both ways, all pieces together. */
export interface WireLine {
  /** American wire gauge. */
  readonly gauge: number;
  /** m */
  readonly length: number;
}

/**
 * The slots of the robot's board: a branch takes one for each motor on it, or one where all hang on it together.
 *
 * @example slotsOf(plan).length //=> 13
 */
export function slotsOf(plan: Plan): readonly BoardSlot[] {
  const slots = plan.supply.flatMap((node): readonly Omit<BoardSlot, 'number'>[] => {
    if (node.kind !== 'branch') return [];
    const hung = plan.mechanisms.filter(
      (mechanism) => branchOf(plan, currentChoice(mechanism).drive.node)?.id === node.id,
    );
    if (hung.length === 0) return [];
    const each = Math.max(...hung.map((mechanism) => slotsOn(node, currentChoice(mechanism).drive)));
    const breaker = node.breaker === undefined ? undefined : plan.parts[node.breaker]?.part;
    const rated = breaker?.kind === 'breaker' ? breaker.rated?.si : undefined;
    const mechanisms = hung.map(({ id }) => id);
    const name = hung.map((one) => one.name).join(', ');
    return Array.from({ length: each }, (_, i) => ({
      node: node.id,
      rated,
      mechanisms,
      name: each > 1 ? `${name} ${i + 1}` : name,
    }));
  });
  return slots.map((slot, i) => ({ number: i + 1, ...slot }));
}

const slotsOn = ({ together }: ProtectedNode, drive: ReturnType<typeof currentChoice>['drive']): number =>
  drive.kind === 'servo' || together ? 1 : countOf(drive);

/** Boards that command drivers and servos, by the ids of their parts: each once, however many hang on it. */
export const boardsOf = (plan: Plan): readonly string[] => {
  const drives = plan.mechanisms.map((mechanism) => currentChoice(mechanism).drive);
  return [
    ...new Set([
      ...drives.flatMap((drive) => (drive.kind === 'step' ? [drive.board] : [])),
      ...plan.supply.flatMap((node) => (node.kind === 'rail' && node.board !== undefined ? [node.board] : [])),
    ]),
  ];
};

/**
 * Wire by gauge, the thickest first: each run both ways, once for every slot of its branch. What has no length is not
 * counted.
 */
export function wiresOf(plan: Plan): readonly WireLine[] {
  const slots = slotsOf(plan);
  const lengths = new Map<number, number>();
  for (const node of plan.supply) {
    if (node.kind !== 'branch' && node.kind !== 'main') continue;
    const { gauge, length } = node.wire ?? {};
    const runs = node.kind === 'main' ? 1 : slots.filter((slot) => slot.node === node.id).length;
    if (!gauge || !length || runs === 0) continue;
    lengths.set(gauge.si, (lengths.get(gauge.si) ?? 0) + 2 * runs * length.si);
  }
  return [...lengths].map(([gauge, length]) => ({ gauge, length })).sort((a, b) => a.gauge - b.gauge);
}
