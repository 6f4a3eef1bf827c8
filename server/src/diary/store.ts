import { MOST_ENTRIES } from '@rough-gear/contract/diary';
import type { RobotFault } from '@rough-gear/contract';
import { openFaults, type DiaryEntry } from '@rough-gear/core';
import { IsNull, type EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { DiaryEntity, PlanEntity } from '../db/entities.js';

/** What came of adding: entries that were there already are not counted. */
export type DiaryAdded =
  | { readonly outcome: 'added'; readonly added: number; readonly entries: readonly DiaryEntry[] }
  | { readonly outcome: 'missing' }
  | { readonly outcome: 'full' };

/**
 * Diaries of the robots in SQLite. Entries are only added, each once by its id: two phones that come home one after the
 * other both keep what they wrote.
 */
export class DiaryStore {
  constructor(private readonly data: Database) {}

  /** The whole diary, the oldest first; `undefined` where there is no such robot. */
  async of(planId: string): Promise<readonly DiaryEntry[] | undefined> {
    return this.data.read(async (manager) =>
      (await manager.existsBy(PlanEntity, { id: planId })) ? entriesOf(manager, planId) : undefined,
    );
  }

  /** Faults on all robots that nobody has mended and that ask for a trial. */
  async faults(): Promise<readonly RobotFault[]> {
    return this.data.read(async (manager) => {
      const robots = await manager.find(PlanEntity, {
        select: { id: true, name: true },
        where: { deletedAt: IsNull() },
      });
      const found: RobotFault[] = [];
      for (const { id: planId, name: robot } of robots)
        for (const fault of openFaults(await entriesOf(manager, planId)))
          if (fault.asks === 'a trial') found.push({ planId, robot, fault });
      return found;
    });
  }

  async add(planId: string, entries: readonly DiaryEntry[]): Promise<DiaryAdded> {
    return this.data.write(async (manager): Promise<DiaryAdded> => {
      if (!(await manager.existsBy(PlanEntity, { id: planId }))) return { outcome: 'missing' };
      const before = await manager.countBy(DiaryEntity, { planId });
      if (before + entries.length > MOST_ENTRIES) return { outcome: 'full' };
      for (const entry of entries)
        await manager
          .createQueryBuilder()
          .insert()
          .orIgnore()
          .into(DiaryEntity)
          .values({ id: entry.id, planId, at: entry.at, entry: JSON.stringify(entry) })
          .execute();
      const all = await entriesOf(manager, planId);
      return { outcome: 'added', added: all.length - before, entries: all };
    });
  }
}

const entriesOf = async (manager: EntityManager, planId: string): Promise<readonly DiaryEntry[]> =>
  (await manager.find(DiaryEntity, { where: { planId }, order: { at: 'ASC', id: 'ASC' } })).map(
    ({ entry }) => JSON.parse(entry) as DiaryEntry,
  );
