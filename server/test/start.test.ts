import { chmodSync, mkdirSync, readFileSync, truncateSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { fileIn, openData } from '../src/db/open.js';
import { PlanStore } from '../src/plans/store.js';
import { planText } from '../src/plans/reading.js';
import { heron, temporaryFolder } from './helper.js';

/** Opens a folder that must not open, and gives back the one line it says. */
async function refusal(folder: string): Promise<string> {
  const said = await openData(folder).then(
    async ({ close }) => {
      await close();
      return 'it opened';
    },
    (problem: Error) => `${problem.constructor.name}: ${problem.message}`,
  );
  expect(said.split('\n')).toHaveLength(1);
  return said;
}

/** A folder with some plans in it, closed. */
async function used(count = 3): Promise<string> {
  const folder = temporaryFolder();
  const { database, close } = await openData(folder);
  const plans = new PlanStore(database);
  for (let i = 0; i < count; i++) await plans.create(planText({ ...heron, name: `Plan ${i}` }));
  await close();
  return folder;
}

describe('what the program refuses to start on, in one line each', () => {
  it('a file where the folder should be, or on the way to it', async () => {
    const file = join(temporaryFolder(), 'file');
    writeFileSync(file, 'x');
    expect(await refusal(file)).toMatch(/^StartProblem: ROUGH_GEAR_DATA: .* it is a file\. Move that away/);
    expect(await refusal(join(file, 'data'))).toMatch(/^StartProblem: ROUGH_GEAR_DATA: .* is a file\. Move that away/);
  });

  it('a path that cannot be made, without trying for ever', async () => {
    expect(await refusal('/proc/rough-gear/data')).toMatch(/^StartProblem: ROUGH_GEAR_DATA: .* cannot be made: /);
  });

  it('data that another server has open, and names that one', async () => {
    const folder = await used();
    const first = await openData(folder);
    expect(await refusal(folder)).toMatch(
      new RegExp(
        `^StartProblem: .* is in use by another server, process ${process.pid}, since 20.*: stop that one first`,
      ),
    );
    await first.close();
    await (await openData(folder)).close();
  });

  it('a file that is no database, cut off, or overwritten in the middle', async () => {
    const none = temporaryFolder();
    writeFileSync(fileIn(none), 'this is no database, whatever it is called. '.repeat(40));
    expect(await refusal(none)).toMatch(/^StartProblem: .* is damaged .*newest backup/);

    const cut = await used();
    truncateSync(fileIn(cut), 9000);
    expect(await refusal(cut)).toMatch(/^StartProblem: .* is damaged .*newest backup/);

    const torn = await used();
    const bytes = readFileSync(fileIn(torn));
    bytes.fill(0x5a, 4096 * 3, 4096 * 12);
    writeFileSync(fileIn(torn), bytes);
    const before = readFileSync(fileIn(torn));
    expect(await refusal(torn)).toMatch(/^StartProblem: .* is damaged .*newest backup/);
    expect(readFileSync(fileIn(torn)).equals(before)).toBe(true);
  });

  it('data of a newer version of the program', async () => {
    const folder = await used();
    const file = new Sqlite(fileIn(folder));
    file.exec(`INSERT INTO "migrations" ("timestamp", "name") VALUES (1900000000000, 'NextYear1900000000000')`);
    file.close();
    expect(await refusal(folder)).toMatch(/newer version of this program \(it has NextYear1900000000000/);
  });

  // Root may write anywhere.
  it.skipIf(process.getuid?.() === 0)('a folder that may not be written to', async () => {
    const folder = join(temporaryFolder(), 'locked');
    mkdirSync(folder);
    chmodSync(folder, 0o500);
    expect(await refusal(folder)).toMatch(/has not the right to/);
  });

  it('and after each of them starts on a sound folder as if nothing had been', async () => {
    const folder = await used();
    const { database, close } = await openData(folder);
    expect((await new PlanStore(database).list({})).plans.map(({ name }) => name).sort()).toEqual([
      'Plan 0',
      'Plan 1',
      'Plan 2',
    ]);
    await close();
  });
});
