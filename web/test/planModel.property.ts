import { readFileSync } from 'node:fs';
import { etagOf, readPlan } from '@rough-gear/contract';
import {
  addableStages,
  addJob,
  addStage,
  adoptFound,
  applyChanges,
  besideChanges,
  changePack,
  currentChoice,
  evaluateMechanism,
  jobIsNeeded,
  MECHANISM_JOBS,
  mendsWithin,
  MOST,
  orderStages,
  proposeBeside,
  proposeMechanism,
  putInForce,
  putPart,
  quantityOf,
  readyComparisons,
  readyMade,
  removeChoice,
  removeJob,
  removeMechanism,
  removeStage,
  searchShortlist,
  WISHES,
  choiceAt,
  type Change,
  type Found,
  type Mechanism,
  type MechanismKind,
  type Plan,
  type Quantity,
  type Shelved,
  type WishMachine,
} from '@rough-gear/core';
import fc from 'fast-check';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import { through } from '../../core/test/demo.js';
import { usePlan } from '../src/stores/plan.js';
import { freshBrowser } from './browser.js';

/*
 * Random long sequences of everything a person can do to a plan, through the store that holds it. Whatever was done: the
 * plan can be saved, every id in it leads somewhere, it is judged without a figure that is none, and undo leads back to
 * where it began.
 */

const read = (name: string) =>
  JSON.parse(readFileSync(new URL(`../../contract/demo/${name}.json`, import.meta.url), 'utf8'));
const heron = read('heron') as Plan;
const shelf = (read('shelf') as { parts: Shelved[] }).parts;
const packs = shelf.filter(({ part }) => part.kind === 'pack');
const empty: Plan = {
  ...heron,
  name: 'Egret',
  mechanisms: [],
  supply: heron.supply.slice(0, 2),
  parts: Object.fromEntries(
    heron.supply.slice(0, 2).flatMap((node) => {
      const id = node.kind === 'pack' ? node.part : node.kind === 'main' ? node.breaker : undefined;
      return id === undefined ? [] : [[id, heron.parts[id]!] as const];
    }),
  ),
};

const copyOf = ({ id: shelfId, revision: shelfRevision, part }: Shelved) => ({ part, shelfId, shelfRevision });

type Store = ReturnType<typeof usePlan>;

/** What the model knows: how far undo and redo must reach, and the plan before each step. */
interface Model {
  done: Plan[];
  undone: Plan[];
}

/** What cannot be done is refused with a sentence of one of these, and changes nothing. */
const REFUSALS = /kept side by side|are kept: remove|at most: remove|remove a mechanism first|shelf|keeps one|pack/;

/** One thing a person does: the changes it comes to, none where there is nothing to do it to. */
class Edit implements fc.Command<Model, Store> {
  constructor(
    private readonly name: string,
    private readonly pick: number,
    private readonly changes: (plan: Plan, pick: number) => readonly Change[],
  ) {}

  check = (): boolean => true;

  run(model: Model, store: Store): void {
    const before = store.document!;
    let changes: readonly Change[] = [];
    try {
      changes = this.changes(before, this.pick);
    } catch (problem) {
      expect((problem as Error).message).toMatch(REFUSALS);
    }
    store.commit(changes);
    if (store.document !== before) {
      model.done.push(before);
      model.undone = [];
    }
    sound(store.document!);
  }

  toString = (): string => `${this.name}(${this.pick})`;
}

class Undo implements fc.Command<Model, Store> {
  check = ({ done }: Readonly<Model>): boolean => done.length > 0;
  run(model: Model, store: Store): void {
    model.undone.push(store.document!);
    store.undo();
    expect(store.document).toBe(model.done.pop());
  }
  toString = (): string => 'undo';
}

class Redo implements fc.Command<Model, Store> {
  check = ({ undone }: Readonly<Model>): boolean => undone.length > 0;
  run(model: Model, store: Store): void {
    model.done.push(store.document!);
    store.redo();
    expect(store.document).toBe(model.undone.pop());
  }
  toString = (): string => 'redo';
}

const judged = new WeakMap<Mechanism, Plan['parts']>();

/** The plan passes the gate of every save, and every choice of it is judged without a figure that is none. */
function sound(plan: Plan): void {
  const held = readPlan(plan);
  expect(held.ok ? [] : held.problems).toEqual([]);
  for (const mechanism of plan.mechanisms) {
    if (judged.get(mechanism) === plan.parts) continue;
    judged.set(mechanism, plan.parts);
    const { headline, jobs } = evaluateMechanism(plan, mechanism);
    expect(headline.multiple).not.toBeNaN();
    for (const { ladders, checks } of jobs) {
      for (const { rungs } of Object.values(ladders))
        for (const rung of rungs) expect(rung.multiple, `${mechanism.name}: ${rung.id}`).not.toBeNaN();
      for (const check of checks) expect(JSON.stringify(check.sentence)).not.toMatch(/NaN|undefined|null/);
    }
  }
}

const some = <T>(list: readonly T[], pick: number): T | undefined => list[pick % Math.max(1, list.length)];
const on =
  (work: (plan: Plan, mechanism: Mechanism, pick: number) => readonly Change[]) => (plan: Plan, pick: number) => {
    const mechanism = some(plan.mechanisms, pick);
    return mechanism ? work(plan, mechanism, Math.floor(pick / 7)) : [];
  };

const MACHINES: readonly WishMachine[] = ['dc', 'step', 'step-servo', 'servo'];
const KINDS = Object.keys(MECHANISM_JOBS) as MechanismKind[];
/** What the form hints at for every number it asks for. */
const hinted = (kind: MechanismKind): Readonly<Record<string, Quantity>> =>
  Object.fromEntries(
    WISHES[kind].fields.map(({ key, hint }) => {
      const like = typeof hint === 'string' ? undefined : hint.find((piece) => typeof piece !== 'string');
      return [key, quantityOf(typeof like === 'object' ? like.value : 1, 'typed', 'typed')];
    }),
  );
const [found] = frontOf();

/** A design of the search, to be taken and kept beside. */
function frontOf(): readonly Found[] {
  const few = shelf.filter(({ id, part }) => part.kind === 'series' || /36-35t|brushed-20|36-55t|brushed-10/.test(id));
  const query = {
    mechanismId: 'intake',
    jobId: 'swallow',
    scope: 'everything',
    ownedOnly: false,
    mostMotors: 1,
    packs: 'shelf',
    from: 4,
    to: 30,
    wants: ['time', 'mass', 'price'],
  } as const;
  const search = searchShortlist(heron, query, few);
  for (;;) {
    const next = search.next();
    if (next.done) return next.value.front;
  }
}

const EDITS: Readonly<Record<string, (plan: Plan, pick: number) => readonly Change[]>> = {
  'add a mechanism': (plan, pick) => {
    const kind = some(KINDS, pick)!;
    const machine = some(MACHINES, Math.floor(pick / 11))!;
    return proposeMechanism(plan, { kind, name: WISHES[kind].name, values: hinted(kind), machine }, shelf).changes;
  },
  'try another machine': on((plan, { id }, pick) => proposeBeside(plan, id, some(MACHINES, pick)!, shelf)),
  'put beside': on((plan, mechanism, pick) => {
    const { id, current, jobs } = mechanism;
    const ready = some(readyComparisons(plan, id, jobs[0]!.id), pick);
    const changes = ready && through(readyMade(plan, id, jobs[0]!.id, shelf, ready.id));
    if (!changes) return [];
    expect(applyChanges(plan, changes).mechanisms.find((one) => one.id === id)!.current).toBe(current);
    return changes;
  }),
  'keep a copy beside': on((plan, { id }) => besideChanges(plan, id, [], 'as it is')),
  'put in force': on((plan, { id, choices }, pick) => putInForce(plan, id, some(choices, pick)!.id)),
  'remove a choice': on((plan, { id, choices }, pick) => removeChoice(plan, id, some(choices, pick)!.id)),
  'remove a mechanism': on((plan, { id }) => removeMechanism(plan, id)),
  'add a stage': on((plan, mechanism, pick) => {
    const kind = some(addableStages(mechanism), pick);
    return kind ? addStage(plan, mechanism.id, kind).changes : [];
  }),
  'remove a stage': on((plan, mechanism, pick) => {
    const stage = some(currentChoice(mechanism).stages, pick);
    return stage ? removeStage(plan, mechanism.id, stage.id) : [];
  }),
  'reorder stages': on((plan, mechanism) =>
    orderStages(plan, mechanism.id, [...currentChoice(mechanism).stages].reverse()),
  ),
  'add a job': on((plan, mechanism, pick) => addJob(plan, mechanism.id, some(mechanism.jobs, pick)!, 'other').changes),
  'remove a job': on((plan, mechanism, pick) => {
    const job = some(mechanism.jobs, pick)!;
    return jobIsNeeded(mechanism, job.id) ? [] : removeJob(plan, mechanism.id, job.id);
  }),
  'change the pack': (plan, pick) => changePack(plan, copyOf(some(packs, pick)!)),
  'a part off the shelf': on((plan, mechanism, pick) => {
    const { drive } = currentChoice(mechanism);
    const key = drive.kind === 'servo' ? 'servo' : 'motor';
    const kind = plan.parts[(drive as unknown as Record<string, string>)[key]!]!.part.kind;
    const part = some(
      shelf.filter((item) => item.part.kind === kind),
      pick,
    )!;
    return putPart(plan, [...choiceAt(plan, mechanism), 'drive', key], copyOf(part));
  }),
  adopt: (plan, pick) => {
    const there = plan.mechanisms.find(({ id }) => id === 'intake');
    const fits =
      found && there && currentChoice(there).drive.kind === 'dc' && plan.parts[found.changes[0]!.at[1]!] === undefined;
    return fits ? adoptFound(plan, 'intake', found, pick % 2 === 0 ? 'replace' : 'beside') : [];
  },
  mend: on((plan, mechanism, pick) => {
    const job = some(mechanism.jobs, pick)!;
    const { first } = evaluateMechanism(plan, mechanism).jobs.find(({ jobId }) => jobId === job.id)!.ladders.working;
    if (!first) return [];
    let now = 0;
    const { mends } = mendsWithin(
      plan,
      mechanism.id,
      { jobId: job.id, rung: first.id, situation: 'working' },
      4,
      () => now++,
    );
    return some(mends, pick)?.changes ?? [];
  }),
};

const commands = fc.commands<Model, Store>(
  [
    ...Object.entries(EDITS).map(([name, changes]) => fc.nat(10_000).map((pick) => new Edit(name, pick, changes))),
    fc.constant(new Undo()),
    fc.constant(new Redo()),
  ],
  { size: 'max', maxCommands: 40 },
);

beforeEach(() => void vi.useFakeTimers());
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** A store with a plan open, on a server that takes every save. */
async function opened(plan: Plan): Promise<Store> {
  // What the run before has not sent is none of this one's.
  vi.clearAllTimers();
  freshBrowser();
  let revision = 1;
  vi.stubGlobal('fetch', async (_url: string, { headers }: { headers: Record<string, string> }) => {
    if (headers['If-Match']) expect(headers['If-Match']).toBe(etagOf(revision++));
    const stored = { id: 'plan', revision, savedAt: '2026-11-25T09:00:00.000Z', document: plan };
    return new Response(JSON.stringify(stored), { status: 200, headers: { 'Content-Type': 'application/json' } });
  });
  setActivePinia(createPinia());
  const store = usePlan();
  await store.open('plan');
  return store;
}

it.each([
  ['a new robot', empty, 25],
  ['Heron', heron, 25],
])('Whatever a person does to %s leaves a plan that is whole', async (_name, start, numRuns) => {
  await fc.assert(
    fc.asyncProperty(commands, async (sequence) => {
      const store = await opened(start);
      const begun = store.document!;
      fc.modelRun(() => ({ model: { done: [], undone: [] }, real: store }), sequence);
      while (store.canUndo) store.undo();
      expect(store.document).toEqual(begun);
      await vi.runAllTimersAsync();
      expect(store.state).toBe('home');
    }),
    { numRuns },
  );
});

it('A robot is filled up to what it can hold, and says so there', async () => {
  const store = await opened(empty);
  const refused = new Set<string>();
  for (let i = 0; i < 60; i++)
    try {
      store.commit(EDITS['add a mechanism']!(store.document!, i * 11 + (i % 9)));
    } catch (problem) {
      refused.add((problem as Error).message);
    }
  sound(store.document!);
  expect([...refused].join()).toMatch(/mechanisms at most|all it can have/);
  const { mechanisms } = store.document!;
  expect(mechanisms.length).toBeGreaterThan(30);
  expect(mechanisms.length).toBeLessThanOrEqual(MOST.mechanisms);
  for (const { id } of mechanisms) store.commit(removeMechanism(store.document!, id));
  expect([store.document!.supply.length, Object.keys(store.document!.parts).length]).toEqual([2, 2]);
});
