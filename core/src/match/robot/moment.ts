import type { GoResult } from '../lanes/result.js';
import type { JudgedMatch } from './judge.js';
import { inTimeOf } from './matchRungs.js';
import { robotRung, type RobotRung, type RobotRungId } from '../../judge/ledger/robotRung.js';

/** The number of the drawn moment at an instant, or of the last before it. */
export function momentAt({ result }: Pick<JudgedMatch, 'result'>, time: number): number {
  const { times } = result.samples;
  let [low, high] = [0, times.length - 1];
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (times[middle]! <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/**
 * Where the limits of a match stand at a moment: what dips dips now, what warms is as warm as it is, what is used up is
 * used up so far, and of goes the worst that has ended. For showing a match as it goes.
 *
 * @param moment number of the drawn moment
 */
export function momentRungs({ result, rungs }: JudgedMatch, moment: number): readonly RobotRung[] {
  const { samples, lanes, dips } = result;
  const at = (list: readonly number[]): number => list[moment] ?? NaN;
  const time = at(samples.times);
  const nameOf = (id: RobotRungId): string => rungs.find((rung) => rung.id === id)?.name ?? id;
  const told = (id: RobotRungId, multiple: number, name = nameOf(id)): readonly RobotRung[] =>
    Number.isFinite(multiple) ? [robotRung({ id, name, multiple, time, sentence: '' })] : [];
  const boards = dips.find(({ of }) => of === 'boards');
  const charge = rungs.find(({ id }) => id === 'charge');
  const dip = at(samples.rest) - at(samples.volts);
  const hottest = lanes
    .flatMap(({ heat, name }, i) => {
      const winding = samples.windings[i]![moment] ?? NaN;
      return heat && winding > heat.ambient
        ? [{ name, multiple: Math.sqrt((heat.limit - heat.ambient) / (winding - heat.ambient)) }]
        : [];
    })
    .sort((a, b) => a.multiple - b.multiple)[0];
  const ended = result.goes.filter((go) => isOver(go, time)).sort((a, b) => inTimeOf(a) - inTimeOf(b))[0];
  return [
    ...(boards && dip > 0 ? told('boards', (at(samples.rest) - boards.floor) / dip) : []),
    ...told('main-breaker', 1 / Math.sqrt(at(samples.mainHeat))),
    ...told('branch', 1 / Math.sqrt(at(samples.branchHeat)), 'hottest branch'),
    ...(charge ? told('charge', (charge.multiple * result.charge) / at(samples.taken)) : []),
    ...(hottest ? told('heat', hottest.multiple, `${hottest.name}: winding`) : []),
    ...(ended ? told('late', inTimeOf(ended), `${lanes[ended.lane]?.name ?? ''}: in time`) : []),
  ];
}

/** A moment at which the boards' volts are low, and who was on. */
export interface LowMoment {
  readonly time: number;
  /** At the pack's terminals. */
  readonly volts: number;
  /** Times the current of that moment until the boards reset. */
  readonly multiple: number;
  /** Lanes by number, the greatest draw first; −1 for what stands. */
  readonly who: readonly number[];
}

/** Two dips nearer than this are one, s. */
const ONE_DIP = 5;
/** Who draws less than this was not on, A. */
const ON = 0.5;

/**
 * The lowest dips of a match that lie apart, the lowest first; none where the boards' floor is not known.
 *
 * @param count at most so many
 */
export function lowestDips({ result }: Pick<JudgedMatch, 'result'>, count: number): readonly LowMoment[] {
  const { times, volts, rest, lanes } = result.samples;
  const floor = result.dips.find(({ of }) => of === 'boards')?.floor;
  if (floor === undefined) return [];
  const byRoom = times
    .map((time, k) => ({ k, time, multiple: (rest[k]! - floor) / Math.max(1e-9, rest[k]! - volts[k]!) }))
    .filter(({ multiple }) => multiple > 0)
    .sort((a, b) => a.multiple - b.multiple);
  const found: LowMoment[] = [];
  for (const { k, time, multiple } of byRoom) {
    if (found.length === count) break;
    if (found.some((other) => Math.abs(other.time - time) < ONE_DIP)) continue;
    const drawn = lanes.map((lane, i) => ({ i: i === lanes.length - 1 ? -1 : i, current: lane[k]! }));
    const who = drawn
      .filter(({ current }) => current > ON)
      .sort((a, b) => b.current - a.current)
      .map(({ i }) => i);
    found.push({ time, volts: volts[k]!, multiple, who });
  }
  return found;
}

const isOver = ({ wanted, ended, outcome }: GoResult, time: number): boolean =>
  wanted !== undefined && ended !== undefined && ended <= time && outcome !== 'cut off';
