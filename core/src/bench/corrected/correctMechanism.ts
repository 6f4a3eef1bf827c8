import type { Conclusion } from '../trials/conclusion.js';
import type { MeasuredFigure } from '../trials/measured.js';
import type { Change } from '../../plan/document/change.js';
import { choiceAt, mechanismById } from '../../plan/document/place.js';
import type { Stage } from '../../plan/document/stage.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import { MECHANISM_JOBS } from '../../path/job/table.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { Dimension } from '../../plan/words/dimension.js';
import type { CorrectedFigure } from '../trials/trial.js';
import { foundIn, measuredQuantity, type TrialSource } from './correction.js';
import { pullFor } from './pull.js';

export interface CorrectedMechanism {
  readonly changes: readonly Change[];
  readonly figures: readonly CorrectedFigure[];
}

/**
 * What a trial of a whole mechanism puts right in it: what its train loses (shared by its stages in proportion to what each
 * loses), its controller's least speed, its offset, its own friction. `undefined` where it finds none of these.
 *
 * @example correctMechanism(plan, 'lift', conclusion, { id: 'trial-1', trial })?.figures[0].label //=> '…'
 */
export function correctMechanism(
  plan: Plan,
  mechanismId: string,
  conclusion: Conclusion,
  source: TrialSource,
): CorrectedMechanism | undefined {
  const mechanism = mechanismById(plan, mechanismId);
  const at = choiceAt(plan, mechanism);
  const { drive, stages, output } = currentChoice(mechanism);
  const changes: Change[] = [];
  const figures: CorrectedFigure[] = [];
  const put = (
    label: string,
    dimension: Dimension,
    before: number | undefined,
    found: MeasuredFigure,
    place: Change['at'],
  ) => {
    figures.push({ label, dimension, before, after: found.value });
    changes.push({ at: place, to: measuredQuantity(found, dimension, source) });
  };
  const offset = foundIn(conclusion, 'dragOffset');
  if (offset && drive.kind === 'dc')
    put('offset against drag', 'current', drive.dragOffset?.si, offset, [...at, 'drive', 'dragOffset']);
  const erpm = foundIn(conclusion, 'leastErpm');
  const controller = drive.kind === 'dc' ? plan.parts[drive.controller]?.part : undefined;
  if (erpm && drive.kind === 'dc' && controller?.kind === 'controller')
    put('least electrical speed', 'speed', controller.leastErpm?.si, erpm, [
      'parts',
      drive.controller,
      'part',
      'leastErpm',
    ]);
  const friction = foundIn(conclusion, 'frictionTorque');
  const own: MeasuredFigure | undefined =
    source.trial.said['turns'] === 'the whole mechanism' && MECHANISM_JOBS[mechanism.kind].ownFriction
      ? friction
      : undefined;
  if (own && own.value > 0) {
    const before = 'friction' in output ? output.friction?.si : undefined;
    put('friction of what turns', 'torque', before, own, [...at, 'output', 'friction']);
  }
  const pull = foundIn(conclusion, 'pullPerAmpere');
  if (pull && pull.value > 0) {
    const path = resolvePath(plan, mechanism, source.trial.subject.jobId ?? mechanism.jobs[0]!.id);
    for (const { i, before, after } of efficienciesBy(pull, path, stages))
      put(`${stages[i]!.name ?? `stage ${i + 1}`}: efficiency`, 'share', before, after, [
        ...at,
        'stages',
        i,
        'efficiency',
      ]);
  }
  return changes.length > 0 ? { changes, figures } : undefined;
}

/** What each stage leaves of its power, by what the whole pulled: those that lose more have more of it to account for. */
function efficienciesBy(
  pull: MeasuredFigure,
  path: ReturnType<typeof resolvePath>,
  stages: readonly Stage[],
): readonly { readonly i: number; readonly before: number; readonly after: MeasuredFigure }[] {
  const lossless = pullFor(path)?.lossless;
  if (lossless === undefined) return [];
  const { efficiency } = path.train;
  const found = Math.min(1, pull.value / lossless);
  // Of each stage the same power of what it leaves: one that loses twice as much gives twice as much back.
  const power = efficiency < 1 && efficiency > 0 ? Math.log(found) / Math.log(efficiency) : undefined;
  return stages.flatMap((stage, i) => {
    const before = path.figures[`stage.${stage.id}.efficiency`]?.value;
    if (before === undefined) return [];
    const after = power === undefined ? found ** (1 / stages.length) : before ** power;
    const error = (after * (pull.error / pull.value)) / stages.length;
    return [{ i, before, after: { value: Math.max(0.02, after), error } }];
  });
}
