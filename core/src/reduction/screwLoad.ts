/** How a screw's ends are held, and Euler's K for it. */
export const END_FACTOR = { 'fixed-free': 2, supported: 1, 'fixed-supported': 0.7, fixed: 0.5 } as const;

const STEEL = 205e9;

/**
 * Euler load of a steel screw, π²·E·I/(K·l)², I of its root diameter. N
 *
 * @example bucklingLoad(0.008, 0.4, 1) //=> 2543
 */
export function bucklingLoad(diameter: number, length: number, endFactor: number): number {
  const inertia = (Math.PI * diameter ** 4) / 64;
  return (Math.PI ** 2 * STEEL * inertia) / (endFactor * length) ** 2;
}
