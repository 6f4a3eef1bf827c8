/**
 * Pressure angle between chain and tooth, rad: 17.5° − 64°/z as new; worn, the rollers ride up the flanks to
 * 35° − 120°/z. Between them it goes with the wear, up to the 3 % at which a chain is worn out.
 * Source: American Chain Association, Standard Handbook of Chains, the chapter on sprocket engagement.
 *
 * @example pressureAngle(16, 0) //=> 0.2356
 */
export function pressureAngle(teeth: number, wear: number): number {
  const fresh = 17.5 - 64 / teeth;
  const worn = 35 - 120 / teeth;
  const share = Math.min(1, Math.max(0, wear / 0.03));
  return ((fresh + share * (worn - fresh)) * Math.PI) / 180;
}

/**
 * Share of the pull that is left behind one tooth: sinφ/sin(φ + 2π/z).
 *
 * @example leftPerTooth(16, 0.01) //=> 0.4784
 */
export function leftPerTooth(teeth: number, wear: number): number {
  const angle = pressureAngle(teeth, wear);
  return Math.sin(angle) / Math.sin(angle + (2 * Math.PI) / teeth);
}

/**
 * Teeth of the wheel that are in the chain over a wrap, at least one.
 *
 * @example teethEngaged(16, 2.6) //=> 6
 */
export const teethEngaged = (teeth: number, wrap: number): number =>
  Math.max(1, Math.floor((teeth * wrap) / (2 * Math.PI) + 1e-9));

/**
 * Pull at which the chain climbs over the teeth: every tooth passes on a share of it, and what is left behind the
 * last has to be held by the slack strand. N
 *
 * @example skipPull(16, 2.6, 0.01, 5) //=> 416.8
 */
export function skipPull(teeth: number, wrap: number, wear: number, slackTension: number): number {
  return slackTension / leftPerTooth(teeth, wear) ** teethEngaged(teeth, wrap);
}

/**
 * Pull of the slack strand by its own weight, hanging by `sag` of its span: w·g·span/(8·sag). The span is the strand's
 * own, between the points where it leaves the wheels, as long as it lies level. N
 *
 * @example hangingTension(0.15, 0.2, 0.004, 9.81) //=> 9.197
 */
export const hangingTension = (massPerLength: number, span: number, sag: number, gravity: number): number =>
  (massPerLength * gravity * span) / (8 * sag);

/**
 * Share of the pull that the first tooth takes.
 *
 * @example firstToothShare(16, 0.01) //=> 0.5216
 */
export const firstToothShare = (teeth: number, wear: number): number => 1 - leftPerTooth(teeth, wear);
