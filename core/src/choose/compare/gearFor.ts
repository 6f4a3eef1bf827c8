import { creepSpeedOf, topSpeedOf } from '../../judge/evaluate/endSpeeds.js';
import { fullVoltage, packRestVoltage } from '../../models/pack/pack.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { packIdOf, packPartOf } from '../../plan/document/packPart.js';
import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import { withTotal, type DcPath } from '../../path/powerpath/path.js';
import { resolveDcPath } from '../../path/resolve/resolvePath.js';
import { digits } from '../../plan/words/show.js';
import type { Variant } from './variant.js';

/** Which speed is wanted: the fastest it runs under the load of its job, or the slowest it keeps steadily. */
export type SpeedEnd = 'top' | 'creep';

/** The total that gives a wanted speed; or the most, or the least, that any total gives. */
export type GearedFor =
  | { readonly ok: true; readonly total: number }
  | { readonly ok: false; readonly nearest: number; readonly at: number }
  | { readonly ok: false; readonly nearest?: undefined };

/** Totals that are looked through. */
const LEAST_TOTAL = 0.05;
const MOST_TOTAL = 20_000;
const LOOKS = 90;
const HALVINGS = 50;

/**
 * The total reduction for a wanted speed of the load, m/s or rad/s. Of two totals with the same top speed the deeper: the
 * shallow one has the motor drag at its load. A creeping speed goes with one over the total.
 *
 * @example gearFor(path, 'creep', 0.008795) //=> { ok: true, total: 9 }
 */
export function gearFor(path: DcPath, end: SpeedEnd, speed: number): GearedFor {
  if (end === 'creep') {
    const creep = creepSpeedOf(path);
    return creep === undefined ? { ok: false } : { ok: true, total: (path.train.total * creep) / speed };
  }
  const top = (total: number): number => topSpeedOf(withTotal(path, total)) ?? 0;
  let [best, most] = [NaN, 0];
  for (let i = 0; i <= LOOKS; i++) {
    const total = LEAST_TOTAL * (MOST_TOTAL / LEAST_TOTAL) ** (i / LOOKS);
    const there = top(total);
    if (there > most) [best, most] = [total, there];
  }
  if (most === 0) return { ok: false };
  if (speed > most) return { ok: false, nearest: most, at: best };
  let [low, high] = [best, MOST_TOTAL];
  if (top(high) > speed) return { ok: false, nearest: top(high), at: high };
  for (let i = 0; i < HALVINGS; i++) {
    const middle = Math.sqrt(low * high);
    if (top(middle) >= speed) low = middle;
    else high = middle;
  }
  return { ok: true, total: low };
}

/** As it is, and geared for a wanted speed: what it costs at the other end. */
export const gearedVariants = (total: number): readonly Variant[] => [
  { id: 'now', label: 'as it is', changes: [] },
  { id: 'geared', label: 'geared for it', changes: [], gear: total },
];

/** So many cells at most are looked through. */
const MOST_CELLS = 40;

/**
 * Every cell count that the controller stands, full and at rest, each with the total that gives the same speed: more volts
 * and deeper, or fewer and shallower. Their currents, heat and least speed tell them apart.
 */
export function* sameSpeedVariants(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  end: SpeedEnd,
  speed: number,
): Generator<Variant> {
  const [id, pack] = [packIdOf(plan), packPartOf(plan)];
  const { controller, pack: now } = resolveDcPath(plan, mechanismById(plan, mechanismId), jobId);
  if (id === undefined || !pack || pack.chemistry === 'bench') return;
  for (let series = 1; series <= MOST_CELLS; series++) {
    const figures = { ...now.figures, series };
    const full = fullVoltage(figures);
    if (full > controller.highestVoltage || packRestVoltage(figures, 1) < controller.lowestVoltage) continue;
    const cells: readonly Change[] =
      series === pack.series ? [] : [{ at: ['parts', id, 'part', 'series'], to: series }];
    const onCells = applyChanges(plan, cells);
    const geared = gearFor(resolveDcPath(onCells, mechanismById(onCells, mechanismId), jobId), end, speed);
    if (!geared.ok) continue;
    const label = `${series} ${series === 1 ? 'cell' : 'cells'}, ${digits(full)} V full`;
    yield { id: `series-${series}`, label, changes: cells, gear: geared.total, asAsked: true };
  }
}
