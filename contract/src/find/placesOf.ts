import { currentChoice, resolvePath, TRIALS, type LinkKind, type Mechanism, type Plan } from '@rough-gear/core';
import { answerAt, asksOf } from './asks.js';
import { DESK_ANSWERS, DESK_IDS, DESKS } from './desks.js';
import { figureAt, hasField } from './figureAt.js';
import { address, type Place } from './place.js';
import { ROOMS } from './rooms.js';
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
    path: `/models#${sectionOf(learn)}`,
    where: means,
  })),
];

/** The anchor of a heading of the models page. */
function sectionOf(heading: string): string {
  return heading
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');
}

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
  const all = [
    ...(open ? [...questionsOf([open, ...others], plan, planId), ...desksOf(open, planId)] : []),
    ...rooms,
    ...(open ? figuresOf(open, plan, planId) : []),
    ...mechanisms,
    ...trialsOf(planId),
    ...partsOf(plan, planId),
    ...robot,
    ...COMMON_PLACES,
  ];
  return all;
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
          where: `${mechanism.name}, ${LINK_NAMES[ask.at]}`,
        });
  }
  return [...found.values()];
}

const LINK_NAMES: Readonly<Record<LinkKind, string>> = {
  pack: 'pack',
  branch: 'branch',
  rail: 'rail',
  controller: 'controller',
  motor: 'motor',
  linkage: 'linkage',
  stage: 'reduction',
  output: 'output',
  load: 'load',
};

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
        return {
          key: figure.key.replace(/^stage\.[^.]+\./, 'stage.').replace(/^servo\.point\.\d+\./, 'servo.'),
          label: figure.label,
          kind: 'figure',
          path: address(`${base}/${link}`, { job: ofJob && several ? id : undefined, ...query, figure: figure.key }),
          where:
            ofJob && several
              ? `${mechanism.name}, ${name}`
              : `${mechanism.name}, ${link in LINK_NAMES ? link : `stage ${1 + path.stages.findIndex((one) => one.id === link)}`}`,
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

/** Its parts, each at the first mechanism that has it; those of the supply at the first there is. */
function partsOf(plan: Plan, planId: string): readonly Place[] {
  return Object.entries(plan.parts).flatMap(([key, { part }]): readonly Place[] => {
    const user =
      plan.mechanisms.find((mechanism) => JSON.stringify(mechanism).includes(`"${key}"`)) ?? plan.mechanisms[0];
    if (!user) return [];
    const link = PART_LINKS[part.kind] ?? 'reduction';
    return [
      {
        key: `part:${key}`,
        label: part.name,
        kind: 'part',
        path: `/robots/${planId}/${user.id}/${link}`,
        where: `${user.name}, ${part.kind}`,
      },
    ];
  });
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
