import { gearCentre, type GearParts } from '@rough-gear/core';

/** A pair of gears to be drawn that belongs to no stage of the plan, such as one inside a servo. */
export const gearsDrawn = (id: string, index: number, driver: number, driven: number, module: number): GearParts => ({
  id,
  index,
  kind: 'teeth',
  driver,
  driven,
  idler: undefined,
  pitch: module,
  face: 10 * module,
  allowable: NaN,
  shaft: undefined,
  bore: undefined,
  drivenBore: undefined,
  direction: 0,
  plane: index + 1,
  centre: gearCentre(module, driver, driven),
  driverRadius: (module * driver) / 2,
  drivenRadius: (module * driven) / 2,
});
