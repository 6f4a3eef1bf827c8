import { randomUUID } from 'node:crypto';
import type { RevisionSummary, StoredPlan } from '@rough-gear/contract';
import type { Plan } from '@rough-gear/core';
import { IsNull, Not, type EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, type PlanRow, type RevisionRow } from '../db/entities.js';
import { readDocument } from './document.js';
import { thinned } from './retention.js';

/** What came of a save: the new state, or the one that stands in its way. */
export type Saved =
  { readonly ok: true; readonly plan: StoredPlan } | { readonly ok: false; readonly stored: StoredPlan };

/** A plan in a list: its document as it lies in the file, to be read where it is wanted. */
export interface ListedPlan extends Omit<StoredPlan, 'document'> {
  readonly name: string;
  readonly deletedAt?: string;
  readonly text: string;
}

/** Plans and their revisions in SQLite. Every save is one transaction: a row of revisions and the plan's own. */
export class PlanStore {
  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  async isEmpty(): Promise<boolean> {
    return this.data.read(async (manager) => (await manager.count(PlanEntity)) === 0);
  }

  /** Plans in use, or those in the bin; the last saved in front. */
  async list(inBin: boolean): Promise<readonly ListedPlan[]> {
    return this.data.read(async (manager) => {
      const rows = await manager.find(PlanEntity, {
        where: { deletedAt: inBin ? Not(IsNull()) : IsNull() },
        order: { savedAt: 'DESC' },
      });
      const plans: ListedPlan[] = [];
      for (const row of rows) {
        const { document } = await this.document(manager, row);
        const { id, name, revision, savedAt, deletedAt } = row;
        plans.push({ id, name, revision, savedAt, deletedAt: deletedAt ?? undefined, text: document });
      }
      return plans;
    });
  }

  /** A plan in use; `undefined` where there is none, or it is in the bin. */
  async open(id: string): Promise<StoredPlan | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      return row ? this.stored(manager, row) : undefined;
    });
  }

  async create(document: Plan): Promise<StoredPlan> {
    const id = randomUUID();
    return this.data.write(async (manager) => {
      await manager.insert(PlanEntity, { id, name: document.name, revision: 0, savedAt: this.now(), deletedAt: null });
      return this.write(manager, id, 1, document);
    });
  }

  /** Saves over a known revision. Another one in the meantime stands in its way and is handed back. */
  async save(id: string, basedOn: number, document: Plan): Promise<Saved | undefined> {
    return this.data.write(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      if (!row) return undefined;
      if (row.revision !== basedOn) return { ok: false, stored: await this.stored(manager, row) } as const;
      return { ok: true, plan: await this.write(manager, id, basedOn + 1, document) } as const;
    });
  }

  /** Into the bin, or out of it. False where there is no such plan there. */
  async setDeleted(id: string, deleted: boolean): Promise<boolean> {
    const where = { id, deletedAt: deleted ? IsNull() : Not(IsNull()) };
    return this.data.write(
      async (manager) =>
        (await manager.update(PlanEntity, where, { deletedAt: deleted ? this.now() : null })).affected === 1,
    );
  }

  async revisions(id: string): Promise<readonly RevisionSummary[]> {
    return this.data.read((manager) =>
      manager.find(RevisionEntity, {
        where: { planId: id },
        select: { revision: true, savedAt: true },
        order: { revision: 'DESC' },
      }),
    );
  }

  async revision(id: string, revision: number): Promise<StoredPlan | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(RevisionEntity, { planId: id, revision });
      return row ? { id, revision, savedAt: row.savedAt, document: readDocument(row.document) } : undefined;
    });
  }

  /** A plan as it lies in the file, whether this version can read it or not; in the bin too. */
  async raw(id: string): Promise<{ readonly name: string; readonly text: string } | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id });
      return row ? { name: row.name, text: (await this.document(manager, row)).document } : undefined;
    });
  }

  private async stored(manager: EntityManager, { id, revision, savedAt }: PlanRow): Promise<StoredPlan> {
    const { document } = await this.document(manager, { id, revision });
    return { id, revision, savedAt, document: readDocument(document) };
  }

  private document(manager: EntityManager, { id, revision }: Pick<PlanRow, 'id' | 'revision'>): Promise<RevisionRow> {
    return manager.findOneByOrFail(RevisionEntity, { planId: id, revision });
  }

  private async write(manager: EntityManager, id: string, revision: number, document: Plan): Promise<StoredPlan> {
    const savedAt = this.now();
    await manager.insert(RevisionEntity, { planId: id, revision, savedAt, document: JSON.stringify(document) });
    await manager.update(PlanEntity, { id }, { name: document.name, revision, savedAt });
    const kept = await manager.find(RevisionEntity, {
      where: { planId: id },
      select: { revision: true, savedAt: true },
    });
    for (const old of thinned(kept)) await manager.delete(RevisionEntity, { planId: id, revision: old });
    return { id, revision, savedAt, document };
  }
}
