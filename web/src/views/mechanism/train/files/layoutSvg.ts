import { boundsOf, DRAWING_LAYERS, type Shape } from '@rough-gear/core';

const MARGIN = 0.005;

const STYLE: Readonly<Record<Shape['layer'], string>> = {
  CENTRES: 'fill:none;stroke:#000;stroke-width:0.25',
  BEARINGS: 'fill:none;stroke:#000;stroke-width:0.25',
  MOUNTING: 'fill:none;stroke:#000;stroke-width:0.25',
  PITCH_CIRCLES: 'fill:none;stroke:#555;stroke-width:0.18;stroke-dasharray:4 1.2 0.8 1.2',
  OUTLINES: 'fill:none;stroke:#000;stroke-width:0.35',
  CHAIN_BELT: 'fill:none;stroke:#000;stroke-width:0.6',
  DISTANCES: 'fill:none;stroke:#555;stroke-width:0.18',
};

const mm = (metres: number): string => Number((1000 * metres).toFixed(6)).toString();
const escaped = (text: string): string => text.replace(/&/g, '&amp;').replace(/</g, '&lt;');

/** The drawing in true size, millimetres, a group for each layer. */
export function layoutSvg(shapes: readonly Shape[], title: string): string {
  const box = boundsOf(shapes);
  const [left, top] = [box.x - MARGIN, -(box.y + box.height) - MARGIN];
  const [width, height] = [box.width + 2 * MARGIN, box.height + 2 * MARGIN];
  const groups = DRAWING_LAYERS.map((layer) => {
    const marks = shapes.filter((shape) => shape.layer === layer).map(mark);
    return `<g id="${layer}" style="${STYLE[layer]}">${marks.join('')}</g>`;
  });
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(width)}mm" height="${mm(height)}mm" viewBox="${mm(left)} ${mm(top)} ${mm(width)} ${mm(height)}"><title>${escaped(title)}</title>${groups.join('')}</svg>\n`;
}

/** A drawing's y goes up, an SVG's down. */
function mark(shape: Shape): string {
  switch (shape.kind) {
    case 'circle':
      return `<circle cx="${mm(shape.x)}" cy="${mm(-shape.y)}" r="${mm(shape.radius)}"/>`;
    case 'line':
      return `<path d="M${mm(shape.x1)} ${mm(-shape.y1)}L${mm(shape.x2)} ${mm(-shape.y2)}"/>`;
    case 'arc': {
      const at = (angle: number) =>
        `${mm(shape.x + shape.radius * Math.cos(angle))} ${mm(-(shape.y + shape.radius * Math.sin(angle)))}`;
      const large = shape.to - shape.from > Math.PI ? 1 : 0;
      return `<path d="M${at(shape.from)}A${mm(shape.radius)} ${mm(shape.radius)} 0 ${large} 0 ${at(shape.to)}"/>`;
    }
  }
}
