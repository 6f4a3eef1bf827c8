import { amount, say } from '../../../plan/words/phrase.js';
import { fallEnergy } from '../../../models/load/fall.js';
import type { Holder } from '../../../plan/document/load.js';
import { showMultiple } from '../../../plan/words/show.js';
import { worstHoldingPlace, type PowerPath } from '../../../path/powerpath/path.js';
import type { AnyPath } from '../../../path/powerpath/anyPath.js';
import type { CheckAnswer, CheckRule } from '../check.js';

const HELD_BY: Readonly<Record<Holder, string>> = {
  nothing: 'nothing',
  brake: 'brake',
  ratchet: 'ratchet',
  stage: 'a stage that stays',
};

/** What an unpowered stepper's detent holds on q: n·Td·(G/r)/ηb; nothing for any other machine. */
function detentHold(path: AnyPath): number {
  if (path.machine !== 'step' || path.step.detentTorque === 0) return 0;
  const { step, train, radius, motors } = path;
  return (motors * step.detentTorque * (train.total / radius)) / Math.max(train.backEfficiency, 1e-9);
}

const FALLS = 'Nothing keeps it up when the power goes: it falls on whoever stands under it.';

/** With nothing but the machine itself: what that means without power. */
function unheld(path: AnyPath, held: number): Pick<CheckAnswer, 'outcome' | 'there' | 'sentence'> {
  const detent = detentHold(path);
  const dimension = path.load.unit === 'm' ? 'force' : 'torque';
  if (detent > 0) {
    const multiple = detent / held;
    return {
      outcome: { holds: multiple >= 2 },
      there: `detent, ${showMultiple(multiple)}`,
      sentence: say`Without power only the detent of the stepper holds: ${amount(detent, dimension)} against ${amount(held, dimension)}.${multiple >= 2 ? '' : ` ${FALLS}`}`,
    };
  }
  if (path.machine === 'servo')
    return { outcome: { holds: false }, there: 'nothing', sentence: `Without power a servo lets go. ${FALLS}` };
  return { outcome: { holds: false }, there: 'nothing', sentence: FALLS };
}

/** A lifted load asks what keeps it up when the power goes. A small fall, or one that may be, is a note. */
export const staysUp: CheckRule<AnyPath> = {
  id: 'stays-up',
  name: 'stays up, power off',
  link: 'output',
  needs: ['load', 'output'],
  run: false,
  levers: ['holder'],
  applies: (path) => path.falls !== undefined,
  answer: (path) => {
    const answer = keptUp(path);
    return 'holds' in answer.outcome && !answer.outcome.holds ? (harmless(path) ?? answer) : answer;
  },
};

function keptUp(path: AnyPath): CheckAnswer {
  const asked = 'must not fall';
  const held = path.load.holdForce(worstHoldingPlace(path));
  if (held <= 0) {
    return {
      outcome: { holds: true },
      asked,
      there: 'counterforce',
      sentence: 'The counterforce carries the load, power or not.',
    };
  }
  const holder = holderOf(path);
  // A stage that stays only when dry is no holder, whether claimed or not.
  if (holder === 'claimed' || (holder === 'nothing' && path.train.backEfficiency === 0))
    return {
      outcome: { holds: false },
      asked,
      there: path.train.backEfficiency === 0 ? 'may creep' : 'no stage stays',
      sentence:
        path.train.backEfficiency === 0
          ? 'It stays by itself only while its friction is as given: greased and shaken to 0.7 of that, it creeps down.'
          : 'No stage of this train stays by itself: the load runs back when the power goes.',
    };
  if (holder === 'nothing') return { asked, ...unheld(path, held) };
  return {
    outcome: { holds: true },
    asked,
    there: HELD_BY[holder],
    sentence: `With the power off it stays up: ${HELD_BY[holder]}.`,
  };
}

/** What falls with little energy, or with the person's leave. */
function harmless({ falls, load, asked }: AnyPath): CheckAnswer | undefined {
  const energy = fallEnergy(load, asked.travel ?? 0);
  const little = energy <= falls!.harmless;
  if (!little && falls!.may === undefined) return undefined;
  return {
    outcome: { note: true },
    asked: little ? say`up to ${amount(falls!.harmless, 'energy')}` : 'may come down',
    there: amount(energy, 'energy'),
    sentence: little
      ? say`It comes down when the power goes, with ${amount(energy, 'energy')}: a knock, up to ${amount(falls!.harmless, 'energy')} counts as harmless.`
      : say`It comes down when the power goes, with ${amount(energy, 'energy')}, and may: ${falls!.may!}`,
  };
}

/** What holds it; a stage that is said to stay must be one. */
function holderOf({ train, holder }: PowerPath): Holder | 'claimed' {
  const byStage = train.stays;
  if (holder === 'nothing' && byStage) return 'stage';
  return holder === 'stage' && !byStage ? 'claimed' : holder;
}
