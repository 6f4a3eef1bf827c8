import { readFileSync } from 'node:fs';
import { etagOf } from '@rough-gear/contract/api';
import type { Plan } from '@rough-gear/core';
import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { useAccess } from '../src/stores/access.js';
import { freshBrowser, kept, otherWindows, room } from './browser.js';

import { usePlan } from '../src/stores/plan.js';

const heron = JSON.parse(readFileSync(new URL('../../contract/demo/heron.json', import.meta.url), 'utf8')) as Plan;
const ID = 'plan-1';

/** A browser's storage and a server with one plan, both small. */
class Stand {
  revision = 1;
  document: Plan = heron;
  away = false;
  /** Takes saves, and what it answers is lost on its way. */
  losesAnswers = false;
  /** Answers saves with this status in place of taking them. */
  refuses: number | undefined;
  saves = 0;

  fetch = async (
    _url: string,
    { method, headers, body }: { method: string; headers: Record<string, string>; body?: string },
  ): Promise<Response> => {
    if (this.away) throw new TypeError('fetch failed');
    if (method === 'PUT' && this.refuses !== undefined)
      return this.answer(
        this.refuses,
        { type: 'about:blank', title: 'Not now', status: this.refuses },
        'application/problem+json',
      );
    if (method === 'PUT') {
      if (headers['If-Match'] !== etagOf(this.revision)) {
        return this.answer(
          412,
          { type: 'about:blank', title: 'clash', status: 412, stored: this.stored() },
          'application/problem+json',
        );
      }
      this.document = JSON.parse(body!) as Plan;
      this.revision++;
      this.saves++;
      if (this.losesAnswers) throw new TypeError('fetch failed');
    }
    return this.answer(200, this.stored());
  };

  private stored() {
    return { id: ID, revision: this.revision, savedAt: '2026-11-25T09:00:00.000Z', document: this.document };
  }

  private answer(status: number, content: unknown, type = 'application/json'): Promise<Response> {
    return Promise.resolve(new Response(JSON.stringify(content), { status, headers: { 'Content-Type': type } }));
  }
}

let stand: Stand;

beforeEach(() => {
  stand = new Stand();
  vi.useFakeTimers();
  vi.stubGlobal('fetch', stand.fetch);
  freshBrowser();
  otherWindows.add('open');
  setActivePinia(createPinia());
});

afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** What this window keeps unsent, and what it knows of the server. */
const draft = () => kept.get(`unsent:plan:${ID}:this`);
const copy = () => kept.get(`plan:${ID}`);
/** A window left this unsent. */
const left = (window: string, name: string, revision = 1): void =>
  void kept.set(`unsent:plan:${ID}:${window}`, { revision, document: { ...heron, name }, at: '2026-11-30T14:00:00Z' });

const rename = (name: string) => [{ at: ['name'], to: name }];

async function opened() {
  const plan = usePlan();
  await plan.open(ID);
  return plan;
}

describe('the open plan', () => {
  it('makes one gesture one undo step, one save and one baseline', async () => {
    const plan = await opened();
    plan.begin();
    plan.preview(rename('H'));
    plan.preview(rename('He'));
    expect(plan.document!.name).toBe('He');
    expect(plan.baseline!.name).toBe('Heron');
    expect(plan.canUndo).toBe(false);
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.document!.name, plan.state, stand.saves, stand.document.name]).toEqual(['Hen', 'home', 1, 'Hen']);
    plan.undo();
    expect(plan.document).toEqual(heron);
    plan.redo();
    expect(plan.document!.name).toBe('Hen');
    await vi.advanceTimersByTimeAsync(1000);
    expect(stand.saves).toBe(2);
  });

  it('gives a cancelled gesture up without a trace', async () => {
    const plan = await opened();
    plan.preview(rename('H'));
    plan.cancel();
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.document!.name, plan.canUndo, stand.saves]).toEqual(['Heron', false, 0]);
  });

  it('goes back and forth over steps, and a new step ends the way forth', async () => {
    const plan = await opened();
    for (const name of ['A', 'B']) plan.commit(rename(name));
    plan.undo();
    plan.undo();
    expect([plan.document!.name, plan.canUndo, plan.canRedo]).toEqual(['Heron', false, true]);
    plan.redo();
    plan.redo();
    expect([plan.document!.name, plan.canRedo]).toEqual(['B', false]);
    plan.undo();
    plan.undo();
    expect(plan.document!.name).toBe('Heron');
    plan.redo();
    plan.commit(rename('C'));
    expect(plan.canRedo).toBe(false);
    plan.undo();
    expect(plan.document!.name).toBe('A');
  });

  it('sends what was changed while a save was under way', async () => {
    const plan = await opened();
    let answer = (): void => undefined;
    vi.stubGlobal('fetch', async (...given: Parameters<Stand['fetch']>) => {
      await new Promise<void>((resolve) => (answer = resolve));
      return stand.fetch(...given);
    });
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(300);
    plan.commit(rename('Hens'));
    answer();
    await vi.advanceTimersByTimeAsync(0);
    // The second save is under way: what is kept goes on from the first.
    expect([stand.document.name, plan.state]).toEqual(['Hen', 'sending']);
    expect(draft()).toMatchObject({ revision: 2, document: { name: 'Hens' } });
    answer();
    await vi.advanceTimersByTimeAsync(1000);
    expect([stand.document.name, plan.state, stand.saves]).toEqual(['Hens', 'home', 2]);
  });

  it('of who may only look is tried out, and neither sent nor kept', async () => {
    useAccess().access = 'look';
    const plan = await opened();
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.document!.name, plan.state, stand.saves]).toEqual(['Hen', 'looking', 0]);
    expect([draft(), copy()]).toMatchObject([undefined, { document: { name: 'Heron' } }]);
  });

  it('makes no step of a change that changes nothing', async () => {
    const plan = await opened();
    plan.commit(rename('Heron'));
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.canUndo, stand.saves]).toEqual([false, 0]);
  });

  it.each([401, 429, 500, 507])(
    'waits while the server answers %d, and sends it again until it is taken',
    async (status) => {
      const plan = await opened();
      stand.refuses = status;
      plan.commit(rename('Hen'));
      await vi.advanceTimersByTimeAsync(1000);
      expect([plan.state, plan.refusal]).toEqual(['waiting', 'Not now']);
      expect(draft()).toMatchObject({ document: { name: 'Hen' } });
      stand.refuses = undefined;
      await vi.advanceTimersByTimeAsync(3000);
      expect([plan.state, plan.refusal, stand.document.name]).toEqual(['home', '', 'Hen']);
    },
  );

  it('says what the server will not have, and does not ask again', async () => {
    const plan = await opened();
    stand.refuses = 422;
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(plan.state).toBe('refused');
  });

  it('keeps what the server does not get, and sends it when the server is back', async () => {
    const plan = await opened();
    stand.away = true;
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(plan.state).toBe('away');
    expect(draft()).toMatchObject({ revision: 1, document: { name: 'Hen' } });
    stand.away = false;
    await vi.advanceTimersByTimeAsync(3000);
    expect([plan.state, stand.document.name]).toEqual(['home', 'Hen']);
    expect([draft(), copy()]).toMatchObject([undefined, { revision: 2, document: { name: 'Hen' } }]);
  });

  it('opens what was kept while the server is away', async () => {
    left('this', 'Hen');
    stand.away = true;
    const plan = await opened();
    expect([plan.document!.name, plan.state]).toEqual(['Hen', 'away']);
  });

  it('sends what was kept from before, when it still fits', async () => {
    left('this', 'Hen');
    const plan = await opened();
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.state, stand.document.name]).toEqual(['home', 'Hen']);
  });

  it('offers both versions when it no longer fits, and goes on with the one chosen', async () => {
    left('this', 'Mine');
    stand.revision = 4;
    stand.document = { ...heron, name: 'Theirs' };
    const plan = await opened();
    expect([plan.state, plan.document!.name, plan.stored!.document.name]).toEqual(['clash', 'Mine', 'Theirs']);
    plan.keepMine();
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.state, stand.document.name, stand.revision]).toEqual(['home', 'Mine', 5]);
  });

  it('goes on from its own save whose answer was lost, as it was or changed since', async () => {
    const plan = await opened();
    stand.losesAnswers = true;
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.state, stand.document.name, stand.saves]).toEqual(['away', 'Hen', 1]);
    stand.losesAnswers = false;
    await vi.advanceTimersByTimeAsync(3000);
    expect([plan.state, stand.saves]).toEqual(['home', 1]);

    stand.losesAnswers = true;
    plan.commit(rename('Stork'));
    await vi.advanceTimersByTimeAsync(1000);
    plan.commit(rename('Crane'));
    await vi.advanceTimersByTimeAsync(3000);
    stand.losesAnswers = false;
    await vi.advanceTimersByTimeAsync(3000);
    expect([plan.state, stand.document.name, stand.revision]).toEqual(['home', 'Crane', 4]);
  });

  it('does not take the save of somebody else for its own, whatever answer was lost', async () => {
    const plan = await opened();
    stand.losesAnswers = true;
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(1000);
    stand.losesAnswers = false;
    stand.revision++;
    stand.document = { ...heron, name: 'Theirs' };
    await vi.advanceTimersByTimeAsync(3000);
    expect([plan.state, plan.stored!.document.name, stand.document.name]).toEqual(['clash', 'Theirs', 'Theirs']);
  });

  it('saves nothing over a stale plan until it is decided', async () => {
    const plan = await opened();
    stand.revision = 2;
    stand.document = { ...heron, name: 'Theirs' };
    plan.commit(rename('Mine'));
    await vi.advanceTimersByTimeAsync(1000);
    expect(plan.state).toBe('clash');
    plan.commit(rename('Mine still'));
    await vi.advanceTimersByTimeAsync(5000);
    expect([stand.saves, stand.document.name]).toEqual([0, 'Theirs']);
    plan.takeTheirs();
    expect(plan.document!.name).toBe('Theirs');
    plan.undo();
    expect(plan.document!.name).toBe('Mine still');
  });

  it('waits for what changes the plan elsewhere, and opens it as it is then', async () => {
    const plan = await opened();
    let rename!: () => void;
    const changing = plan.changeElsewhere(
      ID,
      () =>
        new Promise<void>((done) => {
          rename = () => {
            stand.document = { ...heron, name: 'Egret' };
            stand.revision++;
            done();
          };
        }),
    );
    await vi.advanceTimersByTimeAsync(0);
    // Opened before the server has answered: neither the old name nor an empty page.
    const opening = plan.open(ID);
    await vi.advanceTimersByTimeAsync(0);
    expect(plan.loading).toBe(true);
    rename();
    await Promise.all([changing, opening]);
    expect(plan.document?.name).toBe('Egret');
    expect(plan.revision).toBe(2);
    expect(plan.loading).toBe(false);
  });

  it('can be opened after a change elsewhere that was refused', async () => {
    const plan = await opened();
    await expect(plan.changeElsewhere(ID, () => Promise.reject(new Error('no')))).rejects.toThrow('no');
    await plan.open(ID);
    expect(plan.document?.name).toBe('Heron');
  });

  it('opened from the copy here and changed is saved once the server is back, and says so', async () => {
    kept.set(`plan:${ID}`, { revision: 1, document: heron });
    stand.away = true;
    const plan = await opened();
    expect([plan.state, plan.document?.name]).toEqual(['away', 'Heron']);
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(10_000);
    expect(plan.state).toBe('away');
    stand.away = false;
    await vi.advanceTimersByTimeAsync(10_000);
    expect([plan.state, stand.document.name]).toEqual(['home', 'Hen']);
  });

  it('says what it has no copy of when nothing can be opened', async () => {
    stand.away = true;
    const plan = await opened();
    expect([plan.document, plan.failure]).toEqual([undefined, 'the server cannot be reached']);
  });

  it('says when the browser has no room to keep a copy', async () => {
    const plan = await opened();
    room.none = true;
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(0);
    expect(plan.refusal).toContain('no room');
  });

  it('keeps apart what two windows have not sent, and finds its own again', async () => {
    left('this', 'Mine');
    left('open', 'Of a window that is open');
    stand.revision = 3;
    stand.document = { ...heron, name: 'Theirs' };
    const plan = await opened();
    expect([plan.state, plan.document!.name, plan.left.length]).toEqual(['clash', 'Mine', 0]);
    plan.takeTheirs();
    await vi.advanceTimersByTimeAsync(0);
    expect([plan.state, plan.document!.name, draft()]).toEqual(['home', 'Theirs', undefined]);
    expect(kept.has(`unsent:plan:${ID}:open`)).toBe(true);
  });

  it('goes on with what a window left that is gone, and keeps it as its own', async () => {
    left('gone', 'Left');
    const plan = await opened();
    expect([plan.document!.name, plan.state]).toEqual(['Left', 'sending']);
    expect([kept.has(`unsent:plan:${ID}:gone`), draft()]).toMatchObject([false, { document: { name: 'Left' } }]);
    await vi.advanceTimersByTimeAsync(1000);
    expect([plan.state, stand.document.name]).toEqual(['home', 'Left']);
  });

  it('offers what further windows left, and loses none of it', async () => {
    left('this', 'Mine');
    left('gone', 'Left');
    const plan = await opened();
    expect([plan.document!.name, plan.left.map(({ document }) => document.name)]).toEqual(['Mine', ['Left']]);
    await plan.decideLeft(plan.left[0]!, 'here');
    expect([plan.document!.name, plan.left, kept.has(`unsent:plan:${ID}:gone`)]).toEqual(['Left', [], false]);
    plan.undo();
    expect(plan.document!.name).toBe('Mine');
  });

  it('brings an edit home that was made while a slow save was under way, though another robot is open by then', async () => {
    const plan = await opened();
    let answer = (): void => undefined;
    vi.stubGlobal('fetch', async (...given: Parameters<Stand['fetch']>) => {
      if (given[1].method === 'PUT') await new Promise<void>((resolve) => (answer = resolve));
      return stand.fetch(...given);
    });
    plan.commit(rename('Hen'));
    await vi.advanceTimersByTimeAsync(300);
    plan.commit(rename('Hens'));
    await plan.open('plan-2');
    expect([plan.id, plan.unsentElsewhere]).toEqual(['plan-2', ['Hens']]);
    vi.stubGlobal('fetch', stand.fetch);
    answer();
    await vi.advanceTimersByTimeAsync(1000);
    expect([stand.document.name, stand.saves, plan.unsentElsewhere, draft()]).toEqual(['Hens', 2, [], undefined]);
  });

  it('asks again while the server is away, and shows what it has when it is back', async () => {
    kept.set(`plan:${ID}`, { revision: 1, document: heron });
    stand.away = true;
    const plan = await opened();
    expect([plan.document!.name, plan.state]).toEqual(['Heron', 'away']);
    stand.away = false;
    stand.revision = 2;
    stand.document = { ...heron, name: 'Egret' };
    await vi.advanceTimersByTimeAsync(3000);
    expect([plan.document!.name, plan.state, plan.revision]).toEqual(['Egret', 'home', 2]);
  });
});
