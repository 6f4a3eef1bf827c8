import { readFileSync } from 'node:fs';
import { DRAWING_LAYERS, plateHoles, resolvePath, trainLayout, trainShapes, type Plan } from '@rough-gear/core';
import DxfParser from 'dxf-parser';
import { PDFDocument } from 'pdf-lib';
import { inflateSync } from 'node:zlib';
import { describe, expect, it } from 'vitest';
import { holeTemplate } from '../src/views/mechanism/train/files/holeTemplate.js';
import { layoutDxf } from '../src/views/mechanism/train/files/layoutDxf.js';
import { layoutSvg } from '../src/views/mechanism/train/files/layoutSvg.js';

const plan = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as Plan;

function layoutOf(id: string) {
  const mechanism = plan.mechanisms.find((each) => each.id === id)!;
  const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
  const layout = trainLayout(path)!;
  return { layout, shapes: trainShapes(path, layout) };
}

interface ReadEntity {
  readonly type: string;
  readonly layer: string;
  readonly center?: { x: number; y: number };
  readonly radius?: number;
  readonly vertices?: readonly { x: number; y: number }[];
  readonly startAngle?: number;
  readonly endAngle?: number;
}

function readDxf(text: string) {
  const read = new DxfParser().parseSync(text)!;
  return {
    entities: read.entities as unknown as readonly ReadEntity[],
    units: read.header['$INSUNITS'] as unknown as number,
    layers: Object.keys(read.tables.layer.layers),
  };
}

/** Codes of a drawing's units: 4 millimetres, 1 inches. */
const UNITS = { mm: { code: 4, per: 1000 }, inch: { code: 1, per: 1 / 0.0254 } } as const;

describe('the DXF file, read by a second library', () => {
  it.each(['mm', 'inch'] as const)('has the same centres to a millionth of a millimetre, in %s', (unit) => {
    const { shapes } = layoutOf('lift');
    const { code, per } = UNITS[unit];
    const { entities, units } = readDxf(layoutDxf(shapes, unit));
    expect(units).toBe(code);
    expect(entities).toHaveLength(shapes.length);
    const circles = entities.filter(({ type }) => type === 'CIRCLE');
    const drawn = shapes.filter((shape) => shape.kind === 'circle');
    expect(circles).toHaveLength(drawn.length);
    drawn.forEach((shape, i) => {
      if (shape.kind !== 'circle') return;
      const tolerance = (1e-9 * per) / 1;
      expect(Math.abs(circles[i]!.center!.x - per * shape.x)).toBeLessThan(tolerance);
      expect(Math.abs(circles[i]!.center!.y - per * shape.y)).toBeLessThan(tolerance);
      expect(Math.abs(circles[i]!.radius! - per * shape.radius)).toBeLessThan(tolerance);
      expect(circles[i]!.layer).toBe(shape.layer);
    });
  });

  it('has its layers by name, each with something on it', () => {
    const { shapes } = layoutOf('drive');
    const { entities, layers } = readDxf(layoutDxf(shapes, 'mm'));
    for (const layer of DRAWING_LAYERS) {
      expect(layers).toContain(layer);
      expect(
        entities.some((entity) => entity.layer === layer),
        layer,
      ).toBe(true);
    }
  });

  it('closes the chain: arcs end where its strands begin', () => {
    const { shapes } = layoutOf('drive');
    const { entities } = readDxf(layoutDxf(shapes, 'mm'));
    const run = entities.filter(({ layer }) => layer === 'CHAIN_BELT');
    const ends = run.flatMap((entity) =>
      entity.type === 'LINE'
        ? entity.vertices!.map(({ x, y }) => [x, y] as const)
        : [entity.startAngle!, entity.endAngle!].map(
            (angle) =>
              [
                entity.center!.x + entity.radius! * Math.cos(angle),
                entity.center!.y + entity.radius! * Math.sin(angle),
              ] as const,
          ),
    );
    expect(ends).toHaveLength(8);
    for (const [x, y] of ends)
      expect(
        ends.filter(([u, v]) => Math.hypot(u - x, v - y) < 1e-4),
        `${x} ${y}`,
      ).toHaveLength(2);
  });
});

describe('the SVG file', () => {
  it('is in millimetres, a group for each layer, nothing outside its box', () => {
    const { shapes } = layoutOf('arm');
    const svg = layoutSvg(shapes, 'Gaff arm <1>');
    expect(svg).toMatch(/^<svg xmlns="[^"]+" width="[\d.]+mm" height="[\d.]+mm" viewBox="/);
    expect(svg).toContain('<title>Gaff arm &lt;1></title>');
    for (const layer of DRAWING_LAYERS) expect(svg).toContain(`<g id="${layer}"`);
    const [left, top, width, height] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number) as [
      number,
      number,
      number,
      number,
    ];
    for (const [, cx, cy, r] of svg.matchAll(/cx="([^"]+)" cy="([^"]+)" r="([^"]+)"/g)) {
      expect(Number(cx) - Number(r)).toBeGreaterThan(left);
      expect(Number(cx) + Number(r)).toBeLessThan(left + width);
      expect(Number(cy) - Number(r)).toBeGreaterThan(top);
      expect(Number(cy) + Number(r)).toBeLessThan(top + height);
    }
    expect(svg).not.toContain('NaN');
  });
});

/** What the first page of a PDF draws, in its own words. */
async function drawnOn(bytes: Uint8Array): Promise<string> {
  const read = await PDFDocument.load(bytes);
  return read
    .getPage(0)
    .node.normalizedEntries()
    .Contents!.asArray()
    .map((ref) => read.context.lookup(ref) as unknown as { getContents(): Uint8Array })
    .map((stream) => inflateSync(stream.getContents()).toString('latin1'))
    .join('\n');
}

/** Circles of a page: middle and radius, in points. Each is a beginning and four curves. */
function circlesIn(text: string): readonly { readonly x: number; readonly y: number; readonly r: number }[] {
  const number = String.raw`-?[\d.]+`;
  const curve = String.raw`(?:${number} ){6}c\s+`;
  return [...text.matchAll(new RegExp(String.raw`(${number}) (${number}) m\s+((?:${curve}){4})`, 'g'))].map((found) => {
    const ends = [...found[3]!.matchAll(new RegExp(String.raw`(${number}) (${number}) c`, 'g'))];
    const [xs, ys] = [1, 2].map((i) => ends.map((end) => Number(end[i])));
    const middle = (all: readonly number[]): number => (Math.min(...all) + Math.max(...all)) / 2;
    return { x: middle(xs!), y: middle(ys!), r: (Math.max(...xs!) - Math.min(...xs!)) / 2 };
  });
}

describe('the hole template', () => {
  const PT = 72 / 25.4;

  it('is A4 at 1:1, on as many sheets as the holes take', async () => {
    const { layout } = layoutOf('lift');
    const { bytes, pages } = await holeTemplate(layout, 'Mast lift');
    const read = await PDFDocument.load(bytes);
    expect(read.getPageCount()).toBe(pages);
    expect(pages).toBe(1);
    expect(read.getTitle()).toBe('Mast lift: hole template');
    const { width, height } = read.getPage(0).getSize();
    expect(width).toBeCloseTo(210 * PT, 6);
    expect(height).toBeCloseTo(297 * PT, 6);
  });

  it('is turned where that saves a sheet, and goes over more where no turn does', async () => {
    const { layout } = layoutOf('drive');
    const made = await holeTemplate(layout, 'Drive base');
    expect(made.pages).toBe(1);
    expect(made.angle).not.toBe(0);
    const far = { ...layout, shafts: layout.shafts.map((shaft) => ({ ...shaft, x: 4 * shaft.x, y: 4 * shaft.y })) };
    expect((await holeTemplate(far, 'Drive base')).pages).toBeGreaterThan(1);
  });

  it('has the motor’s own screws where its drawing says them', async () => {
    const { layout } = layoutOf('lift');
    const [with_, without] = [
      await holeTemplate(layout, 'Mast lift', '4 × M4 on 25 mm'),
      await holeTemplate(layout, 'Mast lift'),
    ];
    expect(with_.bytes.length).toBeGreaterThan(without.bytes.length);
  });

  it('draws its check line of 100 mm and a circle for every hole, as the page itself says', async () => {
    const { layout } = layoutOf('lift');
    const { bytes } = await holeTemplate(layout, 'Mast lift → œuvre');
    const text = await drawnOn(bytes);
    const lines = [...text.matchAll(/([\d.]+) ([\d.]+) m\s+([\d.]+) ([\d.]+) l/g)].map((found) =>
      found.slice(1).map(Number),
    );
    expect(lines.some(([x1, y1, x2, y2]) => Math.abs(x2! - x1! - 100 * PT) < 1e-6 && y1 === y2)).toBe(true);
    // Four curves make a circle.
    expect([...text.matchAll(/\sc\n/g)]).toHaveLength(4 * plateHoles(layout, undefined).length);
  });

  it('has its holes as far apart on the paper, and as large, as in the plate', async () => {
    for (const id of ['lift', 'drive', 'arm'] as const) {
      const { layout } = layoutOf(id);
      const holes = plateHoles(layout, undefined);
      const { bytes, pages } = await holeTemplate(layout, id);
      expect(pages).toBe(1);
      const circles = circlesIn(await drawnOn(bytes));
      expect(circles).toHaveLength(holes.length);
      holes.forEach((hole, i) => {
        expect(circles[i]!.r / PT).toBeCloseTo(1000 * hole.radius, 3);
        // Millimetres between this hole and the first, whichever way the sheet was turned.
        const apart = Math.hypot(circles[i]!.x - circles[0]!.x, circles[i]!.y - circles[0]!.y) / PT;
        expect(apart).toBeCloseTo(1000 * Math.hypot(hole.x - holes[0]!.x, hole.y - holes[0]!.y), 2);
      });
    }
  });
});
