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
  /** Movement on q per radian of the horn at a place of q, without sign. */
  ratioAt(q: number): number;
}

/**
 * Follows the linkage from its start until its output has gone the whole way: the horn's angle for each place,
 * and the lever there. `short` where the output turns back, or the parts stop meeting, before that.
 */
export function linkedAlong({ linkage, start, sense, distance, perOutput }: Way): Linked {
  if (linkage.kind === 'direct') {
    const end = start + sense * distance;
    return {
      from: start,
      to: end,
      short: false,
      travel: throughTravel(linkage, Math.min(start, end), Math.max(start, end)),
      hornAt: (q) => Math.abs(q / perOutput),
      ratioAt: () => perOutput,
    };
  }
  const places = followed(linkage, start, sense, distance);
  const last = places.at(-1)!;
  const end = start + sense * last.horn;
  // Linear between two neighbours of the table.
  const between = (q: number, of: (place: Followed) => number): number => {
    const gone = Math.min(Math.abs(q / perOutput), last.gone);
    const after = Math.min(
      firstReaching(places, (place) => place.gone >= gone - 1e-12),
      places.length - 1,
    );
    const upper = places[after]!;
    const lower = places[Math.max(after - 1, 0)]!;
    const span = upper.gone - lower.gone;
    return span <= 0 ? of(upper) : of(lower) + ((gone - lower.gone) / span) * (of(upper) - of(lower));
  };
  return {
    from: start,
    to: end,
    short: last.gone < distance * (1 - 1e-6),
    travel: throughTravel(linkage, Math.min(start, end), Math.max(start, end)),
    hornAt: (q) => between(q, ({ horn }) => horn),
    ratioAt: (q) => between(q, ({ ratio }) => ratio) * perOutput,
  };
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
