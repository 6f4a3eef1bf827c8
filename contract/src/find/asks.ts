import { screwAt, type AnyPath, type LinkKind, type MachineKind, type TrialKind } from '@rough-gear/core';
import type { DeskId } from './desks.js';
import { address } from './place.js';
import { ROOMS, type RoomId } from './rooms.js';

/** Where a question is answered: at a desk or a link of the mechanism, in a room of the robot, or by a trial. */
type Answer =
  | { readonly desk: DeskId; readonly page?: string }
  | { readonly link: LinkKind; readonly page?: string; readonly figure?: string }
  | { readonly chart: 'heat' | 'brake' | 'torque' }
  | { readonly situation: 'starting' | 'holding' }
  | { readonly room: RoomId }
  | { readonly trial: TrialKind };

/** A question that comes up at a link of the power path. */
export interface Ask {
  readonly id: string;
  readonly text: string;
  /** The link at which it is asked. */
  readonly at: LinkKind;
  readonly answer: Answer;
  /** Whether it is a question of this mechanism at all. */
  readonly holds?: (path: AnyPath) => boolean;
}

const of =
  (...machines: readonly MachineKind[]) =>
  (path: AnyPath): boolean =>
    machines.includes(path.machine);
const dc = of('dc');
const step = of('step');
const servo = of('servo');
const brushless = (path: AnyPath): boolean => path.machine === 'dc' && path.motor.type === 'brushless';
const onScrew = (path: AnyPath): boolean => screwAt(path) >= 0;
const withKey = (part: string) => (path: AnyPath) => Object.keys(path.figures).some((key) => key.endsWith(part));
const linked = withKey('.strength');

/** Every question that stands on a panel, in the order in which it stands there. */
const ASKS: readonly Ask[] = [
  { id: 'counts', text: 'One or two?', at: 'motor', answer: { desk: 'compare', page: 'counts' }, holds: dc },
  { id: 'windings', text: 'Which winding?', at: 'motor', answer: { desk: 'compare', page: 'windings' }, holds: dc },
  {
    id: 'brushes',
    text: 'Brushed or brushless?',
    at: 'motor',
    answer: { desk: 'compare', page: 'brushes' },
    holds: dc,
  },
  { id: 'mixed', text: 'Two kinds together?', at: 'motor', answer: { desk: 'compare', page: 'mixed' }, holds: dc },
  { id: 'heat', text: 'Will it overheat?', at: 'motor', answer: { chart: 'heat' }, holds: dc },
  { id: 'measure', text: 'Measure it', at: 'motor', answer: { trial: 'free-run' }, holds: dc },
  {
    id: 'steppers',
    text: 'Stepper or step servo?',
    at: 'motor',
    answer: { desk: 'compare', page: 'steppers' },
    holds: step,
  },
  { id: 'torque', text: 'What torque at each speed?', at: 'motor', answer: { chart: 'torque' }, holds: step },
  { id: 'ladder', text: 'Measure it', at: 'motor', answer: { trial: 'step-ladder' }, holds: step },
  { id: 'servos', text: 'Which servo?', at: 'motor', answer: { desk: 'compare', page: 'servos' }, holds: servo },
  {
    id: 'sisters',
    text: 'Other gears inside?',
    at: 'motor',
    answer: { desk: 'compare', page: 'sisters' },
    holds: servo,
  },
  { id: 'fit', text: 'Does it fit?', at: 'motor', answer: { link: 'motor', page: 'fit' }, holds: servo },
  { id: 'holding', text: 'Does it hold?', at: 'motor', answer: { link: 'motor', page: 'holding' }, holds: servo },
  { id: 'inside', text: 'What is inside?', at: 'motor', answer: { link: 'motor', page: 'inside' }, holds: servo },
  { id: 'exact', text: 'How exactly?', at: 'motor', answer: { link: 'motor', page: 'precision' }, holds: servo },
  {
    id: 'calibrate',
    text: 'Which pulse, which angle?',
    at: 'motor',
    answer: { link: 'motor', page: 'calibration' },
    holds: servo,
  },
  { id: 'currents', text: 'Measure it', at: 'motor', answer: { trial: 'servo-currents' }, holds: servo },
  { id: 'cells', text: 'Other cells?', at: 'pack', answer: { desk: 'compare', page: 'volts' }, holds: dc },
  { id: 'lasts', text: 'How long does it last?', at: 'pack', answer: { room: 'match' } },
  { id: 'aged', text: 'Has it aged?', at: 'pack', answer: { trial: 'pack' } },
  { id: 'wires', text: 'Which wire goes where?', at: 'branch', answer: { room: 'wiring' } },
  {
    id: 'at-speed',
    text: 'What flows at one speed?',
    at: 'controller',
    answer: { link: 'controller', page: 'at-speed' },
    holds: dc,
  },
  { id: 'returned', text: 'How much goes back?', at: 'controller', answer: { chart: 'brake' }, holds: dc },
  {
    id: 'creep',
    text: 'Creep: with the sensor wire or without?',
    at: 'controller',
    answer: { link: 'controller', page: 'settings' },
    holds: brushless,
  },
  { id: 'starts', text: 'Does it start under load?', at: 'controller', answer: { situation: 'starting' }, holds: dc },
  {
    id: 'pulses',
    text: 'Which pulses?',
    at: 'controller',
    answer: { link: 'controller', page: 'pulses' },
    holds: step,
  },
  {
    id: 'switches',
    text: 'Which switches?',
    at: 'controller',
    answer: { link: 'controller', page: 'set' },
    holds: step,
  },
  {
    id: 'signal',
    text: 'Does the pin drive it?',
    at: 'controller',
    answer: { link: 'controller', page: 'signal' },
    holds: step,
  },
  { id: 'rattles', text: 'Does it rattle?', at: 'controller', answer: { trial: 'step-ladder' }, holds: step },
  { id: 'for-speed', text: 'For a speed?', at: 'stage', answer: { desk: 'speed' }, holds: dc },
  { id: 'ways', text: 'Gears, chain or belt?', at: 'stage', answer: { desk: 'teeth', page: 'ways' } },
  { id: 'find-train', text: 'Which teeth are on the shelf?', at: 'stage', answer: { desk: 'teeth', page: 'find' } },
  {
    id: 'lengths',
    text: 'Whole links at this distance?',
    at: 'stage',
    answer: { desk: 'teeth', page: 'lengths' },
    holds: linked,
  },
  { id: 'leads', text: 'Which lead?', at: 'stage', answer: { desk: 'compare', page: 'leads' }, holds: onScrew },
  {
    id: 'thread',
    text: 'Cut a thread?',
    at: 'stage',
    answer: { link: 'stage', page: 'thread' },
    holds: (path) => step(path) && onScrew(path),
  },
  {
    id: 'whip',
    text: 'Does it whip?',
    at: 'stage',
    answer: { link: 'output', figure: 'output.freeLength' },
    holds: (path) => onScrew(path) && withKey('output.freeLength')(path),
  },
  {
    id: 'driven',
    text: 'A second driven wheel?',
    at: 'output',
    answer: { link: 'output', figure: 'output.drivenShare' },
    holds: withKey('output.drivenShare'),
  },
  { id: 'falls', text: 'Does it stay up?', at: 'output', answer: { situation: 'holding' } },
  { id: 'shortlist', text: 'What on the shelf does it?', at: 'load', answer: { desk: 'shortlist' } },
  { id: 'go', text: 'Time a real go', at: 'load', answer: { trial: 'go' } },
];

/** The questions of a mechanism, at one link or at all. */
export const asksOf = (path: AnyPath, link?: LinkKind): readonly Ask[] =>
  ASKS.filter(({ at, holds }) => (link === undefined || at === link) && (holds?.(path) ?? true));

/** Where a question is answered for a mechanism; `stage` is the stage that is meant by the link of that name. */
export function answerAt({ answer, at }: Ask, planId: string, mechanismId: string, stage?: string): string {
  const mechanism = `/robots/${planId}/${mechanismId}`;
  if ('room' in answer) return ROOMS.find(({ id }) => id === answer.room)!.at(planId, mechanismId);
  if ('trial' in answer) return address(`/robots/${planId}/bench`, { begin: answer.trial });
  const link = 'link' in answer ? answer.link : at;
  const on = `${mechanism}/${link === 'stage' ? (stage ?? 'reduction') : link}`;
  if ('desk' in answer) return address(on, { desk: answer.desk, page: answer.page });
  if ('chart' in answer) return address(on, { chart: answer.chart });
  if ('situation' in answer) return address(on, { at: answer.situation });
  return address(on, { page: answer.page, figure: answer.figure });
}
