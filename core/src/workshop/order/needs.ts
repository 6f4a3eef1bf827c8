import { mountScrews } from '../../path/drawing/holes.js';
import type { Part, PartCopy } from '../../plan/document/part.js';
import { currentChoice, trainsOf, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import { chainSizeOf } from '../../models/reduction/chainSizes.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { boardsOf, slotsOf, wiresOf } from '../../judge/ledger/supplyLedger.js';
import { piecesOf, sameKey } from '../../plan/document/stockOf.js';
import { amount, say, type Words } from '../../plan/words/phrase.js';
import type { OrderGroup, OrderNeed } from './line.js';

const GROUP: Partial<Readonly<Record<Part['kind'], OrderGroup>>> = {
  motor: 'motors and servos',
  stepper: 'motors and servos',
  'step-servo': 'motors and servos',
  servo: 'motors and servos',
  controller: 'controllers and boards',
  driver: 'controllers and boards',
  board: 'controllers and boards',
  breaker: 'power',
  pack: 'power',
};

/** Brushes, gears of plastic and whatever a fuse is: these go first. */
const partWears = (part: Part): boolean =>
  (part.kind === 'motor' && part.type === 'brushed') ||
  (part.kind === 'servo' && (part.gears === 'plastic' || part.gears === 'reinforced resin')) ||
  (part.kind === 'breaker' && part.type === 'fuse');

function partNeed(copy: PartCopy, amountOf: number, of?: string): OrderNeed | undefined {
  const { part, shelfId } = copy;
  const group = GROUP[part.kind];
  if (!group) return undefined;
  return {
    key: sameKey(copy),
    group,
    name: part.name,
    amount: amountOf,
    measure: 'pieces',
    wears: partWears(part),
    owned: part.owned,
    price: part.price?.si,
    mass: part.mass?.si,
    shelfId,
    of,
  };
}

/** What a wheel of a stage is bought as, by its teeth. */
export function wheelNamed(
  parts: Extract<StageParts, { driver: number }>,
  teeth: number,
): Pick<OrderNeed, 'group' | 'key' | 'name'> {
  const group = 'wheels and gearboxes';
  const { pitch } = parts;
  switch (parts.kind) {
    case 'teeth':
      return {
        group,
        key: `gear ${teeth} ${pitch}`,
        name: say`gear of ${teeth} teeth, module ${amount(pitch, 'length')}`,
      };
    case 'chain':
      return { group, key: `sprocket ${teeth} ${pitch}`, name: say`sprocket of ${teeth} teeth, ${chainNamed(pitch)}` };
    case 'belt':
      return {
        group,
        key: `pulley ${teeth} ${pitch} ${parts.width}`,
        name: say`belt wheel of ${teeth} teeth, ${amount(pitch, 'length')}, for ${amount(parts.width, 'length')}`,
      };
  }
}

const chainNamed = (pitch: number): Words => chainSizeOf(pitch)?.name ?? say`${amount(pitch, 'length')} pitch`;

/** What a stage is made of: its wheels, what runs between them, its shaft and the bearings on that. */
function stageNeeds(stage: Stage, parts: StageParts, trains: number, of: string): readonly OrderNeed[] {
  const need: Need = (group, key, name, count, more = {}) => ({
    key,
    group,
    name,
    amount: count * trains,
    measure: 'pieces',
    wears: false,
    of,
    ...more,
  });
  return [...runNeeds(stage, parts, need), ...shaftNeeds(parts, need)];
}

/** So many of a thing for each train. */
type Need = (group: OrderGroup, key: string, name: Words, count: number, more?: Partial<OrderNeed>) => OrderNeed;

function shaftNeeds({ shaft }: StageParts, need: Need): readonly OrderNeed[] {
  if (!shaft) return [];
  const { size, bearing, form } = shaft;
  return [
    need(
      'shafts, bearings, screws',
      `bearing ${size} ${bearing}`,
      say`bearing, ${amount(size, 'length')} in ${amount(bearing, 'length')}`,
      2,
    ),
    need(
      'shafts, bearings, screws',
      `shaft ${size} ${form}`,
      say`shaft, ${amount(size, 'length')} ${form}, cut to fit`,
      1,
    ),
  ];
}

/** Its wheels, and what runs between them. A stage is priced as a whole: what runs in it, or its last wheel, carries that. */
function runNeeds(stage: Stage, parts: StageParts, need: Need): readonly OrderNeed[] {
  const [price, mass] = [stage.price?.si, stage.mass?.si];
  const shared = (pieces: number): Partial<OrderNeed> => ({
    price: price === undefined ? undefined : price / pieces,
    mass: mass === undefined ? undefined : mass / pieces,
  });
  const wheel = (of: Parameters<typeof wheelNamed>[0], teeth: number, more?: Partial<OrderNeed>): OrderNeed => {
    const { group, key, name } = wheelNamed(of, teeth);
    return need(group, key, name, 1, more);
  };
  switch (parts.kind) {
    case 'teeth':
      return [
        wheel(parts, parts.driver),
        ...(parts.idler === undefined ? [] : [wheel(parts, parts.idler)]),
        wheel(parts, parts.driven, { price, mass }),
      ];
    case 'chain': {
      const length = Math.ceil(parts.length / 2) * 2 * parts.pitch;
      const chain = say`chain, ${chainNamed(parts.pitch)}`;
      return [
        wheel(parts, parts.driver),
        wheel(parts, parts.driven),
        need('chains and belts', `chain ${parts.pitch}`, chain, length, {
          measure: 'metres',
          wears: true,
          ...shared(length),
        }),
      ];
    }
    case 'belt': {
      const { pitch, width } = parts;
      const teeth = Math.round(parts.length);
      const each = Math.max(1, parts.belts);
      const belt = say`belt of ${teeth} teeth, ${amount(pitch, 'length')}, ${amount(width, 'length')} wide`;
      return [
        wheel(parts, parts.driver),
        wheel(parts, parts.driven),
        need('chains and belts', `belt ${teeth} ${pitch} ${width}`, belt, each, { wears: true, ...shared(each) }),
      ];
    }
    default:
      return [need('wheels and gearboxes', `${stage.kind} ${nameOfBox(stage)}`, nameOfBox(stage), 1, { price, mass })];
  }
}

function nameOfBox(stage: Stage): string {
  const said = stage.name ?? '';
  switch (stage.kind) {
    case 'ratio':
    case 'planetary': {
      const kind = stage.kind === 'ratio' ? 'gearbox' : 'planetary gearbox';
      return [said, `${kind}${stage.ratio ? ` ${stage.ratio.as}` : ''}`].filter(Boolean).join(', ');
    }
    case 'worm':
      return [said, `worm of ${stage.starts}, wheel of ${stage.teeth}`].filter(Boolean).join(', ');
    case 'screw':
      return [said, `screw and nut${stage.lead ? `, lead ${stage.lead.as}` : ''}`].filter(Boolean).join(', ');
    default:
      return said;
  }
}

/** All that one mechanism takes in its choice in force. */
export function mechanismNeeds(plan: Plan, mechanism: Mechanism): readonly OrderNeed[] {
  const { drive, stages } = currentChoice(mechanism);
  const { name } = mechanism;
  const copies = piecesOf(drive).flatMap(([id, pieces]) => {
    const copy = plan.parts[id];
    return (copy && partNeed(copy, pieces, name)) ?? [];
  });
  const screws = piecesOf(drive).flatMap(([id, pieces]): readonly OrderNeed[] => {
    const part = plan.parts[id]?.part;
    const held = part && 'mount' in part ? mountScrews(part.mount) : undefined;
    if (!held) return [];
    const { count, thread } = held;
    return [
      {
        key: `screw ${thread}`,
        group: 'shafts, bearings, screws',
        name: `screw ${thread}, to hold a motor`,
        amount: count * pieces,
        measure: 'pieces',
        wears: false,
        of: name,
      },
    ];
  });
  const job = mechanism.jobs[0];
  const parts = job ? resolvePath(plan, mechanism, job.id).stageParts : [];
  return [
    ...copies,
    ...screws,
    ...stages.flatMap((stage, i) => (parts[i] ? stageNeeds(stage, parts[i], trainsOf(drive), name) : [])),
  ];
}

/** What belongs to the robot: pack, boards, breakers of its slots, wire. */
export function robotNeeds(plan: Plan): readonly OrderNeed[] {
  const needs: OrderNeed[] = [];
  const take = (id: string | undefined, count: number): void => {
    const copy = id === undefined ? undefined : plan.parts[id];
    const need = copy && count > 0 ? partNeed(copy, count) : undefined;
    if (need) needs.push(need);
  };
  const slots = slotsOf(plan);
  for (const node of plan.supply) {
    if (node.kind === 'pack') take(node.part, 1);
    else if (node.kind === 'main') take(node.breaker, 1);
    else if (node.kind === 'branch') take(node.breaker, slots.filter((slot) => slot.node === node.id).length);
  }
  // A board serves all that hang on it.
  for (const board of boardsOf(plan)) take(board, 1);
  for (const { gauge, length } of wiresOf(plan))
    needs.push({
      key: `wire ${gauge}`,
      group: 'wire',
      name: say`wire, ${amount(gauge, 'gauge')}`,
      amount: length,
      measure: 'metres',
      wears: false,
    });
  return needs;
}
