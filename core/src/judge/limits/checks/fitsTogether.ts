import { amount, capitalised, joined, say, type Words } from '../../../plan/words/phrase.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import type { CheckRule } from '../check.js';

const HAIR = 0.00005;

type Fitting = NonNullable<PowerPath['fitting']>;

/** Wheels behind the motor whose bores are not the shaft they sit on; it takes an adapter, or another bore. */
function betweenStages({ stageParts }: PowerPath): readonly Words[] {
  return stageParts.flatMap(({ shaft, drivenBore, index }) => {
    if (!shaft) return [];
    const wheels = [
      [`the driven wheel of stage ${index + 1}`, drivenBore],
      [`the driver of stage ${index + 2}`, stageParts[index + 1]?.bore],
    ] as const;
    return wheels.flatMap(([wheel, bore]) =>
      bore !== undefined && Math.abs(bore - shaft.size) > HAIR
        ? [
            say`${wheel} has a bore of ${amount(bore, 'length')} on a ${shaft.form} shaft of ${amount(shaft.size, 'length')}`,
          ]
        : [],
    );
  });
}

const comparesStages = ({ stageParts }: PowerPath): boolean =>
  stageParts.some(
    ({ shaft, drivenBore, index }) =>
      shaft !== undefined && (drivenBore !== undefined || stageParts[index + 1]?.bore !== undefined),
  );

/** What does not go together along the path: shaft and bore, mounting holes, sense of rotation. */
function mismatches(path: PowerPath): readonly Words[] {
  return [...(path.fitting ? atMotor(path.fitting) : []), ...betweenStages(path)];
}

function atMotor({ shaft, bore, ...fitting }: Fitting): readonly Words[] {
  const found: Words[] = [];
  if (shaft !== undefined && bore !== undefined && Math.abs(shaft - bore) > HAIR)
    found.push(say`a shaft of ${amount(shaft, 'length')} does not fit a bore of ${amount(bore, 'length')}`);
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
  applies: (path) =>
    comparesStages(path) ||
    (path.fitting !== undefined &&
      ((path.fitting.shaft !== undefined && path.fitting.bore !== undefined) ||
        (path.fitting.mount !== undefined && path.fitting.stageMount !== undefined) ||
        path.fitting.timed)),
  answer: (path) => {
    const found = mismatches(path);
    const holds = found.length === 0;
    return {
      outcome: { holds },
      asked: 'one fits the next',
      there: holds ? 'fits' : `${found.length} ${found.length === 1 ? 'mismatch' : 'mismatches'}`,
      sentence: holds
        ? 'Shaft, holes and sense of rotation go together, as far as they are given.'
        : say`${capitalised(joined(found, '; '))}.`,
      hint: 'An adapter bush, another pinion or plate, or the other winding sense.',
    };
  },
};
