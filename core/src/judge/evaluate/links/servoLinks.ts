import { amount, say } from '../../../plan/words/phrase.js';
import { digits } from '../../../plan/words/show.js';
import { SITUATION_NEEDS } from '../../limits/situation.js';
import type { Operating } from '../../../path/powerpath/operating.js';
import { workingFlow } from '../../limits/workingFlow.js';
import { lacksOf } from '../../../path/powerpath/path.js';
import type { ServoPath } from '../../../path/powerpath/servoPath.js';
import { amperes, loadLinks, supplyLinks, type Judged, type Link } from './link.js';

const DEGREE = Math.PI / 180;
const RAIL_SOURCE = { regulator: 'regulator', pack: 'straight off the pack', board: 'a board’s pin' } as const;

/** The links of a path with position servos. */
export function servoLinks(path: ServoPath, by: Judged): readonly Link[] {
  const flow = flowOf(path);
  const { servo, rail, linked, linkage, motors } = path;
  const linear = servo.part.motion === 'linear';
  const { least, greatest } = linked?.travel ?? { least: 1, greatest: 1 };
  const link: readonly Link[] =
    linkage.kind === 'direct'
      ? []
      : [
          {
            id: 'linkage',
            kind: 'linkage',
            title: linkage.kind === 'four-bar' ? 'Linkage' : 'Push rod',
            detail:
              linkage.kind === 'four-bar'
                ? `${digits(least, 2)} to ${digits(greatest, 2)} of its turn`
                : say`lever ${amount(least, 'length')} to ${amount(greatest, 'length')}`,
            key: linked && {
              there: { value: Math.abs(linked.to - linked.from), dimension: 'angle' },
              join: '',
              word: 'of horn',
            },
          },
        ];
  return [
    ...supplyLinks(path, flow),
    {
      id: 'rail',
      kind: 'rail',
      title: rail.name,
      detail: RAIL_SOURCE[rail.source],
      key:
        Number.isFinite(rail.budget.moving) && Number.isFinite(rail.continuous)
          ? { there: amperes(rail.budget.moving), join: 'of', other: amperes(rail.continuous) }
          : undefined,
      passes: flow && amperes(flow.motorCurrent),
    },
    {
      id: 'motor',
      kind: 'motor',
      title: motors === 1 ? 'Servo' : `${motors} servos`,
      detail: linear
        ? 'linear'
        : servo.part.motion === 'continuous'
          ? 'turns on'
          : `${digits(servo.travel / DEGREE)}° of travel`,
      key: flow && { there: amperes(flow.motorCurrent), join: '', word: motors === 1 ? 'moving' : 'each' },
      passes: flow && { value: flow.motorTorque * motors, dimension: linear ? 'force' : 'torque' },
    },
    ...link,
    ...loadLinks(path, by, flow),
  ];
}

function flowOf(path: ServoPath): Operating | undefined {
  const needs = [...SITUATION_NEEDS.working, 'motor', 'rail', 'linkage', 'pack', 'wiring', 'train'] as const;
  if (lacksOf(path, needs).length > 0 || !path.linked) return undefined;
  return workingFlow(path);
}
