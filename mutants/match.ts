import { inFile, type Mutant } from './mutant.js';

/** The match, the day and what is mended on the whole robot. */
export const MATCH: readonly Mutant[] = [
  ...inFile(
    'core/src/match/lanes/mover.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'volts of the match are not those of the motors',
        'this.drive.restVoltage = Math.max(volts, 1e-3);',
        'this.drive.restVoltage = 2 * Math.max(volts, 1e-3);',
      ],
      [
        'current of the lane is that of one motor',
        'return drive.motors * pull.supplyCurrent;',
        'return pull.supplyCurrent;',
      ],
      [
        'moved lanes draw as one motor',
        'return drive.motors * this.at(volts, place, speed, time).supplyCurrent;',
        'return this.at(volts, place, speed, time).supplyCurrent;',
      ],
      [
        'holding draws as one motor',
        'return drive.motors * (supplyForMotorCurrent(drive, 0, command.current) ?? mostOf(drive));',
        'return supplyForMotorCurrent(drive, 0, command.current) ?? mostOf(drive);',
      ],
      [
        'a ramp is twice as steep',
        'drive.greatestDuty * (since / ramp)',
        'drive.greatestDuty * Math.min(1, (2 * since) / ramp)',
      ],
      [
        'a commanded motion is caught up with the wrong way',
        'const asked = rate + (wanted - speed) / CATCH_UP;',
        'const asked = rate - (wanted - speed) / CATCH_UP;',
      ],
    ],
  ),
  ...inFile(
    'core/src/match/lanes/packNow.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'the main breaker settles at the mean',
        'const settles = squared / on.main.holds ** 2;',
        'const settles = (mean * mean) / on.main.holds ** 2;',
      ],
      [
        'the main breaker warms twice as fast',
        'Math.exp(-h / on.main.timeConstant)',
        'Math.exp((-2 * h) / on.main.timeConstant)',
      ],
      [
        'charge is not taken',
        'this.charge = Math.max(0, this.charge - counted / capacity);',
        'this.charge = Math.max(0, this.charge);',
      ],
      ['capacity does not shrink with current', 'rate ** (on.capacityExponent - 1)', 'rate ** 0'],
      [
        'energy leaves out what the pack keeps',
        'this.energy += h * (rest * mean - this.resistance * squared);',
        'this.energy += h * rest * mean;',
      ],
      [
        'what stands counts twice',
        'this.standing += (h * stands * (before.volts + after.volts)) / 2;',
        'this.standing += h * stands * (before.volts + after.volts);',
      ],
      ['the wire keeps nothing', 'this.wire += h * on.mainResistance * squared;', 'this.wire += 0 * squared;'],
    ],
  ),
  ...inFile(
    'core/src/match/lanes/schedule.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      ['a repeat comes once too often', '/ every + 1e-9) + 1;', '/ every + 1e-9) + 2;'],
      ['a go after the match is due', 'return when.time < length ? [when.time] : [];', 'return [when.time];'],
      ['who waits does not wait', 'wait: Math.max(0, go.when.wait)', 'wait: 0'],
      ['a go is given up at once', 'Math.max(LONGEST_GO, PATIENCE * asked)', 'Math.min(LONGEST_GO, PATIENCE * asked)'],
      [
        'a later due comes first',
        'const later = dues.findIndex(({ planned }) => planned > due.planned);',
        'const later = dues.findIndex(({ planned }) => planned < due.planned);',
      ],
    ],
  ),
  ...inFile(
    'core/src/match/lanes/playedGoes.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'a go ends when it begins',
        'lane.until = time + Math.max(SHORTEST_GO, seconds);',
        'lane.until = time + SHORTEST_GO;',
      ],
      ['with is taken for after', "wake(go.id, 'with', time);", "wake(go.id, 'after', time);"],
    ],
  ),
  ...inFile(
    'core/src/match/lanes/laneNow.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'the branch breaker of one motor carries all',
        'const share = on.branch.together ? 1 : 1 / on.motors;',
        'const share = 1;',
      ],
      ['the branch breaker never cools', 'Math.exp(-h / on.branch.timeConstant);', '1;'],
      [
        'a held brushless motor is no hotter',
        'const hottest = on.brushless && !this.moves ? AT_REST_BRUSHLESS : 1;',
        'const hottest = 1;',
      ],
      ['rubbing warms no motor', 'if (this.moves) this.friction += h * this.mover!.frictionAt(motorCurrent);', ''],
      [
        'lane energy is half',
        'this.energy += (h * (this.current * volts[0] + current * volts[1])) / 2;',
        'this.energy += (h * (this.current * volts[0] + current * volts[1])) / 4;',
      ],
      ['the peak is the last', 'this.peak = Math.max(this.peak, current);', 'this.peak = current;'],
      [
        'a pulse job draws at its first moment for ever',
        'const power = powerOf(from) + share * (powerOf(to) - powerOf(from));',
        'const power = powerOf(samples[0]!);',
      ],
      ['a pulse job draws after its end', 'if (since > timed.run.time + 1e-9) return 0;', ''],
    ],
  ),
  ...inFile(
    'core/src/match/lanes/step.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'one that stops has arrived on the way',
        'return mover.brakes && speed <= 0 && place >= (1 - STANDS_WITHIN) * travel;',
        'return mover.brakes && place >= (1 - STANDS_WITHIN) * travel;',
      ],
    ],
  ),
  ...inFile(
    'core/src/match/robot/matchRungs.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'rungs of breakers are of the heat, not of the current',
        'multiple: 1 / Math.sqrt(heat.peak),',
        'multiple: 1 / heat.peak,',
      ],
    ],
  ),
  ...inFile(
    'core/src/match/robot/day.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'a pack rests one match too long',
        'const resting = charges.length * round - lengthOf(script);',
        'const resting = (charges.length + 1) * round;',
      ],
      ['packs do not take turns', 'const start = borrowed ? 1 : charges[pack]!;', 'const start = 1;'],
      [
        'the day has one pack',
        'Array.from({ length: Math.max(1, packs) }, () => 1)',
        'Array.from({ length: 1 }, () => 1)',
      ],
      [
        'two packs are called enough',
        'return Math.max(1, Math.ceil((taken / perSecond + length) / round));',
        'return 2;',
      ],
    ],
  ),
  ...inFile(
    'core/src/match/robot/holds.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [['who holds between goes is not told', 'if (!(drawn[k]! > LEAST_HELD_CURRENT)) return;', 'return;']],
  ),
  ...inFile(
    'core/src/match/lanes/onPack.ts',
    ['core/test/lanes.test.ts', 'core/test/match.test.ts', 'core/test/schedule.property.ts'],
    [
      [
        'the volts at which a controller gives up are forgotten',
        'lowestVoltage: ifFinite(lowestOf(path)),',
        'lowestVoltage: undefined,',
      ],
      [
        'wires behind one breaker are not shared',
        'branchResistance: (branch.together ? motors : 1) * wire,',
        'branchResistance: wire,',
      ],
      ['a lane that lacks a figure marches', 'lacking: jobs.size === 0 ? lacking : undefined,', 'lacking: undefined,'],
    ],
  ),
];
