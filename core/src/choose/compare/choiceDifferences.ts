import type { Dimension } from '../../plan/words/dimension.js';
import { countOf, partIdsOf, type Choice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import { withChoice } from '../../plan/document/withChoice.js';
import { digits } from '../../plan/words/show.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { AnyPath } from '../../path/powerpath/anyPath.js';

/** One thing in which choices differ: a word or a figure for each, absent where a choice has none. */
export interface ChoiceDifference {
  readonly key: string;
  readonly label: string;
  /** Of figures; words have none. */
  readonly dimension?: Dimension;
  readonly values: readonly (string | number | undefined)[];
}

/** Figures this near read the same. */
const SAME = 1e-9;

/** Where the choices of a mechanism differ, and only there: what they are made of first, then figure by figure. */
export function choiceDifferences(plan: Plan, mechanism: Mechanism, jobId: string): readonly ChoiceDifference[] {
  const { choices } = mechanism;
  const words = WORDS.map(({ key, label, of }): ChoiceDifference => ({
    key,
    label,
    values: choices.map((choice) => of(plan, choice)),
  }));
  const paths = choices.map((choice) => pathOf(plan, mechanism, choice, jobId));
  return [...words, totals(paths), ...figures(paths)].filter(({ values }) => differ(values));
}

/** The path of a job by one of the choices, in force or not. */
export function pathOf(plan: Plan, mechanism: Mechanism, choice: Choice, jobId: string): AnyPath {
  const there = withChoice(plan, mechanism, choice.id);
  return resolvePath(there.plan, there.mechanism, jobId);
}

const WORDS: readonly {
  readonly key: string;
  readonly label: string;
  of(plan: Plan, choice: Choice): string | number | undefined;
}[] = [
  { key: 'motor', label: 'motor or servo', of: (plan, { drive }) => partName(plan, partIdsOf(drive)[0]) },
  { key: 'motors', label: 'how many', of: (_plan, { drive }) => countOf(drive) },
  { key: 'controller', label: 'controller or driver', of: (plan, { drive }) => partName(plan, partIdsOf(drive)[1]) },
  { key: 'node', label: 'hangs on', of: (_plan, { drive }) => drive.node },
  { key: 'train', label: 'stages', of: (_plan, { stages }) => stages.map(stageWords).join(', ') || 'none' },
];

const partName = (plan: Plan, id: string | undefined): string | undefined =>
  id === undefined ? undefined : plan.parts[id]?.part.name;

/** "16 → 54 chain", "9.4:1" */
function stageWords(stage: Stage): string {
  switch (stage.kind) {
    case 'teeth':
    case 'chain':
    case 'belt':
      return `${stage.driver} → ${stage.driven} ${stage.kind === 'teeth' ? 'gears' : stage.kind}`;
    case 'worm':
      return `worm ${stage.starts}:${stage.teeth}`;
    case 'screw':
      return `screw ${stage.lead?.as ?? ''}`.trim();
    default:
      return `${stage.ratio ? digits(stage.ratio.si, 4) : '?'}:1 ${stage.kind === 'planetary' ? 'planetary' : ''}`.trim();
  }
}

const totals = (paths: readonly AnyPath[]): ChoiceDifference => ({
  key: 'total',
  label: 'total reduction',
  dimension: 'ratio',
  values: paths.map(({ train }) => (Number.isFinite(train.total) ? train.total : undefined)),
});

/** Figures of the parts and of the output; those of the stages are in the words above. */
function figures(paths: readonly AnyPath[]): readonly ChoiceDifference[] {
  const keys = new Set(paths.flatMap((path) => Object.keys(path.figures)));
  return [...keys]
    .filter((key) => !key.startsWith('stage.'))
    .map((key): ChoiceDifference => {
      const found = paths.map((path) => path.figures[key]);
      const { label, dimension } = found.find((figure) => figure !== undefined)!;
      return { key, label, dimension, values: found.map((figure) => figure?.value) };
    });
}

function differ([first, ...rest]: readonly (string | number | undefined)[]): boolean {
  return rest.some((value) =>
    typeof value === 'number' && typeof first === 'number'
      ? Math.abs(value - first) > SAME * Math.max(Math.abs(value), Math.abs(first))
      : value !== first,
  );
}
