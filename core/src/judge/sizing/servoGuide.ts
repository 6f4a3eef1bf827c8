import { amount } from '../../plan/words/phrase.js';
import { show } from '../../plan/words/show.js';
import { GRAVITY } from '../../models/load/gravity.js';
import { gripForceFor } from '../../models/load/grip.js';
import type { MechanismKind } from '../../plan/document/load.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import { WISHES } from '../../path/job/table.js';
import {
  ANGLE,
  EVERY,
  MASS,
  need,
  TIME,
  timing,
  typicalOf,
  type WishKind,
  type WishPlan,
  type WishValues,
} from '../../path/job/wish.js';

/** A use of a servo, and the kind of mechanism it becomes. */
export interface ServoUse extends Omit<WishKind, 'machine'> {
  readonly kind: MechanismKind;
}

const DEGREE = Math.PI / 180;
const WHEEL_INERTIA = 5e-5;

/**
 * Steering at a stand: the tyre's patch is turned on the spot, T = μ·m·g·√(w²/8 + e²), w the tyre's width and e how
 * far the patch is from the turning axle.
 *
 * @example steeringTorque(12, 0.8, 0.03, 0.02) //=> 2.131
 */
export const steeringTorque = (mass: number, grip: number, width: number, offset: number): number =>
  grip * mass * GRAVITY * Math.sqrt(width ** 2 / 8 + offset ** 2);

const TYRE_GRIP = 1;

function steering(values: WishValues): WishPlan {
  const [mass, width, offset, angle] = ['mass', 'width', 'offset', 'angle'].map((key) => need(values, key)) as [
    ReturnType<typeof need>,
    ReturnType<typeof need>,
    ReturnType<typeof need>,
    ReturnType<typeof need>,
  ];
  const friction = steeringTorque(mass.si, TYRE_GRIP, width.si, offset.si);
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [
      {
        id: 'turn',
        kind: 'turn',
        name: 'Steer',
        angle,
        every: typicalOf(3, '3 s'),
        shock: typicalOf(2, '2'),
        profile: 'stop',
        ...timing(values),
      },
    ],
    output: {
      kind: 'turntable',
      inertia: typicalOf(WHEEL_INERTIA, show(WHEEL_INERTIA, 'inertia')),
      friction: quantityOf(friction, show(friction, 'torque'), 'estimated'),
    },
    behind: [],
    shaftSpeed: speed,
    power: friction * speed,
    motors: 1,
  };
}

/** A brake that presses without end. */
function braking(values: WishValues): WishPlan {
  const [force, length] = [need(values, 'force'), need(values, 'length')];
  const angle = typicalOf(30 * DEGREE, '30°');
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [
      {
        id: 'grip',
        kind: 'grip',
        name: 'Brake',
        gripForce: force,
        angle,
        held: typicalOf(150, '150 s'),
        ...timing(values),
      },
    ],
    output: { kind: 'grip', fingerLength: length },
    behind: [],
    shaftSpeed: speed,
    power: force.si * length.si * speed,
    motors: 1,
  };
}

function gripWish(values: WishValues): WishPlan {
  const [mass, fingerLength] = [need(values, 'mass'), need(values, 'length')];
  const angle = typicalOf(60 * DEGREE, '60°');
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [{ id: 'grip', kind: 'grip', name: 'Hold', mass, angle, held: typicalOf(30, '30 s'), ...timing(values) }],
    output: { kind: 'grip', fingerLength },
    behind: [],
    shaftSpeed: speed,
    power: gripForceFor(mass.si, 5, 2, 0.6) * fingerLength.si * speed,
    motors: 1,
  };
}

const BEARING = 0.01;

/** A camera or sensor that looks about: what turns is out of the axle by `length`. */
function panning(values: WishValues): WishPlan {
  const [mass, length, angle] = [need(values, 'mass'), need(values, 'length'), need(values, 'angle')];
  const inertia = mass.si * length.si ** 2;
  const speed = angle.si / need(values, 'time').si;
  return {
    jobs: [{ id: 'turn', kind: 'turn', name: 'Look about', angle, profile: 'stop', ...timing(values) }],
    output: {
      kind: 'turntable',
      inertia: quantityOf(inertia, show(inertia, 'inertia'), 'estimated'),
      friction: typicalOf(BEARING, show(BEARING, 'torque')),
    },
    behind: [],
    shaftSpeed: 2 * speed,
    power: 4 * inertia * (angle.si / need(values, 'time').si ** 2) * speed + BEARING * speed,
    motors: 1,
  };
}

const USES = {
  steering: {
    kind: 'turntable',
    title: 'Steering',
    says: 'turns a wheel on the spot',
    name: 'Steering',
    fields: [
      MASS('what: rests on the wheel', [amount(4, 'mass')]),
      { key: 'width', label: 'tyre’s width', dimension: 'length', hint: [amount(0.025, 'length')] },
      { key: 'offset', label: 'patch beside the turning axle', dimension: 'length', hint: [amount(0.01, 'length')] },
      ANGLE('60°'),
      TIME('0.3 s'),
    ],
    plan: steering,
  },
  brake: {
    kind: 'grip',
    title: 'Brake',
    says: 'presses, and goes on pressing',
    name: 'Brake',
    fields: [
      { key: 'force', label: 'presses with', dimension: 'force', hint: [amount(40, 'force')] },
      { key: 'length', label: 'lever', dimension: 'length', hint: [amount(0.02, 'length')] },
      TIME('0.2 s'),
      EVERY,
    ],
    plan: braking,
  },
  grip: { ...WISHES.grip, kind: 'grip', title: 'Grip', plan: gripWish },
  leg: { ...WISHES.leg, kind: 'leg' },
  pan: {
    kind: 'turntable',
    title: 'Pan, tilt',
    says: 'looks about with a camera',
    name: 'Camera pan',
    fields: [
      MASS('what: is turned', [amount(0.12, 'mass')]),
      { key: 'length', label: 'its mass out of the axle', dimension: 'length', hint: [amount(0.03, 'length')] },
      ANGLE('120°'),
      TIME('0.5 s'),
      EVERY,
    ],
    plan: panning,
  },
  joint: { ...WISHES.arm, kind: 'arm', title: 'Arm joint', says: 'swings a light arm' },
  winch: { ...WISHES.climb, kind: 'climb', title: 'Winch', says: 'a servo that turns on hauls a rope' },
  slide: { ...WISHES.carriage, kind: 'carriage', title: 'Slide', says: 'a linear servo pushes it along' },
} satisfies Record<string, ServoUse>;

export type ServoUseId = keyof typeof USES;
/** From what a servo is for to sensible starting demands, by the forces themselves. */
export const SERVO_USES: Readonly<Record<ServoUseId, ServoUse>> = USES;
