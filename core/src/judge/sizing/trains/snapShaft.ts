import type { Change } from '../../../plan/document/change.js';
import type { Place } from '../../../plan/document/place.js';
import { digits } from '../../../plan/words/show.js';
import { quantityOf } from '../../../plan/document/quantityOf.js';
import type { StageParts } from '../../../path/powerpath/stageParts.js';
import { beltRun } from '../../../models/reduction/beltRun.js';
import { chainRun, type WholeLinks } from '../../../models/reduction/chainRun.js';
import { centreForPitches } from '../../../models/reduction/runLength.js';

const STEP = (5 * Math.PI) / 180;

/**
 * A direction to whole steps of five degrees.
 *
 * @example snapDirection(0.8) //=> 0.7854
 */
export const snapDirection = (direction: number): number => {
  const snapped = Math.round(direction / STEP) * STEP;
  return Math.atan2(Math.sin(snapped), Math.cos(snapped));
};

/** Whole lengths near a wanted centre: even links, or belts that are sold. */
export function wholeLengths(parts: StageParts, wanted: number, stockBelts: readonly number[]): readonly WholeLinks[] {
  if (parts.kind === 'chain') {
    const { below, above } = chainRun(parts.pitch, parts.driver, parts.driven, wanted);
    return below ? [below, above] : [above];
  }
  if (parts.kind === 'belt') {
    const { shorter, longer } = beltRun(parts.pitch, parts.driver, parts.driven, wanted, stockBelts);
    return [shorter, longer].flatMap((belt) => (belt ? [{ links: belt.teeth, centre: belt.centre }] : []));
  }
  return [];
}

/** All whole lengths between two centres, the notches of a slider. */
export function lengthsBetween(
  parts: StageParts,
  from: number,
  to: number,
  stockBelts: readonly number[],
): readonly WholeLinks[] {
  if (parts.kind === 'chain') {
    const found: WholeLinks[] = [];
    let next = wholeLengths(parts, from, []).at(-1);
    while (next && next.centre <= to && found.length < 400) {
      found.push(next);
      const links: number = next.links + 2;
      const [small, large] = [Math.min(parts.driver, parts.driven), Math.max(parts.driver, parts.driven)];
      next = { links, centre: centreForPitches(parts.pitch, small, large, links)! };
    }
    return found;
  }
  if (parts.kind === 'belt') {
    const [small, large] = [Math.min(parts.driver, parts.driven), Math.max(parts.driver, parts.driven)];
    return [...stockBelts]
      .sort((a, b) => a - b)
      .flatMap((teeth) => {
        const centre = centreForPitches(parts.pitch, small, large, teeth);
        return centre !== undefined && centre >= from && centre <= to ? [{ links: teeth, centre }] : [];
      });
  }
  return [];
}

/** A length chosen: links or belt, and the centre at which it lies taut. */
export function lengthChanges(parts: StageParts, at: Place, { links, centre }: WholeLinks): readonly Change[] {
  return [
    { at: [...at, parts.kind === 'belt' ? 'beltTeeth' : 'links'], to: links },
    { at: [...at, 'centre'], to: quantityOf(centre, `${digits(1000 * centre, 6)} mm`) },
  ];
}

/** A shaft dragged to a place seen from the one in front: the nearest direction and whole length that exist. */
export function snapShaft(
  parts: StageParts,
  at: Place,
  seen: { readonly x: number; readonly y: number },
  stockBelts: readonly number[],
): readonly Change[] {
  const direction = snapDirection(Math.atan2(seen.y, seen.x));
  const degrees = Math.round((direction * 180) / Math.PI);
  const turned: Change = { at: [...at, 'direction'], to: quantityOf(direction, `${degrees}°`) };
  const wanted = Math.hypot(seen.x, seen.y);
  const [nearest] = [...wholeLengths(parts, wanted, stockBelts)].sort(
    (a, b) => Math.abs(a.centre - wanted) - Math.abs(b.centre - wanted),
  );
  return nearest ? [turned, ...lengthChanges(parts, at, nearest)] : [turned];
}
