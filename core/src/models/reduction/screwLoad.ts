/** How a screw's ends are held, and Euler's K for it. */
export const END_FACTOR = { 'fixed-free': 2, supported: 1, 'fixed-supported': 0.7, fixed: 0.5 } as const;

const STEEL = 205e9;
/** kg/m³ */
const STEEL_DENSITY = 7850;

/** Of the first way a shaft bows, by how its ends are held: β of (β/l)². */
export const WHIRL_FACTOR = { 'fixed-free': 1.875, supported: Math.PI, 'fixed-supported': 3.927, fixed: 4.73 } as const;

/**
 * Speed at which a steel screw begins to whip, rad/s: (β/l)²·√(E·I/(ρ·A)), of its root diameter (d/4)·√(E/ρ).
 *
 * @example criticalSpeed(0.008, 0.4, WHIRL_FACTOR.supported) //=> 630.4
 */
export const criticalSpeed = (diameter: number, length: number, whirlFactor: number): number =>
  (whirlFactor / length) ** 2 * (diameter / 4) * Math.sqrt(STEEL / STEEL_DENSITY);

/**
 * Euler load of a steel screw, π²·E·I/(K·l)², I of its root diameter. N
 *
 * @example bucklingLoad(0.008, 0.4, 1) //=> 2543
 */
export function bucklingLoad(diameter: number, length: number, endFactor: number): number {
  const inertia = (Math.PI * diameter ** 4) / 64;
  return (Math.PI ** 2 * STEEL * inertia) / (endFactor * length) ** 2;
}
