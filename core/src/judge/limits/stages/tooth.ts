import { amount, say } from '../../../plan/words/phrase.js';
import type { GearParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { bendingTorque, FEWEST_GEAR_TEETH } from '../../../models/reduction/gearPair.js';
import { digits } from '../../../plan/words/show.js';
import { stageLimit } from './stageLimit.js';

/** An idler's teeth are bent to and fro: seven tenths of what they stand one way, typical. */
const BOTH_WAYS = 0.7;

/** The form factor starts at 12 teeth: fewer have no answer here, and the check on undercut says so. */
const hasTeeth = (parts: StageParts): parts is GearParts =>
  parts.kind === 'teeth' && Math.min(parts.driver, parts.driven, parts.idler ?? Infinity) >= FEWEST_GEAR_TEETH;

/** Torque on the pinion at which the weakest foot of the pair is stressed to what its material stands. */
export function toothTorque(parts: GearParts, pinionSpeed: number): number {
  const { driver, driven, idler, pitch, face, allowable } = parts;
  const tooth = (teeth: number) => ({ module: pitch, teeth, face });
  // All mesh at one pitch line: a wheel's torque and speed come back to the pinion's by its teeth.
  const onPinion = (teeth: number, most: number) =>
    bendingTorque(tooth(teeth), most, (pinionSpeed * driver) / teeth) * (driver / teeth);
  return Math.min(
    onPinion(driver, allowable),
    onPinion(driven, allowable),
    idler === undefined ? Infinity : onPinion(idler, BOTH_WAYS * allowable),
  );
}

/** A gear tooth bent at its foot: Lewis, with the pitch line's speed. */
export const tooth = stageLimit<GearParts>({
  id: 'tooth',
  name: 'gear tooth',
  subject: 'The gear tooth',
  wants: 1.5,
  need: 'gear',
  levers: ['more-teeth', 'wider', 'harder', 'lighter', 'longer'],
  has: hasTeeth,
  torque: (parts, { speed }) => toothTorque(parts, speed),
  how: ({ driver, driven, pitch, face, allowable }) =>
    say`σ·b·m·Y·6.1/(6.1 + v)·m·z/2 of the weaker wheel, ${driver} → ${driven} teeth, module ${amount(pitch, 'length')}, face ${amount(face, 'length')}, ${digits(allowable / 1e6)} MPa`,
});
