import { amount, say } from '../../../plan/words/phrase.js';
import { SITUATION_NEEDS } from '../../limits/situation.js';
import type { Operating } from '../../../path/powerpath/operating.js';
import { workingFlow } from '../../limits/workingFlow.js';
import { lacksOf, type DcPath } from '../../../path/powerpath/path.js';
import { amperes, loadLinks, supplyLinks, type Judged, type Link } from './link.js';

/** The links of a path with direct-current motors, pack first, load last. */
export function dcLinks(path: DcPath, by: Judged): readonly Link[] {
  const flow = flowOf(path);
  const { drive } = path;
  const n = drive.motors;
  const supply = flow?.supplyCurrent;
  const limit = drive.supplyLimit ?? drive.statorLimit;
  return [
    ...supplyLinks(path, flow),
    {
      id: 'controller',
      kind: 'controller',
      title: 'Controller',
      detail:
        drive.supplyLimit !== undefined
          ? say`pack-side ${amount(drive.supplyLimit, 'current')}`
          : drive.statorLimit !== undefined
            ? say`motor-side ${amount(drive.statorLimit, 'current')}`
            : 'no current limit',
      key:
        flow && supply !== undefined
          ? {
              there: amperes(drive.supplyLimit === undefined ? flow.motorCurrent : supply),
              join: limit === undefined ? '' : 'of',
              other: limit === undefined ? undefined : amperes(limit),
            }
          : undefined,
      passes: flow && supply !== undefined ? amperes(flow.motorCurrent) : undefined,
    },
    {
      id: 'motor',
      kind: 'motor',
      title: n === 1 ? 'Motor' : `${n} motors`,
      detail:
        flow?.reached === undefined
          ? path.motor.type
          : flow.reached === 0
            ? 'stands still'
            : say`reaches ${amount(flow.reached * path.asked.perCoordinate, path.load.unit === 'm' ? 'velocity' : 'speed')}`,
      key: flow && { there: amperes(flow.motorCurrent), join: '', word: n === 1 ? 'moving' : 'each' },
      passes: flow && { value: flow.motorTorque * n, dimension: 'torque' },
    },
    ...loadLinks(path, by, flow),
  ];
}

function flowOf(path: DcPath): Operating | undefined {
  const lacks = lacksOf(path, [...SITUATION_NEEDS.working, 'throw', 'motor', 'pack', 'wiring', 'controller', 'train']);
  if (lacks.length > 0) return undefined;
  return workingFlow(path);
}
