import type { ServoPath } from '../../../../path/powerpath/servoPath.js';
import { amount, joined, say, type Words } from '../../../../plan/words/phrase.js';
import { counted } from '../../../../plan/words/show.js';
import type { CheckRule } from '../../check.js';

/** Pulses a second that digital servos take at most, typical. */
const MOST_FRAMES = 333;

/** The board for servos: enough outputs, terminals that carry the rail's current and stand its volts, fine enough pulses. */
export const servoBoard: CheckRule<ServoPath> = {
  id: 'servo-board',
  name: 'board for servos',
  link: 'rail',
  needs: ['rail', 'motor', 'pack', 'precision'],
  run: false,
  levers: [],
  applies: ({ servoBoard: board }) => board !== undefined,
  answer: (path) => {
    const { rail, servo } = path;
    const { name, channels, pulseStep, current, voltage, slowest } = path.servoBoard!;
    const servos = rail.servos.length;
    const short: Words[] = [];
    if (channels !== undefined && channels < servos)
      short.push(`it has ${counted(channels, 'output')} for ${counted(servos, 'servo')}`);
    if (slowest !== undefined && slowest > MOST_FRAMES)
      short.push(
        say`it gives at least ${amount(slowest, 'rate', 3)}, servos are made for 50 a second, and the quickest for ${MOST_FRAMES}`,
      );
    if (current !== undefined && current < rail.budget.moving)
      short.push(
        say`its terminals carry ${amount(current, 'current', 2)}, all of them moving draw ${amount(rail.budget.moving, 'current', 2)}`,
      );
    if (voltage !== undefined && voltage < rail.full)
      short.push(say`it stands ${amount(voltage, 'voltage')}, the rail has ${amount(rail.full, 'voltage')}`);
    const coarse = pulseStep !== undefined && pulseStep > servo.deadband;
    const steps = coarse
      ? say` Its pulses change by ${amount(pulseStep, 'pulse', 2)}, more than the ${amount(servo.deadband, 'pulse', 2)} the servo answers to: the board decides how finely it stands.`
      : '';
    return {
      outcome: short.length === 0 && coarse ? { note: true } : { holds: short.length === 0 },
      asked: counted(servos, 'servo'),
      there: channels === undefined ? 'outputs not known' : counted(channels, 'output'),
      sentence:
        short.length > 0
          ? say`The ${name} is not enough: ${joined(short, '; ')}.${steps}`
          : say`The ${name} has an output for each servo on this rail, and carries what they draw.${steps}`,
      hint: 'A board with more outputs, or the rail’s power past the board: thick wires straight to the servos, only the signals from it.',
    };
  },
};
