import { randomUUID } from 'node:crypto';
import { setTimeout as sleep } from 'node:timers/promises';
import { etagOf, type DiaryNews, type StoredTrial } from '@rough-gear/contract';
import { mergeTrials, rowIdsOf, type DiaryEntry, type Trial } from '@rough-gear/core';
import type { Attack } from './attack.js';
import { begunTrial } from './samples.js';
import { newFolder, Target } from './server.js';

const begun = begunTrial('a pack');
const added = (trial: Trial, id: string): Trial => ({
  ...trial,
  readings: {
    current: [...(trial.readings['current'] ?? []), 1],
    voltage: [...(trial.readings['voltage'] ?? []), 2],
  },
  rowIds: [...rowIdsOf(trial), id],
});

/** The server that answers now: it is killed and started again while devices write. */
interface Service {
  target: Target;
}

/** One device: writes rows and ticks, brings them home when it can, puts together what others wrote meanwhile. */
class Device {
  readonly rows: string[] = [];
  readonly ticks: DiaryEntry[] = [];
  private cursor = '';
  /** What the server told it of the diary, by id. */
  readonly known = new Set<string>();

  constructor(
    private readonly service: Service,
    private readonly name: string,
    private readonly trialId: string,
    private readonly planId: string,
    private base: StoredTrial,
    private mine: Trial = base.trial,
  ) {}

  write(n: number): void {
    const id = `${this.name}.${n}`;
    this.mine = added(this.mine, id);
    this.rows.push(id);
    this.ticks.push({ id: randomUUID(), at: new Date().toISOString(), who: this.name, kind: 'played', match: n + 1 });
  }

  /** Until it is home, however often the server is away in between. */
  async bringHome(): Promise<void> {
    for (;;)
      try {
        if (await this.tryHome()) return;
      } catch {
        await sleep(50);
      }
  }

  private async tryHome(): Promise<boolean> {
    const { target } = this.service;
    const sent = this.mine;
    const answer = await target.send('PUT', `/trials/${this.trialId}?from=${this.name}`, sent, {
      'If-Match': etagOf(this.base.revision),
    });
    if (answer.status === 200) {
      const { revision } = (await answer.json()) as StoredTrial;
      this.base = { ...this.base, revision, trial: sent };
      const posted = await target.send('POST', `/diary/${this.planId}?since=${this.cursor}`, { entries: this.ticks });
      if (posted.status !== 200) throw new Error(`ticks were answered with ${posted.status}`);
      const news = (await posted.json()) as DiaryNews;
      for (const { id } of news.entries) this.known.add(id);
      this.cursor = news.cursor;
      return true;
    }
    if (answer.status !== 412) throw new Error(`a trial was answered with ${answer.status}`);
    const theirs = await target.get<StoredTrial>(`/trials/${this.trialId}`);
    this.mine = mergeTrials(this.base.trial, this.mine, theirs.trial).trial;
    this.base = theirs;
    return false;
  }
}

/** Devices write in one trial and one diary, out of touch most of the time, while the server is killed: all rows and ticks arrive. */
export const devices: Attack = {
  name: 'devices on one trial',
  aims: 'what one device wrote is lost to another',
  async run(scale) {
    const [count, rounds, each] = scale === 'long' ? [8, 20, 5] : [4, 4, 3];
    const folder = newFolder();
    const service: Service = { target: await Target.start(folder) };
    const planId = (await service.target.list()).plans[0]!.id;
    const before = await service.target.get<DiaryNews>(`/diary/${planId}`);
    const stored = (await (await service.target.send('POST', '/trials', begun)).json()) as StoredTrial;
    const all = Array.from({ length: count }, (_, i) => new Device(service, `device-${i}`, stored.id, planId, stored));
    let n = 0;
    for (let round = 0; round < rounds; round++) {
      for (const device of all) for (let i = 0; i < each; i++) device.write(n++);
      // Some stay away this time, and come home with more the next.
      const homing = all.filter((_, i) => (i + round) % 3 !== 0).map((device) => device.bringHome());
      if (round % 2 === 1) {
        await sleep(20 + Math.random() * 100);
        await service.target.end('SIGKILL');
        service.target = await Target.start(folder);
      }
      await Promise.all(homing);
    }
    for (const device of [...all, ...all]) await device.bringHome();
    const broken: string[] = [];
    const { trial } = await service.target.get<StoredTrial>(`/trials/${stored.id}`);
    const rows = all.flatMap((device) => device.rows);
    const there = new Set(rowIdsOf(trial));
    const lost = rows.filter((id) => !there.has(id));
    if (lost.length > 0 || there.size !== rows.length)
      broken.push(`${rows.length} rows were written, ${there.size} are there`);
    const diary = await service.target.get<DiaryNews>(`/diary/${planId}`);
    const ticks = all.flatMap((device) => device.ticks);
    const held = new Set(diary.entries.map(({ id }) => id));
    if (ticks.some(({ id }) => !held.has(id)) || held.size !== ticks.length + before.entries.length)
      broken.push(`${ticks.length} ticks were written, ${held.size - before.entries.length} are there`);
    for (const device of all)
      if (device.known.size !== held.size) broken.push(`a device knows ${device.known.size} of ${held.size} entries`);
    await service.target.dispose();
    return {
      tried: `${count} devices, ${rounds} rounds, ${Math.floor(rounds / 2)} kills`,
      seen: `${there.size} rows and ${ticks.length} ticks are there`,
      broken: [...new Set(broken)],
    };
  },
};
