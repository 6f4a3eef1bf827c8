import type { LinkKind } from '../figures/figure.js';
import { digits, show } from '../format/show.js';
import type { Check, Measured } from '../limits/check.js';
import { situationOf, SITUATIONS, SITUATION_NEEDS, type SituationId } from '../limits/situation.js';
import type { Ladder, Rung } from '../limits/ladder.js';
import { worstVerdict, type Verdict } from '../limits/verdict.js';
import { CELLS } from '../pack/cells.js';
import type { Stage, StageKind } from '../plan/stage.js';
import { operatingAt, type Operating } from '../powerpath/operating.js';
import { lacksOf, type PowerPath } from '../powerpath/path.js';
import { holdingCurrent } from '../protection/breaker.js';

/** One link of the power path as the strip shows it. */
export interface Link {
  readonly id: string;
  readonly kind: LinkKind;
  readonly title: string;
  /** What it is, in a few words. */
  readonly detail: string;
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
function stageRatioText(stage: Stage, ratio: number): string {
  if (stage.kind === 'teeth' || stage.kind === 'chain' || stage.kind === 'belt')
    return `${stage.driver} → ${stage.driven}`;
  return Number.isFinite(ratio) ? `${digits(ratio)}:1` : 'ratio missing';
}

/** The links of a path, pack first, load last. */
export function linksOf(
  path: PowerPath,
  ladders: Readonly<Record<SituationId, Ladder>>,
  checks: readonly Check[],
): readonly Link[] {
  const flow = flowOf(path);
  const judge = (kind: LinkKind) => judged(kind, ladders, checks);
  const { drive, pack, stages, train } = path;
  const n = drive.motors;
  const amperes = (value: number): Measured => ({ value, dimension: 'current' });
  const supply = flow?.supplyCurrent;
  const total = supply === undefined ? undefined : n * supply;
  const limit = drive.supplyLimit ?? drive.statorLimit;
  const breaker = path.branch.breaker;
  const share = path.branch.together ? n : 1;
  const inTime = checks.find((check) => check.id === 'in-time');
  const outputFlow: Measured | undefined = flow && {
    value: situationOf(path, 'working').demand,
    dimension: path.load.unit === 'm' ? 'force' : 'torque',
  };

  const stageLinks = stages.map((stage, i): Link => {
    const shaft = flow?.shafts[i];
    return {
      id: stage.id,
      kind: 'stage',
      title: stage.name ?? STAGE_TITLES[stage.kind],
      detail: stageRatioText(stage, train.stages[i]!.ratio),
      ...(shaft
        ? {
            key: { there: { value: shaft.speed, dimension: 'speed' }, join: '' },
            passes: { value: shaft.torque, dimension: 'torque' },
          }
        : {}),
    };
  });

  return [
    {
      id: 'pack',
      kind: 'pack',
      title: 'Pack',
      detail: `${digits(pack.figures.series * CELLS[pack.figures.chemistry].nominal)} V ${CELLS[pack.figures.chemistry].name}`,
      ...judge('pack'),
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
      ...judge('branch'),
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
    {
      id: 'controller',
      kind: 'controller',
      title: 'Controller',
      detail:
        drive.supplyLimit !== undefined
          ? `pack-side ${show(drive.supplyLimit, 'current')}`
          : drive.statorLimit !== undefined
            ? `motor-side ${show(drive.statorLimit, 'current')}`
            : 'no current limit',
      ...judge('controller'),
      ...(flow && supply !== undefined
        ? {
            key: {
              there: amperes(drive.supplyLimit === undefined ? flow.motorCurrent : supply),
              join: limit === undefined ? '' : 'of',
              ...(limit === undefined ? {} : { other: amperes(limit) }),
            },
            passes: amperes(flow.motorCurrent),
          }
        : {}),
    },
    {
      id: 'motor',
      kind: 'motor',
      title: n === 1 ? 'Motor' : `${n} motors`,
      detail: `${path.motor.type}, ${n === 1 ? 'one' : n} in all`,
      ...judge('motor'),
      ...(flow
        ? {
            key: { there: amperes(flow.motorCurrent), join: '', word: n === 1 ? 'moving' : 'each' },
            passes: { value: flow.motorTorque * n, dimension: 'torque' },
          }
        : {}),
    },
    ...stageLinks,
    {
      id: 'output',
      kind: 'output',
      title: path.job.kind === 'raise' ? 'Drum' : 'Wheels',
      detail: Number.isNaN(path.radius) ? 'radius missing' : `⌀ ${digits(path.radius * 2000)} mm`,
      ...judge('output'),
      ...(outputFlow
        ? {
            key: { there: outputFlow, join: '', word: path.job.kind === 'raise' ? 'rope' : 'push' },
            passes: outputFlow,
          }
        : {}),
    },
    {
      id: 'load',
      kind: 'load',
      title: 'Load',
      detail: loadDetail(path),
      ...judge('load'),
      ...(inTime?.there && typeof inTime.there !== 'string' && typeof inTime.asked === 'object'
        ? { key: { there: inTime.there, join: 'of', other: inTime.asked } }
        : {}),
    },
  ];
}

function flowOf(path: PowerPath): Operating | undefined {
  const lacks = lacksOf(path, [...SITUATION_NEEDS.working, 'motor', 'pack', 'wiring', 'controller', 'train']);
  if (lacks.length > 0) return undefined;
  const working = situationOf(path, 'working');
  return operatingAt(path, working.demand, working.speed);
}

/** The worst verdict of what speaks of a link, and the greatest share used of a force, or of the time allowed. */
function judged(
  kind: LinkKind,
  ladders: Readonly<Record<SituationId, Ladder>>,
  checks: readonly Check[],
): Pick<Link, 'verdict' | 'used'> {
  const rungs: Rung[] = SITUATIONS.flatMap((id) => ladders[id].rungs.filter((rung) => rung.link === kind));
  const own = checks.filter((check) => check.link === kind);
  if (rungs.length + own.length === 0) return {};
  const verdict = worstVerdict([...rungs.filter((rung) => !rung.outOfReach), ...own].map((item) => item.verdict));
  // A wire that just suits its breaker is not a wire used up: of the checks only time is a share of something.
  const measured = [...rungs, ...own.filter((check) => check.id === 'in-time')];
  const multiples = measured.flatMap((item) => (item.multiple === undefined ? [] : [item.multiple]));
  if (multiples.length === 0) return { verdict };
  return { verdict, used: 1 / Math.max(Math.min(...multiples), 0.01) };
}

function branchDetail(path: PowerPath): string {
  const { breaker, gauge } = path.branch;
  const wire = Number.isNaN(gauge) ? 'no wire' : show(gauge, 'gauge');
  return breaker && !Number.isNaN(breaker.rated)
    ? `${show(breaker.rated, 'current')} · ${wire}`
    : `no breaker · ${wire}`;
}

function loadDetail(path: PowerPath): string {
  const figure = (key: string) => path.figures[key]?.value;
  const { job } = path;
  if (job.kind === 'push') return `push ${part(figure('job.push'), 'force')}`;
  const mass = figure(job.kind === 'raise' ? 'job.mass' : 'output.mass');
  return `${part(mass, 'mass')} ${job.kind === 'raise' ? 'up' : 'over'} ${part(figure('job.distance'), 'length')}`;
}

const part = (value: number | undefined, dimension: Measured['dimension']): string =>
  value === undefined ? '?' : show(value, dimension);
