import type { MotorPart } from '../../plan/document/part.js';
import type { Plan } from '../../plan/document/plan.js';
import { currentChoice, piecesIn } from '../../plan/document/plan.js';
import { mechanismById } from '../../plan/document/place.js';
import type { AnyPath } from '../powerpath/anyPath.js';
import type { DcPath } from '../powerpath/path.js';
import type { ServoPath } from '../powerpath/servoPath.js';
import { branchWires, mainWires } from './supplyWires.js';
import { stepWires } from './stepWires.js';
import { wire, type Wire } from './wire.js';

const numbered =
  (name: string, of: number) =>
  (i: number): string =>
    of > 1 ? `${name} ${i + 1}` : name;
const each = <T>(count: number, of: (i: number) => readonly T[]): readonly T[] =>
  Array.from({ length: count }, (_, i) => of(i)).flat();

function dcWires(path: DcPath, motor: MotorPart): readonly Wire[] {
  const [controller, own] = [numbered('controller', path.motors), numbered('motor', path.motors)];
  return each(path.motors, (i) => [
    ...(motor.type === 'brushed'
      ? [
          wire('motor', `${controller(i)}, motor +`, `${own(i)} +`, {
            with: 'swapped with the other it turns the other way',
          }),
          wire('motor', `${controller(i)}, motor −`, `${own(i)} −`),
        ]
      : ['first', 'second', 'third'].map((phase, n) =>
          wire('motor', `${controller(i)}, ${phase} phase`, `${own(i)}, ${phase} phase`, {
            with: n === 0 ? 'any two swapped turn it the other way; with sensors in their own order' : undefined,
          }),
        )),
    ...(motor.type === 'brushless' && motor.sensors && path.controller.startStyle === 'sensors'
      ? [wire('sensor', `${own(i)}, sensor plug`, `${controller(i)}, sensor plug`)]
      : []),
    wire('signal', `control channel${path.motors > 1 ? ` ${i + 1}` : ''}`, `${controller(i)}, signal`),
    wire('ground', 'control ground', `${controller(i)}, signal ground`),
  ]);
}

function servoWires(path: ServoPath, count: number): readonly Wire[] {
  const servo = numbered('servo', count);
  const from = path.servoBoard?.name ?? path.rail.name;
  const board = path.servoBoard ? `${path.servoBoard.name}, output` : 'board, pin';
  return [
    ...(path.rail.apart
      ? []
      : [
          wire('ground', `${path.rail.name} −`, 'board, ground', {
            with: 'joined once: pulses have no level without it',
          }),
        ]),
    ...each(count, (i) => [
      wire('plus', `${from} +`, `${servo(i)} +`),
      wire('minus', `${from} −`, `${servo(i)} −`),
      wire('signal', count > 1 ? `${board} ${i + 1}` : board, `${servo(i)}, signal`),
    ]),
  ];
}

/**
 * Every wire of a mechanism, from the pack to its motors and signals, in the order in which they are laid.
 *
 * @example wiresOfMechanism(plan, path)[0].from //=> 'pack +'
 */
export function wiresOfMechanism(plan: Plan, path: AnyPath): readonly Wire[] {
  const { drive } = currentChoice(mechanismById(plan, path.mechanismId));
  const main = mainWires(plan, drive.node);
  if (drive.kind === 'dc' && path.machine === 'dc') {
    const motor = plan.parts[drive.motor]?.part;
    if (motor?.kind !== 'motor') return main;
    return [
      ...main,
      ...branchWires(
        plan,
        drive.node,
        each(path.motors, (i) => [numbered('controller', path.motors)(i)]),
      ),
      ...dcWires(path, motor),
    ];
  }
  if (drive.kind === 'step' && path.machine === 'step') {
    const [motor, driver] = [plan.parts[drive.motor]?.part, plan.parts[drive.driver]?.part];
    if ((motor?.kind !== 'stepper' && motor?.kind !== 'step-servo') || driver?.kind !== 'driver') return main;
    const [drivers, motors] = [numbered('driver', path.motors), numbered('motor', path.motors)];
    return [
      ...main,
      ...branchWires(
        plan,
        drive.node,
        each(path.motors, (i) => [drivers(i)]),
      ),
      ...stepWires(path, motor, driver, drivers, motors),
    ];
  }
  if (drive.kind === 'servo' && path.machine === 'servo')
    return [
      ...main,
      ...branchWires(plan, drive.node, [path.rail.source === 'regulator' ? 'regulator' : path.rail.name]),
      ...servoWires(path, piecesIn(drive)),
    ];
  return main;
}
