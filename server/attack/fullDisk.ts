import { spawnSync } from 'node:child_process';
import { mkdirSync, rmSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import type { Attack } from './attack.js';
import { heron, newFolder, savedIn, Target } from './server.js';

const small = { ...heron, mechanisms: heron.mechanisms.slice(0, 2) };

/** A disk that fills up and is emptied again, looked at by another connection after every answer. */
export const fullDisk: Attack = {
  name: 'a full disk',
  aims: 'a save is acknowledged and not stored',
  async run(scale) {
    const count = scale === 'long' ? 400 : 60;
    const place = newFolder();
    const disk = join(place, 'disk');
    mkdirSync(disk);
    if (spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=12m', 'tmpfs', disk]).status !== 0) {
      rmSync(place, { recursive: true });
      return { tried: 'nothing', seen: 'no disk may be mounted here: see server/test/fullDisk.test.ts', broken: [] };
    }
    const target = await Target.start(disk);
    const filler = join(disk, 'filler');
    const broken: string[] = [];
    let [revision, refused] = [1, 0];
    try {
      const { id } = await target.create(small);
      for (let i = 0; i < count; i++) {
        if (i % 40 === 10) fill(filler);
        if (i % 40 === 35) rmSync(filler, { force: true });
        const answer = await target.save(id, revision, {
          ...small,
          note: `${i} ${'a long note '.repeat(160)}`.slice(0, 1990),
        });
        if (answer.status === 200) ({ revision } = await savedIn(answer));
        else if ([503, 507].includes(answer.status)) refused++;
        else broken.push(`${i}: answered ${answer.status}`);
        const there = revisionOnDisk(disk, id);
        if (there !== revision) broken.push(`${i}: ${revision} was acknowledged, ${there} is on the disk`);
      }
      rmSync(filler, { force: true });
      const health = await fetch(`${target.url}/api/health`);
      if (health.status !== 200) broken.push('it does not recover when there is room');
      if (refused === 0) broken.push('the disk was never full');
    } finally {
      await target.end();
      spawnSync('umount', ['-l', disk]);
      rmSync(place, { recursive: true, force: true });
    }
    return { tried: `${count} saves on 12 MB`, seen: `${refused} refused, ${revision - 1} stored`, broken };
  },
};

/** As much as there is room for. */
function fill(file: string): void {
  try {
    writeFileSync(file, 'x'.repeat(13_000_000));
  } catch {
    // That was all.
  }
}

function revisionOnDisk(folder: string, id: string): number {
  const file = new Sqlite(join(folder, 'rough-gear.sqlite'));
  try {
    return file.prepare<[string], { revision: number }>('SELECT "revision" FROM "plan" WHERE "id" = ?').get(id)!
      .revision;
  } finally {
    file.close();
  }
}
