import { choiceAt } from '../../plan/document/place.js';
import { freshId } from '../../plan/document/freshId.js';
import type { Change } from '../../plan/document/change.js';
import type {
  ControllerPart,
  DriverPart,
  MotorPart,
  PackPart,
  Part,
  StepperPart,
  StepServoPart,
} from '../../plan/document/part.js';
import {
  currentChoice,
  type DcDrive,
  type MachineDrive,
  type Mechanism,
  type Plan,
  type StepDrive,
} from '../../plan/document/plan.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { copyOf } from '../../judge/sizing/proposal.js';
import { alike } from '../wants/likeForLike.js';
import { sameKey, toBuy, usedElsewhere } from '../../plan/document/stockOf.js';
import { limitsKept } from './limitsKept.js';
import { meetsMust } from './musts.js';
import type { ShortlistQuery } from './query.js';

/** A machine off the shelf that could turn the mechanism: everything but its total. */
export interface DriveOption {
  /** The same for the same parts, whatever order the shelf is in. */
  readonly key: string;
  readonly motor: string;
  /** Designs are compared with those of their own group only: the kind of motor, where the best of each kind is asked. */
  readonly group?: string;
  readonly motors: number;
  /** Controller or driver; absent for a servo, which has its own. */
  readonly controller?: string;
  readonly pack?: string;
  /** Parts put into the plan, the drive, and another pack. */
  readonly changes: readonly Change[];
}

type Of<P extends Part> = Shelved & { readonly part: P };
const ofKind = <P extends Part>(shelf: readonly Shelved[], kind: P['kind']): readonly Of<P>[] =>
  shelf.filter((item): item is Of<P> => item.part.kind === kind);

/** Where a drive is put and what it is put together from. */
interface Bench {
  readonly plan: Plan;
  readonly mechanism: Mechanism;
  readonly query: ShortlistQuery;
  readonly shelf: readonly Shelved[];
  readonly driveAt: readonly (string | number)[];
  readonly ids: { readonly motor: string; readonly controller: string };
}

/**
 * Every machine of the shelf that could be put in place of the one there, of the same kind, in an order that does not
 * depend on the shelf's. Nothing is left out for being too weak: that is for the search to say.
 */
export function drivesOf(
  plan: Plan,
  mechanism: Mechanism,
  query: ShortlistQuery,
  shelf: readonly Shelved[],
): readonly DriveOption[] {
  const choice = currentChoice(mechanism);
  const { drive } = choice;
  const bench: Bench = {
    plan,
    mechanism,
    query,
    shelf: shelf.filter(({ part }) => (query.musts ?? []).every((must) => meetsMust(part, must))),
    driveAt: [...choiceAt(plan, mechanism), 'drive'],
    ids: {
      motor: freshId(plan, drive.kind === 'servo' ? 'servo' : 'motor'),
      controller: freshId(plan, drive.kind === 'step' ? 'driver' : 'controller'),
    },
  };
  const options = query.scope === 'drop-in' ? dropIns(bench, drive) : machines(bench, drive);
  const owned = query.ownedOnly ? options.filter((option) => nothingToBuy(bench, option)) : options;
  return owned.flatMap((option) => onPacks(bench, option)).sort((a, b) => (a.key < b.key ? -1 : 1));
}

function machines(bench: Bench, drive: MachineDrive): readonly DriveOption[] {
  switch (drive.kind) {
    case 'dc':
      return counts(bench).flatMap((motors) =>
        motorsAlike(bench, drive).flatMap((motor) =>
          ofKind<ControllerPart>(bench.shelf, 'controller').map((controller) =>
            optionOf(bench, motors, motor, controller, dcDrive(bench, drive, motors, controller)),
          ),
        ),
      );
    case 'step':
      return counts(bench).flatMap((motors) =>
        [...ofKind(bench.shelf, 'stepper'), ...ofKind(bench.shelf, 'step-servo')].flatMap((motor) =>
          ofKind<DriverPart>(bench.shelf, 'driver')
            .filter(({ part }) => part.drives === motor.part.kind)
            .map((driver) => optionOf(bench, motors, motor, driver, stepDrive(bench, drive, motors, motor, driver))),
        ),
      );
    case 'servo': {
      const now = bench.plan.parts[drive.servo]?.part;
      const motion = now?.kind === 'servo' ? now.motion : 'joint';
      return counts(bench).flatMap((servos) =>
        bench.shelf
          .filter(({ part }) => part.kind === 'servo' && part.motion === motion)
          .map((servo) =>
            optionOf(bench, servos, servo, undefined, {
              ...drive,
              servo: bench.ids.motor,
              servos,
              calibration: undefined,
            }),
          ),
      );
    }
  }
}

/** Motors of the shelf; only those with the can of the one that is there, where that is asked. */
function motorsAlike({ plan, query, shelf }: Bench, drive: DcDrive): readonly Of<MotorPart>[] {
  const now = plan.parts[drive.motor]?.part;
  return ofKind<MotorPart>(shelf, 'motor').filter(
    ({ part }) => query.like === undefined || alike(query.like, now?.kind === 'motor' ? now : undefined, part),
  );
}

const dcDrive = (bench: Bench, drive: DcDrive, motors: number, { part }: Of<ControllerPart>): DcDrive => ({
  ...limitsKept(drive, part),
  ...bench.ids,
  motors,
});

/** Micro-steps go to the nearest that the driver's switches have; what was set for another driver is not kept. */
function stepDrive(bench: Bench, drive: StepDrive, motors: number, motor: Shelved, driver: Of<DriverPart>): StepDrive {
  const wanted = motor.part.kind === 'stepper' ? (drive.steps ?? 8) : 3200;
  const steps = driver.part.stepSwitches
    .map(({ value }) => value)
    .reduce((best, value) => (Math.abs(value - wanted) < Math.abs(best - wanted) ? value : best));
  const { setCurrent: _set, ...kept } = drive;
  return { ...kept, motor: bench.ids.motor, motors, driver: bench.ids.controller, steps };
}

/** Another motor on the same holes and shaft, rated for the same volts; all else stays. */
function dropIns(bench: Bench, drive: MachineDrive): readonly DriveOption[] {
  if (drive.kind === 'servo') return machines({ ...bench, query: { ...bench.query, mostMotors: 1 } }, drive);
  const now = bench.plan.parts[drive.motor]?.part;
  if (!now) return [];
  return bench.shelf
    .filter(({ part }) => part.kind === now.kind && fitsInPlaceOf(part, now))
    .map((motor) =>
      optionOf(bench, drive.motors, motor, undefined, { ...drive, motor: bench.ids.motor } as MachineDrive),
    );
}

/** Whether a motor goes where another stood: its holes, its shaft and its volts, as far as the other's are known. */
export function fitsInPlaceOf(part: Part, now: Part): boolean {
  if (!isTurning(part) || !isTurning(now)) return false;
  const [a, b] = [part, now];
  const same = (x: number | undefined, y: number | undefined) =>
    y === undefined || (x !== undefined && Math.abs(x - y) < 1e-5);
  return (
    (b.mount === undefined || a.mount === b.mount) &&
    same(a.shaftDiameter?.si, b.shaftDiameter?.si) &&
    (b.shaftForm === undefined || a.shaftForm === b.shaftForm) &&
    (ratedFor(b) === undefined || ratedFor(a) === undefined || same(ratedFor(a), ratedFor(b))) &&
    (b.kind !== 'motor' || (a.kind === 'motor' && a.type === b.type))
  );
}

type Turning = MotorPart | StepperPart | StepServoPart;
const isTurning = (part: Part): part is Turning =>
  part.kind === 'motor' || part.kind === 'stepper' || part.kind === 'step-servo';

function ratedFor(part: Part): number | undefined {
  if (part.kind === 'motor') return part.data.form === 'sheet' ? part.data.ratedVoltage?.si : undefined;
  return part.kind === 'step-servo' ? part.ratedVoltage?.si : undefined;
}

function optionOf(
  { driveAt, ids, query }: Bench,
  motors: number,
  motor: Shelved,
  controller: Shelved | undefined,
  drive: MachineDrive,
): DriveOption {
  return {
    key: [keyOf(motor), motors, controller ? keyOf(controller) : ''].join('\n'),
    motor: motor.part.name,
    group: query.eachType && motor.part.kind === 'motor' ? motor.part.type : undefined,
    motors,
    controller: controller?.part.name,
    changes: [
      { at: ['parts', ids.motor], to: copyOf(motor) },
      ...(controller ? [{ at: ['parts', ids.controller], to: copyOf(controller) }] : []),
      { at: driveAt, to: drive },
    ],
  };
}

/** Name first, so that lists read well; the id sets two of one name apart. */
const keyOf = ({ id, part }: Shelved): string => `${part.name}\t${id}`;

const counts = ({ query }: Bench): readonly number[] => Array.from({ length: query.mostMotors }, (_, i) => i + 1);

function nothingToBuy({ plan, mechanism }: Bench, { changes, motors }: DriveOption): boolean {
  const used = usedElsewhere(plan, mechanism.id);
  return changes
    .filter(({ at }) => at[0] === 'parts')
    .every(({ to }) => {
      const copy = to as ReturnType<typeof copyOf>;
      return toBuy(motors, copy.part.owned, used.get(sameKey(copy))) === 0;
    });
}

/** The robot's own pack, and where asked for every other of the shelf in its place. */
function onPacks({ plan, query, shelf }: Bench, option: DriveOption): readonly DriveOption[] {
  const node = plan.supply.find(({ kind }) => kind === 'pack');
  if (query.packs === 'mine' || node?.kind !== 'pack') return [option];
  const mine = plan.parts[node.part];
  return [
    option,
    ...ofKind<PackPart>(shelf, 'pack')
      .filter((pack) => !mine || sameKey(mine) !== sameKey({ shelfId: pack.id, part: pack.part }))
      .map((pack) => ({
        ...option,
        key: `${option.key}\n${keyOf(pack)}`,
        pack: pack.part.name,
        changes: [...option.changes, { at: ['parts', node.part], to: copyOf(pack) }],
      })),
  ];
}
