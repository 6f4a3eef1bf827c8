import { servoPulseAt } from '../evaluate/servoPulse.js';
import { currentChoice, type Mechanism, type Plan } from '../plan/plan.js';
import type { ServoPath } from '../powerpath/servoPath.js';
import { amount, say } from '../words/phrase.js';
import { figureLine, type CardLine, type SetupCard } from './card.js';

/** Places of the horn a table of pulses has. */
const PLACES = 5;

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
