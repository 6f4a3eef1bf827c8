import { amount, say, type Words } from '../../../plan/words/phrase.js';
import type { LinkKind } from '../../../plan/figures/figure.js';
import { digits } from '../../../plan/words/show.js';
import { jobKindOf } from '../../../path/job/table.js';
import type { Measured } from '../../limits/check.js';
import type { Check } from '../check.js';
import type { Ladder } from '../rung.js';
import { situationOf, type SituationId } from '../../limits/situation.js';
import type { Verdict } from '../verdict.js';
import { CELLS } from '../../../models/pack/cells.js';
import type { Stage, StageKind } from '../../../plan/document/stage.js';
import type { Operating } from '../../../path/powerpath/operating.js';
import type { PowerPath } from '../../../path/powerpath/path.js';
import { holdingCurrent } from '../../../models/protection/breaker.js';

/** One link of the power path as the strip shows it. */
export interface Link {
  readonly id: string;
  readonly kind: LinkKind;
  readonly title: string;
  /** What it is, in a few words. */
  readonly detail: Words;
  /** Its one key number: what is there, and of how much. */
  readonly key?: {
    readonly there: Measured;
    readonly join: 'of' | 'at' | '';
    readonly other?: Measured;
    readonly word?: string;
  };
  /** Absent where no limit or check speaks of this link. */
  readonly verdict?: Verdict;
  /** The greatest share of it that is used, 0…1 and over. */
  readonly used?: number;
  /** What passes from here to the next link: amperes before the motor, torque or force behind it. */
  readonly passes?: Measured;
}

const STAGE_TITLES: Readonly<Record<StageKind, string>> = {
  ratio: 'Gearbox',
  teeth: 'Gears',
  chain: 'Chain',
  belt: 'Belt',
  planetary: 'Planetary',
  worm: 'Worm',
  screw: 'Screw',
};

/** "16 → 54", the ratio of a gearbox bought whole, or a screw's travel a turn. */
function stageRatioText(stage: Stage, ratio: number): Words {
  if (stage.kind === 'teeth' || stage.kind === 'chain' || stage.kind === 'belt')
    return `${stage.driver} → ${stage.driven}`;
  if (!Number.isFinite(ratio)) return stage.kind === 'screw' ? 'lead missing' : 'ratio missing';
  return stage.kind === 'screw' ? say`${amount((2 * Math.PI) / ratio, 'length')} a turn` : `${digits(ratio)}:1`;
}

/** What a strip is drawn from. */
export interface Judged {
  readonly ladders: Readonly<Record<SituationId, Ladder>>;
  readonly checks: readonly Check[];
}

/** A value, and not words about it. */
const isMeasured = (answer: Measured | Words | undefined): answer is Measured =>
  typeof answer === 'object' && 'value' in answer;

export const amperes = (value: number): Measured => ({ value, dimension: 'current' });

function branchDetail(path: PowerPath): Words {
  const { breaker, gauge } = path.branch;
  const wire = Number.isNaN(gauge) ? 'no wire' : amount(gauge, 'gauge');
  return breaker && !Number.isNaN(breaker.rated)
    ? say`${amount(breaker.rated, 'current')} · ${wire}`
    : say`no breaker · ${wire}`;
}

/** Current in the branch, of what its breaker holds where there is one. */
function ofBreaker({ branch: { breaker }, lacks }: PowerPath, current: number): Link['key'] {
  const there = amperes(current);
  return breaker && !lacks['branch breaker']
    ? { there, join: 'of', other: amperes(holdingCurrent(breaker)) }
    : { there, join: '' };
}

/** The pack and the branch: the same in front of every machine. */
export function supplyLinks(path: PowerPath, flow: Operating | undefined): readonly Link[] {
  const { pack, motors, branch } = path;
  const { chemistry, series } = pack.figures;
  const supply = flow?.supplyCurrent;
  const total = supply === undefined ? undefined : motors * supply;
  const share = branch.together ? motors : 1;
  return [
    {
      id: 'pack',
      kind: 'pack',
      title: chemistry === 'bench' ? 'Supply' : 'Pack',
      detail:
        chemistry === 'bench'
          ? `${digits(series)} V held`
          : `${digits(series * CELLS[chemistry].nominal)} V ${CELLS[chemistry].name}`,
      key:
        flow?.packVoltage !== undefined && total !== undefined
          ? { there: { value: flow.packVoltage, dimension: 'voltage' }, join: 'at', other: amperes(total) }
          : undefined,
      passes: total === undefined ? undefined : amperes(total),
    },
    {
      id: 'branch',
      kind: 'branch',
      title: 'Branch',
      detail: branchDetail(path),
      key: supply === undefined ? undefined : ofBreaker(path, share * supply),
      passes: supply === undefined ? undefined : amperes(supply),
    },
  ];
}

/** The stages, the output and the load: the same behind every machine. */
export function loadLinks(path: PowerPath, by: Judged, flow: Operating | undefined): readonly Link[] {
  const kind = jobKindOf(path.job.kind);
  const inTime = by.checks.find((check) => check.id === 'in-time');
  const force: Measured | undefined = flow && {
    value: situationOf(path, 'working').demand,
    dimension: path.load.unit === 'm' ? 'force' : 'torque',
  };
  const stages = path.stages.map((stage, i): Link => {
    const shaft = flow?.shafts[i];
    // Behind a screw nothing turns: its nut has a speed and a force.
    const along = stage.kind === 'screw';
    return {
      id: stage.id,
      kind: 'stage',
      title: stage.name ?? STAGE_TITLES[stage.kind],
      detail: stageRatioText(stage, path.train.stages[i]!.ratio),
      key: shaft && { there: { value: shaft.speed, dimension: along ? 'velocity' : 'speed' }, join: '' },
      passes: shaft && { value: shaft.torque, dimension: along ? 'force' : 'torque' },
    };
  });
  return [
    ...stages,
    {
      id: 'output',
      kind: 'output',
      title: kind.outputTitle,
      detail: kind.outputDetail(path),
      // A torque says by its unit what it is.
      key: force && { there: force, join: '', word: force.dimension === 'torque' ? undefined : kind.outputWord },
      passes: force,
    },
    {
      id: 'load',
      kind: 'load',
      title: 'Load',
      detail: kind.detail(path),
      key:
        inTime && isMeasured(inTime.there) && isMeasured(inTime.asked)
          ? { there: inTime.there, join: 'of', other: inTime.asked }
          : undefined,
    },
  ];
}
