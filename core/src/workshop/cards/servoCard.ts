import { currentChoice, piecesIn, type Mechanism, type Plan } from '../../plan/document/plan.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { angleOf } from '../../models/servo/calibration.js';
import { amount, say } from '../../plan/words/phrase.js';
import { figureLine, type CardLine, type SetupCard } from './card.js';

/** Places of the horn a table of pulses has. */
const PLACES = 5;

/** Pulses evenly from its shortest to its longest, with the angle each sends it to. */
function angleLines({ servo, calibration }: ServoPath, dimension: 'length' | 'angle'): readonly CardLine[] {
  const { shortestPulse, longestPulse, travel, part } = servo;
  if (part.motion === 'continuous' || !Number.isFinite(travel * (longestPulse - shortestPulse))) return [];
  return Array.from({ length: PLACES }, (_, i): CardLine => {
    const share = i / (PLACES - 1);
    const pulse = shortestPulse + share * (longestPulse - shortestPulse);
    const middle = share === 1 / 2;
    return {
      key: `pulseAt${i + 1}`,
      label: middle ? 'centre' : `place ${i + 1} of ${PLACES}`,
      value: amount(pulse, 'pulse', 4),
      from: calibration
        ? say`measured: ${amount(angleOf(calibration, pulse), dimension, 4)} by its own line`
        : say`${amount(share * travel, dimension, 4)} from its shortest, by its sheet`,
      wrong: middle ? 'Put the horn on at another pulse, and one end is out of reach.' : undefined,
    };
  });
}

/**
 * Pulses by the place of what it moves, along its linkage, with the horn put on so that the middle of its way is the centre
 * pulse: how a horn sits on its spline nobody else can know. None where that way is longer than the servo's own.
 */
function placeLines({ linked, asked, servo, calibration, load }: ServoPath): readonly CardLine[] {
  const { shortestPulse, longestPulse, travel: own, part } = servo;
  const { travel } = asked;
  if (!linked || linked.short || travel === undefined || !Number.isFinite(travel) || part.motion === 'continuous')
    return [];
  const perRadian = Math.abs(calibration?.perRadian ?? (longestPulse - shortestPulse) / own);
  const centre = (shortestPulse + longestPulse) / 2;
  const sense = linked.to < linked.from ? -1 : 1;
  const all = linked.hornAt(travel);
  if (!(perRadian * all <= longestPulse - shortestPulse)) return [];
  return Array.from({ length: PLACES }, (_, i): CardLine => {
    const q = (travel * i) / (PLACES - 1);
    return {
      key: `pulseOfPlace${i + 1}`,
      label:
        i === 0 ? 'where the job begins' : i === PLACES - 1 ? 'where it ends' : `its way, part ${i} of ${PLACES - 1}`,
      value: amount(centre + sense * perRadian * (linked.hornAt(q) - all / 2), 'pulse', 4),
      from: say`${amount(q * asked.perCoordinate, load.unit === 'm' ? 'length' : 'angle', 3)} gone; the middle of its way at the centre pulse`,
      wrong:
        i === 0 ? 'The horn a tooth off is out by a tooth at every place: try both ends by hand first.' : undefined,
    };
  });
}

/** A servo's ends and centre, the pulses of a few angles, and what is programmed into it. */
export function servoCard(plan: Plan, mechanism: Mechanism, path: ServoPath): SetupCard | undefined {
  const { drive } = currentChoice(mechanism);
  if (drive.kind !== 'servo') return undefined;
  const part = plan.parts[drive.servo]?.part;
  if (part?.kind !== 'servo') return undefined;
  const { figures } = path;
  const dimension = part.motion === 'linear' ? 'length' : 'angle';
  const lines: CardLine[] = [
    ...figureLine(
      'shortestPulse',
      'shortest pulse',
      figures['servo.shortestPulse'],
      'Beyond its end it stalls, and burns.',
    ),
    ...figureLine(
      'longestPulse',
      'longest pulse',
      figures['servo.longestPulse'],
      'Beyond its end it stalls, and burns.',
    ),
  ];
  lines.push(...angleLines(path, dimension), ...placeLines(path));
  lines.push(
    ...figureLine('speedCap', 'its speed capped at', figures['drive.speedCap']),
    ...figureLine(
      'startPoint',
      'switched on it goes to',
      figures['drive.startPoint'],
      'It jumps to wherever its first pulse says.',
    ),
    {
      key: 'rail',
      label: 'volts of its rail',
      value: amount(path.rail.voltage, 'voltage', 3),
      from: path.rail.name,
      wrong: 'Too many and its board burns.',
    },
  );
  return {
    id: `servo ${mechanism.id}`,
    kind: 'servo',
    part: part.name,
    mechanismId: mechanism.id,
    of: mechanism.name,
    pieces: piecesIn(drive),
    lines,
    cautions: ['The first pulse moves it at full speed: fingers away, horn off at first.'],
  };
}
