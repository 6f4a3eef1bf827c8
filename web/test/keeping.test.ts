import { beforeEach, describe, expect, it } from 'vitest';
import { freshBrowser, kept, otherWindows, room } from './browser.js';

import * as keeping from '../src/keeping/keeping.js';
import { trialsLeft } from '../src/stores/bench/trialDrafts.js';
import { linesLeft } from '../src/stores/diary/lines.js';
import { draftsLeft, listKept } from '../src/stores/plan/drafts.js';

let small: Map<string, string>;
beforeEach(() => {
  small = freshBrowser();
});

describe('what this browser keeps', () => {
  it('is moved over once from where earlier versions kept it', async () => {
    const line = { id: 'line-1' };
    const sent = { id: 'line-2' };
    small.set('rough-gear:plan:p1', JSON.stringify({ revision: 3, document: { name: 'Heron' }, unsent: false }));
    small.set('rough-gear:plan:p2', JSON.stringify({ revision: 4, document: { name: 'Tern' }, unsent: true }));
    small.set('rough-gear:trial:t1', JSON.stringify({ kind: 'stall' }));
    small.set('rough-gear:diary:p1', JSON.stringify({ entries: [sent, line], unsent: ['line-1'] }));
    small.set('rough-gear:theme', 'dark');
    await keeping.beginKeeping();
    expect(Object.fromEntries(kept)).toEqual({
      'plan:p1': { revision: 3, document: { name: 'Heron' } },
      'unsent:plan:p2:earlier': { revision: 4, document: { name: 'Tern' } },
      'unsent:trial:t1:earlier': { mine: { kind: 'stall' } },
      'unsent:diary:p1:earlier': [line],
      'diary:p1': { entries: [sent, line], cursor: '' },
    });
    expect([...small]).toEqual([['rough-gear:theme', 'dark']]);
  });

  it('takes what was not sent, and no old copy, where an earlier version wrote once more', async () => {
    kept.set('plan:p1', { revision: 5, document: { name: 'Heron, newer' } });
    kept.set('diary:p1', { entries: [], cursor: '7.x' });
    small.set('rough-gear:plan:p1', JSON.stringify({ revision: 3, document: { name: 'Heron' }, unsent: false }));
    small.set('rough-gear:diary:p1', JSON.stringify({ entries: [{ id: 'line-1' }], unsent: ['line-1'] }));
    await keeping.beginKeeping();
    expect(Object.fromEntries(kept)).toEqual({
      'plan:p1': { revision: 5, document: { name: 'Heron, newer' } },
      'diary:p1': { entries: [], cursor: '7.x' },
      'unsent:diary:p1:earlier': [{ id: 'line-1' }],
    });
    expect(small.size).toBe(0);
  });

  it('is set aside where it cannot be read, as it stands', async () => {
    small.set('rough-gear:plan:p1', '{"revision":');
    small.set('rough-gear:diary:p1', '{"entries":{"a":1}}');
    small.set('rough-gear:plan:p2', 'null');
    small.set('rough-gear:plan:p3', '{"unsent":true}');
    await keeping.beginKeeping();
    expect(await keeping.damaged()).toEqual([
      { key: 'damaged:plan:p1', text: '{"revision":' },
      { key: 'damaged:diary:p1', text: '{"entries":{"a":1}}' },
      { key: 'damaged:plan:p2', text: 'null' },
      { key: 'damaged:plan:p3', text: '{"unsent":true}' },
    ]);
    expect([small.size, await listKept()]).toEqual([0, []]);
  });

  it('and was never sent is set aside where it makes no sense, unless its window is there', async () => {
    kept.set('unsent:plan:p1:gone', { unsent: true });
    kept.set('unsent:trial:t1:gone', { mine: { kind: 'stall' } });
    kept.set('unsent:diary:p1:gone', { entries: 7 });
    kept.set('unsent:plan:p1:there', 'nonsense');
    otherWindows.add('there');
    expect([await draftsLeft('p1'), await trialsLeft('t1'), await linesLeft()]).toEqual([[], [], []]);
    expect(await keeping.damaged()).toEqual([
      { key: 'damaged:plan:p1:gone', text: '{"unsent":true}' },
      { key: 'damaged:trial:t1:gone', text: '{"mine":{"kind":"stall"}}' },
      { key: 'damaged:diary:p1:gone', text: '{"entries":7}' },
    ]);
    expect([...kept.keys()].filter((key) => key.startsWith('unsent:'))).toEqual(['unsent:plan:p1:there']);
    // Where there is no room to set it aside it stays.
    kept.set('unsent:plan:p2:gone', 7);
    room.none = true;
    expect([await draftsLeft('p2'), kept.get('unsent:plan:p2:gone')]).toEqual([[], 7]);
  });

  it('stays where it was while there is no room', async () => {
    small.set('rough-gear:plan:p1', JSON.stringify({ revision: 3, document: { name: 'Heron' }, unsent: true }));
    room.none = true;
    await keeping.beginKeeping();
    expect([small.size, keeping.keepsNothing.value]).toEqual([1, 'This browser has no room to keep a copy.']);
    room.none = false;
    await keeping.beginKeeping();
    expect([small.size, kept.has('unsent:plan:p1:earlier'), keeping.keepsNothing.value]).toEqual([0, true, '']);
  });
});
