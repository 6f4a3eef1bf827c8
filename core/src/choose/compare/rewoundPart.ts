import { sheetData } from '../../judge/sizing/sheetData.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import { rewound } from '../../models/motor/rewound.js';
import type { MotorPart } from '../../plan/document/part.js';
import type { Quantity } from '../../plan/document/quantity.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { digits } from '../../plan/words/show.js';

/** What a motor is written down at where it says none. */
const USUAL_VOLTS = 12;
const RPM = 30 / Math.PI;

/**
 * A motor's part with other turns in the same can, told in the same form: one whose brushes' drop stands beside Kv and
 * resistance keeps it there. What is an amount of amperes goes with one over the turns.
 *
 * @example rewoundPart(plan.parts['motor-1'].part, motor, 2, 'slow').data.form //=> 'sheet'
 */
export function rewoundPart(part: MotorPart, constants: MotorConstants, turns: number, called: string): MotorPart {
  const wound = rewound(constants, turns);
  const amperes = (quantity: Quantity | undefined): Quantity | undefined =>
    quantity && quantityOf(quantity.si / turns, `${digits(quantity.si / turns)} A`, 'estimated');
  return {
    ...part,
    name: `${part.name}, ${called}`,
    data: dataOf(wound, part),
    continuousCurrent: amperes(part.continuousCurrent),
    freeCurrentPerSpeed:
      part.freeCurrentPerSpeed &&
      quantityOf(wound.freeCurrentPerSpeed, `${digits(1000 * wound.freeCurrentPerSpeed)} mA·s/rad`, 'estimated'),
  };
}

function dataOf(wound: MotorConstants, { data }: MotorPart): MotorPart['data'] {
  if (data.form === 'sheet') return sheetData(wound, data.ratedVoltage?.si ?? USUAL_VOLTS);
  const kv = 1 / wound.backEmfConstant;
  const say = (si: number, unit: string, shown = si) => quantityOf(si, `${digits(shown)} ${unit}`, 'estimated');
  return {
    form: 'kv',
    kv: say(kv, 'rpm/V', kv * RPM),
    resistance: say(wound.resistance, 'Ω'),
    freeCurrent: say(wound.freeCurrent, 'A'),
  };
}
