import { servoPulseAt } from '../evaluate/servoPulse.js';
import { currentChoice, type Mechanism, type Plan } from '../plan/plan.js';
import type { ServoPath } from '../powerpath/servoPath.js';
import { amount, say } from '../words/phrase.js';
import { figureLine, type CardLine, type SetupCard } from './card.js';

/** Places of the horn a table of pulses has. */
const PLACES = 5;
/** Rounding of a linkage at its ends, rad or m. */
const HAIR = 1e-6;

/** The pulses of a few places of what it moves, along its linkage; none where the horn does not get there. */
function placeLines(path: ServoPath, from: string): readonly CardLine[] {
  const { linked, asked, servo } = path;
  const { travel } = asked;
  if (!linked || linked.short || travel === undefined || !Number.isFinite(travel) || servo.part.motion === 'continuous')
    return [];
  const sense = linked.to < linked.from ? -1 : 1;
  return Array.from({ length: PLACES }, (_, i): readonly CardLine[] => {
    const q = (travel * i) / (PLACES - 1);
    const horn = linked.from + sense * linked.hornAt(q);
    const pulse = servoPulseAt(path, horn);
    if (!Number.isFinite(pulse) || horn < -HAIR || horn > servo.travel + HAIR) return [];
    return [
      {
        key: `pulseOfPlace${i + 1}`,
        label:
          i === 0 ? 'where the job begins' : i === PLACES - 1 ? 'where it ends' : `its way, part ${i} of ${PLACES - 1}`,
        value: amount(pulse, 'pulse', 4),
        from: say`${amount(q * asked.perCoordinate, path.load.unit === 'm' ? 'length' : 'angle', 3)} gone; ${from}`,
      },
    ];
  }).flat();
}

/** A servo's ends and centre, the pulses of a few angles, and what is programmed into it. */
export function servoCard(plan: Plan, mechanism: Mechanism, path: ServoPath): SetupCard | undefined {
  const { drive } = currentChoice(mechanism);
  if (drive.kind !== 'servo') return undefined;
  const part = plan.parts[drive.servo]?.part;
  if (part?.kind !== 'servo') return undefined;
  const { servo, calibration, figures } = path;
  const dimension = part.motion === 'linear' ? 'length' : 'angle';
  const from = calibration ? 'measured: its own line' : 'its sheet';
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
  if (part.motion !== 'continuous' && Number.isFinite(servo.travel))
    for (let i = 0; i < PLACES; i++) {
      const angle = (servo.travel * i) / (PLACES - 1);
      const pulse = servoPulseAt(path, angle);
      if (Number.isFinite(pulse))
        lines.push({
          key: `pulseAt${i + 1}`,
          label: i === (PLACES - 1) / 2 ? 'centre' : `place ${i + 1} of ${PLACES}`,
          value: amount(pulse, 'pulse', 4),
          from: say`${amount(angle, dimension, 4)} from its shortest; ${from}`,
          wrong: i === (PLACES - 1) / 2 ? 'Put the horn on at another pulse, and one end is out of reach.' : undefined,
        });
    }
  lines.push(...placeLines(path, from));
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
    pieces: drive.servos * (drive.joints ?? 1),
    lines,
    cautions: ['The first pulse moves it at full speed: fingers away, horn off at first.'],
  };
}
