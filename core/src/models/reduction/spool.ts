/**
 * Radius at which the rope lies on a drum that has wound up `length`: drum + d·(layer − ½), the layer
 * counted from 1. A thin rope (d = 0) lies at the drum's own radius. SI.
 *
 * @example spoolRadius(0.022, 0.003, 0.03, 1.35) //=> 0.0235
 */
export function spoolRadius(drum: number, rope: number, width: number, length: number): number {
  if (!(rope > 0)) return drum;
  return drum + rope * (layersOnDrum(drum, rope, width, length) - 0.5);
}

/**
 * Layers that a length of rope takes; at least 1.
 *
 * @example layersOnDrum(0.022, 0.003, 0.03, 1.35) //=> 1
 */
export function layersOnDrum(drum: number, rope: number, width: number, length: number): number {
  const turns = Math.max(1, Math.floor(width / rope));
  let layer = 1;
  for (let left = length; layer < 50; layer++) {
    left -= turns * 2 * Math.PI * (drum + rope * (layer - 0.5));
    if (left <= 0) break;
  }
  return layer;
}
