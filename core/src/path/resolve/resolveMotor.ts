import type { FigureCollector } from '../../plan/figures/collector.js';
import { ifFinite } from '../../plan/figures/ifFinite.js';
import { Memory } from '../../plan/figures/memory.js';
import { DETENT_SHARE } from '../../models/controller/leastSpeed.js';
import { BRUSH_DROP, BRUSH_LIFE, WORN_ALREADY } from '../../models/motor/brushes.js';
import { auditMotor, type MotorAudit } from '../../models/motor/audit.js';
import type { MotorConstants } from '../../models/motor/constants.js';
import { motorFromKv } from '../../models/motor/fromKv.js';
import { motorFromSheet } from '../../models/motor/fromSheet.js';
import { motorFromTurns } from '../../models/motor/fromTurns.js';
import { continuousCurrent, thermalFromMass, type MotorThermal } from '../../models/motor/heat.js';
import type { MotorPart } from '../../plan/document/part.js';
import type { Place } from '../../plan/document/place.js';

export interface ResolvedMotor {
  readonly constants: MotorConstants;
  readonly audit: MotorAudit;
  readonly rotorInertia: number;
  readonly thermal: MotorThermal;
  readonly continuousCurrent: number;
  readonly polePairs: number | undefined;
  readonly shaftDiameter: number | undefined;
  readonly highestVoltage: number | undefined;
  readonly highestSpeed: number | undefined;
  /** s; absent without brushes. */
  readonly brushLife: number | undefined;
  /** N·m; 0 of a brushed motor. */
  readonly detent: number;
}

const WINDING_LIMIT = { brushed: 120, brushless: 150 } as const;
/** A brushed motor bears so much more than it is rated for, in volts and so in speed, typical. */
const OVER_RATED = 1.5;
/** A balanced rotor bears more than one as it came, and one wound by hand that was not balanced less. */
const OVER_SPEED = { balanced: 1.8, 'by machine': 1.5, 'by hand': 1.3 } as const;
const ROTOR_MASS_SHARE = 0.4;
const ROTOR_DIAMETER_SHARE = 0.6;

/** Reads a motor part's figures, in whichever form its sheet gave them. */
export const resolveMotor = (part: MotorPart, at: Place, collect: FigureCollector): ResolvedMotor =>
  collect.once(MOTORS, [part, ...at], () => readMotor(part, at, collect));

const MOTORS = new Memory();

function readMotor(part: MotorPart, at: Place, collect: FigureCollector): ResolvedMotor {
  const { constants, audit } = readConstants(part, at, collect);
  const mass = collect.take('motor.mass', part.mass, [...at, 'mass']);
  const can = collect.takeOptional('motor.canDiameter', part.canDiameter, [...at, 'canDiameter']);
  const rotorRadius = can === undefined ? undefined : (ROTOR_DIAMETER_SHARE * can) / 2;
  const estimatedInertia =
    rotorRadius === undefined || Number.isNaN(mass) ? undefined : 0.5 * ROTOR_MASS_SHARE * mass * rotorRadius ** 2;
  const rotorInertia = collect.take('motor.rotorInertia', part.rotorInertia, [...at, 'rotorInertia'], {
    value: estimatedInertia,
    why: 'from mass and can diameter',
  });
  const windingLimit = collect.take('motor.windingLimit', part.windingLimit, [...at, 'windingLimit'], {
    value: WINDING_LIMIT[part.type],
    why: `usual ${part.type} winding`,
    source: 'typical',
  });
  const ambient = collect.take('ambient', undefined, []);
  const thermal = thermalFromMass(mass, windingLimit, ambient);
  const inside =
    part.polePairs === undefined
      ? undefined
      : collect.take('motor.internalGear', part.internalGear, [...at, 'internalGear']);
  collect.takeOptional('motor.price', part.price, [...at, 'price']);
  const estimate = continuousCurrent(constants.resistance, thermal);
  const steady = collect.take('motor.continuousCurrent', part.continuousCurrent, [...at, 'continuousCurrent'], {
    value: ifFinite(estimate),
    why: 'from the motor’s mass and resistance',
  });
  const detent = DETENT_SHARE * constants.torqueConstant * steady;
  return {
    ...readCeilings(part, at, collect),
    brushLife: readBrushLife(part, at, collect),
    detent:
      part.type === 'brushed'
        ? 0
        : collect.take('motor.detentTorque', part.detentTorque, [...at, 'detentTorque'], {
            value: ifFinite(detent),
            why: '5 % of its steady torque; 0 without slots',
            source: 'typical',
          }),
    constants,
    audit,
    rotorInertia,
    thermal,
    polePairs: inside === undefined ? undefined : part.polePairs! * inside,
    shaftDiameter: collect.takeOptional('motor.shaftDiameter', part.shaftDiameter, [...at, 'shaftDiameter']),
    continuousCurrent: steady,
  };
}

/** What its sheet says it may be given and may turn at, else what is usual of a brushed motor; `undefined` where there is no telling. */
function readCeilings(part: MotorPart, at: Place, collect: FigureCollector) {
  const { data } = part;
  const rotor = part.balanced ? 'balanced' : part.winding === 'hand' ? 'by hand' : 'by machine';
  const rated = part.type === 'brushed' && data.form === 'sheet' ? data : undefined;
  const over = (value: number | undefined, times: number, why: string) => ({
    value: value === undefined ? undefined : times * value,
    why: `${times} times its ${why}`,
    source: 'typical' as const,
  });
  return {
    highestVoltage: ifFinite(
      collect.take(
        'motor.highestVoltage',
        part.highestVoltage,
        [...at, 'highestVoltage'],
        over(rated?.ratedVoltage?.si, OVER_RATED, 'rated volts, usual of a brushed motor'),
      ),
    ),
    highestSpeed: ifFinite(
      collect.take(
        'motor.highestSpeed',
        part.highestSpeed,
        [...at, 'highestSpeed'],
        over(rated?.freeSpeed?.si, OVER_SPEED[rotor], `free speed, usual of a brushed motor${WOUND[rotor]}`),
      ),
    ),
  };
}

/** What is said of the rotor beside its kind. */
const WOUND = {
  balanced: ' that was balanced',
  'by machine': '',
  'by hand': ' wound by hand and not balanced',
} as const;

/** Volts that brushes drop, where the figures of the winding do not contain them. */
function readBrushes(part: MotorPart, at: Place, collect: FigureCollector): number | undefined {
  if (part.type !== 'brushed' || part.data.form === 'sheet') return undefined;
  const kind = part.brushes ?? 'carbon';
  return collect.take('motor.brushDrop', part.brushDrop, [...at, 'brushDrop'], {
    value: BRUSH_DROP[kind],
    why: `usual of ${kind} brushes; neither Kv nor resistance contains it`,
    source: 'typical',
  });
}

/** How long they last where nothing is worn harder than by its steady current. */
const readBrushLife = (part: MotorPart, at: Place, collect: FigureCollector): number | undefined =>
  part.type === 'brushed'
    ? collect.take('motor.brushLife', part.brushLife, [...at, 'brushLife'], {
        value: BRUSH_LIFE[part.brushes ?? 'carbon'] * (part.secondHand ? WORN_ALREADY : 1),
        why: `usual of ${part.brushes ?? 'carbon'} brushes, a third to three times that${part.secondHand ? '; half, since they are worn already' : ''}`,
        source: 'typical',
      })
    : undefined;

interface Constants {
  readonly constants: MotorConstants;
  readonly audit: MotorAudit;
}

/** What makes a motor a motor, in whichever form its part tells it. */
function readConstants(part: MotorPart, at: Place, collect: FigureCollector): Constants {
  const { data } = part;
  const freeCurrentPerSpeed = collect.take('motor.freeCurrentPerSpeed', part.freeCurrentPerSpeed, [
    ...at,
    'freeCurrentPerSpeed',
  ]);
  if (data.form === 'sheet') return ofSheet(data, freeCurrentPerSpeed, [...at, 'data'], collect);
  const told = data.form === 'kv' ? ofKv(data, [...at, 'data'], collect) : ofTurns(data, [...at, 'data'], collect);
  const constants = Object.assign(told, { freeCurrentPerSpeed, brushDrop: readBrushes(part, at, collect) });
  return { constants, audit: auditMotor(constants) };
}

type Data<Form extends MotorPart['data']['form']> = Extract<MotorPart['data'], { form: Form }>;

const ofKv = (data: Data<'kv'>, at: Place, collect: FigureCollector): MotorConstants =>
  motorFromKv({
    kv: collect.take('motor.kv', data.kv, [...at, 'kv']),
    resistance: collect.take('motor.resistance', data.resistance, [...at, 'resistance']),
    freeCurrent: collect.take('motor.freeCurrent', data.freeCurrent, [...at, 'freeCurrent']),
  });

function ofTurns(data: Data<'turns'>, at: Place, collect: FigureCollector): MotorConstants {
  const length = collect.takeOptional('motor.referenceLength', data.referenceLength, [...at, 'referenceLength']);
  const form = {
    turns: collect.take('motor.turns', data.turns, [...at, 'turns']),
    referenceTurns: collect.take('motor.referenceTurns', data.referenceTurns, [...at, 'referenceTurns']),
    referenceKv: collect.take('motor.referenceKv', data.referenceKv, [...at, 'referenceKv']),
    referenceResistance: collect.take('motor.referenceResistance', data.referenceResistance, [
      ...at,
      'referenceResistance',
    ]),
    referenceFreeCurrent: collect.take('motor.referenceFreeCurrent', data.referenceFreeCurrent, [
      ...at,
      'referenceFreeCurrent',
    ]),
  };
  const ownLength =
    length === undefined
      ? undefined
      : collect.take('motor.canLength', data.canLength, [...at, 'canLength'], {
          value: length,
          why: 'as long as the reference',
        });
  const lengthRatio = length === undefined || ownLength === undefined ? 1 : ownLength / length;
  return motorFromTurns({ ...form, lengthRatio });
}

/** A stall current that is no greater than the free one is none: nothing follows from it. */
const overFree = ({ stallCurrent, freeCurrent }: Data<'sheet'>) =>
  stallCurrent && freeCurrent && stallCurrent.si <= freeCurrent.si ? undefined : stallCurrent;

function ofSheet(data: Data<'sheet'>, freeCurrentPerSpeed: number, at: Place, collect: FigureCollector): Constants {
  const sheet = {
    ratedVoltage: collect.take('motor.ratedVoltage', data.ratedVoltage, [...at, 'ratedVoltage']),
    freeSpeed: collect.take('motor.freeSpeed', data.freeSpeed, [...at, 'freeSpeed']),
    stallTorque: collect.take('motor.stallTorque', data.stallTorque, [...at, 'stallTorque']),
    stallCurrent: collect.take('motor.stallCurrent', overFree(data), [...at, 'stallCurrent']),
    freeCurrent: collect.take('motor.freeCurrent', data.freeCurrent, [...at, 'freeCurrent']),
  };
  const resistance = collect.takeOptional('motor.statedResistance', data.statedResistance, [...at, 'statedResistance']);
  const kv = collect.takeOptional('motor.statedKv', data.statedKv, [...at, 'statedKv']);
  const constants = Object.assign(motorFromSheet(sheet), { freeCurrentPerSpeed });
  return { constants, audit: auditMotor(constants, { resistance, kv }) };
}
