import { mechanismById, choiceAt } from '../../plan/document/place.js';
import { ladderOf } from '../../judge/evaluate/ladder.js';
import { SITUATIONS, situationOf } from '../../judge/limits/situation.js';
import { torqueBefore } from '../../judge/limits/stages/stageLimit.js';
import { STAGE_LIMITS } from '../../judge/limits/table.js';
import { applyChanges } from '../../plan/document/change.js';
import { currentChoice, type Plan } from '../../plan/document/plan.js';
import { quantityOf } from '../../plan/document/quantityOf.js';
import type { Stage } from '../../plan/document/stage.js';
import { lacksOf } from '../../path/powerpath/path.js';
import { resolvePath } from '../../path/resolve/resolvePath.js';
import type { StageParts } from '../../path/powerpath/stageParts.js';
import { speedRipple } from '../../models/reduction/runLength.js';

/** One way to build a stage: gears, a chain or a belt of the same ratio, judged by the same limits. */
export interface StageWay {
  readonly id: string;
  readonly name: string;
  readonly stage: Stage;
  /** Least multiple over its own limits and situations, over the margin that one wants; 1 and over holds. */
  readonly margin: number;
  /** The limit that is least beside what it wants, and its own multiple. */
  readonly gives: string;
  readonly multiple: number;
  readonly mass: number;
  /** Share of the power that is lost in it. */
  readonly loss: number;
  readonly ripple: number;
  /** What the shafts are pulled together with, N. */
  readonly bearingPull: number;
  /** What a strand must pull at rest, N; 0 where nothing is tensioned. */
  readonly tension: number;
  readonly length: number;
}

const DENSITY = 2700;
const WEB = 0.5;

const millimetres = (value: number) => quantityOf(value / 1000, `${value} mm`);

interface Way {
  readonly id: string;
  readonly name: string;
  make(id: string, driver: number, driven: number): Stage;
}

const gears = (module: number, face: number): Way => ({
  id: `gears-${module}`,
  name: `gears, module ${module} mm, ${face} mm wide`,
  make: (id, driver, driven) => ({
    id,
    kind: 'teeth',
    driver,
    driven,
    pitch: millimetres(module),
    face: millimetres(face),
    material: 'plain steel',
  }),
});

const chain = (name: string, pitch: number): Way => ({
  id: `chain-${pitch}`,
  name: `chain ${name}`,
  make: (id, driver, driven) => ({ id, kind: 'chain', driver, driven, pitch: millimetres(pitch), takeUp: 'tensioner' }),
});

const belt = (pitch: number, width: number, belts = 1): Way => ({
  id: `belt-${pitch}-${width}-${belts}`,
  name: `${belts === 2 ? 'two belts' : 'belt'}, ${pitch} mm pitch, ${width} mm wide`,
  make: (id, driver, driven) => ({
    id,
    kind: 'belt',
    driver,
    driven,
    pitch: millimetres(pitch),
    face: millimetres(width),
    profile: 'modified round',
    belts,
  }),
});

const WAYS: readonly Way[] = [
  gears(0.8, 8),
  gears(1, 10),
  gears(1.5, 15),
  chain('No. 25', 6.35),
  chain('No. 35', 9.525),
  chain('No. 40', 12.7),
  belt(5, 9),
  belt(5, 15),
  belt(5, 15, 2),
  belt(5, 25),
  belt(8, 20),
];

/** Teeth of gears are finer: the same ratio takes more of them. */
const FEWEST = { teeth: 17, chain: 12, belt: 14 } as const;

/** Same wheels where they can be; never fewer teeth than the kind bears. */
function teethFor(kind: keyof typeof FEWEST, driver: number, driven: number): readonly [number, number] {
  const times = Math.max(1, FEWEST[kind] / Math.min(driver, driven));
  return [Math.round(driver * times), Math.round(driven * times)];
}

/** The schools side by side on one stage of a mechanism: every way with the same ratio, on the same job. */
export function stageWays(plan: Plan, mechanismId: string, jobId: string, stageId: string): readonly StageWay[] {
  const mechanism = mechanismById(plan, mechanismId);
  const choice = currentChoice(mechanism);
  const index = choice.stages.findIndex(({ id }) => id === stageId);
  const now = choice.stages[index];
  if (!now || !('driver' in now)) return [];
  const at = choiceAt(plan, mechanism);
  return WAYS.flatMap((way): StageWay[] => {
    const kind = way.id.startsWith('gears') ? 'teeth' : way.id.startsWith('chain') ? 'chain' : 'belt';
    const stage = way.make(stageId, ...teethFor(kind, now.driver, now.driven));
    const changed = applyChanges(plan, [{ at: [...at, 'stages', index], to: stage }]);
    const path = resolvePath(changed, mechanismById(changed, mechanismId), jobId);
    const parts = path.stageParts[index]!;
    const least = leastMargin();
    if (!least) return [];
    const { efficiency } = path.train.stages[index]!;
    const working = situationOf(path, 'working');
    const torque = Math.max(0, working.demand) * torqueBefore(path, index, false);
    const pull = torque / parts.driverRadius;
    return [
      {
        id: way.id,
        name: way.name,
        stage,
        ...least,
        mass: massOf(parts),
        loss: 1 - efficiency,
        ripple: parts.kind === 'chain' ? speedRipple(Math.min(parts.driver, parts.driven)) : 0,
        bearingPull: bearingPull(parts, pull),
        tension: parts.kind === 'belt' || parts.kind === 'chain' ? parts.tension : 0,
        length: parts.centre + parts.driverRadius + parts.drivenRadius,
      },
    ];

    function leastMargin() {
      let found: { margin: number; gives: string; multiple: number } | undefined;
      for (const id of SITUATIONS) {
        const ladder = ladderOf(path, id);
        const { demand } = ladder;
        if (ladder.idle || demand === undefined || demand <= 0) continue;
        const situation = situationOf(path, id);
        for (const limit of STAGE_LIMITS) {
          if (!limit.has(parts) || limit.id === 'shaft' || lacksOf(path, limit.needs(id)).length > 0) continue;
          const multiple = limit.capacityOf(path, parts, situation) / demand;
          const margin = multiple / (limit.wantsHere?.(path, id) ?? limit.wants);
          if (!found || margin < found.margin) found = { margin, gives: limit.name, multiple };
        }
      }
      return found;
    }
  });
}

/** What the two shafts are pulled together, or gears pushed apart, with. N */
export function bearingPull(parts: StageParts, pull: number): number {
  // Gears at 20°: the normal force of the tooth.
  if (parts.kind === 'teeth') return pull / Math.cos(Math.PI / 9);
  // Tight and slack strand of a belt together always pull twice what one does at rest, and never less than its pull.
  if (parts.kind === 'belt') return Math.max(2 * parts.tension, pull);
  return parts.kind === 'chain' ? pull + 2 * parts.tension : 0;
}

/** Wheels of aluminium with webs, and what goes round them. kg */
function massOf(parts: StageParts): number {
  if (!('driver' in parts)) return 0;
  const face = parts.kind === 'teeth' ? parts.face : parts.kind === 'belt' ? parts.width * parts.belts : parts.plate;
  const density = parts.kind === 'belt' ? DENSITY : 7850;
  const wheels = Math.PI * (parts.driverRadius ** 2 + parts.drivenRadius ** 2) * face * density * WEB;
  if (parts.kind === 'chain') return wheels + parts.length * parts.pitch * parts.massPerLength;
  // A belt weighs some 0.9 g for each metre, millimetre of width and millimetre of pitch, typical.
  if (parts.kind === 'belt') return wheels + parts.length * parts.pitch * parts.width * parts.belts * parts.pitch * 900;
  return wheels;
}
