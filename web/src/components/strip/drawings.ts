import type { LinkKind, MachineKind, MechanismKind, Output, Stage } from '@rough-gear/core';

/** Line drawings of the links in one pen: 1.5 px ink, 44 × 40. */

/** One stroke of a drawing: a path, a circle, or an ellipse. */
type Mark =
  | { readonly path: string; readonly dash?: string; readonly width?: number }
  | { readonly circle: readonly [x: number, y: number, r: number]; readonly filled?: true }
  | { readonly ellipse: readonly [x: number, y: number, rx: number, ry: number] };

export type Drawing = readonly Mark[];

const line = (path: string): Mark => ({ path });
const ring = (x: number, y: number, r: number): Mark => ({ circle: [x, y, r] });
const dot = (x: number, y: number, r: number): Mark => ({ circle: [x, y, r], filled: true });

const BOX: Drawing = [line('M9 8h22v24H9zM3 20h6M31 17h10v6H31zM14 8v24M26 8v24')];
const SCREW: Drawing = [line('M3 16h38v8H3zM9 16l4 8M15 16l4 8M21 16l4 8M27 16l4 8M33 16l4 8')];
const CHAIN: Drawing = [
  ring(9, 25, 5),
  ring(32, 18, 10),
  { path: 'M8 20 29 8.5M11 29.6 34 27.8', dash: '3.2 2.2', width: 2 },
  ring(32, 18, 2),
];
const GEARS: Drawing = [line(toothed(11, 26, 6, 9)), line(toothed(28, 17, 12, 18)), ring(11, 26, 1.5), ring(28, 17, 2)];
const FLYWHEEL: Drawing = [
  ring(15, 25, 9),
  ring(15, 25, 2),
  line('M2 25A13 13 0 0 1 15 9h8'),
  ring(28, 13, 4),
  line('M34 13h8M39 10l3 3-3 3'),
];
const ROLLER: Drawing = [ring(12, 14, 7), ring(32, 14, 7), line('M4 24h14v10H4zM22 29h17M36 26l3 3-3 3')];
const TURNTABLE: Drawing = [
  { ellipse: [22, 22, 17, 8] },
  line('M5 22v5c0 4 8 8 17 8s17-4 17-8v-5M22 22l11-4M31 8a12 8 0 0 0-18 0M13 4v5h5'),
];
const ARM: Drawing = [
  line('M8 34h14M15 34V28'),
  ring(15, 25, 3.5),
  line('M17.5 22 34 8M34 8l-5 1M34 8l-1 5'),
  { path: 'M31 27a18 18 0 0 0-4-9', dash: '2 2.5' },
];
const GRIP: Drawing = [line('M3 14h8v12H3zM11 16l10-8 16 4M11 24l10 8 16-4'), ring(31, 20, 5)];
const LEG: Drawing = [line('M6 8h14v8H6zM20 12l10 8M30 20l-6 14M20 34h10'), ring(20, 12, 2.5), ring(30, 20, 2.5)];

/** The links that look the same in front of every machine. Tables are complete by their types: a new kind does not compile without its drawing. */
export const LINK_DRAWINGS: Readonly<Record<Exclude<LinkKind, 'motor' | 'stage' | 'output' | 'load'>, Drawing>> = {
  pack: [line('M4 12h36v22H4zM10 12V8h6v4M28 12V8h6v4M11 23h6M14 20v6M27 23h6')],
  branch: [line('M6 26c6-16 26-16 32 0'), ring(6, 26, 3), ring(38, 26, 3)],
  controller: [line('M5 6h34v28H5zM10 26h4V14h5v12h5V14h5v12h5')],
  rail: [
    line('M4 12h36M4 28h36M11 12v6M22 12v6M33 12v6M11 28v-6M22 28v-6M33 28v-6M8 18h6v4H8zM19 18h6v4h-6zM30 18h6v4h-6z'),
  ],
  linkage: [
    line('M10 32 18 10 36 16 32 32M6 35h8M28 35h8'),
    ...[ring(10, 32, 2.5), ring(18, 10, 2.5), ring(36, 16, 2.5), ring(32, 32, 2.5)],
  ],
};

/** What turns it, drawn as many times as there are where it has room. */
export const MACHINE_DRAWINGS: Readonly<Record<MachineKind, (count: number) => Drawing>> = {
  dc: motors,
  step: () => [line('M8 6h28v28H8z'), ring(22, 20, 9), line('M22 11v4M31 20h-4M22 29v-4M13 20h4M22 20l4.5-4.5')],
  servo: () => [
    line('M6 14h26v18H6zM2 18h4M32 18h4M2 18v4h4M36 18v4h-4'),
    ring(14, 14, 5),
    line('M14 14 34 6M33 3l3 2-2 3'),
  ],
};

export const STAGE_DRAWINGS: Readonly<Record<Stage['kind'], Drawing>> = {
  ratio: BOX,
  planetary: BOX,
  teeth: GEARS,
  chain: CHAIN,
  belt: CHAIN,
  worm: SCREW,
  screw: SCREW,
};

export const OUTPUT_DRAWINGS: Readonly<Record<Output['kind'], Drawing>> = {
  wheels: [ring(12, 26, 9), ring(12, 26, 2), ring(34, 26, 9), ring(34, 26, 2), line('M5 12h34v6')],
  drum: [line('M14 6v28M30 6v28M14 10h16M14 30h16M14 15h16M14 20h16M14 25h16M30 25h7v10')],
  arm: ARM,
  flywheel: FLYWHEEL,
  roller: ROLLER,
  turntable: TURNTABLE,
  carriage: SCREW,
  grip: GRIP,
  leg: LEG,
};

export const LOAD_DRAWINGS: Readonly<Record<MechanismKind, Drawing>> = {
  'drive-base': [line('M6 12h28v12H6z'), ring(12, 29, 6), ring(28, 29, 6), line('M37 18h6M40 15l3 3-3 3')],
  lift: [line('M13 4v32M31 4v32M13 20h18v11H13zM22 17V5M18 9l4-4 4 4')],
  arm: ARM,
  climb: [line('M6 5h32M22 5v9M17 14h10v6H17zM14 20h16v14H14zM36 34V22M33 25l3-3 3 3')],
  thrower: FLYWHEEL,
  roller: ROLLER,
  turntable: TURNTABLE,
  carriage: [line('M3 24h38M3 30h38M9 24l3 6M27 24l3 6M33 24l3 6M14 16h12v18H14zM30 12h9M36 9l3 3-3 3')],
  grip: GRIP,
  leg: LEG,
};

/** Motors drawn as many as there are, up to six, packed in two rows. */
function motors(count: number): Drawing {
  return motorPlaces(count).flatMap(({ x, y, r }): Drawing => {
    const coils = [0, 60, 120, 180, 240, 300].map((degrees) => {
      const [c, s] = [Math.cos((degrees * Math.PI) / 180), Math.sin((degrees * Math.PI) / 180)];
      return `M${x + c * r * 0.42} ${y + s * r * 0.42}L${x + c * r * 0.66} ${y + s * r * 0.66}`;
    });
    return [ring(x, y, r), dot(x, y, 2), line(coils.join(''))];
  });
}

function motorPlaces(count: number): { x: number; y: number; r: number }[] {
  if (count === 1) return [{ x: 22, y: 20, r: 13 }];
  const shown = Math.min(6, count);
  const perRow = shown <= 3 ? shown : Math.ceil(shown / 2);
  const r = shown === 2 ? 9.5 : shown <= 4 && perRow === 2 ? 8.5 : 6.8;
  return Array.from({ length: shown }, (_, i) => {
    const row = Math.floor(i / perRow);
    const rows = Math.ceil(shown / perRow);
    return { x: 22 + ((i % perRow) - (perRow - 1) / 2) * (2 * r + 1), y: 20 + (row - (rows - 1) / 2) * (2 * r + 1), r };
  });
}

/** A toothed circle as a path: teeth as a square wave between two radii. */
function toothed(x: number, y: number, r: number, teeth: number): string {
  const points: string[] = [];
  for (let i = 0; i < teeth * 4; i++) {
    const angle = (i / (teeth * 4)) * 2 * Math.PI;
    const radius = i % 4 < 2 ? r + 1.6 : r - 1;
    points.push(`${(x + radius * Math.cos(angle)).toFixed(2)} ${(y + radius * Math.sin(angle)).toFixed(2)}`);
  }
  return `M${points.join('L')}Z`;
}
