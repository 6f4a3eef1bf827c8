import type { Writable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity } from '../db/entities.js';
import { DiaryStore } from '../diary/store.js';
import { drained } from '../http/drained.js';
import { jsonWith } from '../http/rawJson.js';
import { ShelfStore } from '../shelf/store.js';
import { TrialStore } from '../trials/store.js';
import { VERSION } from '../version.js';
import { ARCHIVE_FORMAT, ARCHIVE_VERSION, diaryPath, MANIFEST, planPath, SHELF, trialPath } from './format.js';

/** So much is packed at once, bytes. */
const PIECE = 64 * 1024;

/** Writes everything as one archive, a plan at a time: however much there is, little of it is held at once. */
export async function writeArchive(data: Database, out: Writable, now: Date = new Date()): Promise<void> {
  const zip = new Zip((problem, chunk, last) => {
    if (problem) return void out.destroy(problem);
    out.write(chunk);
    if (last) out.end();
  });
  const add = async (name: string, text: string): Promise<void> => {
    const file = new ZipDeflate(name, { level: 6 });
    zip.add(file);
    const bytes = strToU8(text);
    await setImmediate();
    for (let at = 0; at === 0 || at < bytes.length; at += PIECE) {
      file.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
      await drained(out);
    }
  };
  const made = { format: ARCHIVE_FORMAT, version: ARCHIVE_VERSION, madeAt: now.toISOString(), program: VERSION };
  await add(MANIFEST, JSON.stringify(made));
  await add(SHELF, await shelfOf(data));
  const ids = await data.read((manager) => manager.find(PlanEntity, { select: { id: true } }));
  for (const { id } of ids) {
    if (out.destroyed) return;
    const plan = await planOf(data, id);
    if (plan) await add(planPath(id), plan);
  }
  for await (const { id, document, takings } of new TrialStore(data).all()) {
    if (out.destroyed) return;
    await add(trialPath(id), jsonWith({ id }, { trial: document, takings }));
  }
  const diaries = new DiaryStore(data);
  for (const { id: planId } of ids) {
    if (out.destroyed) return;
    const [told, putAway] = [(await diaries.news(planId))?.entries ?? [], await diaries.putAway(planId)];
    if (told.length + putAway.length > 0)
      await add(
        diaryPath(planId),
        jsonWith({ planId }, { entries: `[${told.join(',')}]`, putAway: `[${putAway.join(',')}]` }),
      );
  }
  zip.end();
}

/** A plan with all its saves as JSON; each save is written by itself, and others go on between two. */
async function planOf(data: Database, id: string): Promise<string | undefined> {
  const found = await data.read(async (manager) => {
    const plan = await manager.findOneBy(PlanEntity, { id });
    return (
      plan && { plan, all: await manager.find(RevisionEntity, { where: { planId: id }, order: { revision: 'ASC' } }) }
    );
  });
  if (!found) return undefined;
  const { name, revision, savedAt, deletedAt } = found.plan;
  const saves: string[] = [];
  for (const one of found.all) {
    saves.push(JSON.stringify({ revision: one.revision, savedAt: one.savedAt, document: one.document }));
    await setImmediate();
  }
  return jsonWith({ id, name, revision, savedAt, deletedAt }, { revisions: `[${saves.join(',')}]` });
}

const shelfOf = async (data: Database): Promise<string> => {
  const rows = await new ShelfStore(data).rows(undefined, true);
  const parts = rows.map(({ id, revision, part, shipped, common, retired }) =>
    jsonWith({ id, revision, shipped, common: Boolean(common), retired: Boolean(retired) }, { part }),
  );
  return `[${parts.join(',')}]`;
};
