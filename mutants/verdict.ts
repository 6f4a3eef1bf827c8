import { inFile, type Mutant } from './mutant.js';

/** The one verdict on a whole robot, and how what falls short is told. */
export const VERDICT: readonly Mutant[] = [
  ...inFile(
    'core/src/verdict/rollUp.ts',
    ['core/test/verdict.test.ts'],
    [
      [
        'what is worse comes last',
        'compareVerdicts(b.verdict, a.verdict) || near',
        'compareVerdicts(a.verdict, b.verdict) || near',
      ],
      ['a plain no comes after what is near', "(verdict === 'gives way' ? -1 : Infinity)", 'Infinity'],
      ['what is not known is not counted', 'sum + notKnown, 0', 'sum, 0'],
      [
        'nothing is said of the match beside a mechanism',
        "const match = first('match');",
        "const match = first('wires');",
      ],
    ],
  ),
  ...inFile(
    'core/src/verdict/wholeRobot.ts',
    ['core/test/verdict.test.ts'],
    [
      [
        'a robot on no pack has no match to speak of',
        'matches.length === 0 && plan.mechanisms.length > 0',
        'false as boolean',
      ],
      ['no day is gone through', 'if (plan.day && worst', 'if (false as boolean && plan.day && worst'],
      [
        'a day is gone through where the match gives way',
        "found.every(({ verdict }) => verdict !== 'gives way')",
        'true',
      ],
      ['wires are not looked at', 'harnessChecks(plan, harnessOf(plan)).map(wireFinding)', '[]'],
      ['the event is not looked at', 'eventChecks(plan).map(eventFinding)', '[]'],
    ],
  ),
  ...inFile(
    'core/src/verdict/finding.ts',
    ['core/test/verdict.test.ts'],
    [['the event is told as the match', "all.filter(({ id }) => id !== 'event')", 'all']],
  ),
  ...inFile(
    'core/src/judge/evaluate/shortfall.ts',
    ['core/test/shortfall.test.ts', 'core/test/bruteForce.test.ts'],
    [
      ['what moves slowly is told by its force', 'multiple: reached / speed }', 'multiple: gives(speed) / demand }'],
      [
        'what stalls stands before what is too slow',
        "shortfall.kind === 'stalls' ? multiple / 2 :",
        "shortfall.kind === 'stalls' ? 1 - multiple / 2 :",
      ],
      [
        'starting asks for all of the acceleration at rest',
        'const [atRest, least] = [gives(0), takes(0)];',
        'const [atRest, least] = [gives(0), takes(wanted)];',
      ],
    ],
  ),
  ...inFile(
    'core/src/plan/words/show.ts',
    ['core/test/plan.test.ts'],
    [
      [
        'a multiple is rounded to the nearest',
        'Math.floor(multiple * scale * (1 + HAIR))',
        'Math.round(multiple * scale)',
      ],
    ],
  ),
  ...inFile(
    'core/src/models/pack/cells.ts',
    ['core/test/sizing.test.ts', 'core/test/benchSupply.test.ts'],
    [['a supply is a cell of one volt', "chemistry === 'bench' ? (voltage?.si ?? NaN) : series;", 'series;']],
  ),
  ...inFile(
    'web/src/stores/plan/saving.ts',
    ['web/test/planStore.test.ts'],
    [
      [
        'a save whose answer was lost is not known again',
        '![...before].some((earlier) => same(earlier, there.document))',
        'true',
      ],
      [
        'whatever is there is taken for one’s own',
        '![...before].some((earlier) => same(earlier, there.document))',
        'false as boolean',
      ],
    ],
  ),
  ...inFile(
    'server/src/judging/summaries.ts',
    ['server/test/summaries.test.ts'],
    [
      [
        'the whole robot is never judged',
        "if (rested && !this.stopped) await this.judgeAll([rested], 'whole');",
        'void rested;',
      ],
    ],
  ),
];
