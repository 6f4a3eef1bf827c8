/** A wheel a belt or chain runs over. `inside` wheels turn with the run, the others against it, on its back. */
export interface PathWheel {
  readonly x: number;
  readonly y: number;
  readonly radius: number;
  readonly inside: boolean;
}

/** One wheel's share of the path: where the run meets and leaves it, and the angle it wraps. */
export interface Wrap {
  readonly enters: number;
  readonly leaves: number;
  readonly angle: number;
}

export interface BeltPath {
  readonly length: number;
  readonly wraps: readonly Wrap[];
  /** Straight strands, wheel i to the next. */
  readonly strands: readonly { readonly from: Point; readonly to: Point }[];
}

export interface Point {
  readonly x: number;
  readonly y: number;
}

/**
 * The closed path round wheels in the order they are met, anticlockwise round the inside ones: common tangents
 * and the arcs between them, by plain geometry. `undefined` where two wheels overlap so that no tangent exists.
 */
export function beltPath(wheels: readonly PathWheel[]): BeltPath | undefined {
  const count = wheels.length;
  const strands: { from: Point; to: Point; angle: number }[] = [];
  for (let i = 0; i < count; i++) {
    const tangent = tangentOf(wheels[i]!, wheels[(i + 1) % count]!);
    if (!tangent) return undefined;
    strands.push(tangent);
  }
  let length = 0;
  const wraps = wheels.map((wheel, i): Wrap => {
    const before = strands[(i + count - 1) % count]!;
    const after = strands[i]!;
    // Inside the run turns left by the wrap, on its back to the right.
    const turned = wheel.inside ? after.angle - before.angle : before.angle - after.angle;
    const angle = ((turned % TURN) + TURN) % TURN;
    length += wheel.radius * angle;
    const side = wheel.inside ? -Math.PI / 2 : Math.PI / 2;
    return { enters: before.angle + side, leaves: after.angle + side, angle };
  });
  for (const { from, to } of strands) length += Math.hypot(to.x - from.x, to.y - from.y);
  return { length, wraps, strands: strands.map(({ from, to }) => ({ from, to })) };
}

const TURN = 2 * Math.PI;

/** The strand from one wheel to the next: each keeps its wheel on its left where it is inside, on its right where not. */
function tangentOf(a: PathWheel, b: PathWheel): { from: Point; to: Point; angle: number } | undefined {
  const [dx, dy] = [b.x - a.x, b.y - a.y];
  const distance = Math.hypot(dx, dy);
  const [ra, rb] = [a.inside ? a.radius : -a.radius, b.inside ? b.radius : -b.radius];
  const sine = (rb - ra) / distance;
  if (!(Math.abs(sine) < 1)) return undefined;
  // The wheels' centres lie on the strand's left by their radii; turning it by this much makes both so.
  const angle = Math.atan2(dy, dx) - Math.asin(sine);
  const right = { x: Math.sin(angle), y: -Math.cos(angle) };
  return {
    from: { x: a.x + ra * right.x, y: a.y + ra * right.y },
    to: { x: b.x + rb * right.x, y: b.y + rb * right.y },
    angle,
  };
}
