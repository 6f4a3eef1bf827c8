import { currentChoice, type Plan } from '../../plan/document/plan.js';
import type { ServoPath } from '../../path/powerpath/servoPath.js';
import { amount, counted } from '../../plan/words/index.js';
import { figureLine, type SetupCard } from './card.js';

/** What a servos' rail is set to, and who hangs on it. */
export function railCard(plan: Plan, path: ServoPath): SetupCard {
  const { rail, figures } = path;
  const names = plan.mechanisms
    .filter((mechanism) => currentChoice(mechanism).drive.node === rail.id)
    .map(({ name }) => name);
  return {
    id: `rail ${rail.id}`,
    kind: 'rail',
    part: rail.name,
    of: names.join(', '),
    pieces: 1,
    lines: [
      {
        key: 'voltage',
        label: 'volts',
        value: amount(rail.voltage, 'voltage', 3),
        from: rail.source === 'pack' ? 'the pack’s' : 'its regulator',
        wrong: 'Too many and every servo on it burns.',
      },
      ...figureLine('continuous', 'amperes for ever', figures['rail.continuous']),
      ...figureLine('burst', 'amperes for a moment', figures['rail.burst']),
      {
        key: 'ground',
        label: 'ground',
        value: rail.apart ? 'apart: join it' : 'common with the board',
        from: 'typed',
        wrong: 'Without a common ground servos twitch or stand still.',
      },
      {
        key: 'servos',
        label: 'hang on it',
        value: counted(rail.servos.length, 'kind of servo', 'kinds of servo'),
        from: names.join(', '),
      },
    ],
    cautions: ['Measure its volts before the first servo is plugged in.'],
  };
}
