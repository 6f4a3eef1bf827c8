import type { TrialSubject } from '../trials/trial.js';
import { trialSheet, type TrialKind } from '../trials/trials.js';
import type { Part } from '../../plan/document/part.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { rotorInertiaOf } from '../../judge/sizing/constantsOf.js';
import { show } from '../../plan/words/show.js';
import { expectedOf, expectedOfPart } from './expected.js';

/** Air of a workshop, °C, where nobody has looked. */
const WORKSHOP = 20;

/** Turns of the field for one of the shaft that a mechanism's motor turns; absent where its sheet does not say. */
function polePairsOf(plan: Plan | undefined, mechanismId: string | undefined): number | undefined {
  const mechanism = plan?.mechanisms.find(({ id }) => id === mechanismId);
  const drive = mechanism && currentChoice(mechanism).drive;
  const motor = drive?.kind === 'dc' ? plan?.parts[drive.motor]?.part : undefined;
  if (motor?.kind !== 'motor' || motor.polePairs === undefined) return undefined;
  return motor.polePairs * (motor.internalGear?.si ?? 1);
}

/**
 * What is known already of the figures that stand beside a trial's readings: what the sheet says, until somebody measures
 * it, and estimates marked so.
 *
 * @param onShelf the part where it is of no robot
 * @example givenOf('stall', { name: 'can', partKey: 'motor-1' }, plan).freeCurrent.si //=> 2.2
 */
export function givenOf(
  kind: TrialKind,
  subject: TrialSubject,
  plan: Plan | undefined,
  onShelf?: Part,
): Readonly<Record<string, Quantity>> {
  const { partKey, mechanismId } = subject;
  const part = (partKey === undefined ? undefined : plan?.parts[partKey]?.part) ?? onShelf;
  const expected = part ? expectedOfPart(part) : plan ? expectedOf(plan, subject) : {};
  const motor = part?.kind === 'motor' ? part : undefined;
  const servo = part?.kind === 'servo' ? part : undefined;
  const known: Readonly<Record<string, number | undefined>> = {
    resistance: expected.resistance,
    freeCurrent: expected.freeCurrent,
    inertia: motor && rotorInertiaOf(motor),
    polePairs: polePairsOf(plan, mechanismId),
    shortest: servo?.shortestPulse?.si,
    longest: servo?.longestPulse?.si,
    ambient: WORKSHOP,
  };
  const estimated = new Set(['ambient', ...(motor && motor.rotorInertia === undefined ? ['inertia'] : [])]);
  return Object.fromEntries(
    trialSheet(kind).given.flatMap(({ key, dimension }) => {
      const si = known[key];
      if (si === undefined || !Number.isFinite(si)) return [];
      return [[key, quantityOf(si, show(si, dimension), estimated.has(key) ? 'estimated' : 'sheet')]];
    }),
  );
}
