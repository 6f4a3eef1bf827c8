import type { PowerPath } from '../powerpath/path.js';
import type { RunParts } from '../powerpath/stageParts.js';
import { beltPath, type PathWheel } from '../../models/reduction/beltPath.js';
import type { LaidWheel, Layout } from '../../models/reduction/layout.js';
import { plateHoles, type HoleUse } from './holes.js';

/** Layers of a drawing of a train, as other drawing programs show them. */
export const DRAWING_LAYERS = [
  'CENTRES',
  'BEARINGS',
  'MOUNTING',
  'PITCH_CIRCLES',
  'OUTLINES',
  'CHAIN_BELT',
  'DISTANCES',
] as const;
export type DrawingLayer = (typeof DRAWING_LAYERS)[number];

/** One mark of a drawing. Metres, y upwards, motor shaft at the origin. Angles in rad, anticlockwise. */
export type Shape =
  | {
      readonly kind: 'circle';
      readonly layer: DrawingLayer;
      readonly x: number;
      readonly y: number;
      readonly radius: number;
    }
  | {
      readonly kind: 'line';
      readonly layer: DrawingLayer;
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
    }
  | {
      readonly kind: 'arc';
      readonly layer: DrawingLayer;
      readonly x: number;
      readonly y: number;
      readonly radius: number;
      readonly from: number;
      readonly to: number;
    };

const LAYER_OF: Readonly<Record<HoleUse, DrawingLayer>> = {
  'motor shaft': 'CENTRES',
  shaft: 'CENTRES',
  pin: 'CENTRES',
  bearing: 'BEARINGS',
  screw: 'MOUNTING',
};

/** Every mark of a train's end view: holes at the centres, bearings and the motor's screws, pitch circles, outlines, and what goes round them. */
export function trainShapes(path: PowerPath, layout: Layout): readonly Shape[] {
  const holes = plateHoles(layout, path.fitting?.mount).map(({ x, y, radius, use }): Shape => ({
    kind: 'circle',
    layer: LAYER_OF[use],
    x,
    y,
    radius,
  }));
  const circles = layout.wheels.flatMap((wheel): Shape[] => [
    ...(wheel.role === 'case'
      ? []
      : [{ kind: 'circle' as const, layer: 'PITCH_CIRCLES' as const, x: wheel.x, y: wheel.y, radius: wheel.radius }]),
    { kind: 'circle', layer: 'OUTLINES', x: wheel.x, y: wheel.y, radius: wheel.tip },
  ]);
  const runs = path.stageParts.flatMap((parts) =>
    parts.kind === 'chain' || parts.kind === 'belt' ? runShapes(parts, layout) : [],
  );
  const distances = path.stageParts.flatMap(({ index, centre }): Shape[] => {
    const [from, to] = [layout.shafts[index]!, layout.shafts[index + 1]!];
    return centre > 0 ? [{ kind: 'line', layer: 'DISTANCES', x1: from.x, y1: from.y, x2: to.x, y2: to.y }] : [];
  });
  return [...holes, ...circles, ...runs, ...distances];
}

/** The closed path of a chain or belt of the layout, with its idler where it has one. */
export function runPathOf(parts: RunParts & { readonly idler?: boolean }, layout: Layout) {
  const [driver, driven] = (['driver', 'driven'] as const).map((role) =>
    layout.wheels.find((wheel) => wheel.stage === parts.id && wheel.role === role)!,
  ) as [LaidWheel, LaidWheel];
  const wheels: PathWheel[] = [inside(driver), inside(driven)];
  if (parts.idler) wheels.push(idlerOf(driver, driven, parts.pitch));
  const path = beltPath(wheels);
  return path && { path, wheels };
}

const inside = ({ x, y, radius }: LaidWheel): PathWheel => ({ x, y, radius, inside: true });

/** A plain wheel of some eight pitches round, on the back of the strand that comes back, beside the smaller wheel. */
function idlerOf(driver: LaidWheel, driven: LaidWheel, pitch: number): PathWheel {
  const radius = (8 * pitch) / (2 * Math.PI);
  const [small, large] = driver.radius <= driven.radius ? [driver, driven] : [driven, driver];
  const [dx, dy] = [large.x - small.x, large.y - small.y];
  const distance = Math.hypot(dx, dy) || 1;
  const along = Math.min(0.4 * distance, small.radius + 2 * radius);
  // The strand back runs on the left of the way from driver to driven.
  const side = driver.radius <= driven.radius ? 1 : -1;
  const off = small.radius + ((large.radius - small.radius) * along) / distance + 0.55 * radius;
  return {
    x: small.x + (dx * along - side * dy * off) / distance,
    y: small.y + (dy * along + side * dx * off) / distance,
    radius,
    inside: false,
  };
}

function runShapes(parts: RunParts & { readonly idler?: boolean }, layout: Layout): readonly Shape[] {
  const found = runPathOf(parts, layout);
  if (!found) return [];
  const { path, wheels } = found;
  const layer = 'CHAIN_BELT';
  return [
    ...path.strands.map(({ from, to }): Shape => ({ kind: 'line', layer, x1: from.x, y1: from.y, x2: to.x, y2: to.y })),
    ...path.wraps.map(({ enters, leaves, angle }, i): Shape => {
      const { x, y, radius, inside: turnsLeft } = wheels[i]!;
      // Arcs run anticlockwise; round a wheel on its back the run goes the other way.
      return turnsLeft
        ? { kind: 'arc', layer, x, y, radius, from: enters, to: enters + angle }
        : { kind: 'arc', layer, x, y, radius, from: leaves, to: leaves + angle };
    }),
  ];
}

/** Least box round a drawing. */
export function boundsOf(shapes: readonly Shape[]): { x: number; y: number; width: number; height: number } {
  let [left, bottom, right, top] = [Infinity, Infinity, -Infinity, -Infinity];
  const grow = (x: number, y: number, by = 0) => {
    left = Math.min(left, x - by);
    right = Math.max(right, x + by);
    bottom = Math.min(bottom, y - by);
    top = Math.max(top, y + by);
  };
  for (const shape of shapes) {
    if (shape.kind === 'line') {
      grow(shape.x1, shape.y1);
      grow(shape.x2, shape.y2);
    } else grow(shape.x, shape.y, shape.radius);
  }
  return { x: left, y: bottom, width: right - left, height: top - bottom };
}
