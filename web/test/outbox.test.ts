import fc from 'fast-check';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { Refused, Unreachable } from '../src/api/client.js';
import { createOutbox, failureOf, Undecided, type Outbox } from '../src/outbox/outbox.js';

interface Line {
  readonly name: string;
  readonly text: string;
}
const HERE = 'robot-1';

/** A server that takes lines by name, a network, and what a browser keeps. */
class Stand {
  readonly home = new Map<string, string>();
  kept: readonly Line[] = [];
  /** How the next sendings go. */
  answers: 'ok' | 'away' | number = 'ok';
  /** It is this one that the server will never have. */
  refuses = '';
  /** Sendings under way are answered when this is called. */
  release: (() => void)[] = [];
  slow = false;
  sent: string[][] = [];

  outbox: Outbox<Line> = this.page();

  page(): Outbox<Line> {
    return createOutbox<Line>({
      nameOf: ({ name }) => name,
      most: 3,
      rest: 100,
      longest: 1000,
      keep: (_address, lines) => {
        this.kept = [...lines];
      },
      send: async (_address, lines) => {
        if (this.slow) await new Promise<void>((done) => this.release.push(done));
        if (this.answers === 'away') throw new Unreachable('no network');
        if (this.answers !== 'ok') throw refused(this.answers);
        if (lines.some(({ name }) => name === this.refuses)) throw refused(422);
        this.sent.push(lines.map(({ name }) => name));
        for (const { name, text } of lines) this.home.set(name, text);
      },
    });
  }

  /** The page is loaded anew: what was kept is all there is. */
  reload(): void {
    vi.clearAllTimers();
    this.release = [];
    const { kept } = this;
    this.outbox = this.page();
    this.outbox.resume(HERE, kept);
  }

  put = (name: string, text = name): void => this.outbox.put(HERE, { name, text });
  get box() {
    return this.outbox.boxOf(HERE);
  }
}

const refused = (status: number): Refused => new Refused({ type: 'about:blank', title: `no ${status}`, status });
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms);

let stand: Stand;
beforeEach(() => {
  vi.useFakeTimers();
  stand = new Stand();
});
afterEach(() => void vi.useRealTimers());

describe('What was written and is not home', () => {
  it('is kept at once, rests, and goes together', async () => {
    stand.put('a');
    await pass(60);
    stand.put('b');
    expect(stand.kept).toHaveLength(2);
    await pass(60);
    expect([stand.sent, stand.box.state]).toEqual([[], 'sending']);
    await pass(60);
    expect([stand.sent, stand.box, stand.kept]).toEqual([[['a', 'b']], { state: 'home', refusal: '', waiting: 0 }, []]);
  });

  it('goes now and then from a line that never rests', async () => {
    for (let i = 0; i < 30; i++) {
      stand.put('a', String(i));
      await pass(60);
    }
    expect(stand.sent.length).toBeGreaterThan(0);
  });

  it('goes in its last state alone, and what is written meanwhile goes after it', async () => {
    stand.slow = true;
    stand.put('a', 'first');
    await pass(150);
    stand.put('a', 'second');
    stand.release[0]!();
    await pass(0);
    expect([stand.home.get('a'), stand.box.state]).toEqual(['first', 'sending']);
    stand.release[1]!();
    await pass(0);
    expect([stand.home.get('a'), stand.box.state, stand.kept]).toEqual(['second', 'home', []]);
  });

  it('keeps no other address waiting', async () => {
    stand.slow = true;
    stand.put('a');
    await pass(150);
    stand.slow = false;
    stand.outbox.put('robot-2', { name: 'b', text: 'b' });
    await pass(150);
    expect([stand.home.has('a'), stand.home.has('b')]).toEqual([false, true]);
    expect(stand.outbox.boxOf('robot-2').state).toBe('home');
  });

  it.each([
    ['away', 'away'],
    [401, 'waiting'],
    [429, 'waiting'],
    [500, 'waiting'],
    [507, 'waiting'],
  ] as const)('is tried again after %s until it is taken', async (answers, state) => {
    stand.answers = answers;
    stand.put('a');
    await pass(5000);
    expect([stand.box.state, stand.box.waiting, stand.kept.length]).toEqual([state, 1, 1]);
    stand.answers = 'ok';
    await pass(3000);
    expect([stand.home.has('a'), stand.box]).toEqual([true, { state: 'home', refusal: '', waiting: 0 }]);
  });

  it('goes as soon as the network is back', async () => {
    stand.answers = 'away';
    stand.put('a');
    await pass(150);
    stand.answers = 'ok';
    stand.outbox.back();
    await pass(1);
    expect(stand.home.has('a')).toBe(true);
  });

  it('stays where the server will not have it, and lets the others go', async () => {
    stand.refuses = 'b';
    for (const name of ['a', 'b', 'c', 'd']) stand.put(name);
    await pass(5000);
    expect([...stand.home.keys()]).toEqual(['a', 'c', 'd']);
    expect([stand.box, stand.kept.map(({ name }) => name)]).toEqual([
      { state: 'refused', refusal: 'no 422', waiting: 1 },
      ['b'],
    ]);
    // Written once more it is tried once more.
    stand.refuses = '';
    stand.put('b', 'better');
    await pass(500);
    expect([stand.home.get('b'), stand.box.state]).toEqual(['better', 'home']);
  });

  it.each([413, 422, 409])('is not sent again and again after %d', async (status) => {
    stand.answers = status;
    stand.put('a');
    await pass(500);
    stand.answers = 'ok';
    await pass(60_000);
    expect([stand.home.size, stand.box.state, stand.kept.length]).toEqual([0, 'refused', 1]);
  });

  it('waits for a person where it was changed elsewhere, with all that is written meanwhile', async () => {
    stand.answers = 412;
    stand.put('a');
    await pass(200);
    stand.answers = 'ok';
    stand.put('a', 'more');
    await pass(60_000);
    expect([stand.box.state, stand.home.size, stand.kept]).toEqual(['clash', 0, [{ name: 'a', text: 'more' }]]);
    stand.outbox.decided(HERE);
    await pass(10);
    expect([stand.home.get('a'), stand.box.state]).toEqual(['more', 'home']);
  });

  it('is gone once it is given up', async () => {
    stand.answers = 'away';
    stand.put('a');
    await pass(200);
    stand.outbox.empty(HERE);
    stand.answers = 'ok';
    await pass(60_000);
    expect([stand.box.state, stand.home.size, stand.kept]).toEqual(['home', 0, []]);
  });

  it('is told apart by what went wrong', () => {
    expect(failureOf(new Undecided('closed'))).toBe('clash');
    expect(failureOf(new TypeError('a fault of the program'))).toBe('refused');
  });
});

/** Whatever happens in between, what was written is at the server or in the browser, in its last state. */
it('loses nothing, whatever happens in between', async () => {
  const happening = fc.oneof(
    fc.record({
      does: fc.constant('put' as const),
      name: fc.constantFrom('a', 'b', 'c', 'd'),
      text: fc.string({ maxLength: 3 }),
    }),
    fc.record({
      does: fc.constant('answers' as const),
      as: fc.constantFrom('ok' as const, 'away' as const, 401, 412, 413, 429, 507),
    }),
    fc.record({ does: fc.constant('slow' as const), slow: fc.boolean() }),
    fc.record({ does: fc.constant('pass' as const), ms: fc.integer({ min: 0, max: 3000 }) }),
    fc.constant({ does: 'answered' as const }),
    fc.constant({ does: 'reload' as const }),
    fc.constant({ does: 'back' as const }),
    fc.constant({ does: 'decided' as const }),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(happening, { maxLength: 40 }), async (all) => {
      stand = new Stand();
      const last = new Map<string, string>();
      for (const one of all) {
        if (one.does === 'put') {
          last.set(one.name, one.text);
          stand.put(one.name, one.text);
        } else if (one.does === 'answers') stand.answers = one.as;
        else if (one.does === 'slow') stand.slow = one.slow;
        else if (one.does === 'pass') await pass(one.ms);
        else if (one.does === 'answered') stand.release.splice(0).forEach((answer) => answer());
        else if (one.does === 'reload') stand.reload();
        else if (one.does === 'back') stand.outbox.back();
        else if (stand.box.state === 'clash') stand.outbox.decided(HERE);
        for (const [name, text] of last) {
          const here = stand.kept.find((line) => line.name === name);
          expect(here ? here.text : stand.home.get(name), name).toBe(text);
        }
      }
      stand.answers = 'ok';
      stand.slow = false;
      stand.release.splice(0).forEach((answer) => answer());
      await pass(0);
      stand.reload();
      await pass(10_000);
      expect(Object.fromEntries(stand.home)).toEqual(Object.fromEntries(last));
      expect([stand.box.state, stand.kept]).toEqual(['home', []]);
    }),
    { numRuns: 150 },
  );
});
