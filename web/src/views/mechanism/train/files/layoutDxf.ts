import { DRAWING_LAYERS, type DrawingLayer, type Shape } from '@rough-gear/core';
import { Colors, DxfWriter, point3d, Units } from '@tarikjabiri/dxf';

const COLOURS: Readonly<Record<DrawingLayer, number>> = {
  CENTRES: Colors.Red,
  BEARINGS: Colors.Magenta,
  MOUNTING: Colors.Yellow,
  PITCH_CIRCLES: Colors.Cyan,
  OUTLINES: Colors.White,
  CHAIN_BELT: Colors.Green,
  DISTANCES: Colors.Blue,
};
const PER_METRE = { mm: 1000, inch: 1 / 0.0254 } as const;

/** The drawing as DXF in true size: its units are in its header, each kind of mark has its layer. */
export function layoutDxf(shapes: readonly Shape[], unit: 'mm' | 'inch'): string {
  const dxf = new DxfWriter();
  dxf.setUnits(unit === 'mm' ? Units.Millimeters : Units.Inches);
  for (const layer of DRAWING_LAYERS) dxf.addLayer(layer, COLOURS[layer], 'CONTINUOUS');
  const by = PER_METRE[unit];
  const degrees = (angle: number) => ((((angle * 180) / Math.PI) % 360) + 360) % 360;
  for (const shape of shapes) {
    const options = { layerName: shape.layer };
    if (shape.kind === 'circle') dxf.addCircle(point3d(by * shape.x, by * shape.y), by * shape.radius, options);
    else if (shape.kind === 'line')
      dxf.addLine(point3d(by * shape.x1, by * shape.y1), point3d(by * shape.x2, by * shape.y2), options);
    else
      dxf.addArc(
        point3d(by * shape.x, by * shape.y),
        by * shape.radius,
        degrees(shape.from),
        degrees(shape.to),
        options,
      );
  }
  return dxf.stringify();
}
