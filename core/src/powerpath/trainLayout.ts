import { gapsOf, layOut, type Gap, type Layout, type StageRoom } from '../reduction/layout.js';
import type { PowerPath } from './path.js';
import type { StageParts } from './stageParts.js';

const TYPICAL_SHAFT_RADIUS = 0.004;
const MOTOR_SHAFT_RADIUS = 0.004;

/** How far a chain stands over its sprocket's pitch circle, a belt over its pulley's, in pitches. */
const REACH = { teeth: 1, chain: 0.45, belt: 0.3 } as const;

function roomOf(parts: StageParts): StageRoom {
  const { id, plane, direction, centre, driverRadius, drivenRadius } = parts;
  const shaftRadius = parts.shaft ? parts.shaft.size / 2 : TYPICAL_SHAFT_RADIUS;
  const base = { id, plane, direction, centre, driverRadius, drivenRadius, shaftRadius };
  if (!('driver' in parts)) return { ...base, addendum: 0, caseRadius: parts.across / 2 };
  const addendum = REACH[parts.kind] * parts.pitch;
  return parts.kind === 'teeth' && parts.idler !== undefined
    ? { ...base, addendum, idlerRadius: (parts.idler * parts.pitch) / 2 }
    : { ...base, addendum };
}

/** Whether every stage has the sizes that say where its shafts and wheels stand. */
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

const known = new WeakMap<PowerPath, readonly Gap[]>();

/** Neighbours and the gaps between them, the nearest first. Empty while a size is missing. */
export function trainGaps(path: PowerPath): readonly Gap[] {
  let gaps = known.get(path);
  if (!gaps) known.set(path, (gaps = neighboursOf(path, trainLayout(path))));
  return gaps;
}

function neighboursOf(path: PowerPath, layout: Layout | undefined): readonly Gap[] {
  if (!layout) return [];
  return gapsOf(layout, (id) => path.stageParts.findIndex((parts) => parts.id === id) + 1);
}
