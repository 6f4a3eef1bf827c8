import type { Change } from '../plan/change.js';
import type { ServoPart, ServoPoint } from '../plan/part.js';
import type { Plan } from '../plan/plan.js';
import type { Quantity } from '../plan/quantity.js';
import { digits } from '../words/show.js';

/**
 * Other gears on one stage inside a servo: the same motor turns the horn as much slower as it pulls harder, so that every
 * point of its sheet is multiplied in torque and divided in speed by the change. Its rotor's inertia at the horn follows
 * from the gears by itself. Currents are the motor's and stay.
 *
 * @throws where the plan has no such servo, or the servo no such stage
 */
export function regearServo(
  plan: Plan,
  partId: string,
  stage: number,
  teeth: { readonly driver: number; readonly driven: number },
): readonly Change[] {
  const part = plan.parts[partId]?.part;
  const before = part?.kind === 'servo' ? part.inside?.[stage] : undefined;
  if (part?.kind !== 'servo' || !before)
    throw new Error(`the plan has no servo ${partId} with a stage ${stage + 1} inside`);
  const by = (teeth.driven * before.driver) / (teeth.driver * before.driven);
  const at = ['parts', partId, 'part'];
  return [
    { at: [...at, 'inside'], to: part.inside!.map((pair, i) => (i === stage ? teeth : pair)) },
    { at: [...at, 'points'], to: regearedPoints(part, by) },
  ];
}

/** Every point of a servo's sheet with so many times the torque at as much less speed. */
export const regearedPoints = (part: ServoPart, by: number): readonly ServoPoint[] =>
  part.points.map((point) => regeared(point, by));

function regeared(point: ServoPart['points'][number], by: number): ServoPoint {
  const { stallTorque, speed, ...rest } = point;
  return {
    ...rest,
    ...(stallTorque ? { stallTorque: times(stallTorque, by, 'N·m') } : {}),
    ...(speed ? { speed: times(speed, 1 / by, 'rad/s') } : {}),
  };
}

const times = ({ si, source }: Quantity, factor: number, unit: string): Quantity => ({
  si: si * factor,
  as: `${digits(si * factor, 6)} ${unit}`,
  source: source === 'measured' ? 'estimated' : source,
  from: 're-geared inside',
});
