import type { ShelfPart } from '@rough-gear/contract';
import type { Part, PartKind } from '@rough-gear/core';
import type { DataSource } from 'typeorm';
import { ShelfEntity } from '../db/entities.js';
import { readShelf } from './data.js';

/** The shelf in SQLite. */
export class ShelfStore {
  constructor(private readonly source: DataSource) {}

  /** Puts the generic parts on the shelf that are not there yet: a newer version brings more of them. */
  async seed(): Promise<void> {
    const shelf = this.source.getRepository(ShelfEntity);
    const there = new Set((await shelf.find({ select: { id: true } })).map(({ id }) => id));
    await shelf.insert(
      readShelf()
        .filter(({ id }) => !there.has(id))
        .map(({ id, revision, part }) => ({ id, revision, kind: part.kind, part: JSON.stringify(part) })),
    );
  }

  async list(kind?: PartKind): Promise<readonly ShelfPart[]> {
    const rows = await this.source
      .getRepository(ShelfEntity)
      .find({ ...(kind ? { where: { kind } } : {}), order: { id: 'ASC' } });
    return rows.map(({ id, revision, part }) => ({ id, revision, part: JSON.parse(part) as Part }));
  }
}
