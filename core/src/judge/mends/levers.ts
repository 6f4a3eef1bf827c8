import { amount, capitalised, say } from '../../plan/words/phrase.js';
import { mechanismById, choiceAt, supplyAt } from '../../plan/document/place.js';
import { digits, show } from '../../plan/words/show.js';
import { GRAVITY } from '../../models/load/gravity.js';
import type { Change } from '../../plan/document/change.js';
import { currentChoice, dcDriveOf } from '../../plan/document/plan.js';
import type { BreakerPart } from '../../plan/document/part.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { branchOf } from '../../plan/document/branchOf.js';
import type { ProtectedNode } from '../../plan/document/supply.js';
import { jobKindOf } from '../../path/job/table.js';
import { thinnestWire } from '../../models/protection/wire.js';
import { tuneTotal } from '../sizing/tuneTotal.js';
import { applyChanges } from '../../plan/document/change.js';
import { worstHoldingPlace } from '../../path/powerpath/path.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { Lever, LeverContext } from './lever.js';
import type { LeverId } from '../limits/leverId.js';
import { driveAt, figureLever, roundOutwards } from './leverTools.js';
import { freshId } from '../../plan/document/freshId.js';
import { nextLead } from '../../models/reduction/screwLeads.js';
import { screwAt, travelPerTurn } from '../../path/powerpath/screw.js';
import { SERVO_LEVERS } from './servoLevers.js';
import { STAGE_LEVERS } from './stageLevers.js';
import { STEP_LEVERS } from './stepLevers.js';

const FARTHEST_RATIO = 4;
const MOST_MOTORS = 6;
const WORDS = ['no', 'One', 'Two', 'Three', 'Four', 'Five', 'Six'];

const amperes = (value: number) => `${digits(value)} A`;

function ratioLever(id: 'deeper' | 'shallower', factor: number, words: string): Lever {
  return {
    id,
    span: ({ path }) => ({ from: path.train.total, to: path.train.total * factor }),
    set: (context, value) => {
      const { plan, mechanism, path } = context;
      const change = tuneTotal(plan, mechanism, path, value, factor > 1 ? 'up' : 'down');
      if (!change) return leadSetting(context, path.train.total / value, factor > 1 ? 'down' : 'up');
      const changed = applyChanges(plan, [change]);
      const after = resolvePath(changed, mechanismById(changed, mechanism.id), path.job.id);
      const travel = travelPerTurn(after);
      const to =
        travel === undefined ? `${digits(after.train.total)}:1` : `${show(travel, 'length', 3)} a turn of the motor`;
      return { changes: [change], label: `${words} ${to}` };
    },
  };
}

/** A screw that the motor turns by itself is geared by its lead: the next one that is sold. */
function leadSetting({ plan, mechanism, path }: LeverContext, times: number, side: 'up' | 'down') {
  const index = screwAt(path);
  const stage = currentChoice(mechanism).stages[index];
  const now = stage?.kind === 'screw' ? stage.lead?.si : undefined;
  const lead = now === undefined ? undefined : nextLead(now * times, side);
  if (lead === undefined || lead === now) return undefined;
  const said = `${digits(1000 * lead)} mm`;
  const at = [...choiceAt(plan, mechanism), 'stages', index, 'lead'];
  return { changes: [{ at, to: quantityOf(lead, said) }], label: `A screw of ${said} lead` };
}

const motors: Lever = {
  id: 'motors',
  span: ({ path }) => (path.motors < MOST_MOTORS ? { from: path.motors, to: MOST_MOTORS } : undefined),
  set: ({ plan, mechanism, path }, value) => {
    const count = Math.ceil(value - 1e-9);
    const more = count - path.motors;
    const servo = path.machine === 'servo';
    return {
      changes: [{ at: [...driveAt({ plan, mechanism, path }), servo ? 'servos' : 'motors'], to: count }],
      label:
        more === 1 ? `One more ${servo ? 'servo' : 'motor'}` : `${WORDS[count]} ${servo ? 'servos' : 'motors'} in all`,
    };
  },
};

const lighter: Lever = {
  id: 'lighter',
  span: ({ path }) => {
    const from = path.figures[massKey({ path })]?.value;
    return from === undefined ? undefined : { from, to: from * 0.3 };
  },
  set: ({ path }, value) => {
    const figure = path.figures[massKey({ path })]!;
    const rounded = roundOutwards(value, false);
    return {
      changes: [{ at: figure.at, to: quantityOf(rounded, show(rounded, figure.dimension)) }],
      label: say`${figure.dimension === 'mass' ? '' : `${capitalised(figure.label)} `}${amount(figure.value!, figure.dimension)} down to ${amount(rounded, figure.dimension)}`,
    };
  },
};

const massKey = ({ path }: Pick<LeverContext, 'path'>): string => jobKindOf(path.job.kind).heavy;

const counterforce: Lever = {
  id: 'counterforce',
  span: ({ path }) => {
    if (!path.figures['job.counterforce']) return undefined;
    const weight = (path.figures['job.mass']?.value ?? NaN) * GRAVITY;
    const from = path.figures['job.counterforce']?.value ?? 0;
    // From a hair above nothing, since the search goes by factors.
    return { from: Math.max(from, 0.02 * weight), to: 0.9 * weight };
  },
  set: ({ path }, value) => {
    const rounded = roundOutwards(value, true);
    return {
      changes: [{ at: path.figures['job.counterforce']!.at, to: quantityOf(rounded, show(rounded, 'force')) }],
      label: say`A spring that takes ${amount(rounded, 'force')}`,
    };
  },
};

/** A spring across the pivot that takes part of an arm's weight. */
const spring: Lever = {
  id: 'spring',
  span: ({ path }) => {
    const rate = path.figures['output.springRate'];
    if (!rate) return undefined;
    const heaviest = Math.abs(path.load.holdForce(worstHoldingPlace(path)));
    return { from: Math.max(rate.value ?? 0, 0.02 * heaviest), to: heaviest };
  },
  set: ({ path }, value) => {
    const rounded = roundOutwards(value, true);
    return {
      changes: [{ at: path.figures['output.springRate']!.at, to: quantityOf(rounded, show(rounded, 'stiffness')) }],
      label: say`A spring of ${amount(rounded, 'stiffness')}`,
    };
  },
};

const holder: Lever = {
  id: 'holder',
  span: ({ path }) => (path.falls && path.holder !== 'ratchet' ? { from: 1, to: 2 } : undefined),
  set: (context) => ({
    changes: [{ at: [...choiceAt(context.plan, context.mechanism), 'output', 'holder'], to: 'ratchet' }],
    label: `A ratchet on the ${jobKindOf(context.path.job.kind).outputTitle.toLowerCase()}`,
  }),
};

type LimitKey = 'statorLimit' | 'supplyLimit' | 'brakeLimit' | 'returnLimit';
const LIMIT_WORDS: Readonly<Record<LimitKey, string>> = {
  statorLimit: 'motor-side',
  supplyLimit: 'pack-side',
  brakeLimit: 'braking',
  returnLimit: 'return',
};

/** A limit set in the controller. Beyond what the part gives it asks for another controller, and says so. */
function limitLever(id: LeverId, key: LimitKey, up: boolean): Lever {
  const words = LIMIT_WORDS[key];
  return {
    id,
    span: ({ path }) => {
      const from = path.machine === 'dc' ? path.drive[key] : undefined;
      return from === undefined ? undefined : { from, to: from * (up ? 4 : 0.2) };
    },
    set: (context, value) => {
      const rounded = roundOutwards(value, up);
      const changes: Change[] = [{ at: [...driveAt(context), key], to: quantityOf(rounded, amperes(rounded)) }];
      const { plan, mechanism } = context;
      const partId = dcDriveOf(currentChoice(mechanism)).controller;
      const part = plan.parts[partId]?.part;
      const rating = part?.kind === 'controller' ? part[key]?.si : undefined;
      const beyond = up && rating !== undefined && rounded > rating;
      if (beyond && part?.kind === 'controller') {
        const id = freshId(plan, 'controller');
        const name = `${part.name}, ${amperes(rounded)} ${words}`;
        changes.push({
          at: ['parts', id],
          to: { part: { ...part, name, [key]: quantityOf(rounded, amperes(rounded), 'estimated') } },
        });
        changes.push({ at: [...driveAt(context), 'controller'], to: id });
      }
      const breakerToo = key === 'supplyLimit' && up ? breakerAtLeast(context, rounded) : undefined;
      if (breakerToo) changes.push(...breakerToo.changes);
      const what = beyond
        ? `A controller of ${amperes(rounded)} ${words}`
        : `${capitalised(words)} limit ${amperes(rounded)}`;
      return { changes, label: breakerToo ? `${what}, breaker ${amperes(breakerToo.rated)}` : what };
    },
  };
}

const BREAKER_SIZES = [5, 10, 15, 20, 30, 40, 50, 60, 80, 100, 120];

/** The branch a drive hangs on, behind a rail or not. */
const branchNode = ({ plan, mechanism }: LeverContext): ProtectedNode | undefined =>
  branchOf(plan, currentChoice(mechanism).drive.node);

/** A branch breaker of at least this rating, with the wire that typically goes with it. */
function breakerAtLeast(context: LeverContext, needed: number): { changes: Change[]; rated: number } | undefined {
  const node = branchNode(context);
  const now = context.path.branch.breaker?.rated;
  if (!node?.breaker || now === undefined || now >= needed) return undefined;
  const rated = BREAKER_SIZES.find((size) => size >= needed - 1e-9);
  const gauge = rated === undefined ? undefined : thinnestWire(rated);
  if (rated === undefined || gauge === undefined) return undefined;
  const { plan, path } = context;
  const id = freshId(plan, 'breaker');
  const part = plan.parts[node.breaker]!.part as BreakerPart;
  const nodeAt = supplyAt(plan, node.id);
  const changes: Change[] = [
    {
      at: ['parts', id],
      to: { part: { ...part, name: `${rated} A breaker`, rated: quantityOf(rated, amperes(rated)) } },
    },
    { at: [...nodeAt, 'breaker'], to: id },
  ];
  if (gauge < path.branch.gauge)
    changes.push({ at: [...nodeAt, 'wire'], to: { ...node.wire, gauge: quantityOf(gauge, `${gauge} AWG`) } });
  return { changes, rated };
}

const breaker: Lever = {
  id: 'breaker',
  span: ({ path }) => {
    const from = path.branch.breaker?.rated;
    return from === undefined || from >= 120 ? undefined : { from, to: 120 };
  },
  set: (context, value) => {
    const found = breakerAtLeast(context, value);
    if (!found) return undefined;
    const gauge = Math.min(thinnestWire(found.rated) ?? Infinity, context.path.branch.gauge);
    return { changes: found.changes, label: `Breaker ${amperes(found.rated)} on ${gauge} AWG` };
  },
};

const GAUGES = [22, 20, 18, 16, 14, 12, 10, 8, 6];

const mainNode = ({ plan }: LeverContext): ProtectedNode | undefined =>
  plan.supply.find((node): node is ProtectedNode => node.kind === 'main');

/** A thicker wire in the branch, or from the pack to the main breaker. */
function wireLever(id: 'thicker-wire' | 'thicker-main', where: 'branch' | 'main'): Lever {
  const nodeOf = where === 'branch' ? branchNode : mainNode;
  const thickest = GAUGES.at(-1)!;
  return {
    id,
    span: (context) => {
      const gauge = context.path[where]?.gauge;
      return nodeOf(context) && gauge !== undefined && gauge > thickest ? { from: gauge, to: thickest } : undefined;
    },
    set: (context, value) => {
      const node = nodeOf(context)!;
      const gauge = GAUGES.find((size) => size <= value + 1e-9) ?? thickest;
      const wire = { ...node.wire, gauge: quantityOf(gauge, `${gauge} AWG`) };
      const change = { at: [...supplyAt(context.plan, node.id), 'wire'], to: wire };
      return { changes: [change], label: where === 'branch' ? `${gauge} AWG wire` : `${gauge} AWG main wire` };
    },
  };
}

const parallel: Lever = {
  id: 'parallel',
  // Two bench supplies side by side fight over the volts.
  span: ({ path: { pack } }) =>
    pack.figures.chemistry === 'bench' ? undefined : { from: pack.figures.parallel, to: pack.figures.parallel * 3 },
  set: ({ plan, path }, value) => {
    const packs = Math.ceil(value / path.pack.figures.parallel - 1e-9);
    const node = plan.supply.find((candidate) => candidate.kind === 'pack')!;
    const partId = node.kind === 'pack' ? node.part : '';
    const changes: Change[] = [{ at: ['parts', partId, 'part', 'parallel'], to: packs * path.pack.figures.parallel }];
    const part = plan.parts[partId]?.part;
    if (part?.kind === 'pack') {
      for (const key of ['capacity', 'dischargeLimit', 'mass'] as const) {
        const one = part[key];
        if (one)
          changes.push({
            at: ['parts', partId, 'part', key],
            to: { ...one, si: one.si * packs, as: multiplied(one.as, packs) },
          });
      }
    }
    return { changes, label: `${WORDS[packs] ?? packs} packs in parallel` };
  },
};

/** "18 Ah" twice is "36 Ah"; what does not start with a number keeps its words. */
function multiplied(as: string, by: number): string {
  return as.replace(/^[\d.]+/, (text) => digits(Number(text) * by));
}

/** Every lever by its id. A new one is one new line here. */
export const LEVERS: Readonly<Record<LeverId, Lever>> = {
  deeper: ratioLever('deeper', FARTHEST_RATIO, 'More reduction:'),
  shallower: ratioLever('shallower', 1 / FARTHEST_RATIO, 'Less reduction:'),
  motors,
  lighter,
  longer: figureLever('longer', 'job.time', 4, (time) => say`Allow ${time}`),
  'less-often': figureLever('less-often', 'job.every', 8, (time) => say`Once every ${time}`),
  'held-shorter': figureLever('held-shorter', 'job.held', 0.1, (time) => say`Hold it for ${time} only`),
  'less-push': figureLever('less-push', 'job.push', 0.2, (push) => say`Push with ${push}`),
  counterforce,
  'smaller-drum': figureLever(
    'smaller-drum',
    'output.drumRadius',
    0.4,
    ({ value }) => say`Drum ⌀ ${amount(2 * value, 'length')}`,
  ),
  'stronger-rope': figureLever('stronger-rope', 'output.ropeStrength', 10, (strength) => say`Rope of ${strength}`),
  'better-tread': figureLever('better-tread', 'output.grip', 1.6, (grip) => say`Tread with a grip of ${grip}`),
  holder,
  'stator-limit': limitLever('stator-limit', 'statorLimit', true),
  'stator-limit-down': limitLever('stator-limit-down', 'statorLimit', false),
  'supply-limit': limitLever('supply-limit', 'supplyLimit', true),
  'supply-limit-down': limitLever('supply-limit-down', 'supplyLimit', false),
  'brake-limit': limitLever('brake-limit', 'brakeLimit', true),
  'brake-limit-down': limitLever('brake-limit-down', 'brakeLimit', false),
  'return-limit': limitLever('return-limit', 'returnLimit', true),
  'return-limit-down': limitLever('return-limit-down', 'returnLimit', false),
  spring,
  'more-inertia': figureLever('more-inertia', 'output.flywheelInertia', 6, (inertia) => say`Wheels of ${inertia}`),
  'thicker-screw': figureLever('thicker-screw', 'output.screwDiameter', 4, (diameter) => say`Screw ⌀ ${diameter}`),
  breaker,
  'thicker-wire': wireLever('thicker-wire', 'branch'),
  'thicker-main': wireLever('thicker-main', 'main'),
  parallel,
  ...STEP_LEVERS,
  ...SERVO_LEVERS,
  ...STAGE_LEVERS,
};
