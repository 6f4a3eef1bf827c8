import { randomUUID } from 'node:crypto';
import type { ShelfMarks, ShelfPart } from '@rough-gear/contract';
import type { ImportLine } from '@rough-gear/contract/shelf-files';
import type { Part, PartKind } from '@rough-gear/core';
import type { EntityManager, Repository } from 'typeorm';
import type { Database } from '../db/database.js';
import { ShelfEntity, type ShelfRow } from '../db/entities.js';
import { readShelf } from './data.js';

/** What a change of a part came to. */
export type ShelfSaved =
  | { readonly outcome: 'saved'; readonly item: ShelfPart }
  | { readonly outcome: 'missing' }
  | { readonly outcome: 'shipped' }
  | { readonly outcome: 'stale'; readonly stored: ShelfPart };

/** The shelf in SQLite: parts that ship with the application, and the team's own. */
export class ShelfStore {
  constructor(private readonly data: Database) {}

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
    const where = { ...(kind ? { kind } : {}), ...(retired ? {} : { retired: false }) };
    const rows = await this.data.read((manager) => rowsIn(manager).find({ where, order: { id: 'ASC' } }));
    return rows.map(itemOf);
  }

  async add(part: Part): Promise<ShelfPart> {
    const row = newRow(part);
    await this.data.write((manager) => rowsIn(manager).insert(row));
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

  /** Takes in all lines of a sound import, or none of them. */
  async take(lines: readonly ImportLine[]): Promise<void> {
    await this.data.write(async (manager) => {
      const shelf = rowsIn(manager);
      const there = new Map((await shelf.find()).map((row) => [row.id, row]));
      const rows = lines.flatMap(({ id, does, part, common = false, retired = false }): readonly ShelfRow[] => {
        if (!part || does === 'same') return [];
        const old = id === undefined ? undefined : there.get(id);
        if (!old) return [{ ...newRow(part), common, retired }];
        const text = JSON.stringify(part);
        return [{ ...old, common, retired, revision: old.revision + (text === old.part ? 0 : 1), part: text }];
      });
      await putAll(shelf, rows);
    });
  }
}

const newRow = (part: Part): ShelfRow => ({
  id: `own-${randomUUID()}`,
  kind: part.kind,
  revision: 1,
  part: JSON.stringify(part),
  shipped: null,
  common: false,
  retired: false,
});

const itemOf = ({ id, revision, part, shipped, common, retired }: ShelfRow): ShelfPart => ({
  id,
  revision,
  part: JSON.parse(part) as Part,
  own: shipped === null,
  common: Boolean(common),
  retired: Boolean(retired),
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

/** So many rows a statement: SQLite takes only so many values in one. */
const CHUNK = 500;

async function putAll(shelf: Repository<ShelfRow>, rows: readonly ShelfRow[]): Promise<void> {
  for (let i = 0; i < rows.length; i += CHUNK) await shelf.upsert(rows.slice(i, i + CHUNK), ['id']);
}

const rowsIn = (manager: EntityManager): Repository<ShelfRow> => manager.getRepository(ShelfEntity);
