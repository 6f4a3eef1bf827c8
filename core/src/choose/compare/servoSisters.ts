import { regearedPoints } from '../../path/edits/servoGears.js';
import type { Headline } from '../../judge/evaluate/mechanism.js';
import { judgedOver } from '../../judge/evaluate/judgedOver.js';
import { applyChanges, type Change } from '../../plan/document/change.js';
import { freshId } from '../../plan/document/freshId.js';
import type { ServoPart } from '../../plan/document/part.js';
import { mechanismById } from '../../plan/document/place.js';
import type { Plan } from '../../plan/document/plan.js';
import type { Shelved } from '../../judge/sizing/proposal.js';
import { digits } from '../../plan/words/show.js';
import { designOf } from './place.js';

/** The same motor in the same case with other gears: as much more torque as less speed. */
export interface ServoSister {
  readonly id: string;
  readonly name: string;
  /** Torque over the servo's that is there; speed goes the other way. */
  readonly by: number;
  readonly onShelf: boolean;
  readonly changes: readonly Change[];
  /** Over all jobs. */
  readonly headline: Headline;
  /** Of the open job's go, s; absent where it does not get there. */
  readonly time?: number;
  /** At the rail's volts, N·m and rad/s. */
  readonly torque: number;
  readonly speed: number;
}

/** What is made up where the shelf has none near it. */
const GEARED = [0.5, 0.71, 1.41, 2] as const;
/** Sisters give the same watts at the same volts, and weigh the same, to within so much. */
const SAME_WATTS = 0.1;
const SAME_GRAMS = 0.06;
/** Nearer than this in torque is the same gearing. */
const SAME_GEARS = 0.05;
const NEAR = 0.15;

/**
 * How much more torque a servo gives than another with the same motor; `undefined` where it is no sister of it.
 */
export function sisterBy(own: ServoPart, other: ServoPart): number | undefined {
  if (own.motion !== other.motion || own.motion === 'linear' || own.motor !== other.motor) return undefined;
  const shared = own.points.flatMap((a) => {
    const b = other.points.find(({ voltage }) => a.voltage && voltage && Math.abs(voltage.si - a.voltage.si) < 0.05);
    return b && a.stallTorque && a.speed && b.stallTorque && b.speed
      ? [
          {
            watts: (b.stallTorque.si * b.speed.si) / (a.stallTorque.si * a.speed.si),
            by: b.stallTorque.si / a.stallTorque.si,
          },
        ]
      : [];
  })[0];
  const grams = own.mass && other.mass ? other.mass.si / own.mass.si : 1;
  if (!shared || Math.abs(shared.watts - 1) > SAME_WATTS || Math.abs(grams - 1) > SAME_GRAMS) return undefined;
  return shared.by;
}

/** The servo that is there, its sisters on the shelf, and made-up ones where the shelf has none; the strongest last. */
export function servoSisters(
  plan: Plan,
  mechanismId: string,
  jobId: string,
  shelf: readonly Shelved[],
): readonly ServoSister[] {
  const { choice, choiceAt } = designOf(plan, mechanismId);
  const { drive } = choice;
  const own = drive.kind === 'servo' ? plan.parts[drive.servo]?.part : undefined;
  if (own?.kind !== 'servo') return [];
  const id = freshId(plan, 'servo');
  const instead = (part: ServoPart): readonly Change[] => [
    { at: ['parts', id], to: { part } },
    { at: [...choiceAt, 'drive', 'servo'], to: id },
    // The angles were measured on the other one.
    { at: [...choiceAt, 'drive', 'calibration'], to: undefined },
  ];
  const shelved = shelf.flatMap(({ id: shelfId, part }) => {
    const by = part.kind === 'servo' && part.name !== own.name ? sisterBy(own, part) : undefined;
    return part.kind === 'servo' && by !== undefined && Math.abs(by - 1) > SAME_GEARS
      ? [{ id: shelfId ?? part.name, name: part.name, by, onShelf: true, changes: instead(part) }]
      : [];
  });
  const made = GEARED.filter((by) => !shelved.some((one) => Math.abs(Math.log(one.by / by)) < NEAR)).map((by) => {
    const name = `${own.name}, ${digits(by, 2)} times the torque`;
    const part: ServoPart = {
      ...own,
      name,
      price: undefined,
      owned: undefined,
      inside: undefined,
      points: regearedPoints(own, by),
    };
    return { id: `by-${by}`, name, by, onShelf: false, changes: instead(part) };
  });
  const all = [{ id: 'own', name: own.name, by: 1, onShelf: false, changes: [] }, ...shelved, ...made];
  return all
    .map((one): ServoSister => {
      const changed = applyChanges(plan, one.changes);
      const { headline, path, result } = judgedOver(changed, mechanismById(changed, mechanismId), jobId);
      if (path.machine !== 'servo') throw new Error(`${one.name} is no servo`);
      const { stallTorque, freeSpeed } = path.servo.rating;
      const time = result.run?.outcome === 'arrived' ? result.run.time : undefined;
      return { ...one, headline, time, torque: stallTorque, speed: freeSpeed };
    })
    .sort((a, b) => a.by - b.by);
}
