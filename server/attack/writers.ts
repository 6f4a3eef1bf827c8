import { setTimeout as sleep } from 'node:timers/promises';
import type { StoredPlan } from '@rough-gear/contract';
import { within, type Attack } from './attack.js';
import { heron, savedIn, Target } from './server.js';

/** Everybody changes the same plan: each adds one to what is there, and begins anew where somebody was faster. */
async function addOnes(target: Target, id: string, times: number): Promise<number> {
  let added = 0;
  while (added < times) {
    const { revision, document } = await target.get<StoredPlan>(`/plans/${id}`);
    const answer = await target.save(id, revision, { ...document, note: String(Number(document.note) + 1) });
    await answer.arrayBuffer();
    if (answer.status === 200) added++;
    else if (answer.status !== 412) throw new Error(`a save was answered with ${answer.status}`);
  }
  return added;
}

/** Many writers on one plan: no update lost. */
export const writers: Attack = {
  name: 'fifty windows on one plan',
  aims: 'an update is lost',
  async run(scale) {
    const [people, each] = scale === 'long' ? [50, 6] : [10, 2];
    const target = await Target.start();
    const { id } = await target.create({ ...heron, note: '0', mechanisms: heron.mechanisms.slice(0, 1) });
    const added = await Promise.all(Array.from({ length: people }, () => addOnes(target, id, each)));
    const sum = added.reduce((all, one) => all + one, 0);
    const { document, revision } = await target.get<StoredPlan>(`/plans/${id}`);
    await target.dispose();
    const broken =
      document.note === String(sum) && revision === sum + 1
        ? []
        : [`${sum} were acknowledged, ${document.note} are there`];
    return { tried: `${people} people, ${sum} saves`, seen: `the plan says ${document.note}`, broken };
  },
};

const SAID_TO_BE = 150;

/** Thousands of plans while twenty save: the list and the health answer wait for nobody, and all is judged in the end. */
export const fleet: Attack = {
  name: 'two thousand plans',
  aims: 'everybody is kept waiting',
  async run(scale) {
    const [count, looks, people] = scale === 'long' ? [2000, 60, 20] : [60, 10, 8];
    const target = await Target.start();
    // Two thousand whole robots are judged at full length; in short what is judged is one mechanism each.
    const robot = scale === 'long' ? heron : { ...heron, mechanisms: heron.mechanisms.slice(0, 1) };
    const ids: string[] = [];
    for (let i = 0; i < count; i += 8)
      await Promise.all(
        Array.from({ length: Math.min(8, count - i) }, async (_, k) => {
          ids.push((await target.create({ ...robot, name: `Robot ${i + k}` })).id);
        }),
      );
    // A sound plan that takes long to judge.
    const many = Array.from({ length: 3 }, (_, i) => heron.mechanisms.map((one) => ({ ...one, id: `${one.id}-${i}` })));
    await target.create({ ...heron, name: 'Slow', mechanisms: many.flat() });
    let [stop, saves] = [false, 0];
    const saving = ids.slice(0, people).map(async (id) => {
      for (let revision = 1; !stop; saves++)
        ({ revision } = await savedIn(await target.save(id, revision, { ...robot, note: `save ${revision}` })));
    });
    const [lists, healths]: [number[], number[]] = [[], []];
    for (let i = 0; i < looks; i++) {
      lists.push(await target.timed('/plans?count=50'));
      healths.push(await target.timed('/health'));
      await sleep(30);
    }
    stop = true;
    await Promise.all(saving);
    const broken: string[] = [];
    const { total } = await target.list('count=1');
    if (total !== count + 3) broken.push(`${total} plans are listed of ${count + 3}`);
    for (let i = 0; i < 600 && !(await target.list('count=100')).plans.every(({ judged }) => judged); i++)
      await sleep(500);
    if (!(await target.list('count=100')).plans.every(({ judged, mechanisms }) => judged && mechanisms.length > 0))
      broken.push('the first page is not judged');
    const slow =
      scale === 'long' && within(lists, 0.95) > SAID_TO_BE ? [`the first page took ${within(lists, 0.95)} ms`] : [];
    await target.dispose();
    return {
      tried: `${count} plans, ${people} writers, ${saves} saves`,
      seen: `first page ${within(lists, 0.5)} ms, 95 % within ${within(lists, 0.95)} ms; health within ${within(healths, 0.95)} ms`,
      broken,
      slow,
    };
  },
};
