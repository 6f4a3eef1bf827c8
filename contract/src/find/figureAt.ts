import { FIGURES, screwAt, type AnyPath } from '@rough-gear/core';

/** Where the field of a figure stands: the link of the path that is opened, a stage by its id, and what else is asked for. */
export interface FigurePlace {
  readonly link: string;
  readonly query: Readonly<Record<string, string>>;
}

/** Figures whose field stands on a page of their panel, by what their key begins with. */
const PAGES: readonly (readonly [begins: RegExp, link: string, page: string])[] = [
  [/^(servo\.case|drive\.room)/, 'motor', 'fit'],
  [/^(servo\.(yields|windingLimit)|drive\.(speedCap|startPoint))/, 'motor', 'holding'],
  [/^servo\.rotorInertia/, 'motor', 'inside'],
  [/^(servo\.(shortestPulse|longestPulse|deadband|slop)|drive\.tipWindow|chain\.\d)/, 'motor', 'precision'],
  [/^(board\.(pin|feed)|driver\.input)/, 'controller', 'signal'],
  [/^(board\.(timer|pulseLimit)|driver\.(pulseLimit|leastPulse))/, 'controller', 'pulses'],
  [/^driver\.(lowest|highest|most|trimmer)/, 'controller', 'limits'],
  [/^(driver\.followingError|drive\.(setCurrent|idleShare))/, 'controller', 'set'],
  [/^servo\./, 'motor', 'sheet'],
  [/^drive\.engaged/, 'motor', ''],
  [/^drive\.lead/, 'reduction', 'thread'],
];

/**
 * @example figureAt('motor.kv') //=> { link: 'motor', query: {} }
 * @example figureAt('stage.s1.module') //=> { link: 's1', query: { desk: 'teeth', page: 'stages' } }
 */
export function figureAt(key: string): FigurePlace {
  const [, stage] = /^stage\.([^.]+)\./.exec(key) ?? [];
  if (stage !== undefined) {
    const page = key.endsWith('.tension') ? 'lengths' : 'stages';
    return { link: stage, query: { desk: 'teeth', page } };
  }
  const paged = PAGES.find(([begins]) => begins.test(key));
  if (paged) return { link: paged[1], query: paged[2] ? { page: paged[2] } : {} };
  const known = (FIGURES as Readonly<Record<string, { readonly link: string } | undefined>>)[key];
  return { link: known?.link ?? 'motor', query: {} };
}

/** Figures that have no field, or none here: they are worked out, read off a drawing, or typed where something else is chosen. */
const WITHOUT: readonly (readonly [is: RegExp, without: (path: AnyPath, key: string) => boolean])[] = [
  [/^(ambient|motor\.stated|servo\.insideRatio)/, () => true],
  [/^stage\..*\.(direction|centre)$/, () => true],
  [/^stage\..*\.(size|drivenBore|overhang|bearing)$/, (path, key) => stageOf(path, key)?.shaft === undefined],
  [/^board\.timer/, (path) => path.machine !== 'step' || path.board.timer === undefined],
  [/^driver\.followingError/, (path) => path.machine !== 'step' || path.step.kind === 'stepper'],
  [/^drive\.lead/, (path) => path.machine !== 'step' || screwAt(path) < 0],
  [/^drive\.rollBack/, (path) => path.machine !== 'dc' || path.control.mode !== 'lock'],
  [
    /^(servo\.yields|drive\.(speedCap|startPoint))/,
    (path) => path.machine !== 'servo' || path.servo.part.motion !== 'joint',
  ],
  [/^servo\.(travel|stroke)/, (path) => path.machine !== 'servo' || path.servo.part.motion === 'continuous'],
  [/^drive\.tipWindow/, (path) => path.machine !== 'servo' || path.chain.length === 0],
  [/^pack\.capacityExponent/, (path, key) => path.figures[key]?.value === 1],
];

const stageOf = (path: AnyPath, key: string) => path.stages.find(({ id }) => key.split('.')[1] === id);

/** Whether the figure can be typed as the mechanism is now. */
export const hasField = (key: string, path: AnyPath): boolean =>
  !WITHOUT.some(([is, without]) => is.test(key) && without(path, key));
