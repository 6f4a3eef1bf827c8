import { fourBarAt, type FourBar } from './fourBar.js';
import { pushRodAt, type PushRod } from './pushRod.js';

/** How the horn moves what it moves. */
export type Linkage =
  { readonly kind: 'direct' } | ({ readonly kind: 'four-bar' } & FourBar) | ({ readonly kind: 'push-rod' } & PushRod);

/** One place of the travel: the horn's angle, the output's place (rad, or m on a push rod), and its turn per turn of the horn. */
export interface LinkagePoint {
  readonly horn: number;
  readonly output: number;
  readonly ratio: number;
}

/** A stretch of the horn's travel at which the linkage does not work. */
export interface DeadSpot {
  readonly from: number;
  readonly to: number;
  /** no reach: the parts do not meet. locked: the rod pushes through the lever's pivot. still: the output hardly moves. */
  readonly why: 'no reach' | 'locked' | 'still';
}

export interface Travel {
  readonly points: readonly LinkagePoint[];
  readonly dead: readonly DeadSpot[];
  /** Least and greatest turn of the output per turn of the horn over what works, without sign. */
  readonly least: number;
  readonly greatest: number;
  /** The output turns round on the way: two angles of the horn give the same place. */
  readonly turnsBack: boolean;
}

/** Sine of the transmission angle under which a lever counts as locked: within 15° of the line. */
const LOCKED = Math.sin((15 * Math.PI) / 180);
/** Share of the greatest ratio under which the output counts as standing still. */
const STILL = 0.1;

/**
 * Output place and ratio for one angle of the horn; `undefined` where the parts do not meet.
 *
 * @example linkageAt({ kind: 'push-rod', horn: 0.03, rod: 0.1, offset: 0 }, 1.2) //=> { horn: 1.2, output: 0.1069, ratio: -0.03113, locked: false }
 */
export function linkageAt(linkage: Linkage, horn: number): (LinkagePoint & { readonly locked: boolean }) | undefined {
  if (linkage.kind === 'direct') return { horn, output: horn, ratio: 1, locked: false };
  if (linkage.kind === 'push-rod') {
    const at = pushRodAt(linkage, horn);
    return at && { horn, output: at.place, ratio: at.lever, locked: false };
  }
  const at = fourBarAt(linkage, horn);
  return at && { horn, output: at.leverAngle, ratio: at.ratio, locked: Math.sin(at.transmission) < LOCKED };
}

/** Looks along the horn's travel from one angle to another: what the output does, and where it does not. */
export function throughTravel(linkage: Linkage, from: number, to: number, count = 180): Travel {
  const angles = Array.from({ length: count + 1 }, (_, i) => from + ((to - from) * i) / count);
  const places = angles.map((horn) => linkageAt(linkage, horn));
  const working = places.filter((place) => place !== undefined && !place.locked && Number.isFinite(place.ratio));
  const sizes = working.map((place) => Math.abs(place!.ratio));
  const greatest = Math.max(0, ...sizes);
  const whyDead = (i: number): DeadSpot['why'] | undefined => {
    const place = places[i];
    if (!place) return 'no reach';
    if (place.locked) return 'locked';
    return Math.abs(place.ratio) < STILL * greatest ? 'still' : undefined;
  };
  const dead: { from: number; to: number; why: DeadSpot['why'] }[] = [];
  angles.forEach((horn, i) => {
    const why = whyDead(i);
    const last = dead.at(-1);
    if (!why) return;
    if (last && last.why === why && i > 0 && last.to === angles[i - 1]) last.to = horn;
    else dead.push({ from: horn, to: horn, why });
  });
  const signs = new Set(
    working.filter((place) => Math.abs(place!.ratio) > 1e-9).map((place) => Math.sign(place!.ratio)),
  );
  return {
    points: unwrapped(places.filter((place) => place !== undefined)),
    dead,
    least: sizes.length > 0 ? Math.min(...sizes) : 0,
    greatest,
    turnsBack: signs.size > 1,
  };
}

/** Angles come back within one turn; a lever that passes it goes on. */
function unwrapped(places: readonly LinkagePoint[]): LinkagePoint[] {
  let turns = 0;
  return places.map(({ horn, output, ratio }, i) => {
    const before = places[i - 1]?.output ?? output;
    if (output - before > Math.PI) turns--;
    if (before - output > Math.PI) turns++;
    return { horn, output: output + turns * 2 * Math.PI, ratio };
  });
}
