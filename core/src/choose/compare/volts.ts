import { digits } from '../../plan/words/show.js';
import type { Change } from '../../plan/document/change.js';
import { applyChanges } from '../../plan/document/change.js';
import { fullVoltage } from '../../models/pack/pack.js';
import { packIdOf, packPartOf } from '../../plan/document/packPart.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Plan } from '../../plan/document/plan.js';
import { resolveDcPath } from '../../path/resolve/resolvePath.js';
import { tuneTotal } from '../../judge/sizing/tuneTotal.js';
import { designOf } from './place.js';
import type { Variant } from './variant.js';

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

const STEPS = [1, 1.5, 2, 3] as const;

/**
 * The same job on more volts with more reduction: fewer amperes for the same watts. A note says where the
 * controller's volts or the motor's speed end it. `fastest` is the greatest motor speed, rad/s.
 */
export function voltVariants(plan: Plan, mechanismId: string, jobId: string, fastest?: number): readonly Variant[] {
  const { mechanism } = designOf(plan, mechanismId);
  const [id, pack] = [packIdOf(plan), packPartOf(plan)];
  if (id === undefined || !pack) return [];
  const bench = pack.chemistry === 'bench';
  const path = resolveDcPath(plan, mechanism, jobId);
  const seen = new Set<number>();
  return STEPS.flatMap((step): Variant[] => {
    const now = path.pack.figures.series;
    const series = bench ? now * step : Math.round(now * step);
    if (seen.has(series)) return [];
    seen.add(series);
    const ratio = series / now;
    const changes: Change[] = [];
    if (ratio !== 1)
      changes.push(
        bench
          ? { at: ['parts', id, 'part', 'voltage'], to: quantityOf(series, `${digits(series)} V`) }
          : { at: ['parts', id, 'part', 'series'], to: series },
      );
    const changed = applyChanges(plan, changes);
    const tuned = ratio === 1 ? undefined : tuneTotal(changed, mechanism, path, path.train.total * ratio);
    if (tuned) changes.push(tuned);
    const full = fullVoltage({ ...path.pack.figures, series });
    const working = (path.asked.speed * path.train.total * ratio) / path.radius;
    const notes = [
      full > path.controller.highestVoltage
        ? `ends here: the controller takes ${digits(path.controller.highestVoltage)} V, this pack gives ${digits(full)} V full`
        : '',
      fastest !== undefined && working > fastest
        ? `ends here: the motor would turn at ${digits((working * 30) / Math.PI)} rpm`
        : '',
    ].filter((note) => note !== '');
    return [
      {
        id: `series-${series}`,
        label: bench ? `set to ${digits(full)} V` : `${series} cells, ${digits(full)} V full`,
        changes,
        note: notes.length > 0 ? notes.join('; ') : undefined,
      },
    ];
  });
}
