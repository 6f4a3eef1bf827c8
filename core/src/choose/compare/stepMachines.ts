import { mechanismById } from '../../plan/document/place.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { lagAtOutput, pulseAtOutput } from '../../judge/limits/checks/step/resolves.js';
import { mostRate, rateOf } from '../../judge/limits/checks/step/pulseRate.js';
import { marginOf, stepMoments } from '../../judge/motion/stepRun.js';
import { fullVoltsOf } from '../../models/pack/cells.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import type { StepperPart, StepServoPart } from '../../plan/document/part.js';
import { currentChoice, type Plan, type StepDrive } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Stage } from '../../plan/document/stage.js';
import { freshId } from '../../plan/document/freshId.js';
import { packOf, type Shelved } from '../../judge/sizing/proposal.js';
import { driverFor } from '../../judge/sizing/proposeStep.js';
import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import { stillToPay } from '../../plan/document/stockOf.js';
import { designOf } from './place.js';

/** One way to turn an axis by pulses, beside others on the very same job. */
export interface StepMachineRow {
  readonly id: string;
  readonly label: string;
  readonly changes: readonly Change[];
  /** Over all jobs. */
  readonly headline: Headline;
  /** Least of torque there over torque taken along the motion, and the motor speed it is at. */
  readonly margin?: number;
  readonly marginSpeed?: number;
  /** What happens beyond it. */
  readonly beyond: 'loses steps, silently' | 'alarms';
  /** One pulse, and lag under load, at the output, on q. */
  readonly pulse: number;
  readonly lag?: number;
  readonly pulseRate: number;
  readonly pulsesThere: number;
  /** kg, and money of motor, driver and pulley set. */
  readonly mass?: number;
  readonly price?: number;
}

export interface StepMachineOptions {
  /** The reductions the step servo is tried at, beside on the shaft itself. */
  readonly reductions: readonly [number, number];
  /** Money for one pair of pulleys and its belt. */
  readonly pulleyPrice: number;
}

/**
 * The best stepper on the shaft itself, and a step servo on the shaft and geared down at two reductions, on one job. The motors are those of
 * the shelf that this drive's own stand nearest to by torque; the drive's own stands in front.
 */
export function stepMachines(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
  { reductions, pulleyPrice }: StepMachineOptions,
): readonly StepMachineRow[] {
  const design = designOf(plan, mechanismId);
  const { drive, stages } = design.choice;
  if (drive.kind !== 'step') throw new Error(`${design.choice.name} takes no pulses`);
  const own = plan.parts[drive.motor]!.part as StepperPart | StepServoPart;
  const full = fullVoltsOf(packOf(plan));
  const screws = stages.filter(({ kind }) => kind === 'screw');
  const steppers = shelf.filter((item): item is Shelved & { part: StepperPart } => item.part.kind === 'stepper');
  const servos = shelf.filter((item): item is Shelved & { part: StepServoPart } => item.part.kind === 'step-servo');
  const wanted = own.kind === 'stepper' ? own.holdingTorque?.si : own.peakTorque?.si;
  const nearest = <T extends Shelved>(items: readonly T[], of: (item: T) => number | undefined): T | undefined =>
    [...items].sort((a, b) => off(of(a)) - off(of(b)))[0];
  const off = (torque: number | undefined): number => Math.abs(Math.log((torque ?? 1e-9) / (wanted ?? 1)));
  const stepper = nearest(steppers, ({ part }) => part.holdingTorque?.si);
  const servo = nearest(
    servos.filter(({ part }) => driverFor(part, full, shelf) !== undefined),
    ({ part }) => part.peakTorque?.si,
  );
  const rows: { label: string; id: string; changes: readonly Change[]; pulleys: number }[] = [
    { id: 'own', label: `as it is: ${own.name}`, changes: [], pulleys: stages.length - screws.length },
  ];
  const place: Place = { plan, choiceAt: design.choiceAt, drive, screws, full, shelf };
  if (stepper)
    rows.push({
      id: 'direct',
      label: `${stepper.part.name}, on the shaft`,
      changes: swappedTo(stepper, 1, place),
      pulleys: 0,
    });
  if (servo)
    [1, ...reductions.filter((total) => total !== 1)].forEach((total, i) =>
      rows.push({
        id: `servo-${i}`,
        label: total === 1 ? `${servo.part.name}, on the shaft` : `${servo.part.name}, ${total}:1`,
        changes: swappedTo(servo, total, place),
        pulleys: total === 1 ? 0 : 1,
      }),
    );
  return rows.map(({ pulleys, ...row }) => rowOf(plan, mechanismId, jobId, row, pulleys * pulleyPrice));
}

/** Where another motor is put in. */
interface Place {
  readonly plan: Plan;
  readonly choiceAt: Change['at'];
  readonly drive: StepDrive;
  /** What stays of the stages. */
  readonly screws: readonly Stage[];
  /** The pack's volts when it is full. */
  readonly full: number;
  readonly shelf: readonly Shelved[];
}

/** Another motor with a driver that fits it, geared down by a total; what the driver was set to is not the new one's. */
function swappedTo(part: Shelved, total: number, place: Place): readonly Change[] {
  const { plan, choiceAt, drive, screws, full, shelf } = place;
  const driver = driverFor(part.part as StepperPart | StepServoPart, full, shelf);
  const ids = { motor: freshId(plan, 'step-motor'), driver: freshId(plan, 'step-driver') };
  const pulleys: readonly Stage[] =
    total === 1
      ? []
      : [
          {
            id: 's1',
            kind: 'ratio',
            name: 'Pulleys',
            ratio: quantityOf(total, `${total}:1`),
            efficiency: quantityOf(0.97, '97 %', 'typical'),
          },
        ];
  const { setCurrent: _own, ...changed } = {
    ...drive,
    motor: ids.motor,
    driver: driver ? ids.driver : drive.driver,
    steps: part.part.kind === 'stepper' ? 8 : 3200,
  };
  return [
    { at: ['parts', ids.motor], to: { part: part.part, shelfId: part.id, shelfRevision: part.revision } },
    ...(driver
      ? [{ at: ['parts', ids.driver], to: { part: driver.part, shelfId: driver.id, shelfRevision: driver.revision } }]
      : []),
    { at: [...choiceAt, 'drive'], to: changed },
    { at: [...choiceAt, 'stages'], to: [...pulleys, ...screws] },
    { at: [...choiceAt, 'tuning'], to: total === 1 ? undefined : 's1' },
  ];
}

function rowOf(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  { id, label, changes }: { id: string; label: string; changes: readonly Change[] },
  pulleys: number,
): StepMachineRow {
  const changed = applyChanges(plan, changes);
  const mechanism = mechanismById(changed, mechanismId);
  const { headline, path, result } = judgedOver(changed, mechanism, jobId);
  if (path.machine !== 'step') throw new Error(`${label} takes no pulses`);
  const { drive } = currentChoice(mechanism);
  const parts = drive.kind === 'step' ? [drive.motor, drive.driver].map((part) => changed.parts[part]?.part) : [];
  const prices = parts.map((part) => part && stillToPay(part, 1));
  const masses = parts.map((part) => part?.mass?.si);
  const sum = (values: readonly (number | undefined)[]): number | undefined =>
    values.every((value) => value !== undefined) ? values.reduce<number>((all, value) => all + value, 0) : undefined;
  const price = sum(prices);
  const mass = sum(masses);
  const lag = lagAtOutput(path);
  const known = result.run !== undefined;
  const worst = known
    ? stepMoments(path).reduce((least, moment) => (marginOf(moment) < marginOf(least) ? moment : least))
    : undefined;
  return {
    id,
    label,
    changes,
    headline,
    ...(worst ? { margin: marginOf(worst), marginSpeed: worst.motorSpeed } : {}),
    beyond: path.step.motor.loop === 'open' ? 'loses steps, silently' : 'alarms',
    pulse: pulseAtOutput(path),
    lag: Number.isFinite(lag) ? lag : undefined,
    pulseRate: rateOf(path),
    pulsesThere: mostRate(path).rate,
    mass: mass === undefined ? undefined : path.motors * mass,
    price: price === undefined ? undefined : path.motors * price + pulleys,
  };
}
