import { amount, say } from '../../../plan/words/phrase.js';
import { counted } from '../../../plan/words/show.js';
import { FEWEST_GEAR_TEETH, UNDERCUT_UNDER, WHOLE_FROM } from '../../../models/reduction/gearPair.js';
import { speedRipple } from '../../../models/reduction/runLength.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { ChainParts, GearParts, StageParts } from '../../../path/powerpath/stageParts.js';
import { cos, div, named, num, sub } from '../../../path/worked/expression.js';
import type { CheckRule } from '../check.js';

const teethOf = (parts: GearParts): number => Math.min(parts.driver, parts.driven, parts.idler ?? Infinity);
const isGears = (parts: StageParts): parts is GearParts => parts.kind === 'teeth';
const isChain = (parts: StageParts): parts is ChainParts => parts.kind === 'chain';

const leastOf = <S extends StageParts>(
  path: PowerPath,
  is: (parts: StageParts) => parts is S,
  by: (parts: S) => number,
): S | undefined => path.stageParts.filter(is).sort((a, b) => by(a) - by(b))[0];

/** Few teeth are cut away at their feet: a note at 17 and 16, tight under, and under 12 there is no strength to tell. */
export const undercut: CheckRule = {
  id: 'undercut',
  name: 'gear teeth whole',
  link: 'stage',
  needs: [],
  run: false,
  levers: ['more-teeth'],
  applies: (path) => path.stageParts.some(isGears),
  stage: (path) => leastOf(path, isGears, teethOf)?.id,
  answer: (path) => {
    const teeth = teethOf(leastOf(path, isGears, teethOf)!);
    return {
      outcome:
        teeth >= UNDERCUT_UNDER && teeth < WHOLE_FROM
          ? { note: true }
          : { multiple: teeth / FEWEST_GEAR_TEETH, wants: UNDERCUT_UNDER / FEWEST_GEAR_TEETH },
      asked: `${UNDERCUT_UNDER} teeth`,
      there: counted(teeth, 'tooth', 'teeth'),
      sentence:
        teeth >= WHOLE_FROM
          ? `The smallest gear has ${teeth} teeth: nothing of them is cut away.`
          : teeth >= UNDERCUT_UNDER
            ? `A gear of ${teeth} teeth is undercut a little at 20°: usual, and in the strength reckoned here.`
            : teeth >= FEWEST_GEAR_TEETH
              ? `A gear of ${teeth} teeth is undercut at 20°: its feet are thinner than the figures say, unless its profile is shifted.`
              : `A gear of ${teeth} teeth has no strength that could be told: 12 are the fewest.`,
      working: () =>
        named('x', 'teeth over the fewest', 'number', div(num(teeth, 'teeth'), num(FEWEST_GEAR_TEETH, 'fewest'))),
    };
  },
};

/** Ripple worth a note, one that asks for more teeth, and one that is plainly rough: under 16, 12 and 9 teeth. */
const NOTED = 0.02;
const MUCH = 0.035;
const ROUGH = 0.06;

const smallOf = ({ driver, driven }: ChainParts): number => Math.min(driver, driven);

/** A chain rides on a polygon: under sixteen teeth a note, under twelve tight. */
export const ripple: CheckRule = {
  id: 'ripple',
  name: 'chain runs evenly',
  link: 'stage',
  needs: [],
  run: false,
  levers: ['more-teeth'],
  applies: (path) => path.stageParts.some(isChain),
  stage: (path) => leastOf(path, isChain, smallOf)?.id,
  answer: (path) => {
    const teeth = smallOf(leastOf(path, isChain, smallOf)!);
    const by = speedRipple(teeth);
    return {
      outcome: by > NOTED && by <= MUCH ? { note: true } : { multiple: ROUGH / by, wants: ROUGH / MUCH },
      asked: say`${amount(ROUGH, 'share')} at most, ${amount(MUCH, 'share')} wanted`,
      there: amount(by, 'share'),
      sentence: say`On ${teeth} teeth the chain’s speed swings by ${amount(by, 'share')} at every tooth${by > NOTED ? ': it is felt and heard, and wears the chain' : ''}.`,
      working: () =>
        named(
          'x',
          'a rough chain’s ripple over this one’s',
          'number',
          div(num(ROUGH), named('\\delta', '1 − cos(π/z)', 'number', sub(num(1), cos(div(num(Math.PI), num(teeth)))))),
        ),
    };
  },
};
