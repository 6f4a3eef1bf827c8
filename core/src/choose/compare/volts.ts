import { constantsOf } from '../../judge/sizing/constantsOf.js';
import { fullVoltage } from '../../models/pack/pack.js';
import { motorSpeed, type DcPath } from '../../path/powerpath/path.js';
import { resolveDcPath } from '../../path/resolve/resolvePath.js';
import type { Change } from '../../plan/document/change.js';
import { packIdOf, packPartOf } from '../../plan/document/packPart.js';
import { dcDriveOf, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { digits } from '../../plan/words/show.js';
import { motorChanges } from './motorChanges.js';
import { designOf } from './place.js';
import { rewoundPart } from './rewoundPart.js';
import { joinedNotes, type Variant } from './variant.js';

/** Share of its free speed a motor turns at while it works, typical. */
export const WORKING_SPEED_SHARE = 0.8;

/** From a speed the motor is happy at and the volts of the pack to a winding and a reduction. SI. */
export interface VoltsAndSpeed {
  /** Kv to look for, rad/s per volt. */
  readonly kv: number;
  readonly total: number;
}

/**
 * Kv = ω/(0.8·V): under load it turns at about 0.8 of its free speed. G = ω/ω_out.
 *
 * @example windingFor(500, 12, 40) //=> { kv: 52.08, total: 12.5 }
 */
export function windingFor(happySpeed: number, volts: number, outputSpeed: number): VoltsAndSpeed {
  return { kv: happySpeed / (WORKING_SPEED_SHARE * volts), total: happySpeed / outputSpeed };
}

/**
 * The job that turns a mechanism's motor fastest at work: a winding must do that one, too.
 *
 * @example fastestWork(plan, 'lift').job.id //=> 'raise'
 */
export const fastestWork = (plan: Plan, mechanismId: string): DcPath => {
  const { mechanism } = designOf(plan, mechanismId);
  return mechanism.jobs
    .map(({ id }) => resolveDcPath(plan, mechanism, id))
    .reduce((one, other) => (motorSpeed(other, other.asked.speed) > motorSpeed(one, one.asked.speed) ? other : one));
};

/** Cells around those of a pack: fewer and more, up to twice as many. */
const CELLS = [
  (n: number) => n / 2,
  (n: number) => n - 1,
  (n: number) => n,
  (n: number) => n + 1,
  (n: number) => 1.5 * n,
  (n: number) => 2 * n,
];
/** Times the volts that a supply is set to. */
const SET_TO = [0.5, 0.75, 1, 1.5, 2, 3] as const;

/**
 * The same work at the same output on fewer volts and on more: each count of cells about the plan's, or a supply set
 * otherwise, once with the reduction and once with the winding in step, so that the output runs as fast. A note says where the
 * controller's volts or the motor's speed end it. Times and heat are of the go that is asked.
 *
 * @param fastest the greatest motor speed, rad/s
 */
export function voltVariants(plan: Plan, mechanismId: string, jobId: string, fastest?: number): readonly Variant[] {
  const design = designOf(plan, mechanismId);
  const [id, pack] = [packIdOf(plan), packPartOf(plan)];
  if (id === undefined || !pack) return [];
  const path = resolveDcPath(plan, design.mechanism, jobId);
  const part = plan.parts[dcDriveOf(design.choice).motor]?.part;
  const constants = part?.kind === 'motor' ? constantsOf(part) : undefined;
  const now = path.pack.figures.series;
  return countsAbout(now, pack.chemistry === 'bench').flatMap((series): readonly Variant[] => {
    const bench = pack.chemistry === 'bench';
    const ratio = series / now;
    const full = fullVoltage({ ...path.pack.figures, series });
    const volts = bench
      ? `set to ${digits(full)} V`
      : `${series} ${series === 1 ? 'cell' : 'cells'}, ${digits(full)} V full`;
    const asAsked = true as const;
    if (ratio === 1) return [{ id: 'now', label: `as it is, ${volts}`, changes: [], asAsked }];
    const cells: Change = bench
      ? { at: ['parts', id, 'part', 'voltage'], to: quantityOf(series, `${digits(series)} V`) }
      : { at: ['parts', id, 'part', 'series'], to: series };
    const ended = endedBy(path, full);
    const deeper: Variant = {
      id: `geared-${series}`,
      label: `${volts}, ${ratio > 1 ? 'more' : 'less'} reduction`,
      changes: [cells],
      gear: path.train.total * ratio,
      asAsked,
      note: joinedNotes(ended, tooFast(path, ratio, fastest)),
    };
    if (part?.kind !== 'motor' || !constants) return [deeper];
    const turns = `${digits(ratio, 3)} × the turns`;
    const winding: Variant = {
      id: `wound-${series}`,
      label: `${volts}, ${turns}`,
      changes: [cells, ...motorChanges(design, rewoundPart(part, constants, ratio, turns))],
      asAsked,
      note: ended,
    };
    return [deeper, winding];
  });
}

function countsAbout(now: number, bench: boolean): readonly number[] {
  const counts = bench ? SET_TO.map((step) => now * step) : CELLS.map((of) => Math.round(of(now)));
  return [...new Set(counts)].filter((count) => count > 0).sort((a, b) => a - b);
}

function endedBy({ controller }: DcPath, full: number): string | undefined {
  const { highestVoltage } = controller;
  return full > highestVoltage
    ? `ends here: the controller takes ${digits(highestVoltage)} V, this pack gives ${digits(full)} V full`
    : undefined;
}

function tooFast(path: DcPath, ratio: number, fastest: number | undefined): string | undefined {
  const working = (path.asked.speed * path.train.total * ratio) / path.radius;
  return fastest !== undefined && working > fastest
    ? `ends here: the motor would turn at ${digits((working * 30) / Math.PI)} rpm`
    : undefined;
}
