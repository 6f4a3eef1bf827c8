import { once } from 'node:events';
import type { Writable } from 'node:stream';
import { setImmediate } from 'node:timers/promises';
import type { Part } from '@rough-gear/core';
import { strToU8, Zip, ZipDeflate } from 'fflate';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, ShelfEntity } from '../db/entities.js';
import { DiaryStore } from '../diary/store.js';
import { TrialStore } from '../trials/store.js';
import { VERSION } from '../version.js';
import {
  ARCHIVE_FORMAT,
  ARCHIVE_VERSION,
  diaryPath,
  MANIFEST,
  planPath,
  SHELF,
  trialPath,
  type ArchivedDiary,
  type ArchivedPart,
  type ArchivedPlan,
  type ArchivedTrial,
} from './format.js';

/** So much is packed at once, bytes. */
const PIECE = 256 * 1024;

/** Writes everything as one archive, a plan at a time: however much there is, little of it is held at once. */
export async function writeArchive(data: Database, out: Writable, now: Date = new Date()): Promise<void> {
  const zip = new Zip((problem, chunk, last) => {
    if (problem) return void out.destroy(problem);
    out.write(chunk);
    if (last) out.end();
  });
  const add = async (name: string, content: unknown): Promise<void> => {
    const file = new ZipDeflate(name, { level: 6 });
    zip.add(file);
    const bytes = strToU8(JSON.stringify(content));
    for (let at = 0; at === 0 || at < bytes.length; at += PIECE) {
      file.push(bytes.subarray(at, at + PIECE), at + PIECE >= bytes.length);
      // Backpressure: nothing more is read before the connection has taken what was written.
      if (out.writableNeedDrain && !out.destroyed) await Promise.race([once(out, 'drain'), once(out, 'close')]);
      // Others go on meanwhile.
      await setImmediate();
    }
  };
  await add(MANIFEST, {
    format: ARCHIVE_FORMAT,
    version: ARCHIVE_VERSION,
    madeAt: now.toISOString(),
    program: VERSION,
  });
  await add(SHELF, await shelfOf(data));
  const ids = await data.read((manager) => manager.find(PlanEntity, { select: { id: true } }));
  for (const { id } of ids) {
    if (out.destroyed) return;
    const plan = await planOf(data, id);
    if (plan) await add(planPath(id), plan);
  }
  for await (const { id, trial, takings } of new TrialStore(data).all()) {
    if (out.destroyed) return;
    await add(trialPath(id), { id, trial, takings } satisfies ArchivedTrial);
  }
  const diaries = new DiaryStore(data);
  for (const { id: planId } of ids) {
    if (out.destroyed) return;
    const entries = (await diaries.of(planId)) ?? [];
    if (entries.length > 0) await add(diaryPath(planId), { planId, entries } satisfies ArchivedDiary);
  }
  zip.end();
}

const planOf = (data: Database, id: string): Promise<ArchivedPlan | undefined> =>
  data.read(async (manager) => {
    const row = await manager.findOneBy(PlanEntity, { id });
    if (!row) return undefined;
    const { name, revision, savedAt, deletedAt } = row;
    const revisions = await manager.find(RevisionEntity, { where: { planId: id }, order: { revision: 'ASC' } });
    return {
      id,
      name,
      revision,
      savedAt,
      deletedAt,
      revisions: revisions.map((one) => ({ revision: one.revision, savedAt: one.savedAt, document: one.document })),
    };
  });

const shelfOf = (data: Database): Promise<readonly ArchivedPart[]> =>
  data.read(async (manager) =>
    (await manager.find(ShelfEntity, { order: { id: 'ASC' } })).map(
      ({ id, revision, part, shipped, common, retired }): ArchivedPart => ({
        id,
        revision,
        part: JSON.parse(part) as Part,
        shipped,
        common: Boolean(common),
        retired: Boolean(retired),
      }),
    ),
  );
