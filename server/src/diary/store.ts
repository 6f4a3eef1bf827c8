import { MOST_ENTRIES } from '@rough-gear/contract/diary';
import type { DiaryNews, RobotFault } from '@rough-gear/contract';
import { openFaults, type DiaryEntry } from '@rough-gear/core';
import { In, IsNull, MoreThan, type EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { DiaryEntity, PlanEntity, type DiaryRow } from '../db/entities.js';

/** What came of adding: entries that were there already are not counted. */
export type DiaryAdded =
  | { readonly outcome: 'added'; readonly added: number; readonly news: DiaryNews }
  | { readonly outcome: 'missing' }
  | { readonly outcome: 'full' }
  /** The id of one is that of an entry of another robot. */
  | { readonly outcome: 'elsewhere'; readonly id: string };

/** How entries come. */
interface Coming {
  /** What the device knows already. */
  readonly since?: string;
  /** Out of an archive: they were received when it says. */
  readonly archived?: boolean;
}

/** So many ids are asked for at once. */
const AT_ONCE = 500;

/**
 * Diaries of the robots in SQLite. Entries are only added, each once by its id: two phones that come home one after the
 * other both keep what they wrote. A device is told what is new since the cursor that it was given before.
 */
export class DiaryStore {
  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  /** The whole diary, in the order in which it was received; `undefined` where there is no such robot. */
  async of(planId: string): Promise<readonly DiaryEntry[] | undefined> {
    return (await this.news(planId))?.entries;
  }

  /** What is new since a cursor, or all of it where that is unknown here, as after a restore. */
  async news(planId: string, since?: string): Promise<DiaryNews | undefined> {
    return this.data.read(async (manager) =>
      (await manager.existsBy(PlanEntity, { id: planId })) ? newsOf(manager, planId, since) : undefined,
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
        for (const fault of openFaults((await newsOf(manager, planId)).entries))
          if (fault.asks === 'a trial') found.push({ planId, robot, fault });
      return found;
    });
  }

  /** Adds what is not there yet. What is there already is acknowledged, also when there is room for no more. */
  async add(
    planId: string,
    entries: readonly DiaryEntry[],
    { since, archived = false }: Coming = {},
  ): Promise<DiaryAdded> {
    return this.data.write(async (manager): Promise<DiaryAdded> => {
      if (!(await manager.existsBy(PlanEntity, { id: planId }))) return { outcome: 'missing' };
      const known = new Map<string, string>();
      for (let at = 0; at < entries.length; at += AT_ONCE) {
        const ids = entries.slice(at, at + AT_ONCE).map(({ id }) => id);
        const rows = await manager.find(DiaryEntity, { select: { id: true, planId: true }, where: { id: In(ids) } });
        for (const row of rows) known.set(row.id, row.planId);
      }
      const elsewhere = entries.find(({ id }) => known.has(id) && known.get(id) !== planId);
      if (elsewhere) return { outcome: 'elsewhere', id: elsewhere.id };
      const fresh = [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !known.has(id));
      if ((await manager.countBy(DiaryEntity, { planId })) + fresh.length > MOST_ENTRIES) return { outcome: 'full' };
      const now = this.now();
      for (const entry of fresh) {
        const receivedAt = (archived ? entry.receivedAt : undefined) ?? now;
        const { id, at } = entry;
        await manager.insert(DiaryEntity, { id, planId, at, entry: JSON.stringify({ ...entry, receivedAt }) });
      }
      return { outcome: 'added', added: fresh.length, news: await newsOf(manager, planId, since) };
    });
  }
}

const cursorOf = ({ seq, id }: Pick<DiaryRow, 'seq' | 'id'>): string => `${seq}.${id}`;

/** The number behind a cursor that this very diary gave out; 0 where it did not. */
async function numberOf(manager: EntityManager, planId: string, cursor: string): Promise<number> {
  const [number, id] = [cursor.slice(0, cursor.indexOf('.')), cursor.slice(cursor.indexOf('.') + 1)];
  const seq = Number(number);
  return Number.isInteger(seq) && (await manager.existsBy(DiaryEntity, { seq, id, planId })) ? seq : 0;
}

async function newsOf(manager: EntityManager, planId: string, since = ''): Promise<DiaryNews> {
  const after = since === '' ? 0 : await numberOf(manager, planId, since);
  const rows = await manager.find(DiaryEntity, { where: { planId, seq: MoreThan(after) }, order: { seq: 'ASC' } });
  const last = rows.at(-1);
  return {
    // Those of an earlier version were received when they were written, for all that is known.
    entries: rows.map(({ at, entry }) => ({ receivedAt: at, ...(JSON.parse(entry) as DiaryEntry) })),
    cursor: last ? cursorOf(last) : after > 0 ? since : '',
    whole: after === 0,
  };
}
