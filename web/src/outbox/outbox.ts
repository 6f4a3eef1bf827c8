import { shallowReactive } from 'vue';
import { Refused, Unreachable } from '../api/client.js';

/**
 * How what was written stands with the server: all of it home; under way; the network or the server away; the server there
 * but not able to take it now; changed elsewhere, so that a person decides; refused for good.
 */
export type OutboxState = 'home' | 'sending' | 'away' | 'waiting' | 'clash' | 'refused';

/** What has not come home under one address. */
export interface Box {
  readonly state: OutboxState;
  /** What the server said, where it did not take it. */
  readonly refusal: string;
  /** How much waits, what was refused among it. */
  readonly waiting: number;
}

export interface OutboxWays<Item> {
  /** What an item is called: a later one of the same name takes the place of one that waits. */
  nameOf(item: Item): string;
  /** Brings items home, and throws what the server or the network said. */
  send(address: string, items: readonly Item[]): Promise<void>;
  /** Keeps what waits in this browser; nothing waits where the list is empty. */
  keep(address: string, items: readonly Item[]): unknown;
  /** So many go at once. */
  readonly most?: number;
  /** After so long, ms, without another item they are sent, and after `longest` in any case. */
  readonly rest: number;
  readonly longest?: number;
}

const RETRY_MS = 2000;
/** A session that has ended, too many requests, a server in trouble or a full disk: taken later. */
const isForLater = (status: number): boolean => status >= 500 || status === 401 || status === 429;

/** Sending stops until a person has decided. */
export class Undecided extends Error {}

/** What a failure asks for. */
export function failureOf(problem: unknown): Exclude<OutboxState, 'home' | 'sending'> {
  if (problem instanceof Unreachable) return 'away';
  if (problem instanceof Undecided) return 'clash';
  if (!(problem instanceof Refused)) return 'refused';
  const { status } = problem.problem;
  if (status === 412) return 'clash';
  return isForLater(status) ? 'waiting' : 'refused';
}

interface Waiting<Item> {
  readonly item: Item;
  /** What the server said of this one, where it will not have it; the others go without it. */
  refused: string | undefined;
}

interface Inside<Item> {
  readonly items: Map<string, Waiting<Item>>;
  timer: ReturnType<typeof setTimeout> | undefined;
  since: number | undefined;
  sending: Promise<void> | undefined;
  /** After a refusal they go one by one, until it is known which it was. */
  oneByOne: boolean;
}

const AT_HOME: Box = { state: 'home', refusal: '', waiting: 0 };

/**
 * Brings what was written home: kept in this browser at once, sent shortly after, and again until the server has it. It
 * outlives the view that wrote, and each address has its own sender, so that a slow one keeps no other waiting.
 */
export function createOutbox<Item>({ nameOf, send, keep, most = 1, rest, longest = Infinity }: OutboxWays<Item>) {
  const boxes = shallowReactive(new Map<string, Box>());
  const insides = new Map<string, Inside<Item>>();

  const insideOf = (address: string): Inside<Item> => {
    let inside = insides.get(address);
    if (!inside) {
      inside = { items: new Map(), timer: undefined, since: undefined, sending: undefined, oneByOne: false };
      insides.set(address, inside);
    }
    return inside;
  };
  const boxOf = (address: string): Box => boxes.get(address) ?? AT_HOME;
  const waitingIn = (address: string): readonly Item[] =>
    [...(insides.get(address)?.items.values() ?? [])].map(({ item }) => item);

  function say(address: string, state: OutboxState, refusal = ''): void {
    boxes.set(address, { state, refusal, waiting: insideOf(address).items.size });
  }

  /** Writes items down: they are kept before they are sent. */
  function put(address: string, ...items: readonly Item[]): void {
    const inside = insideOf(address);
    for (const item of items) inside.items.set(nameOf(item), { item, refused: undefined });
    keep(address, waitingIn(address));
    const { state, refusal } = boxOf(address);
    say(address, state === 'home' || state === 'refused' ? 'sending' : state, refusal);
    // A line that never rests goes now and then all the same.
    inside.since ??= Date.now();
    schedule(address, Date.now() - inside.since > longest ? 0 : rest);
  }

  function schedule(address: string, after: number): void {
    const inside = insideOf(address);
    clearTimeout(inside.timer);
    inside.timer = setTimeout(() => void flush(address), after);
  }

  /** Sends at once what waits; done when it is home or is known not to come home now. */
  async function flush(address: string): Promise<void> {
    const inside = insideOf(address);
    clearTimeout(inside.timer);
    while (inside.sending) await inside.sending;
    if (boxOf(address).state === 'clash') return;
    const due = [...inside.items.values()].filter(({ refused }) => refused === undefined);
    const batch = due.slice(0, inside.oneByOne ? 1 : most);
    if (batch.length === 0) return;
    inside.since = undefined;
    inside.sending = sendNow(address, batch).finally(() => (inside.sending = undefined));
    await inside.sending;
  }

  async function sendNow(address: string, batch: readonly Waiting<Item>[]): Promise<void> {
    const inside = insideOf(address);
    const { state } = boxOf(address);
    if (state === 'home') say(address, 'sending');
    try {
      await send(
        address,
        batch.map(({ item }) => item),
      );
    } catch (problem) {
      notSent(address, problem, batch);
      return;
    }
    for (const sent of batch) {
      const name = nameOf(sent.item);
      // A later one of that name was written meanwhile: it still has to go.
      if (inside.items.get(name) === sent) inside.items.delete(name);
    }
    keep(address, waitingIn(address));
    const left = [...inside.items.values()];
    if (left.some(({ refused }) => refused === undefined)) {
      say(address, 'sending');
      schedule(address, 0);
    } else {
      inside.oneByOne = false;
      say(address, left.length > 0 ? 'refused' : 'home', left[0]?.refused ?? '');
    }
  }

  function notSent(address: string, problem: unknown, batch: readonly Waiting<Item>[]): void {
    const inside = insideOf(address);
    const failure = failureOf(problem);
    if (failure === 'away') say(address, 'away');
    else say(address, failure, failure === 'clash' ? '' : (problem as Error).message);
    if (failure === 'clash') return;
    if (failure !== 'refused') return schedule(address, RETRY_MS);
    const [only, another] = batch;
    if (only && !another) only.refused = (problem as Error).message;
    inside.oneByOne = true;
    if ([...inside.items.values()].some(({ refused }) => refused === undefined)) schedule(address, 0);
  }

  /** What waits under an address is given up, or has come home by another way. */
  function empty(address: string): void {
    const inside = insideOf(address);
    clearTimeout(inside.timer);
    inside.items.clear();
    inside.oneByOne = false;
    keep(address, []);
    boxes.delete(address);
  }

  /** What an earlier page of this window could not send goes on waiting here. */
  function resume(address: string, items: readonly Item[], as: OutboxState = 'sending'): void {
    const inside = insideOf(address);
    for (const item of items)
      if (!inside.items.has(nameOf(item))) inside.items.set(nameOf(item), { item, refused: undefined });
    if (inside.items.size === 0) return;
    keep(address, waitingIn(address));
    say(address, as);
    if (as !== 'clash') schedule(address, as === 'away' ? RETRY_MS : 0);
  }

  /** A person has decided: what waits goes on. */
  function decided(address: string): void {
    say(address, 'sending');
    schedule(address, 0);
  }

  /** The network is back: what was away goes at once. */
  function back(): void {
    for (const [address, { state }] of boxes) if (state === 'away') schedule(address, 0);
  }

  return { boxes, boxOf, waitingIn, put, flush, empty, resume, decided, back };
}

export type Outbox<Item> = ReturnType<typeof createOutbox<Item>>;
