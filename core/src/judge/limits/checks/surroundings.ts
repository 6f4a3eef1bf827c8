import type { DirtStood, Sealing } from '../../../plan/document/part.js';
import type { PowerPath, Surroundings } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';

/** What keeps out more comes later. */
const SEALED: readonly Sealing[] = ['open', 'dust and splashes', 'under water'];
const STOOD: readonly DirtStood[] = ['clean only', 'some dirt', 'any dirt'];

/** Whether what a part says it stands reaches what is asked, in a list from least to most; nothing asked is stood. */
const reaches = <T>(order: readonly T[], asked: T | undefined, says: T | undefined): boolean | undefined =>
  asked === undefined ? true : says && order.indexOf(says) >= order.indexOf(asked);

/** Whether a part stands what the job brings; `undefined` where it does not say. */
export function standsSurroundings(
  { wet, dirt }: Surroundings,
  part: Surroundings['parts'][number],
): boolean | undefined {
  const kept = [reaches(SEALED, wet, part.sealing), reaches(STOOD, dirt, part.dirt)];
  return kept.includes(false) ? false : kept.includes(undefined) ? undefined : true;
}

const WET = { 'dust and splashes': 'dust and splashes', 'under water': 'being under water' } as const;

const asks = ({ wet, dirt }: Surroundings): string =>
  [wet && WET[wet], dirt].filter((word) => word !== undefined).join(' and ');

/** Wet and dirt where the mechanism works, against what its motor and electronics are made for: a must, or only worth knowing. */
export const surroundings: CheckRule = {
  id: 'surroundings',
  name: 'stands wet and dirt',
  link: 'motor',
  needs: [],
  run: false,
  levers: [],
  applies: (path: PowerPath) => path.surroundings !== undefined,
  answer: ({ surroundings: of }) => {
    const { parts, counts } = of!;
    const weak = parts.filter((part) => standsSurroundings(of!, part) === false);
    const silent = parts.filter((part) => standsSurroundings(of!, part) === undefined);
    const holds = weak.length === 0;
    const named = (list: typeof parts) => list.map(({ name }) => name).join(' and ');
    return {
      outcome: counts === 'must' && (weak.length > 0 || silent.length === 0) ? { holds } : { note: true },
      asked: asks(of!),
      there: weak.length > 0 ? 'less' : silent.length > 0 ? 'not known' : 'as much',
      sentence:
        weak.length > 0
          ? `The job brings ${asks(of!)}; ${named(weak)} ${weak.length === 1 ? 'is' : 'are'} not made for that.`
          : silent.length > 0
            ? `The job brings ${asks(of!)}; whether ${named(silent)} ${silent.length === 1 ? 'stands' : 'stand'} that, the sheet says: type it on the shelf.`
            : `The job brings ${asks(of!)}; ${named(parts)} ${parts.length === 1 ? 'is' : 'are'} made for that.`,
      hint: 'A sealed motor or servo, a box round the electronics, or a place where it stays dry and clean.',
    };
  },
};
