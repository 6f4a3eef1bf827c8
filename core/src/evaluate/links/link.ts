import { amount, say, type Words } from '../../words/phrase.js';
import type { LinkKind } from '../../figures/figure.js';
import { digits } from '../../words/show.js';
import { jobKindOf } from '../../job/table.js';
import type { Measured } from '../../limits/check.js';
import type { Check } from '../check.js';
import type { Ladder } from '../rung.js';
import { situationOf, SITUATIONS, type SituationId } from '../../limits/situation.js';
import { STAGE_LIMITS } from '../../limits/table.js';
import { verdictOf, worseOf, worstVerdict, type Verdict } from '../verdict.js';
import { CELLS } from '../../pack/cells.js';
import type { Stage, StageKind } from '../../plan/stage.js';
import type { Operating } from '../../powerpath/operating.js';
import type { PowerPath } from '../../powerpath/path.js';
import type { StageParts } from '../../powerpath/stageParts.js';
import { holdingCurrent } from '../../protection/breaker.js';

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

/** "16 → 54", or the ratio of a gearbox bought whole. */
export function stageRatioText(stage: Stage, ratio: number): string {
  if (stage.kind === 'teeth' || stage.kind === 'chain' || stage.kind === 'belt')
    return `${stage.driver} → ${stage.driven}`;
  return Number.isFinite(ratio) ? `${digits(ratio)}:1` : 'ratio missing';
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

/** The worst verdict of what speaks of a link, and the greatest share used of a force, or of the time allowed. */
export function judged(kind: LinkKind, { ladders, checks }: Judged): Pick<Link, 'verdict' | 'used'> {
  let verdict: Verdict | undefined;
  let least = Infinity;
  const speak = (
    item: { readonly verdict: Verdict; readonly multiple?: number },
    outOfReach: boolean,
    share: boolean,
  ) => {
    verdict = outOfReach ? (verdict ?? 'enough') : worseOf(verdict ?? 'enough', item.verdict);
    if (share && item.multiple !== undefined) least = Math.min(least, item.multiple);
  };
  for (const id of SITUATIONS)
    for (const rung of ladders[id].rungs) if (rung.link === kind) speak(rung, rung.outOfReach, true);
  // A wire that just suits its breaker is not a wire used up: of the checks only time is a share of something.
  for (const check of checks) if (check.link === kind) speak(check, false, check.id === 'in-time');
  if (verdict === undefined) return {};
  return least === Infinity ? { verdict } : { verdict, used: 1 / Math.max(least, 0.01) };
}

/**
 * What speaks of one stage: of a limit that each stage has for itself its own capacity, not that of the stage
 * that gives first; and the checks that are about it.
 */
function judgedStage(path: PowerPath, parts: StageParts, { ladders, checks }: Judged): Pick<Link, 'verdict' | 'used'> {
  const rungs = SITUATIONS.flatMap((id): { verdict: Verdict; multiple?: number }[] => {
    const { demand, rungs: all } = ladders[id];
    if (demand === undefined || !(demand > 0)) return [];
    const situation = situationOf(path, id);
    return all
      .filter((rung) => rung.link === 'stage')
      .flatMap((rung): { verdict: Verdict; multiple?: number }[] => {
        const limit = STAGE_LIMITS.find((candidate) => candidate.id === rung.id);
        if (!limit?.has(parts)) return [];
        if (rung.capacity === undefined || rung.stage === parts.id) return [rung];
        const multiple = Math.max(0, limit.capacityOf(path, parts, situation)) / demand;
        return [{ multiple, verdict: verdictOf(multiple, rung.wants, limit.floor?.(path)) }];
      });
  });
  const own = checks.filter((check) => check.stage === parts.id);
  if (rungs.length + own.length === 0) return {};
  const multiples = rungs.flatMap(({ multiple }) => (multiple === undefined ? [] : [multiple]));
  return {
    verdict: worstVerdict([...rungs, ...own].map(({ verdict }) => verdict)),
    ...(multiples.length > 0 ? { used: 1 / Math.max(Math.min(...multiples), 0.01) } : {}),
  };
}

function branchDetail(path: PowerPath): Words {
  const { breaker, gauge } = path.branch;
  const wire = Number.isNaN(gauge) ? 'no wire' : amount(gauge, 'gauge');
  return breaker && !Number.isNaN(breaker.rated)
    ? say`${amount(breaker.rated, 'current')} · ${wire}`
    : say`no breaker · ${wire}`;
}

/** The pack and the branch: the same in front of every machine. */
export function supplyLinks(path: PowerPath, by: Judged, flow: Operating | undefined): readonly Link[] {
  const { pack, motors, branch } = path;
  const { chemistry, series } = pack.figures;
  const supply = flow?.supplyCurrent;
  const total = supply === undefined ? undefined : motors * supply;
  const share = branch.together ? motors : 1;
  const { breaker } = branch;
  return [
    {
      id: 'pack',
      kind: 'pack',
      title: 'Pack',
      detail: `${digits(series * CELLS[chemistry].nominal)} V ${CELLS[chemistry].name}`,
      ...judged('pack', by),
      ...(flow?.packVoltage !== undefined && total !== undefined
        ? {
            key: { there: { value: flow.packVoltage, dimension: 'voltage' }, join: 'at', other: amperes(total) },
            passes: amperes(total),
          }
        : {}),
    },
    {
      id: 'branch',
      kind: 'branch',
      title: 'Branch',
      detail: branchDetail(path),
      ...judged('branch', by),
      ...(supply === undefined
        ? {}
        : {
            key:
              breaker && !path.lacks['branch breaker']
                ? { there: amperes(share * supply), join: 'of', other: amperes(holdingCurrent(breaker)) }
                : { there: amperes(share * supply), join: '' },
            passes: amperes(supply),
          }),
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
    return {
      id: stage.id,
      kind: 'stage',
      title: stage.name ?? STAGE_TITLES[stage.kind],
      detail: stageRatioText(stage, path.train.stages[i]!.ratio),
      ...judgedStage(path, path.stageParts[i]!, by),
      ...(shaft
        ? {
            key: { there: { value: shaft.speed, dimension: 'speed' }, join: '' },
            passes: { value: shaft.torque, dimension: 'torque' },
          }
        : {}),
    };
  });
  return [
    ...stages,
    {
      id: 'output',
      kind: 'output',
      title: kind.outputTitle,
      detail: kind.outputDetail(path),
      ...judged('output', by),
      ...(force ? { key: { there: force, join: '', word: kind.outputWord }, passes: force } : {}),
    },
    {
      id: 'load',
      kind: 'load',
      title: 'Load',
      detail: kind.detail(path),
      ...judged('load', by),
      ...(inTime && isMeasured(inTime.there) && isMeasured(inTime.asked)
        ? { key: { there: inTime.there, join: 'of', other: inTime.asked } }
        : {}),
    },
  ];
}
