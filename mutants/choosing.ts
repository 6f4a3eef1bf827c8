import { inFile, type Mutant } from './mutant.js';

/** What rivals are held against each other by, and what a field takes. */
export const CHOOSING: readonly Mutant[] = [
  ...inFile(
    'core/src/choose/compare/gearOverJobs.ts',
    ['core/test/compare.test.ts'],
    [
      ['of one verdict the first is the best', 'by === 0 && one.least', 'by === 1 && one.least'],
      ['nothing is driven directly', 'better(triedWith(plan, mechanismId, direct(plan, mechanismId)));', ''],
      ['the best total is not told', "const short = verdict === 'gives way'", 'const short = (false as boolean)'],
      ['a total the wheels miss is taken for made', 'Math.abs(there / total - 1) <= MISSED', 'there > 0'],
    ],
  ),
  ...inFile(
    'core/src/choose/compare/gearFor.ts',
    ['core/test/gearFor.test.ts'],
    [
      [
        'a creeping speed goes with the total',
        '(path.train.total * creep) / speed',
        '(path.train.total * speed) / creep',
      ],
      ['volts that the controller does not take are offered', 'full > controller.highestVoltage ||', ''],
      ['other cells are not geared', 'changes: cells, gear: geared.total', 'changes: cells'],
    ],
  ),
  ...inFile(
    'core/src/judge/duty/lives.ts',
    ['core/test/lives.test.ts'],
    [
      ['what never arrives keeps its brushes', "run.outcome === 'arrived' &&", ''],
      ['what burns out keeps its brushes', '(burnsOutAfter(path, run) ?? Infinity) === Infinity', 'true'],
      [
        'a pack is told to the minute over days',
        'seconds > DAY_OF_MATCHES ? Infinity : seconds',
        'seconds < 0 ? Infinity : seconds',
      ],
    ],
  ),
  ...inFile(
    'core/src/judge/motion/stopThere.ts',
    ['core/test/kept.property.ts'],
    [['the braking curve goes over where the brakes change', 'const MOST_HALVINGS = 9;', 'const MOST_HALVINGS = 0;']],
  ),
  ...inFile(
    'core/src/plan/document/change.ts',
    ['contract/test/problemAt.test.ts'],
    [['taking away what is missing makes what is empty', ' || (found === undefined && to === undefined)', '']],
  ),
  ...inFile(
    'contract/src/units/farOff.ts',
    ['contract/test/units.test.ts'],
    [
      ['a bare number is never far', 'const FAR = 20;', 'const FAR = 1e9;'],
      ['every number is asked about', 'if (meant === own) return undefined;', ''],
      ['the unit that is farther is meant', 'away(other) < away(best)', 'away(other) > away(best)'],
    ],
  ),
  ...inFile(
    'contract/src/plan/problemAt.ts',
    ['contract/test/problemAt.test.ts'],
    [
      ['a part is not looked at', "list === 'parts' && part ?", '(false as boolean) && part ?'],
      ['the least is told as the most', 'return { least: limit };', 'return { most: limit };'],
    ],
  ),
];
