import { randomUUID } from 'node:crypto';
import { partSchema, problemText, readPlanText, type ArchiveReport, type Problem } from '@rough-gear/contract';
import { readTrial } from '@rough-gear/contract/bench';
import { MOST_ON_SHELF } from '@rough-gear/contract/shelf-files';
import { textProblems } from '@rough-gear/contract/text';
import type { Part } from '@rough-gear/core';
import type Joi from 'joi';
import type { EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, ShelfEntity } from '../db/entities.js';
import { DiaryStore } from '../diary/store.js';
import { HttpProblem } from '../http/problem.js';
import { soughtOf } from '../plans/store.js';
import { readShelf } from '../shelf/data.js';
import { TrialStore } from '../trials/store.js';
import {
  diaryFileSchema,
  MANIFEST,
  manifestSchema,
  planFileSchema,
  SHELF,
  shelfFileSchema,
  trialFileSchema,
  type ArchivedDiary,
  type ArchivedPart,
  type ArchivedPlan,
  type ArchivedTrial,
} from './format.js';
import type { ArchiveFile } from './read.js';

/**
 * Brings what an archive holds back, each plan whole or not at all, and nothing that is here is changed: a plan that is
 * here in another state comes in as one of its own. Done twice it adds nothing the second time.
 */
export async function bringBack(data: Database, files: AsyncIterable<ArchiveFile>): Promise<ArchiveReport> {
  const report = {
    plansAdded: 0,
    plansThere: 0,
    plansBeside: [] as string[],
    partsAdded: 0,
    partsThere: 0,
    trialsAdded: 0,
    trialsThere: 0,
    entriesAdded: 0,
    refused: [] as string[],
  };
  let known = false;
  for await (const { name, text } of files) {
    if (!known) {
      if (name !== MANIFEST) throw new HttpProblem(422, 'This is no archive of this program');
      const { error } = manifestSchema.validate(parsed(text));
      if (error) throw new HttpProblem(422, 'This is no archive that this version can read', { detail: error.message });
      known = true;
    } else if (name === SHELF) {
      const parts = checked<ArchivedPart[]>(shelfFileSchema, name, text, report.refused) ?? [];
      for (const part of parts) await bringPart(data, part, report);
    } else if (name.startsWith('plans/')) {
      const plan = checked<ArchivedPlan>(planFileSchema, name, text, report.refused);
      if (plan) await bringPlan(data, plan, report);
    } else if (name.startsWith('trials/')) {
      const trial = checked<ArchivedTrial>(trialFileSchema, name, text, report.refused);
      if (trial) await bringTrial(data, trial, report);
    } else if (name.startsWith('diaries/')) {
      const diary = checked<ArchivedDiary>(diaryFileSchema, name, text, report.refused);
      if (diary) await bringDiary(data, diary, report);
    } else report.refused.push(`${name.slice(0, 80)}: nothing this version knows`);
  }
  return report;
}

type Report = { -readonly [K in keyof ArchiveReport]: ArchiveReport[K] extends readonly string[] ? string[] : number };

function parsed(text: string): unknown {
  try {
    return JSON.parse(text);
  } catch {
    return undefined;
  }
}

function checked<T>(schema: Joi.Schema<T>, name: string, text: string, refused: string[]): T | undefined {
  const { error, value } = schema.validate(parsed(text), { convert: false });
  if (!error && value !== undefined) return value as T;
  refused.push(`${name.slice(0, 80)}: ${(error?.message ?? 'it is not JSON').slice(0, 200)}`);
  return undefined;
}

/** A trial that is not here; one that is was measured once, and stays. */
async function bringTrial(data: Database, trial: ArchivedTrial, report: Report): Promise<void> {
  const read = readTrial(trial.trial);
  if (!read.ok) {
    report.refused.push(`trial ${trial.id}: ${said(read.problems)}`);
    return;
  }
  const { added, there, refused } = await new TrialStore(data).bring([trial]);
  report.trialsAdded += added;
  report.trialsThere += there;
  report.refused.push(...refused);
}

/** Entries that are not here, of a plan that is: it came before, or was here. */
async function bringDiary(data: Database, { planId, entries }: ArchivedDiary, report: Report): Promise<void> {
  const problems = textProblems(entries);
  if (problems.length > 0) {
    report.refused.push(`diary ${planId}: ${said(problems)}`);
    return;
  }
  const came = await new DiaryStore(data).add(planId, entries, { archived: true });
  if (came.outcome === 'added') report.entriesAdded += came.added;
  else if (came.outcome === 'elsewhere')
    report.refused.push(`diary ${planId}: its entry ${came.id} is another robot’s`);
  else report.refused.push(`diary ${planId}: ${came.outcome === 'full' ? 'it is full' : 'its robot is not here'}`);
}

const said = (problems: readonly Problem[]): string => problemText(problems).split('\n')[0]!.slice(0, 200);

async function bringPlan(data: Database, plan: ArchivedPlan, report: Report): Promise<void> {
  const newest = plan.revisions.find(({ revision }) => revision === plan.revision);
  const wrong = wrongRevisions(plan);
  if (!newest || wrong !== undefined) {
    report.refused.push(`${plan.name}: ${wrong ?? `its revision ${plan.revision} is missing`}`);
    return;
  }
  const came = await data.write(async (manager) => {
    const here = await manager.findOneBy(PlanEntity, { id: plan.id });
    if (!here) {
      await insertPlan(manager, plan, newest.document);
      return 'added';
    }
    const { document } = await manager.findOneByOrFail(RevisionEntity, { planId: here.id, revision: here.revision });
    if (document === newest.document) return 'there';
    const { name, text } = renamed(plan.name, newest.document);
    if (await manager.existsBy(PlanEntity, { name })) return 'there';
    const revisions = plan.revisions.map((one) => (one === newest ? { ...one, document: text } : one));
    await insertPlan(manager, { ...plan, id: randomUUID(), name, revisions }, text);
    return name;
  });
  if (came === 'added') report.plansAdded++;
  else if (came === 'there') report.plansThere++;
  else report.plansBeside.push(came);
}

/** What is wrong with the saves of a plan, seen before anything of it is written. */
function wrongRevisions({ revision: newest, revisions }: ArchivedPlan): string | undefined {
  const numbers = revisions.map(({ revision }) => revision);
  const twice = numbers.find((number, i) => numbers.indexOf(number) !== i);
  if (twice !== undefined) return `its revision ${twice} is there twice`;
  const above = numbers.find((number) => number > newest);
  return above === undefined ? undefined : `its revision ${above} is newer than its newest, ${newest}`;
}

/** The document under a name that says where it came from; one that cannot be read keeps its own inside. */
function renamed(old: string, text: string): { readonly name: string; readonly text: string } {
  const name = `${old.slice(0, 60)} (from an archive)`;
  const read = readPlanText(text);
  return { name, text: read.ok ? JSON.stringify({ ...read.plan, name }) : text };
}

async function insertPlan(manager: EntityManager, plan: ArchivedPlan, document: string): Promise<void> {
  const { id, name, revision, savedAt, deletedAt, revisions } = plan;
  const read = readPlanText(document);
  const sought = read.ok ? soughtOf(read.plan) : name.toLowerCase();
  await manager.insert(PlanEntity, {
    id,
    name,
    revision,
    savedAt,
    deletedAt,
    sought,
    worst: 0,
    judged: null,
    judgedBy: null,
  });
  for (const one of revisions) await manager.insert(RevisionEntity, { planId: id, ...one });
}

/** A part of the team's own that is not here; or what the team says of a shipped one of which nothing is said here. */
async function bringPart(data: Database, archived: ArchivedPart, report: Report): Promise<void> {
  const { id, revision, shipped, common, retired } = archived;
  const { error } = partSchema.validate(archived.part, { convert: false });
  if (error) {
    report.refused.push(`part ${id}: ${error.message.slice(0, 200)}`);
    return;
  }
  const part = archived.part as Part;
  const added = await data.write(async (manager) => {
    const here = await manager.findOneBy(ShelfEntity, { id });
    if (!here && shipped === null) {
      if ((await manager.count(ShelfEntity)) >= MOST_ON_SHELF) return 'full';
      const row = { id, kind: part.kind, revision, part: JSON.stringify(part), shipped, common, retired };
      await manager.insert(ShelfEntity, row);
      return 'added';
    }
    if (!here || here.shipped === null || shipped === null) return 'there';
    const now = JSON.parse(here.part) as Part;
    const saidHere = here.common || here.retired || !sameMarks(now, shippedPart(id));
    if (saidHere || (!common && !retired && sameMarks(part, now))) return 'there';
    const marked = JSON.stringify({ ...now, owned: part.owned, price: part.price });
    await manager.update(ShelfEntity, { id }, { common, retired, part: marked, revision: here.revision + 1 });
    return 'added';
  });
  if (added === 'added') report.partsAdded++;
  else if (added === 'there') report.partsThere++;
  else report.refused.push(`part ${id}: the shelf is full`);
}

const shippedPart = (id: string): Part | undefined => readShelf().find((item) => item.id === id)?.part;

/** What a team says of a part in its figures: how many it owns, and the price. */
const sameMarks = (a: Part, b: Part | undefined): boolean =>
  a.owned === b?.owned && JSON.stringify(a.price) === JSON.stringify(b?.price);
