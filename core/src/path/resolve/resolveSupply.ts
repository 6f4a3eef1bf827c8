import { supplyAt } from '../../plan/document/place.js';
import type { FigureCollector } from '../../plan/figures/collector.js';
import { Memory } from '../../plan/figures/memory.js';
import { CELLS } from '../../models/pack/cells.js';
import { floorVoltage, fullVoltage, packResistance, packRestVoltage } from '../../models/pack/pack.js';
import type { BreakerPart, PackPart, PartKind } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';
import type { PackNode, ProtectedNode, SupplyNode } from '../../plan/document/supply.js';
import { wireResistance } from '../../models/protection/wire.js';
import type { PathPack, PathProtection } from '../powerpath/path.js';
import { readPackFigures } from './packFigures.js';

const LEAD_EXPONENT = 1.2;
const TWELVE_VOLT_BOARDS = 6.8;

const BREAKERS: Readonly<Record<BreakerPart['type'], { hold: number; seconds: number; why: string }>> = {
  snap: { hold: 1.3, seconds: 12, why: 'snap-action breaker' },
  main: { hold: 1.3, seconds: 60, why: 'main breaker' },
  fuse: { hold: 1.15, seconds: 2.2, why: 'blade fuse' },
};

export interface ResolvedSupply {
  readonly pack: PathPack;
  readonly main?: PathProtection;
  readonly branch: PathProtection & { readonly together: boolean };
  /** Voc lowered by what the rest of the robot draws. */
  readonly restVoltage: number;
  /** As one of `motors` feels it. */
  readonly supplyResistance: number;
}

/** The part a plan refers to, of the kind expected there. Throws where the document names none. */
export function partOf<K extends PartKind>(plan: Plan, id: string, kind: K) {
  const part = plan.parts[id]?.part;
  if (part?.kind !== kind) throw new Error(`the plan names ${id} as a ${kind}, but holds no such part`);
  return part as Extract<typeof part, { kind: K }>;
}

/** Follows the supply tree from a consumer's node up to the pack. */
export const resolveSupply = (plan: Plan, nodeId: string, motors: number, collect: FigureCollector): ResolvedSupply =>
  collect.once(SUPPLIES, [plan.supply, plan.parts, nodeId, motors], () => readSupply(plan, nodeId, motors, collect));

const SUPPLIES = new Memory();

function readSupply(plan: Plan, nodeId: string, motors: number, collect: FigureCollector): ResolvedSupply {
  const nodes = pathToPack(plan.supply, nodeId);
  const packNode = nodes.find((node): node is PackNode => node.kind === 'pack');
  if (!packNode) throw new Error(`supply node ${nodeId} does not lead to a pack`);
  const find = (kind: 'main' | 'branch') => nodes.find((node): node is ProtectedNode => node.kind === kind);
  const pack = resolvePack(plan, packNode, collect);
  const mainNode = find('main');
  const branchNode = find('branch');
  const main = mainNode && resolveProtection(plan, mainNode, 'main', collect);
  const branch: PathProtection = branchNode
    ? resolveProtection(plan, branchNode, 'branch', collect)
    : { gauge: NaN, wireResistance: 0 };
  const together = branchNode?.together ?? false;
  const shared = pack.resistance + (main?.wireResistance ?? 0);
  return {
    pack,
    main,
    branch: {
      breaker: branch.breaker,
      gauge: branch.gauge,
      wireResistance: branch.wireResistance,
      connectorRated: branch.connectorRated,
      together,
    },
    restVoltage: packRestVoltage(pack.figures, pack.charge) - shared * pack.others,
    supplyResistance: motors * shared + (together ? motors : 1) * branch.wireResistance,
  };
}

function pathToPack(supply: readonly SupplyNode[], from: string): SupplyNode[] {
  const path: SupplyNode[] = [];
  let id: string | undefined = from;
  while (id !== undefined && path.length <= supply.length) {
    const node: SupplyNode | undefined = supply.find((candidate) => candidate.id === id);
    if (!node) break;
    path.push(node);
    id = node.kind === 'pack' ? undefined : node.parent;
  }
  return path;
}

function resolvePack(plan: Plan, node: PackNode, collect: FigureCollector): PathPack {
  const part: PackPart = partOf(plan, node.part, 'pack');
  const nodeAt = supplyAt(plan, node.id);
  const partAt = ['parts', node.part, 'part'];
  const { figures, capacity } = readPackFigures(part, partAt, collect);
  const { series } = figures;
  const cell = CELLS[part.chemistry];
  const bench = part.chemistry === 'bench';
  const charge = collect.take('pack.charge', node.charge, [...nodeAt, 'charge']);
  const others = collect.take('pack.others', node.others, [...nodeAt, 'others']);
  const dischargeLimit = collect.take('pack.dischargeLimit', part.dischargeLimit, [...partAt, 'dischargeLimit']);
  const chargeLimit = collect.take('pack.chargeLimit', part.chargeLimit, [...partAt, 'chargeLimit'], {
    value: bench ? 0 : capacity && (cell.chargeRate * capacity) / 3600,
    why: bench ? 'it takes nothing back' : `usual for ${cell.name} cells of this capacity`,
    source: 'typical',
  });
  const capacityExponent = collect.take(
    'pack.capacityExponent',
    part.capacityExponent,
    [...partAt, 'capacityExponent'],
    {
      value: part.chemistry === 'lead' ? LEAD_EXPONENT : 1,
      why: part.chemistry === 'lead' ? 'usual for sealed lead' : `${cell.name} gives its charge at any current`,
      source: 'typical',
    },
  );
  const usable = collect.take('pack.usable', part.usable, [...partAt, 'usable']);
  const brownOut = collect.take('pack.brownOut', node.brownOut, [...nodeAt, 'brownOut'], {
    value: Math.min(
      TWELVE_VOLT_BOARDS,
      floorVoltage({
        chemistry: part.chemistry,
        series,
        parallel: 1,
        cellResistance: 0,
        leadResistance: 0,
      }),
    ),
    why: 'the boards on a 12 V robot; on a smaller pack its cells’ floor',
    source: 'typical',
  });
  return {
    figures,
    charge,
    others,
    resistance: packResistance(figures),
    full: fullVoltage(figures),
    floor: floorVoltage(figures),
    dischargeLimit,
    chargeLimit,
    capacity,
    capacityExponent,
    usable,
    brownOut,
  };
}

function resolveProtection(
  plan: Plan,
  node: ProtectedNode,
  where: 'main' | 'branch',
  collect: FigureCollector,
): PathProtection {
  const wireAt = [...supplyAt(plan, node.id), 'wire'];
  const gauge = collect.take(`${where}.gauge`, node.wire?.gauge, [...wireAt, 'gauge']);
  const length = collect.take(`${where}.length`, node.wire?.length, [...wireAt, 'length']);
  const connectors = collect.take(`${where}.connectors`, node.wire?.connectors, [...wireAt, 'connectors']);
  const each = collect.take(`${where}.connectorResistance`, node.wire?.connectorResistance, [
    ...wireAt,
    'connectorResistance',
  ]);
  const connectorRated = collect.takeOptional(`${where}.connectorRated`, node.wire?.connectorRated, [
    ...wireAt,
    'connectorRated',
  ]);
  const resistance = wireResistance(gauge, length) + connectors * each;
  if (node.breaker === undefined) return { gauge, wireResistance: resistance, connectorRated };
  const part: BreakerPart = partOf(plan, node.breaker, 'breaker');
  const at = ['parts', node.breaker, 'part'];
  const usual = BREAKERS[part.type];
  const typicalOf = (value: number) => ({ value, why: usual.why, source: 'typical' as const });
  return {
    gauge,
    wireResistance: resistance,
    connectorRated,
    breaker: {
      rated: collect.take(`${where}.rated`, part.rated, [...at, 'rated']),
      holdMultiple: collect.take(
        `${where}.holdMultiple`,
        part.holdMultiple,
        [...at, 'holdMultiple'],
        typicalOf(usual.hold),
      ),
      timeConstant: collect.take(
        `${where}.timeConstant`,
        part.timeConstant,
        [...at, 'timeConstant'],
        typicalOf(usual.seconds),
      ),
    },
  };
}
