import { pulseSumsOf } from '../../judge/evaluate/pulseSums.js';
import { currentChoice, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Part, SwitchRow } from '../../plan/document/part.js';
import { currentRowFor, stepRowFor, switchesOf, switchSettings } from '../../models/stepper/switches.js';
import type { StepPath } from '../../path/powerpath/stepPath.js';
import { amount, say } from '../../plan/words/phrase.js';
import { figureLine, type CardLine, type SetupCard } from './card.js';
import { senseOf } from './controllerCard.js';

/** "5 on, 6 off": switches of a row by their numbers on the case. */
const switchesText = (row: SwitchRow, first = 1): string =>
  switchesOf(row, first)
    .map(({ number, on }) => `${number} ${on ? 'on' : 'off'}`)
    .join(', ');

type DriverPart = Extract<Part, { kind: 'driver' }>;

/** What its switches and its trimmer are set to. */
function switchLines(part: DriverPart, { step, driver }: StepPath): readonly CardLine[] {
  const steps = stepsOf(step);
  const row = stepRowFor(part, steps);
  const currentRow = currentRowFor(part, step.setCurrent);
  const trimmer: readonly CardLine[] =
    driver.trimmerVolts === undefined || currentRow
      ? []
      : [
          {
            key: 'trimmer',
            label: 'volts at its trimmer',
            value: amount((driver.trimmerVolts * step.setCurrent) / driver.mostCurrent, 'voltage', 3),
            from: say`${amount(driver.trimmerVolts, 'voltage', 3)} at ${amount(driver.mostCurrent, 'current', 3)}`,
            wrong: 'Measure against its ground, with a driver of plastic: a slip burns it.',
          },
        ];
  return [
    {
      key: 'steps',
      label: step.kind === 'stepper' ? 'micro-steps of a full step' : 'commanded steps of a turn',
      value: amount(steps, 'number'),
      from: row ? `switches ${switchesText(row, part.stepSwitchFrom)}` : 'set by software or a knob',
      wrong: 'It goes another way for each pulse: too far or not far enough.',
    },
    {
      key: 'setCurrent',
      label: part.counts === 'rms' || !currentRow ? 'set current, r.m.s.' : 'set current, peak',
      value: amount(currentRow?.value ?? step.setCurrent, 'current', 3),
      from: currentRow ? `switches ${switchesText(currentRow, part.currentSwitchFrom)}` : 'set as wanted',
      wrong: 'Too much burns the motor; too little loses steps.',
    },
    ...trimmer,
  ];
}

/** What its pulses mean. */
function pulseLines(path: StepPath): readonly CardLine[] {
  const sums = pulseSumsOf(path);
  if (!sums) return [];
  return [
    {
      key: 'pulsesPerTurn',
      label: `pulses for a turn of the ${sums.turns}`,
      value: amount(sums.perTurn, 'number', 9),
      from: 'steps and reduction',
    },
    {
      key: 'perPulse',
      label: 'moved by a pulse',
      value: amount(sums.perPulse, path.load.unit === 'm' ? 'length' : 'angle', 5),
      from: 'steps and reduction',
      wrong: 'Every place is wrong by as much.',
    },
    {
      key: 'mostRate',
      label: 'pulses a second at most',
      value: amount(sums.most.rate, 'rate', 4),
      from: `set by ${sums.most.by}`,
      wrong: 'Faster it loses steps.',
    },
  ];
}

const stepsOf = (step: StepPath['step']): number => (step.kind === 'stepper' ? step.microsteps : step.stepsPerTurn);

/** What is set on the driver of a motor that takes pulses, and what its pulses mean. */
export function driverCard(plan: Plan, mechanism: Mechanism, path: StepPath): SetupCard | undefined {
  const { drive, stages } = currentChoice(mechanism);
  if (drive.kind !== 'step') return undefined;
  const part = plan.parts[drive.driver]?.part;
  if (part?.kind !== 'driver') return undefined;
  const { step, figures } = path;
  const lines: readonly CardLine[] = [
    ...switchLines(part, path),
    ...figureLine(
      'idleShare',
      'of it while it stands',
      figures['drive.idleShare'],
      'Without it the motor stays hot; with too little it lets go.',
    ),
    {
      key: 'ramp',
      label: 'pulses begin',
      value: path.ramp ? 'along a ramp' : 'at once',
      from: drive.ramp ? 'typed' : 'usual',
      wrong: 'At once it may lose steps before it turns.',
    },
    {
      key: 'direction',
      label: 'sense of the output',
      value: senseOf(stages) < 0 ? 'against the motor' : 'with the motor',
      from: 'its stages',
    },
    ...pulseLines(path),
  ];
  return {
    id: `driver ${mechanism.id}`,
    kind: 'driver',
    part: part.name,
    mechanismId: mechanism.id,
    of: mechanism.name,
    pieces: path.motors,
    switches: switchSettings(part, stepsOf(step), Number.isFinite(step.setCurrent) ? step.setCurrent : undefined),
    lines,
    cautions: ['Set the switches with the power off. Never unplug the motor from a driver that is on.'],
  };
}
