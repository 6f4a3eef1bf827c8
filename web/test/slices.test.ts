import { describe, expect, it } from 'vitest';
import { answering } from '../src/workers/slices.js';

/** Keeps the thread busy, so that a step takes its slice. */
function busy(ms: number): void {
  const until = performance.now() + ms;
  while (performance.now() < until);
}

function* counts(to: number): Generator<{ readonly at: number }, string> {
  for (let at = 1; at <= to; at++) {
    busy(60);
    yield { at };
  }
  return `to ${to}`;
}

describe('Questions answered in slices', () => {
  it('tell how far they are, and give their end', async () => {
    const { counted } = answering({ counted: { steps: counts } });
    const told: number[] = [];
    expect(await counted(4, ({ at }) => told.push(at))).toBe('to 4');
    expect(told).toEqual([1, 2, 3, 4]);
  });

  it('are overtaken by a newer one of their kind, and by no other', async () => {
    const worker = answering({ counted: { steps: counts }, other: { steps: counts } });
    const [older, other, newer] = [worker.counted(5), worker.other(3), worker.counted(3)];
    expect(await older).toBeUndefined();
    expect(await newer).toBe('to 3');
    expect(await other).toBe('to 3');
  });

  it('of one group stop each other', async () => {
    const worker = answering({ a: { steps: counts, group: 'both' }, b: { steps: counts, group: 'both' } });
    const [a, b] = [worker.a(4), worker.b(2)];
    expect(await a).toBeUndefined();
    expect(await b).toBe('to 2');
  });

  it('wait for what they need, once for each question, and are given it', async () => {
    let loads = 0;
    function* times(by: number, count: number): Generator<number, number> {
      yield 0;
      return by * count;
    }
    const { timed } = answering({ timed: { ready: () => Promise.resolve(++loads * 10), steps: times } });
    expect(await timed(3)).toBe(30);
    expect(await timed(3)).toBe(60);
  });

  it('are stopped, and give nothing or what their table says of what was known', async () => {
    const worker = answering({
      plain: { steps: counts },
      kept: { steps: counts, stopped: ({ at }: { readonly at: number }) => `stopped at ${at}` },
    });
    const [plain, kept] = [worker.plain(50), worker.kept(50)];
    worker.stop('plain');
    worker.stop('kept');
    expect(await plain).toBeUndefined();
    expect(await kept).toMatch(/^stopped at \d+$/);
  });

  it('give what was known once their time is up', async () => {
    const { counted } = answering({
      counted: { steps: counts, within: 100, late: ({ at }: { readonly at: number }) => `late at ${at}` },
    });
    expect(await counted(50)).toMatch(/^late at [1-9]$/);
  });

  it('tell the same thing once, and no more often than they may', async () => {
    const same = { at: 0 };
    const worker = answering({
      same: {
        *steps(times: number) {
          for (let i = 0; i < times; i++) {
            busy(60);
            yield same;
          }
        },
      },
      seldom: { steps: counts, tellEvery: 10_000 },
    });
    const told: unknown[] = [];
    await worker.same(4, (one) => told.push(one));
    await worker.seldom(4, (one) => told.push(one));
    expect(told).toEqual([same, { at: 1 }]);
  });

  it('that go wrong fail whoever asked', async () => {
    const { wrong } = answering({
      wrong: {
        *steps(mechanism?: string): Generator<number, number> {
          if (mechanism === undefined) throw new Error('no such mechanism');
          yield 1;
          return 2;
        },
      },
    });
    await expect(wrong()).rejects.toThrow('no such mechanism');
  });
});
