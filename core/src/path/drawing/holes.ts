import type { LaidShaft, Layout } from '../../models/reduction/layout.js';

/** What a hole of a plate is for. */
export type HoleUse = 'motor shaft' | 'shaft' | 'pin' | 'bearing' | 'screw';

export interface Hole {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly use: HoleUse;
}

/** The pin of an idler, m. */
const PIN = 0.003;

/** A hole for every shaft, once where two share a centre, and one for the pin of an idler. */
export function holesOf({ shafts, wheels }: Layout): readonly Hole[] {
  const pins = wheels
    .filter(({ role }) => role === 'idler')
    .map(({ x, y }): Hole => ({ x, y, radius: PIN, use: 'pin' }));
  const own = shafts.map(({ x, y, radius }, i): Hole => ({ x, y, radius, use: i === 0 ? 'motor shaft' : 'shaft' }));
  return [...own, ...pins].filter(
    (hole, i, all) => all.findIndex((other) => Math.hypot(other.x - hole.x, other.y - hole.y) < 1e-9) === i,
  );
}

/** Holes that screws pass through with a little room, mm by the screw's own diameter (middle fit of ISO 273). */
const CLEARANCE: Readonly<Record<string, number>> = {
  2: 2.4,
  '2.5': 2.9,
  3: 3.4,
  4: 4.5,
  5: 5.5,
  6: 6.6,
  8: 9,
  10: 11,
};

const PATTERN = /^(\d+) × M([\d.]+) on ([\d.]+) mm$/;

/**
 * The screws a motor is held by; `undefined` where the words say nothing of the kind.
 *
 * @example mountScrews('4 × M5 on 47 mm') //=> { count: 4, thread: 'M5' }
 */
export function mountScrews(
  mount: string | undefined,
): { readonly count: number; readonly thread: string } | undefined {
  const read = PATTERN.exec(mount ?? '');
  return read ? { count: Number(read[1]), thread: `M${read[2]!}` } : undefined;
}

/**
 * The holes a motor is screwed to, about its shaft: "4 × M5 on 47 mm" is a square of that side, "2 × M3 on 25 mm" a pair that
 * far apart, any other count a circle of that diameter. Empty where the words say nothing of the kind.
 *
 * @example mountHoles('2 × M3 on 25 mm') //=> [{ x: -0.0125, y: 0, radius: 0.0017, use: 'screw' }, { x: 0.0125, y: 0, radius: 0.0017, use: 'screw' }]
 */
export function mountHoles(mount: string | undefined): readonly Hole[] {
  const read = PATTERN.exec(mount ?? '');
  if (!read) return [];
  const [count, span] = [Number(read[1]), Number(read[3]) / 1000];
  const radius = (CLEARANCE[read[2]!] ?? 1.1 * Number(read[2])) / 2000;
  const from = count === 2 ? Math.PI : Math.PI / 4;
  const away = count === 4 ? span * Math.SQRT1_2 : span / 2;
  return Array.from({ length: count }, (_, i): Hole => {
    const angle = from + (2 * Math.PI * i) / count;
    const round = (value: number): number => Number(value.toFixed(9)) + 0;
    return { x: round(away * Math.cos(angle)), y: round(away * Math.sin(angle)), radius, use: 'screw' };
  });
}

/** Bores of the bearings in a plate: one round every shaft whose size is known, but the motor's, which has its own. */
export const bearingHoles = ({ shafts }: Layout): readonly Hole[] =>
  shafts
    .slice(1)
    .filter(({ bearing }) => bearing > 0)
    .map(({ x, y, bearing }: LaidShaft): Hole => ({ x, y, radius: bearing / 2, use: 'bearing' }))
    .filter((hole, i, all) => all.findIndex((other) => Math.hypot(other.x - hole.x, other.y - hole.y) < 1e-9) === i);

/** Everything that is drilled or bored in a plate: shafts, pins, bearings, the motor's screws. */
export const plateHoles = (layout: Layout, mount: string | undefined): readonly Hole[] => [
  ...holesOf(layout),
  ...bearingHoles(layout),
  ...mountHoles(mount),
];

/** The same holes turned about the motor's shaft. */
export const turned = (holes: readonly Hole[], angle: number): readonly Hole[] =>
  holes.map((hole) => ({
    ...hole,
    x: hole.x * Math.cos(angle) - hole.y * Math.sin(angle),
    y: hole.x * Math.sin(angle) + hole.y * Math.cos(angle),
  }));

/** Where holes lie on sheets of a size: the corner the first sheet begins at, and which sheets have any. */
export interface Sheets {
  readonly left: number;
  readonly bottom: number;
  readonly used: readonly { readonly column: number; readonly row: number }[];
}

/**
 * The sheets some holes take, `around` each of them kept clear. A sheet with nothing on it is none.
 *
 * @param room m, width and height of what can be printed on one
 */
export function sheetsFor(
  holes: readonly Hole[],
  room: { readonly width: number; readonly height: number },
  around: number,
): Sheets {
  const edge = (of: (hole: Hole) => number): number => Math.min(...holes.map(of)) - around;
  const [left, bottom] = [edge(({ x, radius }) => x - radius), edge(({ y, radius }) => y - radius)];
  const used = new Map<string, { column: number; row: number }>();
  for (const { x, y, radius } of holes) {
    const cell = (value: number, size: number): number => Math.floor(value / size + 1e-9);
    const [first, last] = [cell(x - radius - left, room.width), cell(x + radius - left, room.width)];
    const [low, high] = [cell(y - radius - bottom, room.height), cell(y + radius - bottom, room.height)];
    for (let column = first; column <= last; column++)
      for (let row = low; row <= high; row++) used.set(`${column}.${row}`, { column, row });
  }
  return { left, bottom, used: [...used.values()].sort((a, b) => a.row - b.row || a.column - b.column) };
}

/** Steps in which a template is turned, rad. */
const STEP = Math.PI / 36;

/**
 * How far the holes are turned so that they need the fewest sheets, rad: the least turn that does.
 */
export function fewestSheets(
  holes: readonly Hole[],
  room: { readonly width: number; readonly height: number },
  around: number,
): number {
  let best = { angle: 0, sheets: sheetsFor(holes, room, around).used.length };
  for (let i = 1; i <= 36; i++)
    for (const angle of [i * STEP, -i * STEP]) {
      const sheets = sheetsFor(turned(holes, angle), room, around).used.length;
      if (sheets < best.sheets) best = { angle, sheets };
    }
  return best.angle;
}
