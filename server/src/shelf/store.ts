import { Answered, type Answer } from '../answered.js';
import { randomUUID } from 'node:crypto';
import type { ShelfImport, ShelfMarks, ShelfPart, TakenBack } from '@rough-gear/contract';
import { setImmediate } from 'node:timers/promises';
import { MOST_ON_SHELF } from '@rough-gear/contract/shelf-files';
import type { Part, PartKind } from '@rough-gear/core';
import type { EntityManager, Repository } from 'typeorm';
import type { Database } from '../db/database.js';
import { ShelfEntity, ShelfImportEntity, type ShelfRow } from '../db/entities.js';
import { readShelf } from './data.js';
import { itemOf, type SheetLine } from './reading.js';

/** What a change of a part came to. */
export type ShelfSaved =
  | { readonly outcome: 'saved'; readonly item: ShelfPart }
  | { readonly outcome: 'missing' }
  | { readonly outcome: 'shipped' }
  | { readonly outcome: 'stale'; readonly stored: ShelfPart };

/** The shelf in SQLite: parts that ship with the application, and the team's own. */
export class ShelfStore {
  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  /**
   * Puts the shipped parts on the shelf that are not there yet, and newer figures of those that are: a newer version
   * brings more of them. What the team said of them stays: how many it owns, its price, its marks.
   */
  async seed(): Promise<void> {
    await this.data.write(async (manager) => {
      const shelf = rowsIn(manager);
      const there = new Map((await shelf.find()).map((row) => [row.id, row]));
      await putAll(shelf, ships(there));
    });
  }

  /** In the order of their names; those retired only where asked for. */
  async list(kind?: PartKind, retired = false): Promise<readonly ShelfPart[]> {
    return (await this.rows(kind, retired)).map(itemOf);
  }

  /** The same as they are stored: a shelf may hold thousands. */
  async rows(kind?: PartKind, retired = false): Promise<readonly ShelfRow[]> {
    const where = [...(kind ? ['"kind" = ?'] : []), ...(retired ? [] : ['NOT "retired"'])];
    const condition = where.length > 0 ? `WHERE ${where.join(' AND ')}` : '';
    return this.data.read((manager) =>
      manager.query<readonly ShelfRow[]>(`SELECT * FROM "shelf_part" ${condition} ORDER BY "id"`, kind ? [kind] : []),
    );
  }

  async add(part: Part): Promise<ShelfPart> {
    const row = newRow(part.kind, JSON.stringify(part));
    await this.data.write(async (manager) => {
      if ((await rowsIn(manager).count()) >= MOST_ON_SHELF) throw new ShelfFull();
      await rowsIn(manager).insert(row);
    });
    return itemOf(row);
  }

  /** Changes a part of the team's own. Refused where it has changed since, or ships with the application. */
  async replace(id: string, basedOn: number, part: Part): Promise<ShelfSaved> {
    return this.data.write(async (manager): Promise<ShelfSaved> => {
      const shelf = rowsIn(manager);
      const row = await shelf.findOneBy({ id });
      if (!row || row.kind !== part.kind) return { outcome: 'missing' };
      if (row.shipped !== null) return { outcome: 'shipped' };
      if (row.revision !== basedOn) return { outcome: 'stale', stored: itemOf(row) };
      const next = { ...row, revision: row.revision + 1, part: JSON.stringify(part) };
      await shelf.update({ id }, next);
      return { outcome: 'saved', item: itemOf(next) };
    });
  }

  /** Sets what the team says of any part. A price is a figure: with it the part has a newer version. */
  async mark(id: string, { owned, price, ...marks }: ShelfMarks): Promise<ShelfSaved> {
    return this.data.write(async (manager): Promise<ShelfSaved> => {
      const shelf = rowsIn(manager);
      const row = await shelf.findOneBy({ id });
      if (!row) return { outcome: 'missing' };
      const { price: before, ...part } = JSON.parse(row.part) as Part;
      const after = price === undefined ? before : (price ?? undefined);
      const changed = { ...part, owned: owned ?? part.owned, price: after };
      const newer = JSON.stringify(before) === JSON.stringify(after) ? 0 : 1;
      const next = { ...row, ...marks, revision: row.revision + newer, part: JSON.stringify(changed) };
      await shelf.update({ id }, next);
      return { outcome: 'saved', item: itemOf(next) };
    });
  }

  /** Takes in all lines of a sound import, or none of them; what they replaced is kept, so that they can be taken back. */
  async take(kind: PartKind, lines: readonly SheetLine[]): Promise<void> {
    await this.data.write(async (manager) => {
      const all = await manager.query<ShelfRow[]>('SELECT * FROM "shelf_part" WHERE "kind" = ?', [kind]);
      const there = new Map(all.map((row) => [row.id, row]));
      const rows = lines.map(({ id, part, common = false, retired = false }): ShelfRow => {
        const old = id === undefined ? undefined : there.get(id);
        if (!old) return { ...newRow(kind, part), common, retired };
        return { ...old, common, retired, revision: old.revision + (part === old.part ? 0 : 1), part };
      });
      const more = rows.filter(({ id }) => !there.has(id)).length;
      if ((await rowsIn(manager).count()) + more > MOST_ON_SHELF) throw new ShelfFull();
      await putAll(rowsIn(manager), rows);
      const replaced = rows.map((after): Replaced => ({ before: there.get(after.id) ?? null, after }));
      if (rows.length > 0)
        await manager.insert(ShelfImportEntity, { takenAt: this.now(), kind, replaced: await inPieces(replaced) });
      const kept = await manager.find(ShelfImportEntity, { select: { id: true }, order: { id: 'DESC' } });
      for (const { id } of kept.slice(IMPORTS_KEPT)) await manager.delete(ShelfImportEntity, { id });
    });
  }

  /** The imports that can be taken back, the last one in front. */
  async imports(): Promise<readonly ShelfImport[]> {
    const rows = await this.data.read((manager) => manager.find(ShelfImportEntity, { order: { id: 'DESC' } }));
    return rows.map(({ id, takenAt, kind, replaced }) => {
      const all = JSON.parse(replaced) as readonly Replaced[];
      const made = all.filter(({ before }) => before === null).length;
      return { id, takenAt, kind: kind as PartKind, made, changed: all.length - made };
    });
  }

  /** Takes an import back: what it made goes, what it changed is as it was. What was changed since stays as it is. */
  async takeBack(importId: number): Promise<TakenBack | undefined> {
    return this.data.write(async (manager) => {
      const found = await manager.findOneBy(ShelfImportEntity, { id: importId });
      if (!found) return undefined;
      const shelf = rowsIn(manager);
      const left: string[] = [];
      let [removed, restored] = [0, 0];
      for (const { before, after } of JSON.parse(found.replaced) as readonly Replaced[]) {
        const now = await shelf.findOneBy({ id: after.id });
        if (!now || now.revision !== after.revision || now.part !== after.part) {
          left.push((JSON.parse(after.part) as Part).name);
        } else if (before === null) {
          await shelf.delete({ id: after.id });
          removed++;
        } else {
          await shelf.update({ id: after.id }, { ...before, revision: now.revision + 1 });
          restored++;
        }
      }
      await manager.delete(ShelfImportEntity, { id: importId });
      return { removed, restored, left };
    });
  }
}

/** A row before an import and after it; none before where the import made it. */
interface Replaced {
  readonly before: ShelfRow | null;
  readonly after: ShelfRow;
}

/** The last so many imports can be taken back. */
const IMPORTS_KEPT = 20;

/** The shelf holds as many parts as it can. */
class ShelfFull extends Answered {
  constructor() {
    super(`a shelf holds ${MOST_ON_SHELF} parts at most`);
  }

  get answer(): Answer {
    return { title: 'The shelf is full', status: 422, detail: this.message };
  }
}

const newRow = (kind: PartKind, part: string): ShelfRow => ({
  id: `own-${randomUUID()}`,
  kind,
  revision: 1,
  part,
  shipped: null,
  common: false,
  retired: false,
});

/** The shipped parts that are not there yet, and the newer ones, each with what the team said of it. */
const ships = (there: ReadonlyMap<string, ShelfRow>): readonly ShelfRow[] =>
  readShelf().flatMap(({ id, revision, part }): readonly ShelfRow[] => {
    const old = there.get(id);
    if (!old)
      return [
        {
          id,
          revision,
          kind: part.kind,
          part: JSON.stringify(part),
          shipped: revision,
          common: false,
          retired: false,
        },
      ];
    if (old.shipped === null || old.shipped >= revision) return [];
    const { owned, price } = JSON.parse(old.part) as Part;
    const kept: Part = { ...part, owned: owned ?? part.owned, price: price ?? part.price };
    return [{ ...old, revision: old.revision + 1, shipped: revision, part: JSON.stringify(kept) }];
  });

/** So many rows at once: whoever else asks is answered between two times. */
const CHUNK = 100;

async function putAll(shelf: Repository<ShelfRow>, rows: readonly ShelfRow[]): Promise<void> {
  for (let i = 0; i < rows.length; i += CHUNK) {
    await shelf.upsert(rows.slice(i, i + CHUNK), ['id']);
    await setImmediate();
  }
}

/** A long list as JSON. */
async function inPieces(list: readonly unknown[]): Promise<string> {
  const pieces: string[] = [];
  for (let i = 0; i < list.length; i += CHUNK) {
    pieces.push(JSON.stringify(list.slice(i, i + CHUNK)).slice(1, -1));
    await setImmediate();
  }
  return `[${pieces.join(',')}]`;
}

const rowsIn = (manager: EntityManager): Repository<ShelfRow> => manager.getRepository(ShelfEntity);
