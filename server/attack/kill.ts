import { join } from 'node:path';
import { spawnSync } from 'node:child_process';
import type { StoredPlan } from '@rough-gear/contract';
import type { Attack } from './attack.js';
import { newFolder, root, savedIn, Target } from './server.js';

/** Saves over and over until the server is gone; gives the last revision that was acknowledged. */
async function saveUntilGone(target: Target, plan: StoredPlan): Promise<number> {
  let acknowledged = plan.revision;
  for (;;) {
    try {
      const document = { ...plan.document, note: `revision ${acknowledged + 1}` };
      acknowledged = (await savedIn(await target.save(plan.id, acknowledged, document))).revision;
    } catch {
      return acknowledged;
    }
  }
}

/** Kills in the middle of saves; and puts a backup back into the folder of a killed server. */
export const kill: Attack = {
  name: 'the plug is pulled',
  aims: 'a save that was acknowledged is lost',
  async run(scale) {
    const rounds = scale === 'long' ? 60 : 8;
    const folder = newFolder();
    const broken: string[] = [];
    let saves = 0;
    let target = await Target.start(folder);
    for (let round = 0; round < rounds; round++) {
      const { plans } = await target.list();
      const plan = await target.get<StoredPlan>(`/plans/${plans[0]!.id}`);
      const saving = saveUntilGone(target, plan);
      const { child } = target;
      setTimeout(() => child.kill('SIGKILL'), 30 + Math.random() * 250);
      const acknowledged = await saving;
      saves += acknowledged - plan.revision;
      // The server that is asked what was kept is the next to be killed.
      target = await Target.start(folder);
      const kept = await target.get<StoredPlan>(`/plans/${plan.id}`);
      // One more may have reached the disk without its answer reaching us; none that was answered may be missing.
      if (kept.revision !== acknowledged && kept.revision !== acknowledged + 1)
        broken.push(`round ${round}: ${acknowledged} was acknowledged, ${kept.revision} is there`);
      if (kept.revision > plan.revision && kept.document.note !== `revision ${kept.revision}`)
        broken.push(`round ${round}: revision ${kept.revision} holds another document`);
    }
    if ((await target.end()) !== 0) broken.push('it did not stop cleanly');
    broken.push(...(await restoredAfterKill(folder)));
    return { tried: `${rounds} kills, a restore`, seen: `${saves} saves acknowledged`, broken };
  },
};

async function restoredAfterKill(folder: string): Promise<readonly string[]> {
  const target = await Target.start(folder);
  const { name } = (await (await target.send('POST', '/data/backups', {})).json()) as { name: string };
  const before = await target.list('sort=name');
  await target.create({ ...(await target.get<StoredPlan>(`/plans/${before.plans[0]!.id}`)).document, name: 'Later' });
  await target.end('SIGKILL');
  const { status, stderr } = spawnSync(process.execPath, ['server/dist/restore.mjs', join(folder, 'backups', name)], {
    cwd: root,
    env: { ...process.env, ROUGH_GEAR_DATA: folder },
    encoding: 'utf8',
  });
  if (status !== 0) return [`the restore ended with ${status}: ${stderr}`];
  const again = await Target.start(folder);
  const after = await again.list('sort=name');
  await again.dispose();
  return JSON.stringify(before.plans.map(({ id, revision }) => [id, revision])) ===
    JSON.stringify(after.plans.map(({ id, revision }) => [id, revision]))
    ? []
    : ['the restored folder holds something else than the backup'];
}
