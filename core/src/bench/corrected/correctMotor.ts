import type { Conclusion } from '../trials/conclusion.js';
import { DRAG_AT } from '../trials/found.js';
import type { MeasuredFigure } from '../trials/measured.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import type { MotorKvData, MotorPart, MotorSheetData } from '../../plan/document/part.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';
import type { CorrectedFigure } from '../trials/trial.js';
import { foundIn, measuredQuantity, type TrialSource } from './correction.js';

interface Found {
  readonly ke?: MeasuredFigure;
  readonly i0?: MeasuredFigure;
  readonly i1?: MeasuredFigure;
  readonly r?: MeasuredFigure;
  readonly drop?: MeasuredFigure;
  readonly kt?: MeasuredFigure;
}

const dividedBy = ({ value, error }: MeasuredFigure, by: number): MeasuredFigure => ({
  value: value / by,
  error: error / by,
});
const relative = ({ value, error }: MeasuredFigure): number => error / Math.abs(value);

/** What a trial says of the motor's constants; friction that a coast-down found is amperes that the motor takes. */
function foundOf(conclusion: Conclusion, { trial }: TrialSource, constants: MotorConstants | undefined): Found {
  const friction = foundIn(conclusion, 'frictionTorque');
  if (friction) {
    if (!constants || trial.said['turns'] === 'the whole mechanism') return {};
    const drag = foundIn(conclusion, 'viscousDrag')!;
    return {
      i0: dividedBy(friction, constants.torqueConstant),
      i1: dividedBy(drag, DRAG_AT * constants.torqueConstant),
    };
  }
  return {
    ke: foundIn(conclusion, 'backEmfConstant'),
    i0: foundIn(conclusion, 'freeCurrent'),
    i1: foundIn(conclusion, 'freeCurrentPerSpeed'),
    r: foundIn(conclusion, 'resistance'),
    drop: foundIn(conclusion, 'brushDrop'),
    kt: foundIn(conclusion, 'torqueConstant'),
  };
}

/** Both, where a figure is the product of two: their shares add as squares. */
const bothErrors = (value: number, ...of: readonly (MeasuredFigure | undefined)[]): MeasuredFigure => ({
  value,
  error: Math.abs(value) * Math.hypot(...of.flatMap((one) => (one ? [relative(one)] : []))),
});

/** A sheet's four numbers at its volts, moved so that they give the constants that were found. */
function sheetData(
  data: MotorSheetData,
  constants: MotorConstants,
  { ke, i0, r, drop, kt }: Found,
  source: TrialSource,
): MotorSheetData {
  const volts = data.ratedVoltage!.si;
  const resistance = r ? (r.value * volts) / (volts - Math.max(0, drop?.value ?? 0)) : constants.resistance;
  const free = i0?.value ?? constants.freeCurrent;
  const torqueConstant = kt?.value ?? constants.torqueConstant;
  const stall = volts / resistance;
  const put = (figure: MeasuredFigure, dimension: 'speed' | 'current' | 'torque') =>
    measuredQuantity(figure, dimension, source);
  return {
    ...data,
    freeSpeed: ke ? put(bothErrors((volts - free * resistance) / ke.value, ke), 'speed') : data.freeSpeed,
    freeCurrent: i0 ? put(i0, 'current') : data.freeCurrent,
    stallTorque: r || kt ? put(bothErrors(torqueConstant * (stall - free), r, kt), 'torque') : data.stallTorque,
    stallCurrent: r ? put(bothErrors(stall, r), 'current') : data.stallCurrent,
  };
}

/** Kv, resistance and free current as they were found; what was not stays, worked out where the form was another. */
function kvData(data: MotorKvData, { ke, i0, r }: Found, source: TrialSource): MotorKvData {
  return {
    ...data,
    kv: ke ? measuredQuantity(bothErrors(1 / ke.value, ke), 'kv', source) : data.kv,
    resistance: r ? measuredQuantity(r, 'resistance', source) : data.resistance,
    freeCurrent: i0 ? measuredQuantity(i0, 'current', source) : data.freeCurrent,
  };
}

const estimated = (si: number, as: string) => ({ si, as, source: 'estimated' as const });

/** Turns with a reference become the winding's own figures: what was found is of this one. */
function ownData(constants: MotorConstants): MotorKvData {
  const kv = 1 / constants.backEmfConstant;
  return {
    form: 'kv',
    kv: estimated(kv, `${((kv * 30) / Math.PI).toFixed(1)} rpm/V`),
    resistance: estimated(constants.resistance, `${(constants.resistance * 1000).toFixed(1)} mΩ`),
    freeCurrent: estimated(constants.freeCurrent, `${constants.freeCurrent.toFixed(2)} A`),
  };
}

/** A motor with what a trial found in place of its sheet; `undefined` where the trial says nothing its figures hold. */
export function correctMotor(part: MotorPart, conclusion: Conclusion, source: TrialSource): MotorPart | undefined {
  const constants = constantsOf(part);
  const found = foundOf(conclusion, source, constants);
  if (!Object.values(found).some((one) => one !== undefined)) return undefined;
  const i1 = found.i1 && found.i1.value > 0 ? measuredQuantity(found.i1, 'drag', source) : part.freeCurrentPerSpeed;
  const kept = { ...part, freeCurrentPerSpeed: i1 };
  if (part.data.form === 'sheet') {
    if (!constants) return undefined;
    return { ...kept, data: sheetData(part.data, constants, found, source) };
  }
  const drop = found.drop && found.drop.value > 0 ? measuredQuantity(found.drop, 'voltage', source) : part.brushDrop;
  if (part.data.form === 'turns' && !constants) return undefined;
  const data = part.data.form === 'turns' ? ownData(constants!) : part.data;
  return { ...kept, brushDrop: part.type === 'brushed' ? drop : part.brushDrop, data: kvData(data, found, source) };
}

const CONSTANTS: readonly (readonly [keyof MotorConstants, string, CorrectedFigure['dimension']])[] = [
  ['resistance', 'resistance', 'resistance'],
  ['torqueConstant', 'torque constant', 'torque constant'],
  ['backEmfConstant', 'back-EMF constant', 'back-EMF constant'],
  ['freeCurrent', 'free current', 'current'],
  ['freeCurrentPerSpeed', 'drag, current per speed', 'drag'],
  ['brushDrop', 'kept by the brushes', 'voltage'],
];

/** Figures of a form, where the constants are not known for want of another. */
const KV_FIGURES: readonly (readonly ['kv' | 'resistance' | 'freeCurrent', string, CorrectedFigure['dimension']])[] = [
  ['kv', 'Kv', 'kv'],
  ['resistance', 'resistance', 'resistance'],
  ['freeCurrent', 'free current', 'current'],
];

/** What is another in it: the constants that the models use; where one of these is not known yet, the form’s figures. */
export function motorDifference(before: MotorPart, after: MotorPart): readonly CorrectedFigure[] {
  const [was, is] = [constantsOf(before), constantsOf(after)];
  if (!is) {
    if (before.data.form !== 'kv' || after.data.form !== 'kv') return [];
    const [old, now] = [before.data, after.data];
    return KV_FIGURES.flatMap(([key, label, dimension]) => {
      const [from, to] = [old[key], now[key]];
      return to === undefined || from?.si === to.si ? [] : [{ label, dimension, before: from?.si, after: to.si }];
    });
  }
  return CONSTANTS.flatMap(([key, label, dimension]) => {
    const [old, now] = [was?.[key], is[key]];
    return now === undefined || old === now ? [] : [{ label, dimension, before: old, after: now }];
  });
}
