import { digits } from '../../format/show.js';
import type { PowerPath } from '../../powerpath/path.js';
import type { CheckRule } from '../check.js';

const HAIR = 0.00005;

type Fitting = NonNullable<PowerPath['fitting']>;

/** What does not go together along the path: shaft and bore, mounting holes, sense of rotation. */
function mismatches({ shaft, bore, ...fitting }: Fitting): readonly string[] {
  const found: string[] = [];
  if (shaft !== undefined && bore !== undefined && Math.abs(shaft - bore) > HAIR)
    found.push(`a shaft of ${digits(shaft * 1000)} mm does not fit a bore of ${digits(bore * 1000)} mm`);
  if (
    fitting.mount !== undefined &&
    fitting.stageMount !== undefined &&
    fitting.mount.trim() !== fitting.stageMount.trim()
  )
    found.push(`the motor’s holes (${fitting.mount}) are not the gearbox’s (${fitting.stageMount})`);
  if (fitting.against) found.push('the motor is timed for one sense of rotation and is set to turn the other way');
  return found;
}

/** Present only where the parts say enough to compare. */
export const fitsTogether: CheckRule = {
  id: 'fits-together',
  name: 'parts fit together',
  link: 'motor',
  needs: [],
  run: false,
  levers: [],
  applies: ({ fitting }) =>
    fitting !== undefined &&
    ((fitting.shaft !== undefined && fitting.bore !== undefined) ||
      (fitting.mount !== undefined && fitting.stageMount !== undefined) ||
      fitting.timed),
  answer: (path) => {
    const found = mismatches(path.fitting!);
    const holds = found.length === 0;
    return {
      outcome: { holds },
      asked: 'one fits the next',
      there: holds ? 'fits' : `${found.length} ${found.length === 1 ? 'mismatch' : 'mismatches'}`,
      sentence: holds
        ? 'Shaft, holes and sense of rotation go together, as far as they are given.'
        : `${capital(found.join('; '))}.`,
      hint: 'An adapter bush, another pinion or plate, or the other winding sense.',
    };
  },
};

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
