import type { Change } from '../../plan/document/change.js';
import type { CoilWiring } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { rewired, type CoilFigures } from '../../models/stepper/coilWiring.js';
import { digits } from '../../plan/words/show.js';

const KEYS = {
  phaseResistance: 'Ω',
  phaseInductance: 'H',
  ratedCurrent: 'A',
  holdingTorque: 'N·m',
} as const satisfies Record<keyof CoilFigures, string>;

/**
 * Joins a stepper's half coils another way: its figures follow, and say what they were.
 *
 * @throws where the plan has no such stepper
 */
export function wireCoils(plan: Plan, partId: string, to: CoilWiring): readonly Change[] {
  const part = plan.parts[partId]?.part;
  if (part?.kind !== 'stepper') throw new Error(`the plan has no stepper ${partId}`);
  const from = part.wiring ?? 'series';
  const at = ['parts', partId, 'part'];
  const si = (key: keyof CoilFigures): number => part[key]?.si ?? NaN;
  const joined = rewired(
    {
      phaseResistance: si('phaseResistance'),
      phaseInductance: si('phaseInductance'),
      ratedCurrent: si('ratedCurrent'),
      holdingTorque: si('holdingTorque'),
    },
    from,
    to,
  );
  const figures = (Object.keys(KEYS) as (keyof CoilFigures)[]).flatMap((key) => {
    const before = part[key];
    return before
      ? [{ at: [...at, key], to: followed(before, joined[key], KEYS[key], `${before.as} wired ${from}`) }]
      : [];
  });
  return [...figures, { at: [...at, 'wiring'], to }];
}

const followed = ({ source }: Quantity, si: number, unit: string, from: string): Quantity => ({
  si,
  as: `${digits(si, 4)} ${unit}`,
  source: source === 'measured' ? 'estimated' : source,
  from,
});
