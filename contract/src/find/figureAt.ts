import { FIGURES } from '@rough-gear/core';

/** Where the field of a figure stands: the link of the path that is opened, a stage by its id, and what else is asked for. */
export interface FigurePlace {
  readonly link: string;
  readonly query: Readonly<Record<string, string>>;
}

/** Figures whose field stands on a page of their panel, by what their key begins with. */
const PAGES: readonly (readonly [begins: RegExp, link: string, page: string])[] = [
  [/^(servo\.case|drive\.room)/, 'motor', 'fit'],
  [/^(servo\.(yields|windingLimit)|drive\.(speedCap|startPoint))/, 'motor', 'holding'],
  [/^servo\.(rotorInertia|insideRatio)/, 'motor', 'inside'],
  [/^(servo\.(shortestPulse|longestPulse|deadband|slop)|drive\.tipWindow|chain\.\d)/, 'motor', 'precision'],
  [/^(board\.(pin|feed)|driver\.input)/, 'controller', 'signal'],
  [/^(board\.(timer|pulseLimit)|driver\.(pulseLimit|leastPulse))/, 'controller', 'pulses'],
  [/^driver\.(lowest|highest|most|trimmer)/, 'controller', 'limits'],
  [/^(driver\.followingError|drive\.(setCurrent|idleShare))/, 'controller', 'set'],
  [/^drive\.engaged/, 'motor', ''],
  [/^drive\.lead/, 'reduction', 'thread'],
];

/**
 * @example figureAt('motor.kv') //=> { link: 'motor', query: {} }
 * @example figureAt('stage.s1.module') //=> { link: 's1', query: { desk: 'teeth' } }
 */
export function figureAt(key: string): FigurePlace {
  const [, stage] = /^stage\.([^.]+)\./.exec(key) ?? [];
  if (stage !== undefined) return { link: stage, query: { desk: 'teeth' } };
  const paged = PAGES.find(([begins]) => begins.test(key));
  if (paged) return { link: paged[1], query: paged[2] ? { page: paged[2] } : {} };
  const known = (FIGURES as Readonly<Record<string, { readonly link: string } | undefined>>)[key];
  return { link: known?.link ?? 'motor', query: {} };
}
