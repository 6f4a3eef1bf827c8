import type { GearMaterial, ShaftMaterial } from '../../../plan/document/materials.js';
import { digits } from '../../../plan/words/show.js';
import { quantityOf } from '../../../plan/document/quantityOf.js';
import type { Quantity } from '../../../plan/document/quantity.js';
import type { Stage } from '../../../plan/document/stage.js';
import { GEAR_ALLOWABLE } from '../../../models/reduction/gearPair.js';
import { SHAFT_ALLOWABLE } from '../../../models/reduction/shaft.js';
import type { WheelPair } from './wheelPair.js';

const millimetres = (metres: number, from: string): Quantity => ({
  ...quantityOf(metres, `${digits(1000 * metres, 6)} mm`, 'sheet'),
  from,
});

const given = (value: Quantity | undefined, from: string): Quantity | undefined =>
  value && { ...value, source: 'sheet', from };

const isGearMaterial = (material: string | undefined): material is GearMaterial =>
  material !== undefined && material in GEAR_ALLOWABLE;
const isShaftMaterial = (material: string | undefined): material is ShaftMaterial =>
  material !== undefined && material in SHAFT_ALLOWABLE;

/** A pair off the shelf as a stage of the plan, with the series' figures and their source. */
export function pairStage(pair: Omit<WheelPair, 'carries'>, id: string): Stage {
  const { mass, price, stock } = pair;
  const estimated = (si: number, as: string): Quantity => ({ si, as, source: 'estimated', from: stock.part.name });
  return {
    ...wheelsOf(pair, id),
    mass: mass > 0 ? estimated(mass, `${digits(mass)} kg`) : undefined,
    price: price > 0 ? estimated(price, digits(price, 4)) : undefined,
  };
}

function wheelsOf({ kind, stock, driver, driven, ratio, run }: Omit<WheelPair, 'carries'>, id: string): Stage {
  const { part } = stock;
  const { name } = part;
  const pitch = given(part.pitch, name);
  const face = given(part.face, name);
  const bore = given(part.bore, name);
  const common = { id, stock: name, ...(bore ? { bore, drivenBore: bore } : {}) };
  const wheels = { driver, driven, pitch };
  switch (kind) {
    case 'planetary': {
      const ratedTorque = given(part.ratedTorque, name);
      return {
        id,
        stock: name,
        kind,
        ratio: { ...quantityOf(ratio, `${ratio}:1`, 'sheet'), from: name },
        ratedTorque,
      };
    }
    case 'teeth':
      return {
        ...common,
        ...wheels,
        kind,
        face,
        material: isGearMaterial(part.material) ? part.material : undefined,
      };
    case 'chain':
      return {
        ...common,
        ...wheels,
        kind,
        links: run!.count,
        centre: millimetres(run!.centre, `${run!.count} links, taut`),
        material: isShaftMaterial(part.material) ? part.material : undefined,
      };
    case 'belt':
      return {
        ...common,
        ...wheels,
        kind,
        beltTeeth: run!.count,
        centre: millimetres(run!.centre, `${run!.count} teeth, taut`),
        face,
        profile: part.profile,
      };
  }
}
