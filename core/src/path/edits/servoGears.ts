import type { Change } from '../../plan/document/change.js';
import type { ServoPart, ServoPoint } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { STAGE_EFFICIENCY } from '../../models/servo/inside.js';
import { digits } from '../../plan/words/show.js';

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

/**
 * Another pair of gears behind the last, at the horn: torque up and speed down by it, less what a pair of gears loses.
 *
 * @throws where the plan has no such servo, or its gears are not known
 */
export function addServoStage(
  plan: Plan,
  partId: string,
  teeth: { readonly driver: number; readonly driven: number },
): readonly Change[] {
  const { part, inside, at } = insideOf(plan, partId);
  return [
    { at: [...at, 'inside'], to: [...inside, teeth] },
    { at: [...at, 'points'], to: regearedPoints(part, teeth.driven / teeth.driver, STAGE_EFFICIENCY) },
  ];
}

/**
 * One pair of gears taken out: what is behind it is turned that much faster, and pulls that much less but for its loss.
 *
 * @throws where the plan has no such servo, its gears are not known, or it would have none left
 */
export function removeServoStage(plan: Plan, partId: string, stage: number): readonly Change[] {
  const { part, inside, at } = insideOf(plan, partId);
  const gone = inside[stage];
  if (!gone || inside.length < 2) throw new Error(`a servo keeps a pair of gears; stage ${stage + 1} cannot go`);
  return [
    { at: [...at, 'inside'], to: inside.filter((_, i) => i !== stage) },
    { at: [...at, 'points'], to: regearedPoints(part, gone.driver / gone.driven, 1 / STAGE_EFFICIENCY) },
  ];
}

function insideOf(plan: Plan, partId: string) {
  const part = plan.parts[partId]?.part;
  if (part?.kind !== 'servo' || !part.inside) throw new Error(`the plan has no servo ${partId} whose gears are known`);
  return { part, inside: part.inside, at: ['parts', partId, 'part'] };
}

/** Every point of a servo's sheet with so many times the torque, of which a share gets through, at as much less speed. */
export const regearedPoints = (part: ServoPart, by: number, efficiency = 1): readonly ServoPoint[] =>
  part.points.map((point) => regeared(point, by, efficiency));

function regeared(point: ServoPart['points'][number], by: number, efficiency: number): ServoPoint {
  const { stallTorque, speed, ...rest } = point;
  return {
    ...rest,
    ...(stallTorque ? { stallTorque: times(stallTorque, by * efficiency, 'N·m') } : {}),
    ...(speed ? { speed: times(speed, 1 / by, 'rad/s') } : {}),
  };
}

const times = ({ si, source }: Quantity, factor: number, unit: string): Quantity => ({
  si: si * factor,
  as: `${digits(si * factor, 6)} ${unit}`,
  source: source === 'measured' ? 'estimated' : source,
  from: 're-geared inside',
});
