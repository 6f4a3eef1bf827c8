/**
 * F = T/r: what a servo pushes with at the end of its horn, square to it, N.
 *
 * @param torque N·m
 * @param length from the spline to the hole, m > 0
 * @example hornForce(1.5, 0.024) //=> 62.5
 */
export const hornForce = (torque: number, length: number): number => torque / length;
