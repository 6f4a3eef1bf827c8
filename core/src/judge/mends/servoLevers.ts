import { amount, say } from '../../plan/words/phrase.js';
import { supplyAt } from '../../plan/document/place.js';
import { digits } from '../../plan/words/show.js';
import { currentChoice } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { railNodeOf } from '../../path/resolve/resolveServo.js';
import type { Change } from '../../plan/document/change.js';
import type { RailNode } from '../../plan/document/supply.js';
import type { Lever, LeverContext } from './lever.js';
import type { LeverId } from '../limits/leverId.js';
import { driveAt, roundOutwards } from './leverTools.js';

/** Ways to change position servos, their linkage and their rail. */

function railOf({ plan, mechanism }: LeverContext): { node: RailNode; at: readonly (string | number)[] } | undefined {
  const { drive } = currentChoice(mechanism);
  if (drive.kind !== 'servo') return undefined;
  const node = railNodeOf(plan, drive.node);
  return { node, at: supplyAt(plan, node.id) };
}

/** A shorter horn on the servo moves the output less far for more torque. */
const shorterHorn: Lever = {
  id: 'shorter-horn',
  span: ({ path }) => {
    const from = path.figures['linkage.horn']?.value;
    return from === undefined ? undefined : { from, to: from * 0.4 };
  },
  set: (context, value) => {
    const millimetres = Math.floor(value * 2000 + 1e-6) / 2;
    return {
      changes: [
        { at: [...driveAt(context), 'linkage', 'horn'], to: quantityOf(millimetres / 1000, `${millimetres} mm`) },
      ],
      label: say`A horn of ${amount(millimetres / 1000, 'length')}`,
    };
  },
};

/** A regulator that gives more, steadily and in bursts. */
const strongerRail: Lever = {
  id: 'stronger-rail',
  span: ({ path }) => {
    if (path.machine !== 'servo' || path.rail.source !== 'regulator' || !Number.isFinite(path.rail.burst))
      return undefined;
    return { from: 1, to: 8 };
  },
  set: (context, value) => {
    const found = railOf(context);
    if (!found || context.path.machine !== 'servo') return undefined;
    const { continuous, burst } = context.path.rail;
    const [steady, short] = [roundOutwards(continuous * value, true), roundOutwards(burst * value, true)];
    const changes: readonly Change[] = [
      { at: [...found.at, 'continuous'], to: quantityOf(steady, `${digits(steady)} A`) },
      { at: [...found.at, 'burst'], to: quantityOf(short, `${digits(short)} A`) },
    ];
    return { changes, label: `A regulator of ${digits(steady)} A, ${digits(short)} A in bursts` };
  },
};

/** Another voltage of the regulator: up to what the weakest servo stands, or down to it. */
function railVolts(id: LeverId, up: boolean): Lever {
  return {
    id,
    span: ({ path }) => {
      if (path.machine !== 'servo' || path.rail.source !== 'regulator') return undefined;
      const from = path.rail.voltage;
      const highest = path.rail.budget.weakest?.highestVoltage ?? from;
      const to = up ? highest : 0.4 * from;
      return up && !(to > from * 1.001) ? undefined : { from, to };
    },
    set: (context, value) => {
      const found = railOf(context);
      if (!found || context.path.machine !== 'servo') return undefined;
      const highest = context.path.rail.budget.weakest?.highestVoltage ?? Infinity;
      const tenths = up ? Math.ceil(value * 10 - 1e-6) / 10 : Math.floor(value * 10 + 1e-6) / 10;
      const volts = up ? Math.min(highest, tenths) : tenths;
      return {
        changes: [{ at: [...found.at, 'voltage'], to: quantityOf(volts, `${digits(volts)} V`) }],
        label: `Set the rail to ${digits(volts)} V`,
      };
    },
  };
}

/** A rail setting that is simply chosen. */
function railChoice(
  id: LeverId,
  when: (context: LeverContext) => boolean,
  key: keyof RailNode,
  to: string,
  label: string,
): Lever {
  return {
    id,
    span: (context) => (when(context) ? { from: 1, to: 2 } : undefined),
    set: (context) => {
      const found = railOf(context);
      return found && { changes: [{ at: [...found.at, key], to }], label };
    },
  };
}

export const SERVO_LEVERS = {
  'shorter-horn': shorterHorn,
  'stronger-rail': strongerRail,
  'rail-volts': railVolts('rail-volts', true),
  'rail-volts-down': railVolts('rail-volts-down', false),
  'rail-regulator': railChoice(
    'rail-regulator',
    ({ path }) => path.machine === 'servo' && path.rail.source === 'board',
    'source',
    'regulator',
    'Feed them from a regulator',
  ),
  'join-grounds': railChoice(
    'join-grounds',
    ({ path }) => path.machine === 'servo' && path.rail.apart,
    'ground',
    'common',
    'Join the grounds',
  ),
} as const;
