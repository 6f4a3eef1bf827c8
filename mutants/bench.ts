import { inFile, type Mutant } from './mutant.js';

/** Fits of trials, corrections of a plan, and what is told of them. */
export const BENCH: readonly Mutant[] = [
  ...inFile(
    'core/src/bench/trials/mergeTrials.ts',
    ['core/test/mergeTrials.test.ts'],
    [
      ['what mine changed gives way', 'if (same(theirs, base)) return mine;', ''],
      ['what both changed is not told', 'clash(mine, theirs);', ''],
      ['a row that one dropped comes back', 'return old && same(left, old) ? undefined : left;', 'return left;'],
      [
        'a row that one dropped is gone for good',
        'return old && same(left, old) ? undefined : left;',
        'return undefined;',
      ],
      ['mine go in front', '...there.keys(), ...here.keys()', '...here.keys(), ...there.keys()'],
      [
        'reasons of rows that moved stay where they were',
        '{ row: place, why: row.struck }',
        '{ row: 0, why: row.struck }',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/corrected/correctMotor.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'resistance of a brushed motor forgets the brushes with the wrong sign',
        '(r.value * volts) / (volts - Math.max(0, drop?.value ?? 0))',
        '(r.value * volts) / (volts + Math.max(0, drop?.value ?? 0))',
      ],
      [
        'free speed leaves out the free current',
        'put(bothErrors((volts - free * resistance) / ke.value, ke)',
        'put(bothErrors(volts / ke.value, ke)',
      ],
      [
        'stall torque leaves out the free current',
        'put(bothErrors(torqueConstant * (stall - free), r, kt)',
        'put(bothErrors(torqueConstant * stall, r, kt)',
      ],
      [
        'Kv is the constant itself',
        'measuredQuantity(bothErrors(1 / ke.value, ke)',
        'measuredQuantity(bothErrors(ke.value, ke)',
      ],
      ['relative errors add up straight', 'Math.abs(value) * Math.hypot(', 'Math.abs(value) * Math.max('],
      [
        'friction that grows is told at the wrong speed',
        'i1: dividedBy(drag, DRAG_AT * constants.torqueConstant),',
        'i1: dividedBy(drag, constants.torqueConstant),',
      ],
      [
        'brushless motors get a brush drop',
        "brushDrop: part.type === 'brushed' ? drop : part.brushDrop",
        'brushDrop: drop',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/corrected/correctPart.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      ['a pack keeps its leads in its cells', 'value: (found.value - leads) * each', 'value: found.value * each'],
      [
        'cells in a row count as beside',
        'const each = part.parallel / part.series;',
        'const each = part.series / part.parallel;',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/corrected/correctMechanism.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'a pull is spread over too many stages',
        'power === undefined ? found ** (1 / stages.length) : before ** power',
        'power === undefined ? found : before ** power',
      ],
      [
        'losses of a pull go over one',
        'const found = Math.min(1, pull.value / lossless);',
        'const found = pull.value / lossless;',
      ],
      [
        'the error of a pull is not spread',
        'const error = (after * (pull.error / pull.value)) / stages.length;',
        'const error = after * (pull.error / pull.value);',
      ],
      [
        'an empty correction is a correction',
        'return changes.length > 0 ? { changes, figures } : undefined;',
        'return { changes, figures };',
      ],
      [
        'a pull above the lossless one corrects nothing',
        'if (pull && pull.value > 0) {',
        'if (pull && pull.value > 1e9) {',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/corrected/specimens.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'one specimen is a spread',
        'if (means.length < 2) return undefined;',
        'if (means.length < 1) return undefined;',
      ],
      ['the spread of specimens is that of their mean', 'error: error * Math.sqrt(means.length)', 'error'],
    ],
  ),
  ...inFile(
    'core/src/bench/trials/fit.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'the middle of an even number is one of both',
        ': (sorted[middle - 1]! + sorted[middle]!) / 2',
        ': sorted[middle]!',
      ],
      [
        'nothing is odd',
        'residuals.map((one) => sigma > 0 && Math.abs(one) > ODD * sigma)',
        'residuals.map(() => false)',
      ],
      ['everything is odd', 'Math.abs(one) > ODD * sigma', 'Math.abs(one) > 0 * sigma'],
      [
        'degrees of freedom are the readings',
        'const free = residuals.length - coefficients.length;',
        'const free = residuals.length;',
      ],
      ['errors are variances', 'Math.sqrt(variance * spread.get(i, i))', 'variance * spread.get(i, i)'],
    ],
  ),
  ...inFile(
    'core/src/bench/trials/motorTrials.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'volts of a free run forget the resistance',
        'readings.map(({ voltage, current }) => voltage - current * resistance)',
        'readings.map(({ voltage }) => voltage)',
      ],
      [
        'torque is fitted with the free current in it',
        'pulled.map(({ current }) => [current - freeCurrent])',
        'pulled.map(({ current }) => [current])',
      ],
      ['r.m.s. is taken for the peak', 'shown * Math.SQRT2', 'shown'],
      ['a bridge drops nothing', 'shown + BRIDGE', 'shown'],
      [
        'a coast-down slows at twice its rate',
        'at: ([a, k, start], time) => start! * Math.exp(-k! * time) - a! * fading(k!, time).value',
        'at: ([a, k, start], time) => start! * Math.exp(-k! * time) - 2 * a! * fading(k!, time).value',
      ],
      ['inertia does not matter to friction', 'value: fit.coefficients[i]! * by', 'value: fit.coefficients[i]!'],
    ],
  ),
  ...inFile(
    'core/src/bench/trials/pullTrial.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [['what is lost of a pull has the wrong sign', 'lost: -constant / slope', 'lost: constant / slope']],
  ),
  ...inFile(
    'core/src/bench/trials/servoLine.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      ['play counts double', "way === 'up' ? 0.5 : -0.5", "way === 'up' ? 1 : -1"],
      [
        'the sign of what lies between pulses is turned',
        'Math.abs(perSecond.value * pulses - typed) / (perSecond.error * pulses)',
        'Math.abs(perSecond.value * pulses + typed) / (perSecond.error * pulses)',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/trials/warmthTrial.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'warmth rises without end',
        'ambient - watts * resistance! * Math.expm1(-time / (resistance! * capacity!))',
        'ambient + (watts * time) / capacity!',
      ],
    ],
  ),
  ...inFile(
    'core/src/bench/trials/means.ts',
    ['core/test/corrected.test.ts', 'core/test/bench.test.ts', 'core/test/examples.test.ts'],
    [
      [
        'the error of a mean is the scatter',
        'return { value, error: Math.sqrt(variance / n) };',
        'return { value, error: Math.sqrt(variance) };',
      ],
      ['a mean has one degree of freedom too many', '(one - value) ** 2, 0) / (n - 1)', '(one - value) ** 2, 0) / n'],
    ],
  ),
];
