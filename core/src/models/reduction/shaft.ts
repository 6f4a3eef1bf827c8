import type { ShaftMaterial } from '../../plan/document/materials.js';

/** Typical allowable shear stress of shafts, Pa. */
export const SHAFT_ALLOWABLE: Readonly<Record<ShaftMaterial, number>> = {
  'hardened steel': 300e6,
  'mild steel': 140e6,
  '7075 aluminium': 200e6,
  '6061 aluminium': 110e6,
};

/**
 * Greatest shear stress of a round shaft under torque and bending, 16·√(M² + T²)/(π·d³). Pa
 *
 * @example roundStress(0.01, 8, 0) //=> 40740000
 */
export const roundStress = (diameter: number, torque: number, bending: number): number =>
  (16 * Math.hypot(torque, bending)) / (Math.PI * diameter ** 3);

/**
 * Shear stress of a hexagonal shaft of width s across flats in torsion, T/(0.188·s³). Pa
 *
 * @example hexagonStress(0.0127, 8) //=> 20770000
 */
export const hexagonStress = (width: number, torque: number): number => torque / (0.188 * width ** 3);

/** A key seat takes a quarter of a round shaft's strength, typical. */
export const KEYED_SHARE = 0.75;

/** Torque that a shaft of this form carries when a pull of `pullPerTorque`·T acts at `overhang` beyond its bearing. */
export function torqueOfShaft(
  form: 'round' | 'hexagon' | 'keyed',
  size: number,
  allowable: number,
  pullPerTorque: number,
  overhang: number,
): number {
  // The hexagon's own formula has no bending; beside it a round shaft of the same width is taken for that.
  const bendingPerTorque = pullPerTorque * overhang;
  if (form === 'hexagon') return allowable / Math.max(hexagonStress(size, 1), roundStress(size, 1, bendingPerTorque));
  return (allowable / roundStress(size, 1, bendingPerTorque)) * (form === 'keyed' ? KEYED_SHARE : 1);
}
