import { randomUUID } from 'node:crypto';
import type { Readable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import type { ArchiveReport } from '@rough-gear/contract';
import { MOST_ON_SHELF } from '@rough-gear/contract/shelf-files';
import type { DiaryEntry, Part } from '@rough-gear/core';
import type { EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, ShelfEntity } from '../db/entities.js';
import { DiaryStore } from '../diary/store.js';
import { HttpProblem } from '../http/problem.js';
import type { ArchiveReader } from '../reading/reader.js';
import { readShelf } from '../shelf/data.js';
import { TrialStore } from '../trials/store.js';
import type { BookTrial } from '../trials/reading.js';
import type { FileRead, PartBrought, PlanBrought } from './reading.js';

/**
 * Brings what an archive holds back, each plan whole or not at all, and nothing that is here is changed: a plan that is
 * here in another state comes in as one of its own. Done twice it adds nothing the second time.
 */
export async function bringBack(data: Database, stream: Readable, reader: ArchiveReader): Promise<ArchiveReport> {
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
  for await (const piece of stream)
    for (const file of await reader.push(piece as Uint8Array)) await bring(data, file, report);
  for (const file of await reader.push(null)) await bring(data, file, report);
  return report;
}

type Report = { -readonly [K in keyof ArchiveReport]: ArchiveReport[K] extends readonly string[] ? string[] : number };

function bring(data: Database, file: FileRead, report: Report): Promise<void> | void {
  switch (file.is) {
    case 'manifest':
      return;
    case 'no archive':
      throw new HttpProblem(422, 'This is no archive that this version can read, or only a part of one', {
        detail: file.detail,
      });
    case 'shelf':
      report.refused.push(...file.refused);
      return bringParts(data, file.parts, report);
    case 'plan':
      return bringPlan(data, file.plan, report);
    case 'trial':
      return bringTrial(data, file.trial, report);
    case 'diary':
      return bringDiary(data, file.planId, file.entries, file.putAway, report);
    case 'refused':
      report.refused.push(file.why);
  }
}

/** A trial that is not here; one that is was measured once, and stays. */
async function bringTrial(data: Database, trial: BookTrial, report: Report): Promise<void> {
  const { added, there, refused } = await new TrialStore(data).bring([trial]);
  report.trialsAdded += added;
  report.trialsThere += there;
  report.refused.push(...refused);
}

/** Entries that are not here, of a plan that is: it came before, or was here. */
async function bringDiary(
  data: Database,
  planId: string,
  entries: readonly DiaryEntry[],
  putAway: readonly DiaryEntry[],
  report: Report,
): Promise<void> {
  const store = new DiaryStore(data);
  for (const [all, wasPutAway] of [
    [entries, false],
    [putAway, true],
  ] as const) {
    const came = await store.add(planId, all, { archived: true, putAway: wasPutAway });
    if (came.outcome === 'added') report.entriesAdded += came.added;
    else if (came.outcome === 'elsewhere')
      report.refused.push(`diary ${planId}: its entry ${came.id} is another robot’s`);
    else report.refused.push(`diary ${planId}: ${came.outcome === 'full' ? 'it is full' : 'its robot is not here'}`);
    if (came.outcome !== 'added') return;
  }
}

async function bringPlan(data: Database, plan: PlanBrought, report: Report): Promise<void> {
  const newest = plan.revisions.find(({ revision }) => revision === plan.revision)!;
  const came = await data.write(async (manager) => {
    const here = await manager.findOneBy(PlanEntity, { id: plan.id });
    if (!here) {
      await insertPlan(manager, plan);
      return 'added';
    }
    const { document } = await manager.findOneByOrFail(RevisionEntity, { planId: here.id, revision: here.revision });
    if (document === newest.document) return 'there';
    const { name, text } = plan.beside;
    if (await manager.existsBy(PlanEntity, { name })) return 'there';
    const revisions = plan.revisions.map((one) => (one === newest ? { ...one, document: text } : one));
    const sought = plan.sought.replace(/^.*/, name.toLowerCase());
    await insertPlan(manager, { ...plan, id: randomUUID(), name, sought, revisions });
    return name;
  });
  if (came === 'added') report.plansAdded++;
  else if (came === 'there') report.plansThere++;
  else report.plansBeside.push(came);
}

async function insertPlan(manager: EntityManager, plan: PlanBrought): Promise<void> {
  const { id, name, revision, savedAt, deletedAt, revisions, sought } = plan;
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
  for (const one of revisions) {
    await manager.insert(RevisionEntity, { planId: id, ...one, changed: null });
    await setImmediate();
  }
}

/** So many parts are brought at once: whoever else asks is answered between two times. */
const AT_ONCE = 25;

async function bringParts(data: Database, parts: readonly PartBrought[], report: Report): Promise<void> {
  for (let from = 0; from < parts.length; from += AT_ONCE) {
    const some = parts.slice(from, from + AT_ONCE);
    await data.write(async (manager) => {
      for (const part of some) {
        const came = await bringPart(manager, part);
        if (came === 'added') report.partsAdded++;
        else if (came === 'there') report.partsThere++;
        else report.refused.push(`part ${part.id}: the shelf is full`);
      }
    });
    await setImmediate();
  }
}

/** A part of the team's own that is not here; or what the team says of a shipped one of which nothing is said here. */
async function bringPart(manager: EntityManager, archived: PartBrought): Promise<'added' | 'there' | 'full'> {
  const { id, kind, revision, part: text, shipped, common, retired } = archived;
  const here = await manager.findOneBy(ShelfEntity, { id });
  if (!here && shipped === null) {
    if ((await manager.count(ShelfEntity)) >= MOST_ON_SHELF) return 'full';
    await manager.insert(ShelfEntity, { id, kind, revision, part: text, shipped, common, retired });
    return 'added';
  }
  if (!here || here.shipped === null || shipped === null) return 'there';
  const [now, part] = [JSON.parse(here.part) as Part, JSON.parse(text) as Part];
  const saidHere = here.common || here.retired || !sameMarks(now, shippedPart(id));
  if (saidHere || (!common && !retired && sameMarks(part, now))) return 'there';
  const marked = JSON.stringify({ ...now, owned: part.owned, price: part.price });
  await manager.update(ShelfEntity, { id }, { common, retired, part: marked, revision: here.revision + 1 });
  return 'added';
}

const shippedPart = (id: string): Part | undefined => readShelf().find((item) => item.id === id)?.part;

/** What a team says of a part in its figures: how many it owns, and the price. */
const sameMarks = (a: Part, b: Part | undefined): boolean =>
  a.owned === b?.owned && JSON.stringify(a.price) === JSON.stringify(b?.price);
