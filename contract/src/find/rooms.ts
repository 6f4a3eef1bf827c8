/** A room of a robot: what is done there, and where it is. */
export interface Room {
  readonly id: string;
  readonly text: string;
  /** What it answers, in a sentence. */
  readonly answers: string;
  /** Its address; `mechanismId` is the mechanism that was open last. */
  at(planId: string, mechanismId: string): string;
}

/** The rooms of a robot, in the order of the work. */
export const ROOMS = [
  {
    id: 'mechanisms',
    text: 'Mechanisms',
    answers: 'What each mechanism can do by itself, and what gives first.',
    at: (planId, mechanismId) => `/robots/${planId}/${mechanismId}`,
  },
  {
    id: 'match',
    text: 'Match',
    answers: 'Whether all of it holds together, on one pack, through a match and a day.',
    at: (planId) => `/robots/${planId}`,
  },
  {
    id: 'bench',
    text: 'Bench',
    answers: 'What was measured of this robot, and what is worth measuring next.',
    at: (planId) => `/robots/${planId}/bench`,
  },
  {
    id: 'order',
    text: 'Order',
    answers: 'What is to be bought, with its spares, and what it costs.',
    at: (planId) => `/robots/${planId}/paper/order`,
  },
  {
    id: 'wiring',
    text: 'Wiring',
    answers: 'Which wire goes where, how thick, and whether it carries what flows.',
    at: (planId) => `/robots/${planId}/paper/wiring`,
  },
  {
    id: 'setup',
    text: 'Setup',
    answers: 'What is typed into each controller, driver and servo.',
    at: (planId) => `/robots/${planId}/paper/cards`,
  },
  {
    id: 'pit',
    text: 'Pit',
    answers: 'What is looked at between two matches.',
    at: (planId) => `/robots/${planId}/pit`,
  },
] as const satisfies readonly Room[];
export type RoomId = (typeof ROOMS)[number]['id'];
