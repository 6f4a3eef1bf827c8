import { amount, joined, say, type Words } from '../../../../plan/words/phrase.js';
import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import type { CheckRule } from '../../check.js';

const SIDES = ['length', 'width', 'height'] as const;

/** What of the servo does not go where it is to go: its horn on its spline, its case in the room there is. */
function mismatches({ splineTeeth, hornTeeth, size, room }: ServoPath['fit']): readonly Words[] {
  const found: Words[] = SIDES.flatMap((side) => {
    const [has, there] = [size[side], room[side]];
    return has !== undefined && there !== undefined && has > there
      ? [say`its case has a ${side} of ${amount(has, 'length')}, there is room for ${amount(there, 'length')}`]
      : [];
  });
  if (hornTeeth !== undefined && splineTeeth !== undefined && hornTeeth !== splineTeeth)
    found.push(`a horn of ${hornTeeth} teeth does not go on a spline of ${splineTeeth}`);
  return found;
}

/** Asked only where a horn or some room is typed. */
export const servoFits: CheckRule<ServoPath> = {
  id: 'servo-fits',
  name: 'servo and horn fit',
  link: 'motor',
  needs: [],
  run: false,
  levers: [],
  applies: ({ fit: { hornTeeth, room } }) => hornTeeth !== undefined || SIDES.some((side) => room[side] !== undefined),
  answer: ({ fit }) => {
    const found = mismatches(fit);
    const { hornTeeth, splineTeeth } = fit;
    const silent = hornTeeth !== undefined && splineTeeth === undefined;
    return {
      outcome: found.length === 0 && silent ? { note: true } : { holds: found.length === 0 },
      asked: hornTeeth === undefined ? 'the room there is' : `a horn of ${hornTeeth} teeth`,
      there: found.length > 0 ? 'does not fit' : silent ? 'spline not known' : 'fits',
      sentence:
        found.length > 0
          ? say`The servo does not go there: ${joined(found, '; ')}.`
          : silent
            ? `How many teeth its spline has is not known: count them before a horn of ${hornTeeth} is bought.`
            : 'The servo goes into the room there is, and the horn onto its spline.',
      hint: 'Another size of servo, a horn for its spline, or more room.',
    };
  },
};
