import type { RouteLocationNormalizedLoaded, RouteLocationRaw } from 'vue-router';

/** A room of a robot: what is done there, and where it is. */
export interface Room {
  readonly id: string;
  readonly text: string;
  /** What it answers, in a sentence. */
  readonly answers: string;
  /** Its address; `mechanismId` is the mechanism that was open last. */
  at(planId: string, mechanismId: string): RouteLocationRaw;
}

const paper =
  (sheet: string) =>
  (planId: string): RouteLocationRaw => ({ name: 'robot-paper', params: { planId, sheet } });

/** The rooms of a robot, in the order of the work. */
export const ROOMS = [
  {
    id: 'mechanisms',
    text: 'Mechanisms',
    answers: 'What each mechanism can do by itself, and what gives first.',
    at: (planId, mechanismId) => ({ name: 'mechanism', params: { planId, mechanismId } }),
  },
  {
    id: 'match',
    text: 'Match',
    answers: 'Whether all of it holds together, on one pack, through a match and a day.',
    at: (planId) => ({ name: 'mechanism', params: { planId } }),
  },
  {
    id: 'bench',
    text: 'Bench',
    answers: 'What was measured of this robot, and what is worth measuring next.',
    at: (planId) => ({ name: 'robot-bench', params: { planId } }),
  },
  {
    id: 'order',
    text: 'Order',
    answers: 'What is to be bought, with its spares, and what it costs.',
    at: paper('order'),
  },
  {
    id: 'wiring',
    text: 'Wiring',
    answers: 'Which wire goes where, how thick, and whether it carries what flows.',
    at: paper('wiring'),
  },
  { id: 'setup', text: 'Setup', answers: 'What is typed into each controller, driver and servo.', at: paper('cards') },
  {
    id: 'pit',
    text: 'Pit',
    answers: 'What is looked at between two matches.',
    at: (planId) => ({ name: 'pit', params: { planId } }),
  },
] as const satisfies readonly Room[];
export type RoomId = (typeof ROOMS)[number]['id'];

const SHEETS: Readonly<Record<string, RoomId>> = { order: 'order', wiring: 'wiring', cards: 'setup' };

/** The room an address is in; the whole book is in none, it is of all of them. */
export function roomOf({ name, params }: Pick<RouteLocationNormalizedLoaded, 'name' | 'params'>): RoomId | undefined {
  switch (name) {
    case 'mechanism':
      return params['mechanismId'] ? 'mechanisms' : 'match';
    case 'robot-bench':
    case 'bench':
    case 'trial-paper':
      return 'bench';
    case 'robot-paper':
      return SHEETS[String(params['sheet'])];
    case 'pit':
      return 'pit';
    default:
      return undefined;
  }
}
