/** A word of the trade: what it means, in two sentences, and under which heading of the models page one learns more. */
export interface Term {
  readonly means: string;
  readonly learn: string;
}

/** The words that are not everyday English, each told once for the whole program. */
export const TERMS = {
  'stall torque': {
    means:
      'The torque of a motor that is held still at full volts. It draws the most current then, and burns out in seconds if nothing limits it.',
    learn: 'Motors',
  },
  'free speed': {
    means:
      'How fast a motor turns with nothing on its shaft. It sinks with the volts and, under load, with the torque.',
    learn: 'Motors',
  },
  Kv: {
    means:
      'Turns a minute for each volt, without load. The same winding gives torque per ampere: high Kv, little torque.',
    learn: 'Motors',
  },
  Kt: {
    means: 'Torque for each ampere in the winding. It is the same constant as Kv, seen from the other side.',
    learn: 'Motors',
  },
  'free current': {
    means:
      'What a motor draws with nothing on its shaft. It pays for friction and iron, and stays much the same under load.',
    learn: 'Motors',
  },
  winding: {
    means: 'The copper wire in the motor. More turns of thinner wire turn slower per volt, and pull more per ampere.',
    learn: 'Motors',
  },
  detent: {
    means: 'The notches one feels when a motor with magnets is turned by hand. They make slow turning jerky.',
    learn: 'Slow control',
  },
  'reflected inertia': {
    means:
      'The rotor is felt at the output with the ratio squared. A high ratio can make the rotor heavier than the load itself.',
    learn: 'Motion',
  },
  'electrical speed': {
    means: 'Turns a minute times pole pairs: how often the controller must switch. Controllers have a highest one.',
    learn: 'Controllers',
  },
  duty: {
    means: 'The share of the time in which the controller puts the pack onto the motor. Full duty is full volts.',
    learn: 'Controllers',
  },
  'motor-side limit': {
    means: 'The most current in the winding. It decides the torque; at low speed it is far more than the pack gives.',
    learn: 'Controllers',
  },
  'pack-side limit': {
    means: 'The most current a controller takes from the pack. It decides the power; breakers see this one.',
    learn: 'Controllers',
  },
  'brown-out': {
    means: 'The volts sag so far that the computers give up. Whatever moved then stops by itself.',
    learn: 'Packs',
  },
  sag: {
    means: 'How far the volts go down while current flows. Cells, leads and connectors each take their share.',
    learn: 'Packs',
  },
  'drag offset': {
    means: 'A little braking current while nothing is commanded. The mechanism comes to rest sooner, and stays there.',
    learn: 'Braking',
  },
  'return current': {
    means: 'What braking sends back into the pack. A full pack, or a supply, cannot take it.',
    learn: 'Braking',
  },
  'ramp-up time': {
    means: 'The time in which the controller goes from nothing to full. A long one spares teeth, and starts slower.',
    learn: 'Controllers',
  },
  'sensor wire': {
    means: 'It tells the controller where the rotor stands. Without it a brushless motor must be kicked into turning.',
    learn: 'Slow control',
  },
  'micro-step': {
    means: 'A full step of a stepper, divided by its driver. It moves smoother; it does not pull more.',
    learn: 'Steppers',
  },
  'holding torque': {
    means: 'What it takes to turn a stepper out of its place while it stands powered. In motion there is less.',
    learn: 'Steppers',
  },
  'following error': {
    means: 'How far a step servo lags behind its pulses. Beyond its alarm it gives up.',
    learn: 'Steppers',
  },
  deadband: {
    means: 'The change of pulse to which a servo does nothing. It sets how exactly the horn comes back.',
    learn: 'Servos',
  },
  slop: { means: 'How far the horn moves by hand while the servo holds. It grows with wear.', learn: 'Servos' },
  'push rod': {
    means: 'A straight rod from horn to lever. Angles decide how much of the torque arrives.',
    learn: 'Servos',
  },
  backlash: {
    means: 'The play between teeth, felt when the direction changes. It takes exactness, and hits the teeth.',
    learn: 'Teeth, chains, belts, shafts',
  },
  module: {
    means: 'The size of a tooth: pitch diameter divided by teeth. Only wheels of one module mesh.',
    learn: 'Teeth, chains, belts, shafts',
  },
  'face width': {
    means: 'How wide the teeth are along the shaft. Twice as wide carries about twice as much.',
    learn: 'Teeth, chains, belts, shafts',
  },
  'pitch diameter': {
    means: 'The circle on which two wheels roll on each other. Half of both together is the distance of their shafts.',
    learn: 'Teeth, chains, belts, shafts',
  },
  'offset link': {
    means: 'A link that makes an odd count of links possible. It costs about a third of the chain’s strength.',
    learn: 'Teeth, chains, belts, shafts',
  },
  lead: {
    means: 'How far a screw moves its nut in one turn. A small one pushes hard and slowly, and does not run back.',
    learn: 'Reductions',
  },
  efficiency: {
    means: 'The share of the work that gets through. What is lost is heat, and helps to hold.',
    learn: 'Reductions',
  },
  'total reduction': {
    means: 'Turns of the motor for one of the output. Twice as much pulls twice as hard at half the speed.',
    learn: 'Reductions',
  },
  'shock factor': {
    means: 'How many times the steady load a blow is. Teeth, chains and shafts must stand it.',
    learn: 'Teeth, chains, belts, shafts',
  },
  grip: {
    means:
      'The share of the weight that a wheel can push before it slips. It is often what gives first, and spares the rest.',
    learn: 'Loads',
  },
  'gives first': {
    means: 'The limit that is reached first when the job gets harder. Below 1× the job is not done.',
    learn: 'What gives first',
  },
  'hold multiple': {
    means: 'So many times its rating a breaker carries for good. Above it, it opens after a time.',
    learn: 'Protection',
  },
  'time constant': {
    means:
      'How quickly something warms: after it, two thirds of the way. A breaker with a long one forgives short bursts.',
    learn: 'Protection',
  },
  spread: {
    means: 'No two builds are alike. The figures are drawn anew many times, and all builds are judged.',
    learn: 'Spread',
  },
  tight: {
    means: 'It does the job with little to spare. A worn pack or a warm day may take that.',
    learn: 'What gives first',
  },
  typical: {
    means: 'Nobody gave this figure; a usual one stands in for it. Type or measure your own.',
    learn: 'What gives first',
  },
} as const satisfies Readonly<Record<string, Term>>;
