import { amount, type Words } from '../words/phrase.js';
import type { WishMachine } from './wishMachine.js';
import type { Dimension } from '../words/dimension.js';
import { digits, show } from '../words/show.js';
import { GRAVITY } from '../load/gravity.js';
import { gripForceFor } from '../load/grip.js';
import { HOODED } from '../load/throw.js';
import type { Job } from '../plan/job.js';
import type { MechanismKind, Output } from '../plan/plan.js';
import type { Quantity } from '../plan/quantity.js';
import { quantityOf } from '../plan/quantityOf.js';
import type { ScrewStage, Stage } from '../plan/stage.js';

/** A number asked for when a mechanism is added. */
export interface WishField {
  readonly key: string;
  readonly label: string;
  readonly dimension: Dimension;
  readonly hint: Words;
  /** Left empty, a typical value stands in. */
  readonly optional?: true;
}

export type WishValues = Readonly<Partial<Record<string, Quantity>>>;

/** What a wish comes to: jobs, an output, and what that takes at the output shaft. */
export interface WishPlan {
  readonly jobs: readonly Job[];
  readonly output: Output;
  /** Stages behind the one that is tuned. */
  readonly behind: readonly Stage[];
  /** Speed of the shaft behind the tuned stage at its fastest, rad/s. */
  readonly shaftSpeed: number;
  /** Power at the output, W. */
  readonly power: number;
  readonly motors: number;
}

/** One kind of mechanism as it is asked for: the numbers that decide, and what they come to. */
export interface WishKind {
  readonly title: string;
  readonly says: string;
  readonly name: string;
  readonly fields: readonly WishField[];
  /** What turns such a thing as a rule. */
  readonly machine: WishMachine;
  plan(values: WishValues): WishPlan;
}

const HEAVY = 8;
export const EVERY: WishField = {
  key: 'every',
  label: 'how often: once every',
  dimension: 'time',
  hint: '15 s, typical',
  optional: true,
};
export const TIME = (hint: Words): WishField => ({ key: 'time', label: 'in what time', dimension: 'time', hint });
export const MASS = (label: string, hint: Words): WishField => ({ key: 'mass', label, dimension: 'mass', hint });
const FAR = (hint: Words): WishField => ({ key: 'distance', label: 'how far', dimension: 'length', hint });
export const ANGLE = (hint: Words): WishField => ({ key: 'angle', label: 'by what angle', dimension: 'angle', hint });

export const typicalOf = (si: number, as: string): Quantity => quantityOf(si, as, 'typical');
const millimetres = (metres: number): Quantity => typicalOf(metres, `${digits(metres * 1000)} mm`);

/** A figure that was asked for. Throws where it is not there: the screen asks first. */
export function need(values: WishValues, key: string): Quantity {
  const found = values[key];
  if (!found) throw new Error(`${key} is needed`);
  return found;
}

/** The three that every job takes, and how often where it was said. */
export const timing = (values: WishValues) => ({
  time: need(values, 'time'),
  ...(values['every'] ? { every: values['every'] } : {}),
});

const ONCE_A_MATCH = typicalOf(150, '150 s');

function lifting(values: WishValues, kind: 'raise' | 'haul', name: string, radius: number): WishPlan {
  const [mass, distance] = [need(values, 'mass'), need(values, 'distance')];
  const speed = distance.si / need(values, 'time').si;
  return {
    jobs: [
      { id: kind, kind, name, mass, distance, ...(kind === 'haul' ? { every: ONCE_A_MATCH } : {}), ...timing(values) },
    ],
    output: { kind: 'drum', radius: millimetres(radius), holder: 'nothing' },
    behind: [],
    shaftSpeed: speed / radius,
    power: mass.si * GRAVITY * speed,
    motors: 1,
  };
}

const ROLLING = 0.02;
const PUSH_SHARE = 0.4;

function driving(values: WishValues): WishPlan {
  const [mass, distance] = [need(values, 'mass'), need(values, 'distance')];
  const time = need(values, 'time').si;
  const heavy = mass.si > HEAVY;
  const radius = heavy ? 0.075 : 0.04;
  const speed = distance.si / time;
  const push = Number((PUSH_SHARE * mass.si * GRAVITY).toPrecision(2));
  return {
    jobs: [
      { id: 'sprint', kind: 'sprint', name: 'Sprint', distance, ...timing(values) },
      {
        id: 'push',
        kind: 'push',
        name: 'Push',
        push: values['push'] ?? typicalOf(push, `${push} N`),
        time: typicalOf(3, '3 s'),
        every: typicalOf(40, '40 s'),
      },
    ],
    output: { kind: 'wheels', radius: millimetres(radius), mass },
    behind: [],
    shaftSpeed: (1.5 * speed) / radius,
    // Speeding up all the way and rolling: twice the mean speed at the end.
    power: mass.si * ((2 * distance.si) / time ** 2 + ROLLING * GRAVITY) * speed,
    motors: heavy ? 4 : 2,
  };
}

const HANGING = -30;

function swinging(values: WishValues): WishPlan {
  const [mass, length, angle] = [need(values, 'mass'), need(values, 'length'), need(values, 'angle')];
  const degrees = (angle.si * 180) / Math.PI;
  const from = typicalOf((HANGING * Math.PI) / 180, `${HANGING}°`);
  const end = HANGING + degrees;
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [
      {
        id: 'swing',
        kind: 'swing',
        name: 'Swing up',
        from,
        to: typicalOf((end * Math.PI) / 180, `${digits(end)}°`),
        profile: 'stop',
        ...timing(values),
      },
    ],
    output: { kind: 'arm', mass, length, holder: 'nothing' },
    behind: [],
    shaftSpeed: 1.5 * speed,
    power: (mass.si * GRAVITY * length.si * speed) / 2,
    motors: 1,
  };
}

const WHEEL = 0.05;
const SLIP = 0.9;
const SPIN_UP = 2;
const WHEEL_INERTIA = 0.004;

function throwerWish(values: WishValues): WishPlan {
  const [pieceMass, exitSpeed, every] = [need(values, 'mass'), need(values, 'exitSpeed'), need(values, 'every')];
  const target = exitSpeed.si / (HOODED * SLIP * WHEEL);
  const impulse = WHEEL * pieceMass.si * exitSpeed.si;
  return {
    jobs: [{ id: 'throw', kind: 'throw', name: 'Throw', pieceMass, exitSpeed, every, time: typicalOf(SPIN_UP, '2 s') }],
    output: {
      kind: 'flywheel',
      radius: millimetres(WHEEL),
      inertia: typicalOf(WHEEL_INERTIA, show(WHEEL_INERTIA, 'inertia')),
      wheels: 'one',
      ball: 'hollow',
    },
    behind: [],
    shaftSpeed: 1.15 * target,
    power: Math.max((WHEEL_INERTIA * target ** 2) / SPIN_UP, (2 * impulse * target) / every.si),
    motors: 1,
  };
}

const ROLLER = 0.025;

function conveying(values: WishValues): WishPlan {
  const [mass, distance] = [need(values, 'mass'), need(values, 'distance')];
  const speed = distance.si / need(values, 'time').si;
  return {
    jobs: [{ id: 'convey', kind: 'convey', name: 'Pull in', mass, distance, ...timing(values) }],
    output: { kind: 'roller', radius: millimetres(ROLLER) },
    behind: [],
    shaftSpeed: (1.5 * speed) / ROLLER,
    power: 0.5 * mass.si * GRAVITY * 1.5 * speed,
    motors: 1,
  };
}

function turning(values: WishValues): WishPlan {
  const [mass, across, angle] = [need(values, 'mass'), need(values, 'across'), need(values, 'angle')];
  const time = need(values, 'time').si;
  const inertia = (mass.si * (across.si / 2) ** 2) / 2;
  const top = (2 * angle.si) / time;
  return {
    jobs: [{ id: 'turn', kind: 'turn', name: 'Turn', angle, profile: 'stop', ...timing(values) }],
    output: { kind: 'turntable', inertia: quantityOf(inertia, show(inertia, 'inertia'), 'estimated') },
    behind: [],
    shaftSpeed: 1.2 * top,
    power: (inertia * top ** 2 * 2) / time + 0.1 * top,
    motors: 1,
  };
}

const LEAD = 0.008;
const SCREW = 0.008;

/** The screw of a carriage that has none yet, 8 mm of lead on 9 mm. */
export const usualScrew = (): ScrewStage => ({
  id: 's2',
  kind: 'screw',
  lead: millimetres(LEAD),
  pitchDiameter: millimetres(SCREW + 0.001),
  friction: typicalOf(0.15, '0.15'),
});

function sliding(values: WishValues): WishPlan {
  const [mass, distance] = [need(values, 'mass'), need(values, 'distance')];
  const speed = distance.si / need(values, 'time').si;
  return {
    jobs: [{ id: 'slide', kind: 'slide', name: 'Move along', mass, distance, profile: 'stop', ...timing(values) }],
    output: { kind: 'carriage', screwDiameter: millimetres(SCREW), freeLength: distance, holder: 'nothing' },
    behind: [usualScrew()],
    shaftSpeed: (1.5 * 2 * Math.PI * speed) / LEAD,
    power: 3 * (0.05 * mass.si * GRAVITY + (mass.si * 2 * distance.si) / need(values, 'time').si ** 2) * speed,
    motors: 1,
  };
}

const CLOSING = 40;

function gripWish(values: WishValues): WishPlan {
  const [mass, fingerLength] = [need(values, 'mass'), need(values, 'length')];
  const angle = (CLOSING * Math.PI) / 180;
  const speed = angle / need(values, 'time').si;
  return {
    jobs: [{ id: 'grip', kind: 'grip', name: 'Hold', mass, angle: typicalOf(angle, `${CLOSING}°`), ...timing(values) }],
    output: { kind: 'grip', fingerLength },
    behind: [],
    shaftSpeed: 1.5 * speed,
    power: gripForceFor(mass.si, 5, 2, 0.6) * fingerLength.si * speed,
    motors: 1,
  };
}

const STANDING = 3;

function stepping(values: WishValues): WishPlan {
  const [mass, lever, angle] = [need(values, 'mass'), need(values, 'length'), need(values, 'angle')];
  const speed = angle.si / need(values, 'time').si;
  const torque = ((mass.si * GRAVITY) / STANDING) * lever.si;
  return {
    jobs: [
      {
        id: 'stride',
        kind: 'stride',
        name: 'Step',
        mass,
        angle,
        every: typicalOf(1, '1 s'),
        held: typicalOf(60, '60 s'),
        shock: typicalOf(3, '3'),
        ...timing(values),
      },
    ],
    output: { kind: 'leg', lever },
    behind: [],
    shaftSpeed: speed,
    power: torque * speed,
    motors: 1,
  };
}

const heavier = (values: WishValues): boolean => need(values, 'mass').si > HEAVY;

/** Every kind of mechanism, as the dialog offers them. A new one is one more line here. */
export const WISHES: Readonly<Record<MechanismKind, WishKind>> = {
  'drive-base': {
    title: 'Drive base',
    says: 'the robot on its wheels',
    name: 'Drive base',
    fields: [
      MASS('what: the whole robot', [amount(50, 'mass')]),
      FAR([amount(6, 'length')]),
      TIME('2.6 s'),
      EVERY,
      { key: 'push', label: 'push with', dimension: 'force', hint: '0.4 of its weight, typical', optional: true },
    ],
    machine: 'dc',
    plan: driving,
  },
  lift: {
    title: 'Straight lift',
    says: 'raises a load on a rope or slide',
    name: 'Lift',
    fields: [MASS('what: the load', [amount(20, 'mass')]), FAR([amount(1.35, 'length')]), TIME('1.6 s'), EVERY],
    machine: 'dc',
    plan: (values) => lifting(values, 'raise', 'Raise', heavier(values) ? 0.022 : 0.012),
  },
  arm: {
    title: 'Arm',
    says: 'swings about a pivot',
    name: 'Arm',
    fields: [
      MASS('what: arm and load', [amount(4, 'mass')]),
      { key: 'length', label: 'reaches', dimension: 'length', hint: [amount(0.9, 'length')] },
      ANGLE('110°'),
      TIME('1.2 s'),
      EVERY,
    ],
    machine: 'dc',
    plan: swinging,
  },
  climb: {
    title: 'Climb, winch',
    says: 'hauls on a rope',
    name: 'Climb',
    fields: [
      MASS('what: hangs on it', [amount(50, 'mass')]),
      FAR([amount(0.7, 'length')]),
      TIME('4 s'),
      { ...EVERY, hint: 'once a match, typical' },
    ],
    machine: 'dc',
    plan: (values) => lifting(values, 'haul', 'Haul', heavier(values) ? 0.02 : 0.01),
  },
  thrower: {
    title: 'Thrower',
    says: 'a flywheel throws pieces',
    name: 'Thrower',
    fields: [
      MASS('what: one piece', [amount(0.25, 'mass')]),
      { key: 'exitSpeed', label: 'leaves at', dimension: 'velocity', hint: [amount(9, 'velocity')] },
      { key: 'every', label: 'one every', dimension: 'time', hint: '1.5 s' },
    ],
    machine: 'dc',
    plan: throwerWish,
  },
  roller: {
    title: 'Roller, conveyor',
    says: 'pulls pieces along',
    name: 'Roller',
    fields: [MASS('what: one piece', [amount(1.2, 'mass')]), FAR([amount(0.35, 'length')]), TIME('0.5 s'), EVERY],
    machine: 'dc',
    plan: conveying,
  },
  turntable: {
    title: 'Turntable',
    says: 'turns a part of the robot',
    name: 'Turntable',
    fields: [
      MASS('what: turns', [amount(6, 'mass')]),
      { key: 'across', label: 'across', dimension: 'length', hint: [amount(0.4, 'length')] },
      ANGLE('180°'),
      TIME('1 s'),
      EVERY,
    ],
    machine: 'dc',
    plan: turning,
  },
  carriage: {
    title: 'Screw carriage',
    says: 'a nut on a lead screw',
    name: 'Carriage',
    fields: [MASS('what: moves', [amount(2, 'mass')]), FAR([amount(0.3, 'length')]), TIME('2 s'), EVERY],
    machine: 'dc',
    plan: sliding,
  },
  grip: {
    title: 'Grip',
    says: 'fingers that hold',
    name: 'Grip',
    fields: [
      MASS('what: is held', [amount(1.5, 'mass')]),
      { key: 'length', label: 'finger length', dimension: 'length', hint: [amount(0.12, 'length')] },
      TIME('0.4 s'),
      EVERY,
    ],
    machine: 'dc',
    plan: gripWish,
  },
  leg: {
    title: 'Leg joint',
    says: 'carries its share of a walker',
    name: 'Leg',
    fields: [
      MASS('what: the whole walker', [amount(1.4, 'mass')]),
      { key: 'length', label: 'foot to joint, level', dimension: 'length', hint: [amount(0.06, 'length')] },
      ANGLE('40°'),
      TIME('0.3 s'),
    ],
    machine: 'servo',
    plan: stepping,
  },
};
