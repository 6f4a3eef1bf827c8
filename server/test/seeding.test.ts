import { describe, expect, it } from 'vitest';
import { openData } from '../src/db/open.js';
import { emptyPlan } from '../src/plans/emptyPlan.js';
import { readDemo, readShelf } from '../src/shelf/data.js';
import { ShelfStore } from '../src/shelf/store.js';
import { planText } from '../src/plans/reading.js';
import { readPlan } from '@rough-gear/contract';
import { heron, temporaryFolder, testApp } from './helper.js';

describe('what a new database holds', () => {
  it('is the demo, the harbour-yard robot in front', async () => {
    const { plans } = await testApp();
    expect(await plans.isEmpty()).toBe(true);
    for (const plan of readDemo()) await plans.create(planText(plan));
    expect((await plans.list({})).plans.map(({ name }) => name).sort()).toEqual(['Heron', 'Limpet']);
    expect(await plans.isEmpty()).toBe(false);
  });

  it('is not filled again once everything is in the bin', async () => {
    const { plans } = await testApp();
    const { id } = await plans.create(planText(heron));
    await plans.setDeleted(id, true);
    expect(await plans.isEmpty()).toBe(false);
    expect(await plans.list({})).toEqual({ total: 0, plans: [] });
  });

  it('gets its shelf once', async () => {
    const folder = temporaryFolder();
    const { shelf, close } = await testApp(folder);
    await shelf.seed();
    expect((await shelf.list()).length).toBe(readShelf().length);
    expect((await shelf.list('pack')).every(({ part }) => part.kind === 'pack')).toBe(true);
    await close();
    const again = await openData(folder);
    expect((await new ShelfStore(again.database).list()).length).toBe(readShelf().length);
    await again.close();
  });

  it('puts the parts of a newer version on a shelf that is there, and leaves the others alone', async () => {
    const { shelf, sql } = await testApp();
    await sql(`DELETE FROM "shelf_part" WHERE "kind" = 'servo'`);
    await sql(`UPDATE "shelf_part" SET "revision" = 9 WHERE "id" = 'motor-brushed-64'`);
    await shelf.seed();
    const parts = await shelf.list();
    expect(parts.length).toBe(readShelf().length);
    expect(parts.find(({ id }) => id === 'motor-brushed-64')!.revision).toBe(9);
    expect((await shelf.list('servo')).length).toBeGreaterThan(10);
  });

  it('keeps foreign keys and the write-ahead log', async () => {
    const { sql } = await testApp();
    expect(await sql('PRAGMA foreign_keys')).toEqual([{ foreign_keys: 1 }]);
    expect(await sql('PRAGMA journal_mode')).toEqual([{ journal_mode: 'wal' }]);
    await expect(sql(`INSERT INTO "revision" VALUES ('nobody', 1, 'now', '{}', NULL)`)).rejects.toThrow(/FOREIGN KEY/);
  });
});

describe('a new robot', () => {
  it('is a plan of its own right, with a pack behind a main breaker', () => {
    const plan = emptyPlan('Skua');
    expect(readPlan(plan)).toEqual({ ok: true, plan });
    expect(plan.supply.map(({ kind }) => kind)).toEqual(['pack', 'main']);
  });
});
