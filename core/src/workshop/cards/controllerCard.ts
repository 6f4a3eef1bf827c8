import { START_NAMES } from '../../models/controller/leastSpeed.js';
import { CELLS } from '../../models/pack/cells.js';
import type { MechanismKind } from '../../plan/document/load.js';
import { currentChoice, type DcDrive, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { Stage } from '../../plan/document/stage.js';
import { MECHANISM_JOBS } from '../../path/job/table.js';
import type { DcPath } from '../../path/powerpath/path.js';
import { amount, say } from '../../plan/words/phrase.js';
import { figureLine, type CardLine, type SetupCard } from './card.js';

const FULL_TURN = 2 * Math.PI;

/** Two outer wheels that mesh turn against each other; a wheel between them, a chain or a belt turns with. */
export const senseOf = (stages: readonly Stage[]): 1 | -1 =>
  stages.filter((stage) => stage.kind === 'teeth' && stage.idler === undefined).length % 2 === 0 ? 1 : -1;

/** The motor against what it moves: for a team's own code, and for soft stops. */
export function trainLines(
  { train, radius, load, asked, mechanismKind }: Pick<DcPath, 'train' | 'radius' | 'load' | 'asked' | 'mechanismKind'>,
  stages: readonly Stage[],
): readonly CardLine[] {
  if (!Number.isFinite(train.total * radius)) return [];
  const along = load.unit === 'm';
  const perTurn = (FULL_TURN / train.total) * radius * asked.perCoordinate;
  const dimension = along ? 'length' : 'angle';
  const lines: CardLine[] = [
    {
      key: 'reduction',
      label: 'ratio, motor to output',
      value: amount(senseOf(stages) * train.total, 'ratio', 5),
      from: senseOf(stages) < 0 ? 'its stages; the output turns the other way' : 'its stages',
      wrong: 'Distances and speeds are wrong by as much.',
    },
    {
      key: 'perMotorTurn',
      label: along ? 'travel per motor turn' : 'angle per motor turn',
      value: amount(perTurn, dimension, 5),
      from: along ? say`${amount(radius, 'length')} of radius` : 'the reduction',
      wrong: 'Distances and speeds are wrong by as much.',
    },
  ];
  const stop = stopOf(asked, mechanismKind);
  if (stop !== undefined)
    lines.push({
      key: 'softStop',
      label: 'soft stop, from where it begins',
      value: amount(stop, dimension, 4),
      from: 'travel of the job',
      wrong: 'It drives into its stop at full speed.',
    });
  return lines;
}

/** An encoder's counts, for a team's own code: with the sign of the reduction where it sits on the motor. */
export function encoderLines(path: DcPath, stages: readonly Stage[]): readonly CardLine[] {
  const { encoderCounts, encoderOn } = path.control;
  const { train, radius, load, asked, mechanismKind } = path;
  if (encoderCounts === undefined || !Number.isFinite(train.total * radius)) return [];
  const perTurn = encoderCounts * (encoderOn === 'motor' ? senseOf(stages) * train.total : 1);
  const along = load.unit === 'm';
  const perCount = ((FULL_TURN * radius) / perTurn) * asked.perCoordinate;
  const from =
    encoderOn === 'motor'
      ? say`${amount(encoderCounts, 'number', 6)} a turn of the motor, and the reduction`
      : say`${amount(encoderCounts, 'number', 6)} a turn of the output`;
  const wrong = 'It stops elsewhere, by as much.';
  const stop = stopOf(asked, mechanismKind);
  return [
    {
      key: 'countsPerOutputTurn',
      label: 'encoder counts for a turn of the output',
      value: amount(perTurn, 'number', 7),
      from,
      wrong,
    },
    {
      key: 'perCount',
      label: along ? 'way for a count' : 'angle for a count',
      value: amount(perCount, along ? 'length' : 'angle', 5),
      from: along ? say`${amount(radius, 'length')} of radius` : from,
      wrong,
    },
    ...(stop === undefined
      ? []
      : [
          {
            key: 'softStopCounts',
            label: 'soft stop in counts',
            value: amount(Math.round(stop / perCount), 'number', 8),
            from: 'travel of the job',
            wrong: 'It drives into its stop at full speed.',
          },
        ]),
  ];
}

/** Where it has gone as far as it should, as people count it; what rolls on, or spins, has no end to stop at. */
const stopOf = ({ travel, perCoordinate }: DcPath['asked'], kind: MechanismKind): number | undefined =>
  travel !== undefined && Number.isFinite(travel) && !MECHANISM_JOBS[kind].endless ? travel * perCoordinate : undefined;

const NO_RAMP = 'Without a ramp the pack dips and teeth take a knock.';

/** What it lets through, and gives back. */
const limitLines = ({ figures, pack }: DcPath): readonly CardLine[] => [
  ...figureLine(
    'motorSideLimit',
    'motor-side limit',
    figures['controller.statorLimit'],
    'Stalled, the motor takes all it can and burns in seconds.',
  ),
  ...figureLine(
    'packSideLimit',
    'pack-side limit',
    figures['controller.supplyLimit'],
    'The breaker trips, and the pack dips for everyone.',
  ),
  ...figureLine(
    'brakeLimit',
    'braking, motor side',
    figures['controller.brakeLimit'],
    'It stops too hard, or not in time.',
  ),
  ...figureLine(
    'returnLimit',
    'given back to the pack',
    figures['controller.returnLimit'],
    'More than its charge limit harms a pack.',
  ),
  {
    key: 'cutOff',
    label: 'low-voltage cut-off',
    value: amount(pack.floor, 'voltage', 3),
    from: `${CELLS[pack.figures.chemistry].name}: what its cells stand`,
    wrong: 'Set lower, the cells are harmed; set higher, it stops in the middle of a match.',
  },
  ...figureLine('rampTime', 'ramp-up time', figures['drive.rampTime'], NO_RAMP),
];

/** How it turns the motor, and what it does when nothing is asked of it. */
const controlLines = (drive: DcDrive, { figures, control }: DcPath): readonly CardLine[] => [
  {
    key: 'atZero',
    label: 'at neutral',
    value: control.idle,
    from: drive.idle ? 'typed' : 'usual',
    wrong:
      control.idle === 'brake' ? 'Set to coast it runs on, or back.' : 'Set to brake it drags when it should roll.',
  },
  {
    key: 'direction',
    label: 'direction',
    value: drive.direction === 'reverse' ? 'reversed' : 'forward',
    from: drive.direction ? 'typed' : 'usual: try it with the load off',
    wrong: 'It drives into its stop. First try with the load off and a hand on the switch.',
  },
  {
    key: 'control',
    label: 'control',
    value: control.mode === 'lock' ? 'speed lock' : 'plain effort',
    from: drive.control ? 'typed' : 'usual',
  },
  ...(control.mode === 'lock' ? figureLine('rollBack', 'rolls its current back to', figures['drive.rollBack']) : []),
  ...(control.dragOffset > 0
    ? figureLine(
        'dragOffset',
        'offset against drag',
        figures['drive.dragOffset'],
        'Too much, and it creeps off by itself.',
      )
    : []),
];

/** What it must know of its motor. */
function motorLines({ figures, motor, controller }: DcPath): readonly CardLine[] {
  if (motor.type !== 'brushless') return figureLine('leastDuty', 'command resolution', figures['controller.dutyStep']);
  const polePairs: readonly CardLine[] =
    motor.polePairs === undefined
      ? []
      : [
          {
            key: 'polePairs',
            label: 'pole pairs',
            value: amount(motor.polePairs, 'number'),
            from: 'its motor',
            wrong: 'Speeds it tells are wrong by as much.',
          },
        ];
  return [
    ...polePairs,
    {
      key: 'sensors',
      label: 'sensors',
      value: motor.sensors ? 'yes' : 'none',
      from: 'its motor',
      wrong: 'It jerks and does not start.',
    },
    {
      key: 'startStyle',
      label: 'starts',
      value: START_NAMES[controller.startStyle],
      from: 'its controller and motor',
    },
    ...figureLine('leastErpm', 'least electrical speed', figures['controller.leastErpm']),
    ...figureLine('timing', 'timed ahead by', figures['drive.timing']),
  ];
}

/** Settings of a speed controller, as the field calls them. */
export function controllerCard(plan: Plan, mechanism: Mechanism, path: DcPath): SetupCard | undefined {
  const { drive, stages } = currentChoice(mechanism);
  if (drive.kind !== 'dc') return undefined;
  const part = plan.parts[drive.controller]?.part;
  return {
    id: `controller ${mechanism.id}`,
    kind: 'controller',
    part: part?.name ?? 'controller',
    mechanismId: mechanism.id,
    of: mechanism.name,
    pieces: path.motors,
    lines: [
      ...limitLines(path),
      ...controlLines(drive, path),
      ...motorLines(path),
      ...trainLines(path, stages),
      ...encoderLines(path, stages),
    ],
    cautions: [
      'Type it in with the load off and the drive lifted; somebody at the switch.',
      ...(path.falls ? ['What is lifted may fall while it is set up: nobody under it.'] : []),
    ],
  };
}
