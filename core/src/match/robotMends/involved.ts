import type { JudgedMatch } from '../robot/judge.js';
import type { RobotRung } from '../../judge/ledger/robotRung.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import type { InvolvedLane } from './robotLevers.js';

/** So many lanes are worth changing: those that draw most. */
const MOST_INVOLVED = 3;

/** Lanes that have a part in what gives, the greatest first: who was on, who draws most, or whose it is. */
export function involvedIn(plan: Plan, { script, result }: JudgedMatch, rung: RobotRung): readonly InvolvedLane[] {
  const lanes = lanesOf(plan, { script, result }, rung).filter((lane) =>
    plan.mechanisms.some(({ id }) => id === result.lanes[lane]?.mechanism),
  );
  return [...new Set(lanes)].slice(0, MOST_INVOLVED).map((lane) => ({
    mechanism: result.lanes[lane]!.mechanism,
    go: goOf({ result }, lane, rung.time),
    peak: result.lanes[lane]!.peak,
  }));
}

function lanesOf(
  plan: Plan,
  { script, result }: Pick<JudgedMatch, 'script' | 'result'>,
  rung: RobotRung,
): readonly number[] {
  const own = script.lanes.findIndex(({ mechanism }) => mechanism === rung.mechanism);
  const byEnergy = [...result.lanes.keys()].sort((a, b) => result.lanes[b]!.energy - result.lanes[a]!.energy);
  switch (rung.id) {
    case 'boards':
    case 'cells':
    case 'controller': {
      const dip = result.dips.find(({ of, lane }) => of === rung.id && (lane === undefined || lane === own));
      return [...(own < 0 ? [] : [own]), ...(dip?.who ?? byEnergy).filter((lane) => lane >= 0)];
    }
    case 'rail': {
      const nodeOf = (id: string | undefined) => {
        const there = plan.mechanisms.find((one) => one.id === id);
        return there && currentChoice(there).drive.node;
      };
      const rail = nodeOf(rung.mechanism);
      return script.lanes.flatMap(({ mechanism }, i) => (nodeOf(mechanism) === rail ? [i] : []));
    }
    case 'main-breaker':
    case 'charge':
      return byEnergy;
    case 'branch':
    case 'heat':
      return own < 0 ? [] : [own];
    case 'late': {
      if (own < 0) return [];
      const go = result.goes.find(({ lane, began }) => lane === own && began === rung.time);
      return [own, ...drawingWhile({ result }, go?.began ?? 0, go?.ended ?? result.length).filter((i) => i !== own)];
    }
    case 'event':
      return [];
  }
}

/** Who draws most between two instants, the greatest first. */
function drawingWhile({ result }: Pick<JudgedMatch, 'result'>, from: number, to: number): readonly number[] {
  const { times, lanes } = result.samples;
  const drawn = result.lanes.map((_, lane) =>
    times.reduce((sum, time, i) => (time >= from && time <= to ? sum + (lanes[lane]![i] ?? 0) : sum), 0),
  );
  return [...drawn.keys()].filter((lane) => drawn[lane]! > 0).sort((a, b) => drawn[b]! - drawn[a]!);
}

/** The go a lane is in at an instant; else its first, which decides over those that follow. */
function goOf({ result }: Pick<JudgedMatch, 'result'>, lane: number, time: number | undefined): string | undefined {
  const goes = result.goes.filter((go) => go.lane === lane && go.began !== undefined);
  const on = goes.find(({ began, ended = Infinity }) => time !== undefined && began! <= time && time <= ended);
  return (on ?? goes[0])?.go;
}
