import type { GearMaterial } from '../../plan/document/materials.js';

/** Lewis form factor Y at 20° full depth against teeth. Source: Shigley, table 14-2. */
const FORM: readonly (readonly [teeth: number, y: number])[] = [
  [12, 0.245],
  [13, 0.261],
  [14, 0.277],
  [15, 0.29],
  [16, 0.296],
  [17, 0.303],
  [18, 0.309],
  [19, 0.314],
  [20, 0.322],
  [21, 0.328],
  [22, 0.331],
  [24, 0.337],
  [26, 0.346],
  [28, 0.353],
  [30, 0.359],
  [34, 0.371],
  [38, 0.384],
  [43, 0.397],
  [50, 0.409],
  [60, 0.422],
  [75, 0.435],
  [100, 0.447],
  [150, 0.46],
  [300, 0.472],
];

/**
 * Y for whole teeth, straight between the table's rows; 0.472 beyond 300, `undefined` under 12.
 *
 * @example lewisFactor(16) //=> 0.296
 */
export function lewisFactor(teeth: number): number | undefined {
  if (teeth < 12) return undefined;
  const above = FORM.findIndex(([z]) => z >= teeth);
  if (above < 0) return FORM.at(-1)![1];
  const [z1, y1] = FORM[above]!;
  if (above === 0 || z1 === teeth) return y1;
  const [z0, y0] = FORM[above - 1]!;
  return y0 + ((y1 - y0) * (teeth - z0)) / (z1 - z0);
}

/** 2/sin² 20° = 17.1: a hob of 20° cuts nothing away from here on. */
export const WHOLE_FROM = 18;
/** From here on what is cut away is a note; under it the foot is plainly thinner than the figures say. */
export const UNDERCUT_UNDER = 16;
export const FEWEST_GEAR_TEETH = 12;

/**
 * Centre distance of two spur gears, m·(z1 + z2)/2. Metres of module in, metres out.
 *
 * @example gearCentre(0.001, 16, 54) //=> 0.035
 */
export const gearCentre = (module: number, driver: number, driven: number): number => (module * (driver + driven)) / 2;

/**
 * Ft = 2T/(m·z): what the teeth push each other with. N
 *
 * @example tangentialForce(2, 0.001, 16) //=> 250
 */
export const tangentialForce = (torque: number, module: number, teeth: number): number =>
  (2 * torque) / (module * teeth);

/**
 * (6.1 + v)/6.1 of the pitch line, v in m/s: cut teeth, which hit harder the faster they meet.
 *
 * @example velocityFactor(0.001, 16, 300) //=> 1.393
 */
export const velocityFactor = (module: number, teeth: number, speed: number): number =>
  (6.1 + (Math.abs(speed) * module * teeth) / 2) / 6.1;

export interface GearTooth {
  readonly module: number;
  readonly teeth: number;
  readonly face: number;
}

/**
 * σ = Ft/(b·m·Y)·(6.1 + v)/6.1 at the foot of one tooth, Pa; NaN under 12 teeth, where Y is not known.
 *
 * @example bendingStress({ module: 0.001, teeth: 16, face: 0.01 }, 2, 300) //=> 117700000
 */
export function bendingStress({ module, teeth, face }: GearTooth, torque: number, speed: number): number {
  const y = lewisFactor(teeth) ?? NaN;
  return (tangentialForce(torque, module, teeth) / (face * module * y)) * velocityFactor(module, teeth, speed);
}

/**
 * The torque on a gear at which its teeth are stressed to `allowable`.
 *
 * @example bendingTorque({ module: 0.001, teeth: 16, face: 0.01 }, 2e8, 300) //=> 3.399
 */
export const bendingTorque = (tooth: GearTooth, allowable: number, speed: number): number =>
  allowable / bendingStress(tooth, 1, speed);

/**
 * Typical play left between the flanks of printed or plain-cut spur gears: 0.04 of the module, at least 0.05 mm.
 *
 * @example backlashAllowance(0.001) //=> 0.00005
 */
export const backlashAllowance = (module: number): number => Math.max(0.04 * module, 0.00005);

/**
 * How much further apart the shafts stand for a play at the pitch line, j/(2·tan 20°).
 *
 * @example centreForBacklash(0.0001) //=> 0.0001374
 */
export const centreForBacklash = (play: number): number => play / (2 * Math.tan(Math.PI / 9));

/** Typical allowable bending stress of teeth, Pa. */
export const GEAR_ALLOWABLE: Readonly<Record<GearMaterial, number>> = {
  'hardened steel': 250e6,
  'plain steel': 170e6,
  '7075 aluminium': 150e6,
  brass: 60e6,
  'nylon or acetal': 40e6,
  printed: 15e6,
};
