import type { Go, MatchScript } from '../../plan/document/script.js';
import { duesOf, insertDue, waitingFor, type Due } from './schedule.js';

/** A go as it is played: begun at its time, or once its lane was free, and cut off by the end of the match. */
export interface PlayedGo {
  readonly lane: number;
  readonly go: Go;
  readonly began: number;
  readonly seconds: number;
}

/** Nothing is done in less: a go that takes no time would wake another for ever. s */
const SHORTEST_GO = 1e-3;
/** Two moments as near as this are one, s. */
const NEARLY = 1e-9;

/**
 * The goes that a script makes, by the same rules as the match that is gone through: one at a time in a lane, the others
 * wait; repeats end with the match; a go that waits for another comes each time that one comes. How long each takes is told
 * from outside, so that no volts are needed.
 *
 * @param length of the match, s
 * @param secondsOf what a go takes in a lane, s; `undefined` where it cannot be begun
 * @returns in the order in which they begin
 * @example playedGoes(plan.scripts[0], 150, () => 2).filter(({ lane }) => lane === 0).length //=> 39
 */
export function playedGoes(
  script: Pick<MatchScript, 'lanes'>,
  length: number,
  secondsOf: (lane: number, go: Go) => number | undefined,
): readonly PlayedGo[] {
  const dues = duesOf(script, length);
  const lanes = script.lanes.map(() => ({ until: Infinity, going: undefined as Go | undefined, queue: [] as Due[] }));
  const played: PlayedGo[] = [];
  const wake = (id: string, kind: 'after' | 'with', time: number): void => {
    for (const { lane, go, wait } of waitingFor(script, id, kind)) insertDue(dues, { lane, go, planned: time + wait });
  };
  for (;;) {
    const time = Math.min(dues[0]?.planned ?? Infinity, ...lanes.map(({ until }) => until));
    if (time >= length - NEARLY) return played;
    for (const lane of lanes) {
      if (lane.until > time + NEARLY || !lane.going) continue;
      const { id } = lane.going;
      lane.until = Infinity;
      lane.going = undefined;
      wake(id, 'after', time);
    }
    while (dues.length > 0 && dues[0]!.planned <= time + NEARLY) {
      const due = dues.shift()!;
      lanes[due.lane]!.queue.push(due);
    }
    lanes.forEach((lane, at) => {
      while (!lane.going && lane.queue.length > 0) {
        const { go } = lane.queue.shift()!;
        const seconds = secondsOf(at, go);
        if (seconds === undefined) continue;
        lane.going = go;
        lane.until = time + Math.max(SHORTEST_GO, seconds);
        played.push({ lane: at, go, began: time, seconds: Math.min(lane.until, length) - time });
        wake(go.id, 'with', time);
      }
    });
  }
}
