import { firstReaching } from './firstReaching.js';
import { linkageAt, throughTravel, type Linkage, type Travel } from './throughTravel.js';

const STEPS = 720;
const WHOLE_TURN = 2 * Math.PI;

interface Way {
  readonly linkage: Linkage;
  /** Horn's angle at the start, and which way it turns: 1 or −1. */
  readonly start: number;
  readonly sense: 1 | -1;
  /** How far the linkage's output must go: radians of the shaft, or metres. */
  readonly distance: number;
  /** Movement on q per unit of the linkage's output: r/G. */
  readonly perOutput: number;
}

/** Where the horn is along the job's way, and what the linkage makes of it. */
export interface Linked {
  /** Angle of the horn at the start and at the end of the job; metres of a linear servo. */
  readonly from: number;
  readonly to: number;
  /** The horn does not get to the end of the way. */
  readonly short: boolean;
  readonly travel: Travel;
  /** Horn's angle for a place on q, from its start. */
  hornAt(q: number): number;
  /** The other way round: the place on q for an angle of the horn from its start. */
  placeAt(horn: number): number;
  /** Movement on q per radian of the horn at a place of q, without sign. */
  ratioAt(q: number): number;
}

/** The ways followed last: every keystroke, build and neighbour on a rail asks for one that is known. */
const known = new Map<string, Linked>();
const MOST_KNOWN = 32;

/**
 * Follows the linkage from its start until its output has gone the whole way: the horn's angle for each place,
 * and the lever there. `short` where the output turns back, or the parts stop meeting, before that.
 */
export function linkedAlong(way: Way): Linked {
  const key = JSON.stringify(way);
  let linked = known.get(key);
  if (!linked) {
    linked = follow(way);
    const [oldest] = known.keys();
    if (known.size >= MOST_KNOWN) known.delete(oldest!);
    known.set(key, linked);
  }
  return linked;
}

function follow({ linkage, start, sense, distance, perOutput }: Way): Linked {
  if (linkage.kind === 'direct') {
    const end = start + sense * distance;
    return {
      from: start,
      to: end,
      short: false,
      travel: throughTravel(linkage, Math.min(start, end), Math.max(start, end)),
      hornAt: (q) => Math.abs(q / perOutput),
      placeAt: (horn) => horn * perOutput,
      ratioAt: () => perOutput,
    };
  }
  const places = followed(linkage, start, sense, distance);
  const last = places.at(-1)!;
  const end = start + sense * last.horn;
  const column = (of: keyof Followed) => Float64Array.from(places, (place) => place[of]);
  const [horns, gones, ratios] = [column('horn'), column('gone'), column('ratio')];
  const toGone = (q: number): number => Math.min(Math.abs(q / perOutput), last.gone);
  return {
    from: start,
    to: end,
    short: last.gone < distance * (1 - 1e-6),
    travel: throughTravel(linkage, Math.min(start, end), Math.max(start, end)),
    hornAt: (q) => between(gones, toGone(q), horns),
    placeAt: (horn) => between(horns, Math.min(horn, last.horn), gones) * perOutput,
    ratioAt: (q) => between(gones, toGone(q), ratios) * perOutput,
  };
}

/** Linear between two neighbours of a table: what belongs to a value of one column in another. */
function between(by: Float64Array, value: number, of: Float64Array): number {
  const after = Math.min(firstReaching(by, value - 1e-12), by.length - 1);
  const before = Math.max(after - 1, 0);
  const span = by[after]! - by[before]!;
  if (span <= 0) return of[after]!;
  return of[before]! + ((value - by[before]!) / span) * (of[after]! - of[before]!);
}

interface Followed {
  /** Turned by the horn since the start, and gone by the output. */
  readonly horn: number;
  readonly gone: number;
  readonly ratio: number;
}

/** A table of horn and output along the way, until the distance is gone, the output turns back, or the parts part. */
function followed(linkage: Linkage, start: number, sense: 1 | -1, distance: number): readonly Followed[] {
  const first = linkageAt(linkage, start);
  if (!first) return [{ horn: 0, gone: 0, ratio: 0 }];
  const places: Followed[] = [{ horn: 0, gone: 0, ratio: Math.abs(first.ratio) }];
  let before = first.output;
  let direction = 0;
  let gone = 0;
  for (let i = 1; i <= STEPS; i++) {
    const horn = (WHOLE_TURN * i) / STEPS;
    const at = linkageAt(linkage, start + sense * horn);
    if (!at) break;
    const step = wrapped(at.output - before, linkage.kind === 'four-bar');
    if (direction === 0) direction = Math.sign(step);
    if (step * direction < 0) break;
    const reached = gone + Math.abs(step);
    if (reached >= distance) {
      const share = reached > gone ? (distance - gone) / (reached - gone) : 1;
      const previous = places.at(-1)!;
      places.push({
        horn: previous.horn + share * (horn - previous.horn),
        gone: distance,
        ratio: previous.ratio + share * (Math.abs(at.ratio) - previous.ratio),
      });
      break;
    }
    gone = reached;
    before = at.output;
    places.push({ horn, gone, ratio: Math.abs(at.ratio) });
  }
  return places;
}

/** A step of an angle without the jump at half a turn. */
function wrapped(step: number, turning: boolean): number {
  if (!turning) return step;
  if (step > Math.PI) return step - WHOLE_TURN;
  return step < -Math.PI ? step + WHOLE_TURN : step;
}
