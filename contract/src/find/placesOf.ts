import {
  branchOf,
  currentChoice,
  partIdsOf,
  resolvePath,
  TRIALS,
  type LinkKind,
  type Mechanism,
  type Plan,
} from '@rough-gear/core';
import { answerAt, asksOf } from './asks.js';
import { DESK_ANSWERS, DESK_IDS, DESKS } from './desks.js';
import { figureAt, hasField } from './figureAt.js';
import { address, type Place } from './place.js';
import { ROOMS } from './rooms.js';
import { sectionId } from './sectionId.js';
import { TERMS } from './terms.js';

/** What stands for all robots, whichever is open. */
export const COMMON_PLACES: readonly Place[] = [
  { key: 'page:robots', label: 'Robots', kind: 'page', path: '/robots', where: 'all of them, and new ones' },
  { key: 'page:shelf', label: 'Shelf', kind: 'page', path: '/shelf', where: 'parts to choose from' },
  { key: 'page:learn', label: 'Learn', kind: 'page', path: '/models', where: 'every model with its formula' },
  { key: 'page:data', label: 'Data', kind: 'page', path: '/data', where: 'where it is kept, copies of it' },
  { key: 'action:help', label: 'Help', kind: 'action', path: '#help', where: 'rooms, words, keys' },
  { key: 'action:print', label: 'Print this page', kind: 'action', path: '#print' },
  { key: 'action:units', label: 'Metric or inch units', kind: 'action', path: '#units' },
  { key: 'action:theme', label: 'Light or dark', kind: 'action', path: '#theme' },
  { key: 'action:everything', label: 'Show everything', kind: 'action', path: '#everything', where: 'nothing folded' },
  ...Object.entries(TERMS).map(([term, { means, learn }]): Place => ({
    key: `term:${term}`,
    label: term,
    kind: 'word',
    path: `/models#${sectionId(learn)}`,
    where: means,
  })),
];

/**
 * Everything of a robot that can be gone to, the open mechanism first: its figures, questions and desks; of each other kind of
 * machine and stage the questions at the first mechanism that has it; rooms, mechanisms, parts, trials; and what stands for all.
 */
export function placesOf(plan: Plan, planId: string, openId = plan.mechanisms[0]?.id): readonly Place[] {
  const open = plan.mechanisms.find(({ id }) => id === openId);
  const others = plan.mechanisms.filter((one) => one !== open);
  const rooms = ROOMS.map((room): Place => ({
    key: `room:${room.id}`,
    label: room.text,
    kind: 'room',
    path: room.at(planId, openId ?? ''),
    where: room.answers,
  }));
  const robot: readonly Place[] = [
    { key: 'action:undo', label: 'Undo', kind: 'action', path: '#undo' },
    { key: 'action:redo', label: 'Redo', kind: 'action', path: '#redo' },
    {
      key: 'action:robot',
      label: 'Export, rename, revisions',
      kind: 'action',
      path: '#robot',
      where: `the menu of ${plan.name}`,
    },
    { key: 'page:book', label: 'Whole book', kind: 'page', path: `/robots/${planId}/paper/book`, where: 'to print' },
  ];
  const mechanisms = plan.mechanisms.map(({ id, name }): Place => ({
    key: `mechanism:${id}`,
    label: name,
    kind: 'mechanism',
    path: `/robots/${planId}/${id}`,
  }));
  return [
    ...(open ? [...questionsOf([open, ...others], plan, planId), ...desksOf(open, planId)] : []),
    ...rooms,
    ...(open ? figuresOf(open, plan, planId) : []),
    ...mechanisms,
    ...trialsOf(planId),
    ...partsOf(plan, planId),
    ...robot,
    ...COMMON_PLACES,
  ];
}

/** Each question once: at the open mechanism where it is one of that, else at the first that has it. */
function questionsOf(mechanisms: readonly Mechanism[], plan: Plan, planId: string): readonly Place[] {
  const found = new Map<string, Place>();
  for (const mechanism of mechanisms) {
    const path = resolvePath(plan, mechanism, mechanism.jobs[0]!.id);
    const stage = currentChoice(mechanism).stages[0]?.id;
    for (const ask of asksOf(path))
      if (!found.has(ask.id))
        found.set(ask.id, {
          key: `ask:${ask.id}`,
          label: ask.text,
          kind: 'question',
          path: answerAt(ask, planId, mechanism.id, stage),
          where: `${mechanism.name}, ${ask.at === 'stage' ? 'reduction' : ask.at}`,
        });
  }
  return [...found.values()];
}

const desksOf = (mechanism: Mechanism, planId: string): readonly Place[] =>
  DESK_IDS.map((id) => ({
    key: `desk:${id}`,
    label: DESKS[id],
    kind: 'desk',
    path: address(`/robots/${planId}/${mechanism.id}`, { desk: id === 'figures' ? undefined : id }),
    where: `${mechanism.name}: ${DESK_ANSWERS[id]}`,
  }));

/** Its figures, those of each job with the job they are of. */
function figuresOf(mechanism: Mechanism, plan: Plan, planId: string): readonly Place[] {
  const base = `/robots/${planId}/${mechanism.id}`;
  const several = mechanism.jobs.length > 1;
  return mechanism.jobs.flatMap(({ id, name }, i) => {
    const path = resolvePath(plan, mechanism, id);
    return Object.values(path.figures)
      .filter(({ key }) => (i === 0 || key.startsWith('job.')) && hasField(key, path))
      .map((figure): Place => {
        const ofJob = figure.key.startsWith('job.');
        const { link, query } = figureAt(figure.key);
        const stage = path.stages.findIndex((one) => one.id === link);
        const on = stage < 0 ? link : `stage ${stage + 1}`;
        return {
          key: figure.key.replace(/^stage\.[^.]+\./, 'stage.').replace(/^servo\.point\.\d+\./, 'servo.'),
          label: figure.label,
          kind: 'figure',
          path: address(`${base}/${link}`, { job: ofJob && several ? id : undefined, ...query, figure: figure.key }),
          where: `${mechanism.name}, ${ofJob && several ? name : on}`,
        };
      });
  });
}

const trialsOf = (planId: string): readonly Place[] =>
  TRIALS.map(({ kind, name, gives }) => ({
    key: `trial:${kind}`,
    label: name,
    kind: 'trial',
    path: address(`/robots/${planId}/bench`, { begin: kind }),
    where: gives,
  }));

/** Its parts, each at the first mechanism that uses it; those that all use at the first there is. */
const partsOf = (plan: Plan, planId: string): readonly Place[] =>
  Object.entries(plan.parts).flatMap(([key, { part }]): readonly Place[] => {
    const user = plan.mechanisms.find((mechanism) => uses(plan, mechanism, key)) ?? plan.mechanisms[0];
    if (!user) return [];
    return [
      {
        key: `part:${key}`,
        label: part.name,
        kind: 'part',
        path: `/robots/${planId}/${user.id}/${PART_LINKS[part.kind] ?? 'reduction'}`,
        where: `${user.name}, ${part.kind}`,
      },
    ];
  });

/** Whether a part is one of a mechanism's drive, of its branch, or the board in front of it. */
function uses(plan: Plan, mechanism: Mechanism, key: string): boolean {
  const { drive } = currentChoice(mechanism);
  const rail = plan.supply.find(({ id }) => id === drive.node);
  const boards = [drive.kind === 'step' ? drive.board : undefined, rail?.kind === 'rail' ? rail.board : undefined];
  return [...partIdsOf(drive), ...boards, branchOf(plan, drive.node)?.breaker].includes(key);
}

const PART_LINKS: Readonly<Record<string, LinkKind>> = {
  motor: 'motor',
  stepper: 'motor',
  'step-servo': 'motor',
  servo: 'motor',
  controller: 'controller',
  driver: 'controller',
  board: 'controller',
  pack: 'pack',
  breaker: 'branch',
  wire: 'branch',
};
