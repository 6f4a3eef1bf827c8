import { MOST_ENTRIES } from '@rough-gear/contract/diary';
import { setImmediate } from 'node:timers/promises';
import type { DiaryLength, RobotFault } from '@rough-gear/contract';
import { openFaults, type DiaryEntry } from '@rough-gear/core';
import { In, type EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { DiaryEntity, type DiaryRow } from '../db/entities.js';

/** What a diary has that a device does not know yet; entries as they are written. */
export interface News {
  readonly entries: readonly string[];
  readonly cursor: string;
  readonly whole: boolean;
}

/** What came of adding: entries that were there already are not counted. */
export type DiaryAdded =
  | { readonly outcome: 'added'; readonly added: number; readonly news: News }
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
  /** They were put away there, and are so here. */
  readonly putAway?: boolean;
}

/** So many are asked for, or written, at once: whoever else asks is answered between two times. */
const AT_ONCE = 200;

/**
 * Diaries of the robots in SQLite. Entries are only added, each once by its id: two phones that come home one after the
 * other both keep what they wrote. A device is told what is new since the cursor that it was given before.
 */
export class DiaryStore {
  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  /** What is new since a cursor, or all of it where that is unknown here, as after a restore. */
  async news(planId: string, since?: string): Promise<News | undefined> {
    return this.data.read(async (manager) =>
      (await isHere(manager, planId)) ? newsOf(manager, planId, since) : undefined,
    );
  }

  /** Faults on all robots that nobody has mended and that ask for a trial. */
  async faults(): Promise<readonly RobotFault[]> {
    const last = await this.data.read((manager) => manager.query<readonly LastChecked[]>(LAST_CHECKED));
    return last.flatMap(({ planId, robot, entry }) =>
      openFaults([JSON.parse(entry) as DiaryEntry])
        .filter(({ asks }) => asks === 'a trial')
        .map((fault) => ({ planId, robot, fault })),
    );
  }

  /** How long the diaries of the robots in use are, the longest first. */
  async lengths(): Promise<readonly DiaryLength[]> {
    return this.data.read((manager) =>
      manager.query<readonly DiaryLength[]>(
        `SELECT "plan"."id" AS "planId", "plan"."name" AS "robot",
            SUM("diary"."putAwayAt" IS NULL) AS "lines", SUM("diary"."putAwayAt" IS NOT NULL) AS "putAway"
          FROM "diary" JOIN "plan" ON "plan"."id" = "diary"."planId" AND "plan"."deletedAt" IS NULL
          GROUP BY "plan"."id" ORDER BY "lines" DESC, "robot"`,
      ),
    );
  }

  /** Lines that were put away, as they are written. */
  async putAway(planId: string): Promise<readonly string[]> {
    const rows = await this.data.read((manager) => linesOf(manager, planId, 'IS NOT NULL'));
    return rows.map(({ entry }) => entry);
  }

  /** Puts lines away. They stay known by their ids: a phone that sends one again is told that it is there. */
  async putLinesAway(planId: string, ids: readonly string[]): Promise<void> {
    await this.data.write(async (manager) => {
      const now = this.now();
      for (let from = 0; from < ids.length; from += AT_ONCE) {
        if (from > 0) await setImmediate();
        await manager.update(DiaryEntity, { planId, id: In([...ids.slice(from, from + AT_ONCE)]) }, { putAwayAt: now });
      }
    });
  }

  /** Adds what is not there yet. What is there already is acknowledged, also when there is room for no more. */
  async add(
    planId: string,
    entries: readonly DiaryEntry[],
    { since, archived = false, putAway = false }: Coming = {},
  ): Promise<DiaryAdded> {
    return this.data.write(async (manager): Promise<DiaryAdded> => {
      if (!(await isHere(manager, planId))) return { outcome: 'missing' };
      const known = new Map<string, string>();
      for (let from = 0; from < entries.length; from += AT_ONCE) {
        if (from > 0) await setImmediate();
        const ids = entries.slice(from, from + AT_ONCE).map(({ id }) => id);
        const rows = await manager.query<readonly Pick<DiaryRow, 'id' | 'planId'>[]>(
          `SELECT "id", "planId" FROM "diary" WHERE "id" IN (${ids.map(() => '?').join(',')})`,
          ids,
        );
        for (const row of rows) known.set(row.id, row.planId);
      }
      const elsewhere = entries.find(({ id }) => known.has(id) && known.get(id) !== planId);
      if (elsewhere) return { outcome: 'elsewhere', id: elsewhere.id };
      const fresh = [...new Map(entries.map((entry) => [entry.id, entry])).values()].filter(({ id }) => !known.has(id));
      if (!putAway && (await toldOf(manager, planId)) + fresh.length > MOST_ENTRIES) return { outcome: 'full' };
      const now = this.now();
      const putAwayAt = putAway ? now : null;
      const rows = fresh.map((entry) => {
        const receivedAt = (archived ? entry.receivedAt : undefined) ?? now;
        const { id, at } = entry;
        return [id, planId, at, JSON.stringify({ ...entry, receivedAt }), putAwayAt];
      });
      for (let from = 0; from < rows.length; from += AT_ONCE) {
        if (from > 0) await setImmediate();
        const some = rows.slice(from, from + AT_ONCE);
        await manager.query(
          `INSERT INTO "diary" ("id", "planId", "at", "entry", "putAwayAt") VALUES ${some.map(() => '(?, ?, ?, ?, ?)').join(', ')}`,
          some.flat(),
        );
      }
      return { outcome: 'added', added: fresh.length, news: await newsOf(manager, planId, since) };
    });
  }
}

const isHere = async (manager: EntityManager, planId: string): Promise<boolean> =>
  (await manager.query<readonly unknown[]>('SELECT 1 FROM "plan" WHERE "id" = ?', [planId])).length > 0;

async function toldOf(manager: EntityManager, planId: string): Promise<number> {
  const [row] = await manager.query<readonly [{ readonly told: number }]>(
    'SELECT COUNT(*) AS "told" FROM "diary" WHERE "planId" = ? AND "putAwayAt" IS NULL',
    [planId],
  );
  return row.told;
}

const cursorOf = ({ seq, id }: Pick<DiaryRow, 'seq' | 'id'>): string => `${seq}.${id}`;

/** The number behind a cursor that this very diary gave out; 0 where it did not. */
async function numberOf(manager: EntityManager, planId: string, cursor: string): Promise<number> {
  const [number, id] = [cursor.slice(0, cursor.indexOf('.')), cursor.slice(cursor.indexOf('.') + 1)];
  const seq = Number(number);
  if (!Number.isInteger(seq)) return 0;
  const rows = await manager.query<readonly unknown[]>(
    'SELECT 1 FROM "diary" WHERE "seq" = ? AND "id" = ? AND "planId" = ?',
    [seq, id, planId],
  );
  return rows.length > 0 ? seq : 0;
}

type Line = Pick<DiaryRow, 'seq' | 'id' | 'entry'>;

/** Lines after a number in the order in which they came, those that stand or those that were put away. */
async function linesOf(
  manager: EntityManager,
  planId: string,
  putAway: 'IS NULL' | 'IS NOT NULL',
  after = 0,
): Promise<readonly Line[]> {
  const lines: Line[] = [];
  for (;;) {
    const some = await manager.query<readonly Line[]>(
      `SELECT "seq", "id", "entry" FROM "diary"
        WHERE "planId" = ? AND "seq" > ? AND "putAwayAt" ${putAway} ORDER BY "seq" LIMIT ${AT_ONCE}`,
      [planId, lines.at(-1)?.seq ?? after],
    );
    for (const line of some) lines.push(line);
    if (some.length < AT_ONCE) return lines;
    await setImmediate();
  }
}

async function newsOf(manager: EntityManager, planId: string, since = ''): Promise<News> {
  const after = since === '' ? 0 : await numberOf(manager, planId, since);
  const rows = await linesOf(manager, planId, 'IS NULL', after);
  const last = rows.at(-1);
  return {
    entries: rows.map(({ entry }) => entry),
    cursor: last ? cursorOf(last) : after > 0 ? since : '',
    whole: after === 0,
  };
}

interface LastChecked {
  readonly planId: string;
  readonly robot: string;
  readonly entry: string;
}

/** What was last said of each thing of each robot in use, by an index of what was said of which. */
const LAST_CHECKED = `SELECT "plan"."id" AS "planId", "plan"."name" AS "robot", "diary"."entry" AS "entry"
  FROM (SELECT MAX("seq") AS "seq" FROM "diary"
        WHERE json_extract("entry", '$.kind') = 'checked' AND json_extract("entry", '$.state') <> 'open'
        GROUP BY "planId", json_extract("entry", '$.check')) AS "last"
  JOIN "diary" ON "diary"."seq" = "last"."seq"
  JOIN "plan" ON "plan"."id" = "diary"."planId" AND "plan"."deletedAt" IS NULL
  ORDER BY "plan"."name", "diary"."seq"`;
