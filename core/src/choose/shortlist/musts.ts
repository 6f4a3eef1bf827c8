import type { MotorPart, Part, PartKind, ServoPart } from '../../plan/document/part.js';
import type { Dimension } from '../../plan/words/dimension.js';
import { constantsOf } from '../../judge/sizing/constantsOf.js';

/** What a part must be, whatever else is better: a range of a figure, or one of some words. */
export interface Must {
  readonly id: string;
  /** SI, or a count; either may be open. */
  readonly least?: number;
  readonly most?: number;
  /** The option that is asked for. */
  readonly is?: string;
}

/** Something parts of a kind can be asked for. */
export interface MustRule {
  readonly id: string;
  readonly name: string;
  readonly kind: PartKind;
  /** Of a range. */
  readonly dimension?: Dimension | 'count';
  /** Of words: the ones to choose from, and what of a part each of them takes. */
  readonly options?: Readonly<Record<string, readonly string[]>>;
  /** What a part has; `undefined` where it does not say. */
  of(part: Part): number | string | undefined;
}

const each = (...words: readonly string[]): Readonly<Record<string, readonly string[]>> =>
  Object.fromEntries(words.map((word) => [word, [word]]));

const AT_LEAST_SEALED = {
  'dust and splashes': ['dust and splashes', 'under water'],
  'under water': ['under water'],
};
const DIRT = { 'some dirt': ['some dirt', 'any dirt'], 'any dirt': ['any dirt'] };
const METALS = ['brass', 'aluminium', 'steel', 'titanium'];

type Of<P extends Part> = Omit<MustRule, 'kind' | 'of'> & { of(part: P): number | string | undefined };
const rulesOf = <P extends Part>(kind: P['kind'], rules: readonly Of<P>[]): readonly MustRule[] =>
  rules.map((rule) => ({ ...rule, kind, of: (part) => (part.kind === kind ? rule.of(part as P) : undefined) }));

const yesNo = (value: boolean | undefined): string | undefined =>
  value === undefined ? undefined : value ? 'yes' : 'no';

/** rad/s per volt, whatever its sheet says. */
const kvOf = (part: MotorPart): number | undefined => {
  const constants = constantsOf(part);
  return constants && 1 / constants.backEmfConstant;
};

/** What motors and servos can be asked for, in the order one decides in: type, build, winding, size, surroundings. */
export const MUST_RULES: readonly MustRule[] = [
  ...rulesOf<MotorPart>('motor', [
    { id: 'type', name: 'type', options: each('brushed', 'brushless'), of: ({ type }) => type },
    { id: 'sensors', name: 'sensors', options: each('yes', 'no'), of: ({ sensors }) => yesNo(sensors) },
    { id: 'poles', name: 'pole pairs', dimension: 'count', of: ({ polePairs }) => polePairs },
    { id: 'slots', name: 'slots', dimension: 'count', of: ({ slots }) => slots },
    { id: 'volts', name: 'stands', dimension: 'voltage', of: ({ highestVoltage }) => highestVoltage?.si },
    { id: 'kv', name: 'Kv', dimension: 'kv', of: kvOf },
    {
      id: 'turns',
      name: 'turns',
      dimension: 'number',
      of: ({ data }) => (data.form === 'turns' ? data.turns?.si : undefined),
    },
    { id: 'can', name: 'can', dimension: 'length', of: ({ canDiameter }) => canDiameter?.si },
    { id: 'length', name: 'can length', dimension: 'length', of: ({ length }) => length?.si },
    { id: 'shaft', name: 'shaft', dimension: 'length', of: ({ shaftDiameter }) => shaftDiameter?.si },
    { id: 'sealing', name: 'sealed against', options: AT_LEAST_SEALED, of: ({ sealing }) => sealing },
    { id: 'dirt', name: 'stands', options: DIRT, of: ({ dirt }) => dirt },
  ]),
  ...rulesOf<ServoPart>('servo', [
    { id: 'motion', name: 'moves', options: each('joint', 'continuous', 'linear'), of: ({ motion }) => motion },
    { id: 'signal', name: 'signal', options: each('digital', 'analogue'), of: ({ signal }) => signal },
    {
      id: 'gears',
      name: 'gears',
      options: {
        'any metal': METALS,
        'steel or titanium': ['steel', 'titanium'],
        ...each('plastic', 'reinforced resin', ...METALS),
      },
      of: ({ gears }) => gears,
    },
    {
      id: 'case',
      name: 'case',
      options: { 'part metal or metal': ['part metal', 'metal'], metal: ['metal'], plastic: ['plastic'] },
      of: ({ caseMaterial }) => caseMaterial,
    },
    {
      id: 'bearing',
      name: 'bearing',
      options: {
        'one ball bearing or two': ['one ball bearing', 'two ball bearings'],
        'two ball bearings': ['two ball bearings'],
      },
      of: ({ bearing }) => bearing,
    },
    { id: 'motor', name: 'motor inside', options: each('brushed', 'coreless', 'brushless'), of: ({ motor }) => motor },
    { id: 'volts', name: 'stands', dimension: 'voltage', of: mostVolts },
    { id: 'deadband', name: 'deadband', dimension: 'pulse', of: ({ deadband }) => deadband?.si },
    { id: 'travel', name: 'travel', dimension: 'angle', of: ({ travel }) => travel?.si },
    { id: 'caseLength', name: 'case length', dimension: 'length', of: ({ caseLength }) => caseLength?.si },
    { id: 'caseWidth', name: 'case width', dimension: 'length', of: ({ caseWidth }) => caseWidth?.si },
    { id: 'caseHeight', name: 'case height', dimension: 'length', of: ({ caseHeight }) => caseHeight?.si },
    { id: 'spline', name: 'teeth of the spline', dimension: 'count', of: ({ splineTeeth }) => splineTeeth },
    { id: 'mass', name: 'mass', dimension: 'mass', of: ({ mass }) => mass?.si },
    { id: 'sealing', name: 'sealed against', options: AT_LEAST_SEALED, of: ({ sealing }) => sealing },
  ]),
];

/** What a servo stands: its most volts, or the highest it has figures for. */
function mostVolts({ highestVoltage, points }: ServoPart): number | undefined {
  const told = points.flatMap(({ voltage }) => (voltage ? [voltage.si] : []));
  return highestVoltage?.si ?? (told.length > 0 ? Math.max(...told) : undefined);
}

/**
 * Whether a part is what it must be. One that does not say is not: what must be so is not left to hope. A must that is of
 * no rule of its kind asks nothing of it.
 *
 * @example meetsMust(plan.parts['motor-1'].part, { id: 'type', is: 'brushless' }) //=> false
 */
export function meetsMust(part: Part, { id, least, most, is }: Must): boolean {
  const rule = MUST_RULES.find((one) => one.kind === part.kind && one.id === id);
  if (!rule) return true;
  const value = rule.of(part);
  if (value === undefined) return false;
  if (typeof value === 'string') return is === undefined || (rule.options?.[is] ?? []).includes(value);
  return value >= (least ?? -Infinity) && value <= (most ?? Infinity);
}

/** How many parts of a kind are left after each must, one after the other: how a choice narrows step by step. */
export function leftAfter(parts: readonly Part[], musts: readonly Must[]): readonly number[] {
  let left = parts;
  return musts.map((must) => {
    left = left.filter((part) => meetsMust(part, must));
    return left.length;
  });
}
