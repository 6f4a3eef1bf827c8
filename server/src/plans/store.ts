import { randomUUID } from 'node:crypto';
import type { RevisionSummary, StoredPlan } from '@rough-gear/contract';
import { migrate } from '@rough-gear/contract/migrate';
import type { Plan } from '@rough-gear/core';
import { IsNull, Not, type DataSource, type EntityManager } from 'typeorm';
import { PlanEntity, RevisionEntity, type PlanRow } from '../db/entities.js';
import { thinned } from './retention.js';

/** What came of a save: the new state, or the one that stands in its way. */
export type Saved =
  { readonly ok: true; readonly plan: StoredPlan } | { readonly ok: false; readonly stored: StoredPlan };

export interface ListedPlan extends StoredPlan {
  readonly deletedAt?: string;
}

/** Plans and their revisions in SQLite. Every save is one transaction: a row of revisions and the plan's own. */
export class PlanStore {
  private last: Promise<unknown> = Promise.resolve();

  constructor(
    private readonly source: DataSource,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  /** One transaction after the other: SQLite has one connection, and two must not share a transaction. */
  private inTurn<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const turn = this.last.then(() => this.source.transaction(work));
    this.last = turn.catch(() => undefined);
    return turn;
  }

  async isEmpty(): Promise<boolean> {
    return (await this.source.getRepository(PlanEntity).count()) === 0;
  }

  /** Plans in use, or those in the bin; the last saved in front. */
  async list(inBin: boolean): Promise<readonly ListedPlan[]> {
    return this.inTurn(async (manager) => {
      const rows = await manager.find(PlanEntity, {
        where: { deletedAt: inBin ? Not(IsNull()) : IsNull() },
        order: { savedAt: 'DESC' },
      });
      const plans: ListedPlan[] = [];
      for (const row of rows) {
        plans.push({
          ...(await this.stored(manager, row)),
          ...(row.deletedAt === null ? {} : { deletedAt: row.deletedAt }),
        });
      }
      return plans;
    });
  }

  /** A plan in use; `undefined` where there is none, or it is in the bin. */
  async open(id: string): Promise<StoredPlan | undefined> {
    return this.inTurn(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      return row ? this.stored(manager, row) : undefined;
    });
  }

  async create(document: Plan): Promise<StoredPlan> {
    const id = randomUUID();
    return this.inTurn(async (manager) => {
      await manager.insert(PlanEntity, { id, name: document.name, revision: 0, savedAt: this.now(), deletedAt: null });
      return this.write(manager, id, 1, document);
    });
  }

  /** Saves over a known revision. Another one in the meantime stands in its way and is handed back. */
  async save(id: string, basedOn: number, document: Plan): Promise<Saved | undefined> {
    return this.inTurn(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      if (!row) return undefined;
      if (row.revision !== basedOn) return { ok: false, stored: await this.stored(manager, row) } as const;
      return { ok: true, plan: await this.write(manager, id, basedOn + 1, document) } as const;
    });
  }

  /** Into the bin, or out of it. False where there is no such plan there. */
  async setDeleted(id: string, deleted: boolean): Promise<boolean> {
    const where = { id, deletedAt: deleted ? IsNull() : Not(IsNull()) };
    return this.inTurn(
      async (manager) =>
        (await manager.update(PlanEntity, where, { deletedAt: deleted ? this.now() : null })).affected === 1,
    );
  }

  async revisions(id: string): Promise<readonly RevisionSummary[]> {
    return this.source.getRepository(RevisionEntity).find({
      where: { planId: id },
      select: { revision: true, savedAt: true },
      order: { revision: 'DESC' },
    });
  }

  async revision(id: string, revision: number): Promise<StoredPlan | undefined> {
    const row = await this.source.getRepository(RevisionEntity).findOneBy({ planId: id, revision });
    return row ? { id, revision, savedAt: row.savedAt, document: readDocument(row.document) } : undefined;
  }

  private async stored(manager: EntityManager, { id, revision, savedAt }: PlanRow): Promise<StoredPlan> {
    const row = await manager.findOneByOrFail(RevisionEntity, { planId: id, revision });
    return { id, revision, savedAt, document: readDocument(row.document) };
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

/** A stored document as this version of the program knows it: what was saved by an earlier one is brought up to date. */
const readDocument = (text: string): Plan => migrate(JSON.parse(text)) as Plan;
