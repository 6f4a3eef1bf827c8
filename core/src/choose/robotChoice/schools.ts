import type { JointWant } from './question.js';

/** A way to choose for a whole robot, with its reasons. None is right for every team. */
export interface JointSchool {
  readonly want: JointWant;
  readonly name: string;
  readonly reasons: string;
  /** What it makes best, as a row of a table says it. */
  readonly best: string;
}

export const JOINT_SCHOOLS: readonly JointSchool[] = [
  {
    want: 'mass',
    name: 'lightest',
    reasons: 'What motors do not weigh, frame and mechanisms may: a robot over its event’s mass does not play at all.',
    best: 'mass of motors and controllers',
  },
  {
    want: 'price',
    name: 'cheapest',
    reasons: 'What is not spent on motors pays for the spares, and for the second try.',
    best: 'money still to spend',
  },
  {
    want: 'coolness',
    name: 'coolest',
    reasons: 'Motors die of heat, late in the day and all at once: the one that comes nearest to its limit decides.',
    best: 'room of the hottest winding',
  },
  {
    want: 'margin',
    name: 'strongest where it is weakest',
    reasons: 'A match is lost by the mechanism that gives first; strength anywhere else is carried about for nothing.',
    best: 'margin of the weakest mechanism',
  },
  {
    want: 'kinds',
    name: 'fewest kinds',
    reasons:
      'One kind of motor means one spare, one controller’s settings to know, and one trouble to have met before.',
    best: 'kinds of motor and servo',
  },
];
