import { amount, say } from '../../plan/words/phrase.js';
import { jobAt } from '../../plan/document/place.js';
import { counted, digits, show } from '../../plan/words/show.js';
import { partOf } from '../../path/resolve/resolveSupply.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { currentChoice, type StepDrive } from '../../plan/document/plan.js';
import type { DriverPart } from '../../plan/document/part.js';
import type { Lever, LeverContext } from './lever.js';
import { rmsOf } from '../../models/stepper/switches.js';
import type { LeverId } from '../limits/leverId.js';
import { driveAt, roundOutwards } from './leverTools.js';

/** Ways to change a drive that takes pulses. */

const amperes = (value: number) => `${digits(value)} A`;

function stepDriveOf({ mechanism }: LeverContext): StepDrive | undefined {
  const { drive } = currentChoice(mechanism);
  return drive.kind === 'step' ? drive : undefined;
}

function driverOf(context: LeverContext): DriverPart | undefined {
  const drive = stepDriveOf(context);
  return drive && partOf(context.plan, drive.driver, 'driver');
}

/** The currents a driver's switches make, r.m.s., the least first; none where it is set otherwise. */
function currentsOn(context: LeverContext): readonly number[] {
  const part = driverOf(context);
  if (!part) return [];
  return (part.currentSwitches ?? [])
    .map(({ value }) => Number(rmsOf(value, part).toPrecision(3)))
    .sort((a, b) => a - b);
}

/** The set current, up to what motor and driver stand, or down. */
function currentLever(id: LeverId, up: boolean): Lever {
  return {
    id,
    span: ({ path }) => {
      if (path.machine !== 'step' || path.step.kind !== 'stepper') return undefined;
      const from = path.step.setCurrent;
      const to = up ? Math.min(path.step.ratedCurrent, path.driver.mostCurrent) : 0.2 * from;
      return up && !(to > from * 1.001) ? undefined : { from, to };
    },
    set: (context, value) => {
      const { path } = context;
      if (path.machine !== 'step') return undefined;
      const most = Math.min(path.step.ratedCurrent, path.driver.mostCurrent);
      const switches = currentsOn(context);
      if (switches.length > 0) {
        const chosen = up
          ? switches.find((current) => current >= value && current <= most * 1.001)
          : switches.findLast((current) => current <= value);
        return chosen === undefined
          ? undefined
          : {
              changes: [{ at: [...driveAt(context), 'setCurrent'], to: quantityOf(chosen, amperes(chosen)) }],
              label: `Set its switches to ${amperes(chosen)} r.m.s. of a phase`,
            };
      }
      const rounded = up ? Math.min(most, roundOutwards(value, true)) : roundOutwards(value, false);
      return {
        changes: [{ at: [...driveAt(context), 'setCurrent'], to: quantityOf(rounded, amperes(rounded)) }],
        label: `Set ${amperes(rounded)} of a phase`,
      };
    },
  };
}

function idleLever(id: LeverId, up: boolean): Lever {
  return {
    id,
    span: ({ path }) => {
      if (path.machine !== 'step' || path.step.kind !== 'stepper') return undefined;
      const from = Math.max(0.01, path.step.idleShare);
      return up ? (from < 0.999 ? { from, to: 1 } : undefined) : { from, to: 0.05 };
    },
    set: (context, value) => {
      const percent = up
        ? Math.min(100, Math.ceil(20 * value - 1e-9) * 5)
        : Math.max(5, Math.floor(20 * value + 1e-9) * 5);
      return {
        changes: [{ at: [...driveAt(context), 'idleShare'], to: quantityOf(percent / 100, `${percent} %`) }],
        label: `${percent} % of the current while it stands`,
      };
    },
  };
}

/** Other switches for the steps: finer, or coarser. */
function stepsLever(id: LeverId, finer: boolean): Lever {
  const settings = (context: LeverContext): readonly number[] =>
    (driverOf(context)?.stepSwitches ?? []).map(({ value }) => value).sort((a, b) => a - b);
  const now = ({ path }: LeverContext): number =>
    path.machine !== 'step' ? NaN : path.step.kind === 'stepper' ? path.step.microsteps : path.step.stepsPerTurn;
  return {
    id,
    span: (context) => {
      const from = now(context);
      const others = settings(context).filter((value) => (finer ? value > from : value < from));
      if (others.length === 0) return undefined;
      return { from, to: finer ? others.at(-1)! : others[0]! };
    },
    set: (context, value) => {
      const all = settings(context);
      const chosen = finer
        ? all.find((setting) => setting >= value * (1 - 1e-9))
        : all.findLast((setting) => setting <= value * (1 + 1e-9));
      if (chosen === undefined || chosen === now(context)) return undefined;
      const servo = context.path.machine === 'step' && context.path.step.kind === 'step-servo';
      const label = servo
        ? `${counted(chosen, 'pulse')} a turn`
        : chosen === 1
          ? 'Full steps'
          : `${chosen} micro-steps`;
      return { changes: [{ at: [...driveAt(context), 'steps'], to: chosen }], label };
    },
  };
}

/** The same way in the same time cannot be gentler: a lower acceleration takes longer. */
const gentler: Lever = {
  id: 'gentler',
  span: ({ path }) => {
    if (path.machine !== 'step' || !path.ramp) return undefined;
    const { acceleration } = path.commanded;
    return acceleration > 0 ? { from: acceleration, to: acceleration / 10 } : undefined;
  },
  set: (context, value) => {
    const { path, plan, mechanism } = context;
    const rounded = roundOutwards(value * path.asked.perCoordinate, false);
    const dimension = path.load.unit === 'm' ? 'acceleration' : 'angular acceleration';
    return {
      changes: [
        {
          at: [...jobAt(plan, mechanism, path.job.id), 'acceleration'],
          to: quantityOf(rounded, show(rounded, dimension)),
        },
      ],
      label: say`Speed up with ${amount(rounded, dimension)}`,
    };
  },
};

/** A setting that is simply chosen. */
function choiceLever(
  id: LeverId,
  when: (context: LeverContext) => boolean,
  key: string,
  to: string | boolean,
  label: string,
): Lever {
  return {
    id,
    span: (context) => (when(context) ? { from: 1, to: 2 } : undefined),
    set: (context) => ({ changes: [{ at: [...driveAt(context), key], to }], label }),
  };
}

export const STEP_LEVERS = {
  'set-current': currentLever('set-current', true),
  'set-current-down': currentLever('set-current-down', false),
  'idle-current': idleLever('idle-current', true),
  'idle-current-down': idleLever('idle-current-down', false),
  'finer-steps': stepsLever('finer-steps', true),
  'coarser-steps': stepsLever('coarser-steps', false),
  gentler,
  'with-ramp': choiceLever(
    'with-ramp',
    ({ path }) => path.machine === 'step' && !path.ramp,
    'ramp',
    'ramp',
    'Start along a ramp',
  ),
  'signal-transistor': choiceLever(
    'signal-transistor',
    ({ path }) => path.machine === 'step' && path.signalStage !== 'transistor',
    'signalStage',
    'transistor',
    'A small transistor between pin and input',
  ),
  'signal-resistor': choiceLever(
    'signal-resistor',
    ({ path }) => path.machine === 'step' && path.signalStage !== 'resistor',
    'signalStage',
    'resistor',
    'A resistor between pin and input',
  ),
  'wire-enable': choiceLever(
    'wire-enable',
    ({ path }) => path.machine === 'step' && !path.enable.wired,
    'enableWired',
    true,
    'A wire from the board to the enable input',
  ),
} as const;
