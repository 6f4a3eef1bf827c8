import { mountScrews } from '../../path/drawing/holes.js';
import type { Part, PartCopy } from '../../plan/document/part.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import { chainSizeOf } from '../../models/reduction/chainSizes.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import { boardsOf, slotsOf, wiresOf } from '../../judge/ledger/supplyLedger.js';
import { trainsOf } from '../../judge/evaluate/measure.js';
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
  const need = (
    group: OrderGroup,
    key: string,
    name: Words,
    count: number,
    more: Partial<OrderNeed> = {},
  ): OrderNeed => ({
    key,
    group,
    name,
    amount: count * trains,
    measure: 'pieces',
    wears: false,
    of,
    ...more,
  });
  const wheel = ({ group, key, name }: ReturnType<typeof wheelNamed>, more?: Partial<OrderNeed>): OrderNeed =>
    need(group, key, name, 1, more);
  const shaft = parts.shaft;
  const onShaft: readonly OrderNeed[] = shaft
    ? [
        need(
          'shafts, bearings, screws',
          `bearing ${shaft.size} ${shaft.bearing}`,
          say`bearing, ${amount(shaft.size, 'length')} in ${amount(shaft.bearing, 'length')}`,
          2,
        ),
        need(
          'shafts, bearings, screws',
          `shaft ${shaft.size} ${shaft.form}`,
          say`shaft, ${amount(shaft.size, 'length')} ${shaft.form}, cut to fit`,
          1,
        ),
      ]
    : [];
  // A stage is priced as a whole: what runs in it, or its last wheel, carries that.
  const price = stage.price?.si;
  const mass = stage.mass?.si;
  const whole = { price, mass };
  switch (parts.kind) {
    case 'teeth': {
      const gear = (teeth: number, more?: Partial<OrderNeed>) => wheel(wheelNamed(parts, teeth), more);
      return [
        gear(parts.driver),
        ...(parts.idler === undefined ? [] : [gear(parts.idler)]),
        gear(parts.driven, whole),
        ...onShaft,
      ];
    }
    case 'chain': {
      const length = Math.ceil(parts.length / 2) * 2 * parts.pitch;
      return [
        wheel(wheelNamed(parts, parts.driver)),
        wheel(wheelNamed(parts, parts.driven)),
        need('chains and belts', `chain ${parts.pitch}`, say`chain, ${chainNamed(parts.pitch)}`, length, {
          measure: 'metres',
          wears: true,
          price: price === undefined ? undefined : price / length,
          mass: mass === undefined ? undefined : mass / length,
        }),
        ...onShaft,
      ];
    }
    case 'belt': {
      const teeth = Math.round(parts.length);
      const each = Math.max(1, parts.belts);
      return [
        wheel(wheelNamed(parts, parts.driver)),
        wheel(wheelNamed(parts, parts.driven)),
        need(
          'chains and belts',
          `belt ${teeth} ${parts.pitch} ${parts.width}`,
          say`belt of ${teeth} teeth, ${amount(parts.pitch, 'length')}, ${amount(parts.width, 'length')} wide`,
          each,
          {
            wears: true,
            price: price === undefined ? undefined : price / each,
            mass: mass === undefined ? undefined : mass / each,
          },
        ),
        ...onShaft,
      ];
    }
    default:
      return [
        need('wheels and gearboxes', `${stage.kind} ${nameOfBox(stage)}`, nameOfBox(stage), 1, whole),
        ...onShaft,
      ];
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
