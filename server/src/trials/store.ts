import { randomUUID } from 'node:crypto';
import { MOST_TRIALS, type FoundSummary, type TrialsBrought, type TrialSummary } from '@rough-gear/contract';
import type { Taking } from '@rough-gear/core';
import type { EntityManager } from 'typeorm';
import type { Database } from '../db/database.js';
import { TrialEntity, type TrialRow } from '../db/entities.js';
import { foundApart } from './found.js';
import type { BookTrial, TrialText } from './reading.js';

/** A trial as it is stored: texts of JSON, which may be long. */
export type TrialStored = Pick<TrialRow, 'id' | 'revision' | 'savedAt' | 'document' | 'takings'>;

/** At which revision a trial is. */
export type TrialAt = Pick<TrialRow, 'id' | 'revision' | 'savedAt'>;

/** What a change of a trial came to. */
export type TrialSaved =
  | { readonly outcome: 'saved'; readonly stored: TrialAt }
  | { readonly outcome: 'missing' }
  /** It is closed: what was measured stays as it is. */
  | { readonly outcome: 'closed' }
  /** Of another kind, or begun at another time: it is not the same trial. */
  | { readonly outcome: 'another' }
  | { readonly outcome: 'stale'; readonly stored: TrialAt };

/** No room for another trial. */
export class BookFull extends Error {}

/** The bench book in SQLite. A trial that is closed never changes; what is taken from it is only added to. */
export class TrialStore {
  constructor(
    private readonly data: Database,
    private readonly now: () => string = () => new Date().toISOString(),
  ) {}

  /** The newest in front, without their readings. */
  async list(): Promise<readonly TrialSummary[]> {
    return this.data.read(async (manager) => {
      const rows = await manager.find(TrialEntity, {
        select: { id: true, revision: true, head: true, takings: true, startedAt: true },
        order: { startedAt: 'DESC', id: 'ASC' },
      });
      return rows.map(summaryOf);
    });
  }

  async open(id: string): Promise<TrialStored | undefined> {
    return this.data.read(async (manager) => (await manager.findOneBy(TrialEntity, { id })) ?? undefined);
  }

  // What a trial found is worked out before the write begins: others write meanwhile.
  async add(trial: TrialText): Promise<TrialStored> {
    const found = await foundApart(trial);
    return this.data.write(async (manager) => {
      if ((await manager.count(TrialEntity)) >= MOST_TRIALS) throw new BookFull();
      const row = this.rowOf(randomUUID(), 1, trial, found);
      await manager.insert(TrialEntity, row);
      return row;
    });
  }

  async save(id: string, basedOn: number, trial: TrialText): Promise<TrialSaved> {
    const found = await foundApart(trial);
    return this.data.write(async (manager): Promise<TrialSaved> => {
      const there = await headOf(manager, id);
      if (!there) return { outcome: 'missing' };
      if (there.closedAt !== null) return { outcome: 'closed' };
      const { revision, savedAt } = there;
      if (revision !== basedOn) return { outcome: 'stale', stored: { id, revision, savedAt } };
      const { kind, startedAt } = JSON.parse(there.head) as TrialText['head'];
      if (trial.head.kind !== kind || trial.head.startedAt !== startedAt) return { outcome: 'another' };
      const { takings: _takings, ...next } = this.rowOf(id, revision + 1, trial, found);
      await manager.update(TrialEntity, { id }, next);
      return { outcome: 'saved', stored: { id, revision: next.revision, savedAt: next.savedAt } };
    });
  }

  /** Takes a trial away that was begun and is not closed. */
  async remove(id: string, basedOn: number): Promise<'removed' | 'missing' | 'closed' | 'stale'> {
    return this.data.write(async (manager) => {
      const row = await headOf(manager, id);
      if (!row) return 'missing';
      if (row.closedAt !== null) return 'closed';
      if (row.revision !== basedOn) return 'stale';
      await manager.delete(TrialEntity, { id });
      return 'removed';
    });
  }

  /** Adds to the history of what was taken from it. */
  async take(id: string, taking: Taking): Promise<readonly Taking[] | undefined> {
    return this.data.write(async (manager) => {
      const row = await headOf(manager, id);
      if (!row) return undefined;
      const takings = [...(JSON.parse(row.takings) as Taking[]), taking];
      await manager.update(TrialEntity, { id }, { takings: JSON.stringify(takings) });
      return takings;
    });
  }

  /** Brings trials in that are not here; those that are stay as they are. */
  async bring(all: readonly BookTrial[]): Promise<TrialsBrought> {
    const found = new Map<string, readonly FoundSummary[]>();
    for (const { id, trial } of all) found.set(id, await foundApart(trial));
    return this.data.write(async (manager) => {
      let [added, there] = [0, 0];
      const refused: string[] = [];
      for (const { id, trial, takings } of all) {
        if (await manager.existsBy(TrialEntity, { id })) there++;
        else if ((await manager.count(TrialEntity)) >= MOST_TRIALS)
          refused.push(`${trial.head.subject.name}: the book is full`);
        else {
          await manager.insert(TrialEntity, {
            ...this.rowOf(id, 1, trial, found.get(id) ?? []),
            takings: JSON.stringify(takings),
          });
          added++;
        }
      }
      return { added, there, refused };
    });
  }

  /** Every trial whole, one after the other. */
  async *all(): AsyncGenerator<TrialStored> {
    for (const { id } of await this.list()) {
      const stored = await this.open(id);
      if (stored) yield stored;
    }
  }

  private rowOf(
    id: string,
    revision: number,
    { text, head, rows }: TrialText,
    found: readonly FoundSummary[],
  ): TrialRow {
    return {
      id,
      revision,
      savedAt: this.now(),
      startedAt: head.startedAt,
      closedAt: head.closedAt ?? null,
      head: JSON.stringify({ ...head, rows, found }),
      document: text,
      takings: '[]',
    };
  }
}

/** All of a trial but its readings, which may be long: they are read by who wants them alone. */
const headOf = (manager: EntityManager, id: string): Promise<Omit<TrialRow, 'document'> | null> =>
  manager.findOne(TrialEntity, {
    select: { id: true, revision: true, savedAt: true, startedAt: true, closedAt: true, head: true, takings: true },
    where: { id },
  });

const summaryOf = ({
  id,
  revision,
  head,
  takings,
}: Pick<TrialRow, 'id' | 'revision' | 'head' | 'takings'>): TrialSummary => ({
  ...(JSON.parse(head) as Omit<TrialSummary, 'id' | 'revision' | 'takings'>),
  id,
  revision,
  takings: JSON.parse(takings) as Taking[],
});
