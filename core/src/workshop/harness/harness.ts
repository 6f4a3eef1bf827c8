import { branchOf } from '../../plan/document/branchOf.js';
import {
  countOf,
  currentChoice,
  piecesIn,
  type MachineDrive,
  type Mechanism,
  type Plan,
} from '../../plan/document/plan.js';
import type { RailNode, WireRun } from '../../plan/document/supply.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { slotsOf } from '../../judge/ledger/supplyLedger.js';
import type { Wire } from '../../path/wiring/wire.js';
import { wiresOfMechanism } from '../../path/wiring/wiresOf.js';

/** A breaker with the wire behind it; what is not known is absent. */
export interface FusedRun {
  readonly breaker?: string;
  /** A */
  readonly rated?: number;
  /** American wire gauge; length is one way, m. */
  readonly gauge?: number;
  readonly length?: number;
  /** Plugs along it, and what each carries, A. */
  readonly connectors?: number;
  readonly connectorRated?: number;
}

/** One slot of the board, what hangs on it, and what that turns. */
export interface HarnessSlot extends FusedRun {
  readonly number: number;
  readonly mechanisms: readonly string[];
  /** What its wire ends at: a controller, a driver, a regulator. */
  readonly end: string;
  /** What that feeds; absent of a rail. */
  readonly motor?: string;
  /** Control channels that command what hangs on it. */
  readonly channels: readonly number[];
}

/** One control channel: what it commands. */
export interface HarnessChannel {
  readonly number: number;
  readonly mechanismId: string;
  readonly end: string;
  /** The rail that feeds what it commands; absent where that has its supply from the board. */
  readonly rail?: string;
}

/** A rail of servos: where it comes from, and who hangs on it. */
export interface HarnessRail {
  readonly id: string;
  readonly name: string;
  readonly source: NonNullable<RailNode['source']>;
  /** V, where it was said. */
  readonly voltage?: number;
  readonly apart: boolean;
  readonly servos: readonly HarnessChannel[];
}

/** All wires of the robot as one sheet. */
export interface Harness {
  readonly pack?: string;
  readonly main?: FusedRun;
  readonly slots: readonly HarnessSlot[];
  readonly channels: readonly HarnessChannel[];
  readonly rails: readonly HarnessRail[];
  /** Signals, their grounds and sensors, terminal to terminal. */
  readonly signals: readonly { readonly mechanism: string; readonly wires: readonly Wire[] }[];
}

const nameOf = (plan: Plan, id: string | undefined): string | undefined =>
  id === undefined ? undefined : plan.parts[id]?.part.name;

function fused(plan: Plan, breaker: string | undefined, wire: WireRun | undefined): FusedRun {
  const part = breaker === undefined ? undefined : plan.parts[breaker]?.part;
  return {
    breaker: part?.name,
    rated: part?.kind === 'breaker' ? part.rated?.si : undefined,
    gauge: wire?.gauge?.si,
    length: wire?.length?.si,
    connectors: wire?.connectors?.si,
    connectorRated: wire?.connectorRated?.si,
  };
}

const ENDS: Readonly<Record<MachineDrive['kind'], string>> = { dc: 'controller', step: 'driver', servo: 'servo' };
const numbered = (name: string, i: number, of: number): string => (of > 1 ? `${name} ${i + 1}` : name);

function channelsOf(plan: Plan): readonly HarnessChannel[] {
  const all = plan.mechanisms.flatMap((mechanism) => {
    const { drive } = currentChoice(mechanism);
    const node = plan.supply.find(({ id }) => id === drive.node);
    const pieces = piecesIn(drive);
    return Array.from({ length: pieces }, (_, i) => ({
      mechanismId: mechanism.id,
      end: `${mechanism.name}, ${numbered(ENDS[drive.kind], i, pieces)}`,
      rail: node?.kind === 'rail' ? node.id : undefined,
    }));
  });
  return all.map((channel, i) => ({ number: i + 1, ...channel }));
}

function slotRows(plan: Plan, channels: readonly HarnessChannel[]): readonly HarnessSlot[] {
  const seen = new Map<string, number>();
  return slotsOf(plan).map(({ number, node, mechanisms }): HarnessSlot => {
    const branch = plan.supply.find(({ id }) => id === node);
    const run = branch?.kind === 'branch' ? fused(plan, branch.breaker, branch.wire) : {};
    const at = seen.get(node) ?? 0;
    seen.set(node, at + 1);
    const hung = plan.mechanisms.filter(({ id }) => mechanisms.includes(id));
    const together = branch?.kind === 'branch' && !!branch.together;
    // A rail's own servos are told with the rail.
    const own = hung.flatMap(({ id }) => {
      const all = channels.filter(({ mechanismId, rail }) => mechanismId === id && rail === undefined);
      return together ? all : all.slice(at, at + 1);
    });
    return { number, mechanisms, ...run, ...endOf(plan, hung, at, together), channels: own.map((one) => one.number) };
  });
}

/** What the wire of the slot at a place of its branch goes to. */
function endOf(
  plan: Plan,
  hung: readonly Mechanism[],
  at: number,
  together: boolean,
): Pick<HarnessSlot, 'end' | 'motor'> {
  const ends = hung.flatMap((mechanism): readonly Pick<HarnessSlot, 'end' | 'motor'>[] => {
    const { drive } = currentChoice(mechanism);
    if (drive.kind === 'servo') {
      const rail = plan.supply.find(({ id }) => id === drive.node);
      return at === 0 ? [{ end: rail?.name ?? 'servo rail', motor: undefined }] : [];
    }
    const count = countOf(drive);
    if (!together && at >= count) return [];
    const which = (name: string): string => (together && count > 1 ? `${count} ${name}s` : numbered(name, at, count));
    return [{ end: `${mechanism.name}, ${which(ENDS[drive.kind])}`, motor: which('motor') }];
  });
  return {
    end: [...new Set(ends.map(({ end }) => end))].join('; '),
    motor: ends.flatMap(({ motor }) => motor ?? [])[0],
  };
}

/**
 * The wiring of the whole robot: pack, main, slot by slot, channel by channel, rails, and signals terminal to terminal.
 *
 * @example harnessOf(plan).slots.length //=> 13
 */
export function harnessOf(plan: Plan): Harness {
  const pack = plan.supply.find((node) => node.kind === 'pack');
  const main = plan.supply.find((node) => node.kind === 'main');
  const channels = channelsOf(plan);
  const rails = plan.supply.flatMap((node): readonly HarnessRail[] => {
    const servos = channels.filter(({ rail }) => rail === node.id);
    if (node.kind !== 'rail' || servos.length === 0) return [];
    return [
      {
        id: node.id,
        name: node.name ?? 'servo rail',
        source: node.source ?? 'regulator',
        voltage: node.voltage?.si,
        apart: node.ground === 'apart',
        servos,
      },
    ];
  });
  const signals = plan.mechanisms.flatMap((mechanism) => {
    const [job] = mechanism.jobs;
    if (!job) return [];
    const wires = wiresOfMechanism(plan, resolvePath(plan, mechanism, job.id)).filter(
      ({ role }) => role === 'signal' || role === 'ground' || role === 'sensor',
    );
    return wires.length > 0 ? [{ mechanism: mechanism.name, wires }] : [];
  });
  return {
    pack: pack?.kind === 'pack' ? nameOf(plan, pack.part) : undefined,
    main: main?.kind === 'main' ? fused(plan, main.breaker, main.wire) : undefined,
    slots: slotRows(plan, channels),
    channels,
    rails,
    signals,
  };
}

/** Mechanisms that hang on no branch: nothing but the main breaker stands between them and the pack. */
export const unfusedIn = (plan: Plan): readonly Mechanism[] =>
  plan.mechanisms.filter((mechanism) => {
    const { drive } = currentChoice(mechanism);
    const node = plan.supply.find(({ id }) => id === drive.node);
    if (node?.kind === 'rail' && node.source === 'board') return false;
    return branchOf(plan, drive.node)?.breaker === undefined;
  });
