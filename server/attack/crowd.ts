import { connect, createServer, type AddressInfo } from 'node:net';
import { setTimeout as sleep } from 'node:timers/promises';
import { etagOf, type DiaryNews, type StoredTrial } from '@rough-gear/contract';
import { within, type Attack } from './attack.js';
import { begunTrial, tick } from './samples.js';
import { heron, newFolder, savedIn, Target } from './server.js';

/** 95 of 100 ticks, and saves, are answered within so many ms on two cores that are otherwise quiet. */
const [TICK_WITHIN, SAVE_WITHIN] = [150, 300];
const TICK_EVERY_MS = 2000;
const MOST_GROWTH = 150e6;
/** A diary as it is after some seasons. */
const OLD_ENTRIES = 6000;

/** A contest: phones that tick, people who plan, trials that are written while rigs send. */
export const crowd: Attack = {
  name: 'phones, planners and rigs of a contest day',
  aims: 'everybody waits, or memory grows',
  async run(scale) {
    const [phones, planners, rigs, seconds, old] = scale === 'long' ? [20, 10, 5, 300, OLD_ENTRIES] : [5, 3, 2, 4, 200];
    const rig = createServer((socket) => {
      socket.on('error', () => undefined);
      const sending = setInterval(() => socket.write('0.1,12.3,4.5\n'), 50);
      socket.once('close', () => clearInterval(sending));
    });
    await new Promise<void>((resolve) => rig.listen(0, '127.0.0.1', resolve));
    const target = await Target.start(newFolder(), { ROUGH_GEAR_RIG: String((rig.address() as AddressInfo).port) });
    const broken = new Set<string>();
    const slow: string[] = [];
    const [ticks, saves]: [number[], number[]] = [[], []];
    const timed = async (times: number[], asked: () => Promise<Response>): Promise<Response | undefined> => {
      const began = performance.now();
      try {
        const answer = await asked();
        if (answer.status !== 200) broken.add(`answered ${answer.status}: ${(await answer.text()).slice(0, 100)}`);
        times.push(performance.now() - began);
        return answer.status === 200 ? answer : undefined;
      } catch (problem) {
        broken.add(String(problem));
        return undefined;
      }
    };
    const { id: planId } = await target.create(heron);
    for (let left = old; left > 0; left -= 1000)
      await target.send('POST', `/diary/${planId}`, {
        entries: Array.from({ length: Math.min(1000, left) }, () => tick(1)),
      });
    const { cursor: known } = await target.get<DiaryNews>(`/diary/${planId}`);
    const until = performance.now() + seconds * 1000;
    const going = (): boolean => performance.now() < until;

    const phone = async (i: number): Promise<void> => {
      let cursor = known;
      await sleep((i * TICK_EVERY_MS) / phones);
      for (let n = 0; going(); n++) {
        const answer = await timed(ticks, () =>
          target.send('POST', `/diary/${planId}?since=${cursor}`, { entries: [tick(n + 2)] }),
        );
        if (answer) ({ cursor } = (await answer.json()) as DiaryNews);
        await sleep(TICK_EVERY_MS);
      }
    };
    const planner = async (): Promise<void> => {
      let { id, revision } = await target.create(heron);
      for (let n = 0; going(); n++) {
        const answer = await timed(saves, () => target.save(id, revision, { ...heron, note: `save ${n}` }));
        if (answer) ({ id, revision } = await savedIn(answer));
        await sleep(1500);
      }
    };
    const bench = async (i: number): Promise<void> => {
      const socket = connect(target.port, '127.0.0.1');
      socket.on('error', () => undefined).resume();
      socket.write(`GET /api/rig/lines HTTP/1.1\r\nHost: 127.0.0.1:${target.port}\r\n\r\n`);
      const trial = begunTrial(`pack ${i}`);
      const stored = (await (await target.send('POST', '/trials', trial)).json()) as StoredTrial;
      const rows: number[] = [];
      for (let { revision } = stored; going();) {
        rows.push(rows.length);
        const document = { ...trial, readings: { current: rows, voltage: rows }, rowIds: rows.map((n) => `rig.${n}`) };
        const answer = await timed([], () =>
          target.send('PUT', `/trials/${stored.id}`, document, { 'If-Match': etagOf(revision) }),
        );
        if (answer) ({ revision } = (await answer.json()) as StoredTrial);
        await sleep(1000);
      }
      socket.destroy();
    };

    const everybody = [
      ...Array.from({ length: phones }, (_, i) => phone(i)),
      ...Array.from({ length: planners }, planner),
      ...Array.from({ length: rigs }, (_, i) => bench(i)),
    ];
    // What a server takes for its work in the first tenth is not growth.
    await sleep(seconds * 100);
    const { memory: before } = await target.measured();
    await Promise.all(everybody);
    const { memory } = await target.measured();
    const { entries } = await target.get<DiaryNews>(`/diary/${planId}`);
    if (entries.length !== old + ticks.length) broken.add(`${ticks.length} ticks, ${entries.length - old} are there`);
    const [tick95, save95] = [within(ticks, 0.95), within(saves, 0.95)];
    if (scale === 'long') {
      if (tick95 > TICK_WITHIN) slow.push(`95 % of the ticks took up to ${tick95} ms`);
      if (save95 > SAVE_WITHIN) slow.push(`95 % of the saves took up to ${save95} ms`);
      if (memory - before > MOST_GROWTH) broken.add(`${Math.round((memory - before) / 1e6)} MB were added`);
    }
    await target.dispose();
    rig.close();
    return {
      tried: `${phones} phones, ${planners} planners, ${rigs} rigs, ${seconds} s`,
      seen: `${ticks.length} ticks, half within ${within(ticks, 0.5)} ms, 95 % within ${tick95}; ${saves.length} saves, ${within(saves, 0.5)} and ${save95}; memory ${Math.round(before / 1e6)} to ${Math.round(memory / 1e6)} MB`,
      broken: [...broken],
      slow,
    };
  },
};
