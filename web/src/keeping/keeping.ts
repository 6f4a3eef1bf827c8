import { createStore, del, entries, get, keys, set } from 'idb-keyval';
import { shallowRef } from 'vue';

/**
 * What this browser keeps, in one place of its own: copies of plans and diaries, and all that was not sent yet. Each value has
 * a key of words between colons: `plan:ID`, `unsent:plan:ID:TAB`.
 */
let opened: ReturnType<typeof createStore> | undefined;
const place = (): ReturnType<typeof createStore> => (opened ??= createStore('rough-gear', 'kept'));

/** Why nothing can be kept here; empty while it can. Said before anybody writes, not after. */
export const keepsNothing = shallowRef('');

/** What earlier versions kept is moved over before anything is looked for. */
let begun: Promise<void> = Promise.resolve();

/** Tries whether a value is kept, once as a page begins. */
export async function beginKeeping(): Promise<void> {
  begun = movedOver();
  await begun;
  if (await keep('probe', Date.now())) await drop('probe');
}

let lasting: Promise<boolean> | undefined;
/** Asks the browser not to clear away what is kept by itself, once, when something is that was not sent yet. */
async function askToLast(): Promise<void> {
  try {
    await (lasting ??= navigator.storage?.persist?.());
  } catch {
    // Some browsers ask the person, who may say no: it is kept for as long as there is room.
  }
}

/** Keeps a value; false, and said on the page, where this browser has no room or keeps nothing. */
export async function keep(key: string, value: unknown): Promise<boolean> {
  try {
    await set(key, value, place());
    keepsNothing.value = '';
    if (key.startsWith('unsent:')) void askToLast();
    return true;
  } catch (problem) {
    keepsNothing.value =
      (problem as Error).name === 'QuotaExceededError'
        ? 'This browser has no room to keep a copy.'
        : 'This browser keeps nothing here.';
    return false;
  }
}

export async function kept<Value>(key: string): Promise<Value | undefined> {
  await begun;
  try {
    return await get<Value>(key, place());
  } catch {
    return undefined;
  }
}

/** All that is kept under keys that begin so. */
export async function keptUnder<Value = unknown>(prefix: string): Promise<readonly (readonly [string, Value])[]> {
  await begun;
  try {
    const all = await entries<string, Value>(place());
    return all.filter(([key]) => key.startsWith(prefix));
  } catch {
    return [];
  }
}

export async function drop(key: string): Promise<void> {
  try {
    await del(key, place());
  } catch {
    // It was never kept.
  }
}

/** Where earlier versions of the program kept the same things. */
const EARLIER = /^rough-gear:(plan|trial|diary):(.+)$/;
/** Of a window that is gone by now: what it left is found by whoever opens that robot or trial. */
const EARLIER_WINDOW = 'earlier';

/** What an earlier version kept in the browser's small store, moved over once. */
async function movedOver(): Promise<void> {
  const found = Array.from({ length: localStorage.length }, (_, i) => localStorage.key(i) ?? '').flatMap((name) => {
    const [, kind, id] = EARLIER.exec(name) ?? [];
    return kind === undefined || id === undefined ? [] : [{ name, kind, id }];
  });
  const known = new Set(await keysHere());
  for (const { name, kind, id } of found) {
    const text = localStorage.getItem(name) ?? '';
    if (await takeOver(kind, id, text, known.has(`${kind}:${id}`))) localStorage.removeItem(name);
  }
}

async function keysHere(): Promise<readonly string[]> {
  try {
    return await keys<string>(place());
  } catch {
    return [];
  }
}

/** False where there is no room: it then stays where it is. Of what is `known` here already what was not sent is taken alone. */
async function takeOver(kind: string, id: string, text: string, known: boolean): Promise<boolean> {
  const aside = (): Promise<boolean> => keep(`damaged:${kind}:${id}`, text);
  const value = read(text);
  if (value === undefined) return aside();
  const { unsent, ...rest } = value;
  if (kind === 'trial') return keep(`unsent:trial:${id}:${EARLIER_WINDOW}`, { mine: value });
  if (kind === 'plan') {
    if (typeof rest['document'] !== 'object') return aside();
    if (unsent === true) return keep(`unsent:plan:${id}:${EARLIER_WINDOW}`, rest);
    return known || keep(`plan:${id}`, rest);
  }
  const lines = rest['entries'] as readonly { readonly id: string }[] | undefined;
  if (!Array.isArray(lines)) return aside();
  const waits = new Set(Array.isArray(unsent) ? unsent : []);
  const left = lines.filter((line) => waits.has(line.id));
  if (left.length > 0 && !(await keep(`unsent:diary:${id}:${EARLIER_WINDOW}`, left))) return false;
  return known || keep(`diary:${id}`, { entries: lines, cursor: '' });
}

function read(text: string): Readonly<Record<string, unknown>> | undefined {
  try {
    const found: unknown = JSON.parse(text);
    return typeof found === 'object' && found !== null ? (found as Record<string, unknown>) : undefined;
  } catch {
    return undefined;
  }
}

/** Puts what cannot be read out of the way, as it stands; it stays where it is as long as there is no room for that. */
export async function setAside(key: string, value: unknown): Promise<void> {
  if (await keep(`damaged:${key.replace('unsent:', '')}`, JSON.stringify(value) ?? '')) await drop(key);
}

/** Copies that could not be read, as they stood. */
export const damaged = async (): Promise<readonly { readonly key: string; readonly text: string }[]> =>
  (await keptUnder<string>('damaged:')).map(([key, text]) => ({ key, text }));
