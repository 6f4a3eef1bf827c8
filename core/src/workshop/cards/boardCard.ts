import { currentChoice, type Plan } from '../../plan/document/plan.js';
import { partOf } from '../../path/resolve/resolveSupply.js';
import { amount, counted } from '../../plan/words/index.js';
import type { CardLine, SetupCard } from './card.js';

/** A board that commands drivers or servos: whom it serves, its levels, and what of them its program must keep to. */
export function boardCard(plan: Plan, id: string): SetupCard {
  const part = partOf(plan, id, 'board');
  const rails = plan.supply.filter((node) => node.kind === 'rail' && node.board === id).map((node) => node.id);
  const users = plan.mechanisms.filter((mechanism) => {
    const { drive } = currentChoice(mechanism);
    return (drive.kind === 'step' && drive.board === id) || (drive.kind === 'servo' && rails.includes(drive.node));
  });
  const names = users.map(({ name }) => name).join(', ');
  const line = (
    key: string,
    label: string,
    value: CardLine['value'] | undefined,
    wrong?: string,
  ): readonly CardLine[] => (value === undefined ? [] : [{ key, label, value, from: 'off its sheet', wrong }]);
  return {
    id: `board ${id}`,
    kind: 'board',
    part: part.name,
    of: names,
    pieces: 1,
    lines: [
      {
        key: 'serves',
        label: 'commands',
        value: counted(users.length, 'mechanism', 'mechanisms'),
        from: names,
        wrong: 'A plug on another output moves another mechanism.',
      },
      ...line(
        'pinVoltage',
        'volts of a pin',
        part.pinVoltage && amount(part.pinVoltage.si, 'voltage', 3),
        'More than that fed into a pin destroys it.',
      ),
      ...line('pinCurrent', 'a pin gives', part.pinCurrent && amount(part.pinCurrent.si, 'pin current', 3)),
      ...line(
        'pulseLimit',
        'pulses a second at most',
        part.pulseLimit && amount(part.pulseLimit.si, 'rate', 4),
        'Asked for more it leaves pulses out, and nobody is told.',
      ),
      ...line('feedVoltage', 'feeds inputs with', part.feedVoltage && amount(part.feedVoltage.si, 'voltage', 3)),
      ...line(
        'channels',
        'outputs for servos',
        part.channels === undefined ? undefined : amount(part.channels, 'number'),
      ),
      ...line('pulseStep', 'least change of a pulse', part.pulseStep && amount(part.pulseStep.si, 'pulse', 3)),
    ],
    cautions: ['Its ground joined to those of what it commands before the first pulse.'],
  };
}
