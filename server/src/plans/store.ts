import { randomUUID } from 'node:crypto';
import type { PlanPage, PlanQuery, PlanSummary } from '@rough-gear/contract';
import { LONGEST_PAGE } from '@rough-gear/contract';
import { IsNull, LessThanOrEqual, Not, type EntityManager, type FindOptionsWhere } from 'typeorm';
import type { Database } from '../db/database.js';
import { PlanEntity, RevisionEntity, type PlanRow, type RevisionRow } from '../db/entities.js';
import type { Judged } from '../judging/judge.js';
import type { PlanText } from './reading.js';
import { thinned } from './retention.js';

/** A plan as it is stored, its document a text of JSON. */
export interface PlanStored {
  readonly id: string;
  readonly revision: number;
  readonly savedAt: string;
  readonly text: string;
}

/** What came of a save: the new state, or the one that stands in its way. */
export type Saved =
  { readonly ok: true; readonly plan: PlanStored } | { readonly ok: false; readonly stored: PlanStored };

/** A save as the list of them has it: what was done in it, as JSON; null where that is not worked out yet. */
export type SaveRow = Pick<RevisionRow, 'revision' | 'savedAt' | 'changed'>;

/** A plan whose revision no list can speak of yet. */
export interface ToJudge {
  readonly id: string;
  readonly revision: number;
  readonly text: string;
}

/** Plans and their revisions in SQLite. Every save is one transaction: a row of revisions and the plan's own. */
export class PlanStore {
  /** Called whenever a plan has another revision. */
  onChange: () => void = () => undefined;

  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  async isEmpty(): Promise<boolean> {
    return this.data.read(async (manager) => (await manager.count(PlanEntity)) === 0);
  }

  /** A page of the plans in use, or of those in the bin. */
  async list({ bin = false, find = '', sort = 'saved', from = 0, count = LONGEST_PAGE }: PlanQuery): Promise<PlanPage> {
    return this.data.read(async (manager) => {
      const query = manager
        .createQueryBuilder(PlanEntity, 'plan')
        .where(bin ? 'plan.deletedAt IS NOT NULL' : 'plan.deletedAt IS NULL');
      if (find.trim() !== '') query.andWhere('instr(plan.sought, :find) > 0', { find: find.trim().toLowerCase() });
      if (sort === 'worst') query.orderBy('plan.worst', 'DESC');
      if (sort === 'name') query.orderBy('plan.name COLLATE NOCASE', 'ASC');
      const total = await query.getCount();
      const rows = await query
        .addOrderBy('plan.savedAt', 'DESC')
        .addOrderBy('plan.id')
        .skip(from)
        .take(count)
        .getMany();
      return { total, plans: rows.map(summaryOf) };
    });
  }

  /** A plan in use; `undefined` where there is none, or it is in the bin. */
  async open(id: string): Promise<PlanStored | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      return row ? this.stored(manager, row) : undefined;
    });
  }

  async create(plan: PlanText): Promise<PlanStored> {
    const id = randomUUID();
    return this.changing(async (manager) => {
      await manager.insert(PlanEntity, {
        id,
        name: plan.name,
        revision: 0,
        savedAt: this.now(),
        deletedAt: null,
        sought: plan.sought,
        worst: 0,
        judged: null,
        judgedBy: null,
      });
      return this.write(manager, id, 1, plan);
    });
  }

  /** Saves over a known revision. Another one in the meantime stands in its way and is handed back. */
  async save(id: string, basedOn: number, plan: PlanText): Promise<Saved | undefined> {
    return this.changing(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id, deletedAt: IsNull() });
      if (!row) return undefined;
      if (row.revision !== basedOn) return { ok: false, stored: await this.stored(manager, row) } as const;
      return { ok: true, plan: await this.write(manager, id, basedOn + 1, plan) } as const;
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

  /** Takes everything out of the bin for good, with its revisions. How many plans that were. */
  async emptyBin(): Promise<number> {
    return this.data.write(async (manager) => {
      await manager.query(
        `DELETE FROM "revision" WHERE "planId" IN (SELECT "id" FROM "plan" WHERE "deletedAt" IS NOT NULL)`,
      );
      await manager.query(
        `DELETE FROM "diary" WHERE "planId" IN (SELECT "id" FROM "plan" WHERE "deletedAt" IS NOT NULL)`,
      );
      return (await manager.delete(PlanEntity, { deletedAt: Not(IsNull()) })).affected ?? 0;
    });
  }

  /** The saves of a plan that are kept, the newest first. */
  async revisions(id: string): Promise<readonly SaveRow[]> {
    return this.data.read((manager) =>
      manager.find(RevisionEntity, {
        where: { planId: id },
        select: { revision: true, savedAt: true, changed: true },
        order: { revision: 'DESC' },
      }),
    );
  }

  async revision(id: string, revision: number): Promise<PlanStored | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(RevisionEntity, { planId: id, revision });
      return row ? { id, revision, savedAt: row.savedAt, text: row.document } : undefined;
    });
  }

  /** Keeps what was done in a save, so that it is worked out once. */
  async keepChanged(id: string, revision: number, changed: readonly string[]): Promise<void> {
    await this.data.write((manager) =>
      manager.update(RevisionEntity, { planId: id, revision }, { changed: JSON.stringify(changed) }),
    );
  }

  /** A plan as it lies in the file, whether this version can read it or not; in the bin too. */
  async raw(id: string): Promise<{ readonly name: string; readonly text: string } | undefined> {
    return this.data.read(async (manager) => {
      const row = await manager.findOneBy(PlanEntity, { id });
      return row ? { name: row.name, text: (await this.document(manager, row)).document } : undefined;
    });
  }

  /** What other versions of the program have judged is to be judged again. */
  async forgetJudgedBut(versions: readonly string[]): Promise<void> {
    await this.data.write((manager) =>
      manager.query(
        `UPDATE "plan" SET "judgedBy" = NULL WHERE "judgedBy" NOT IN (${versions.map(() => '?').join(', ')})`,
        [...versions],
      ),
    );
  }

  /** The last saved of those that are to be judged. */
  async unjudged(count: number): Promise<readonly ToJudge[]> {
    return this.toJudge({ judgedBy: IsNull() }, count);
  }

  /** The last saved in use of those that were judged by a version, and have not been saved since a moment. */
  async judgedBy(version: string, restingSince: string): Promise<ToJudge | undefined> {
    const where = { judgedBy: version, deletedAt: IsNull(), savedAt: LessThanOrEqual(restingSince) };
    return (await this.toJudge(where, 1))[0];
  }

  /** When that was last saved which was judged by a version and is in use; `undefined` where there is none. */
  async lastJudgedBy(version: string): Promise<string | undefined> {
    return this.data.read(async (manager) => {
      const where = { judgedBy: version, deletedAt: IsNull() };
      const row = await manager.findOne(PlanEntity, { where, select: { savedAt: true }, order: { savedAt: 'DESC' } });
      return row?.savedAt;
    });
  }

  private toJudge(where: FindOptionsWhere<PlanRow>, count: number): Promise<readonly ToJudge[]> {
    return this.data.read(async (manager) => {
      const rows = await manager.find(PlanEntity, {
        where,
        select: { id: true, revision: true },
        order: { savedAt: 'DESC' },
        take: count,
      });
      const found: ToJudge[] = [];
      for (const { id, revision } of rows)
        found.push({ id, revision, text: (await this.document(manager, { id, revision })).document });
      return found;
    });
  }

  /** Keeps what plans were judged to be, where they have not been saved again meanwhile. */
  async keepJudged(
    all: readonly { readonly id: string; readonly revision: number; readonly judged: Judged }[],
    version: string,
  ): Promise<void> {
    await this.data.write(async (manager) => {
      for (const { id, revision, judged } of all) {
        const { worst, ...said } = judged;
        await manager.update(PlanEntity, { id, revision }, { judged: JSON.stringify(said), worst, judgedBy: version });
      }
    });
  }

  private async changing<T>(work: (manager: EntityManager) => Promise<T>): Promise<T> {
    const result = await this.data.write(work);
    this.onChange();
    return result;
  }

  private async stored(manager: EntityManager, { id, revision, savedAt }: PlanRow): Promise<PlanStored> {
    return { id, revision, savedAt, text: (await this.document(manager, { id, revision })).document };
  }

  private document(manager: EntityManager, { id, revision }: Pick<PlanRow, 'id' | 'revision'>): Promise<RevisionRow> {
    return manager.findOneByOrFail(RevisionEntity, { planId: id, revision });
  }

  private async write(
    manager: EntityManager,
    id: string,
    revision: number,
    { text, name, sought, changed }: PlanText,
  ): Promise<PlanStored> {
    const savedAt = this.now();
    const row = { planId: id, revision, savedAt, document: text, changed: changed ? JSON.stringify(changed) : null };
    await manager.insert(RevisionEntity, row);
    await manager.update(PlanEntity, { id }, { name, revision, savedAt, sought, judgedBy: null });
    const kept = await manager.find(RevisionEntity, {
      where: { planId: id },
      select: { revision: true, savedAt: true },
    });
    const gone = new Set(thinned(kept));
    for (const old of gone) {
      await manager.delete(RevisionEntity, { planId: id, revision: old });
      // What was done since the one before is another question from now on.
      const next = Math.min(...kept.map((one) => one.revision).filter((one) => one > old && !gone.has(one)));
      await manager.update(RevisionEntity, { planId: id, revision: next }, { changed: null });
    }
    return { id, revision, savedAt, text };
  }
}

function summaryOf({ id, name, revision, savedAt, deletedAt, judged, judgedBy }: PlanRow): PlanSummary {
  const said = judged === null ? { mechanisms: [] } : (JSON.parse(judged) as Omit<Judged, 'worst'>);
  return { id, revision, savedAt, name, deletedAt: deletedAt ?? undefined, judged: judgedBy !== null, ...said };
}
