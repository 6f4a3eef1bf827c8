import type { ControllerPart } from '../../plan/document/part.js';
import type { DcDrive } from '../../plan/document/plan.js';
import type { Quantity } from '../../plan/document/quantity.js';

/**
 * A drive as it goes behind another controller: what is set for this mechanism stays set, but a limit that the controller does
 * not reach, or does not have, is its own.
 *
 * @example limitsKept(currentChoice(mast).drive, plan.parts['controller-1'].part).motors //=> 1
 */
export function limitsKept(drive: DcDrive, part: ControllerPart): DcDrive {
  const { statorLimit, supplyLimit, ...kept } = drive;
  const within = (set: Quantity | undefined, own: Quantity | undefined) => set && own && set.si <= own.si;
  return {
    ...kept,
    statorLimit: statorLimit && within(statorLimit, part.statorLimit) ? statorLimit : undefined,
    supplyLimit: supplyLimit && within(supplyLimit, part.supplyLimit) ? supplyLimit : undefined,
  };
}
