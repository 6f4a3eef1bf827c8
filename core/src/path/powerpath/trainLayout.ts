import { gapsOf, layOut, type Gap, type Layout, type StageRoom } from '../../models/reduction/layout.js';
import type { PowerPath } from './path.js';
import type { StageParts } from './stageParts.js';

const TYPICAL_SHAFT_RADIUS = 0.004;
const MOTOR_SHAFT_RADIUS = 0.004;

/** How far a chain stands over its sprocket's pitch circle, a belt over its pulley's, in pitches. */
const REACH = { teeth: 1, chain: 0.45, belt: 0.3 } as const;

function roomOf(parts: StageParts): StageRoom {
  const { id, plane, direction, centre, driverRadius, drivenRadius } = parts;
  const shaftRadius = parts.shaft ? parts.shaft.size / 2 : TYPICAL_SHAFT_RADIUS;
  const toothed = 'driver' in parts;
  return {
    id,
    plane,
    direction,
    centre,
    driverRadius,
    drivenRadius,
    shaftRadius,
    bearing: parts.shaft?.bearing ?? 0,
    addendum: toothed ? REACH[parts.kind] * parts.pitch : 0,
    caseRadius: toothed ? undefined : parts.across / 2,
    idlerRadius: parts.kind === 'teeth' && parts.idler !== undefined ? (parts.idler * parts.pitch) / 2 : undefined,
  };
}

/**
 * Whether every stage has the sizes that say where its shafts and wheels stand.
 *
 * @example isLaidOut(path) //=> true
 */
export const isLaidOut = (path: PowerPath): boolean =>
  path.stageParts.every(
    (parts) =>
      !Number.isNaN(parts.centre + parts.driverRadius + parts.drivenRadius + ('across' in parts ? parts.across : 0)),
  );

/** Where every wheel and shaft of a train stands; `undefined` while a pitch or size it needs is missing. */
export function trainLayout(path: PowerPath): Layout | undefined {
  if (!isLaidOut(path)) return undefined;
  const rooms = path.stageParts.map(roomOf);
  return layOut(rooms, (path.fitting?.shaft ?? 2 * MOTOR_SHAFT_RADIUS) / 2);
}

const known = new WeakMap<PowerPath['stageParts'], { readonly shaft?: number; readonly gaps: readonly Gap[] }>();

/** Neighbours and the gaps between them, the nearest first. Empty while a size is missing. */
export function trainGaps(path: PowerPath): readonly Gap[] {
  const shaft = path.fitting?.shaft;
  const before = known.get(path.stageParts);
  if (before && Object.is(before.shaft, shaft)) return before.gaps;
  const gaps = neighboursOf(path, trainLayout(path));
  known.set(path.stageParts, { shaft, gaps });
  return gaps;
}

function neighboursOf(path: PowerPath, layout: Layout | undefined): readonly Gap[] {
  if (!layout) return [];
  return gapsOf(layout, (id) => path.stageParts.findIndex((parts) => parts.id === id) + 1);
}
