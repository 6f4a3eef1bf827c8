import { inFile, type Mutant } from './mutant.js';

/** Order sheet, cards, wiring, pit and diary. */
export const WORKSHOP: readonly Mutant[] = [
  ...inFile(
    'core/src/workshop/order/needs.ts',
    ['core/test/order.test.ts'],
    [
      [
        'an odd link is bought',
        'const length = Math.ceil(parts.length / 2) * 2 * parts.pitch;',
        'const length = Math.ceil(parts.length) * parts.pitch;',
      ],
      ['belts side by side are one', 'const each = Math.max(1, parts.belts);', 'const each = 1;'],
      ['a train of two is bought once', 'amount: count * trains,', 'amount: count,'],
      ['the price of a chain is for all of it', 'price: price === undefined ? undefined : price / pieces,', 'price,'],
      ['the idler is left out', '...(parts.idler === undefined ? [] : [wheel(parts, parts.idler)]),', ''],
      ['fuses need no spare', "(part.kind === 'breaker' && part.type === 'fuse')", 'false'],
      ['brushed motors need no spare', "(part.kind === 'motor' && part.type === 'brushed') ||", ''],
      [
        'steel gears need a spare',
        "(part.gears === 'plastic' || part.gears === 'reinforced resin')",
        'part.gears !== undefined',
      ],
    ],
  ),
  ...inFile(
    'core/src/workshop/diary/pieces.ts',
    ['core/test/diary.test.ts'],
    [
      ['what came is still on its way', 'onTheirWay: Math.max(0, now.ordered - now.here)', 'onTheirWay: now.ordered'],
      [
        'pieces fall below nought',
        'Math.max(0, before + (entry.step === step ? entry.amount : 0))',
        'before + (entry.step === step ? entry.amount : 0)',
      ],
    ],
  ),
  ...inFile(
    'core/src/workshop/diary/pieces.ts',
    ['core/test/diary.test.ts', 'core/test/order.test.ts'],
    [
      [
        'a budget of nought is a budget',
        'last && last.budget > 0 ? last.budget : undefined',
        'last ? last.budget : undefined',
      ],
    ],
  ),
  ...inFile(
    'core/src/workshop/diary/entry.ts',
    ['core/test/diary.test.ts'],
    [
      [
        'what came last counts as first',
        'first[differs]! < second[differs]! ? -1 : 1',
        'first[differs]! < second[differs]! ? 1 : -1',
      ],
    ],
  ),
  ...inFile(
    'core/src/workshop/diary/checked.ts',
    ['core/test/diary.test.ts', 'core/test/pit.test.ts'],
    [
      ['matches are told in the order they were typed', '.sort((a, b) => a - b)', ''],
      ['a new part does not begin anew', '!renewed || match >= renewed.match', '!renewed || match >= 0'],
    ],
  ),
  ...inFile(
    'core/src/workshop/diary/checked.ts',
    ['core/test/pit.test.ts', 'core/test/diary.test.ts'],
    [
      [
        'a check that was skipped is done',
        "tick?.state === 'fine' || tick?.state === 'new part'",
        'tick !== undefined',
      ],
    ],
  ),
  ...inFile(
    'core/src/workshop/cards/controllerCard.ts',
    ['core/test/cards.test.ts'],
    [
      ['gears keep the sense', '.length % 2 === 0 ? 1 : -1', '.length % 2 === 0 ? 1 : 1'],
      [
        'counts on the motor forget the reduction',
        "encoderCounts * (encoderOn === 'motor' ? senseOf(stages) * train.total : 1)",
        'encoderCounts',
      ],
      [
        'a turn of the motor is half a turn',
        'const perTurn = (FULL_TURN / train.total) * radius * asked.perCoordinate;',
        'const perTurn = (Math.PI / train.total) * radius * asked.perCoordinate;',
      ],
      [
        'a stop in counts is rounded down',
        'amount(Math.round(stop / perCount)',
        'amount(Math.floor(stop / perCount) - 1',
      ],
      ['what falls gets no caution', '...(path.falls ? [', '...(false ? ['],
    ],
  ),
  ...inFile(
    'core/src/workshop/cards/driverCard.ts',
    ['core/test/cards.test.ts'],
    [
      [
        'a trimmer is set for the whole current',
        '(driver.trimmerVolts * step.setCurrent) / driver.mostCurrent',
        'driver.trimmerVolts',
      ],
      ['r.m.s. is told as peak', "part.counts === 'rms' || !currentRow", "part.counts !== 'rms'"],
      ['switches on read as off', "${number} ${on ? 'on' : 'off'}", "${number} ${on ? 'off' : 'on'}"],
    ],
  ),
  ...inFile(
    'core/src/workshop/cards/servoCard.ts',
    ['core/test/cards.test.ts'],
    [
      ['a servo moves the wrong way', 'const sense = linked.to < linked.from ? -1 : 1;', 'const sense = 1;'],
      [
        'the middle of the pulses is their end',
        'const centre = (shortestPulse + longestPulse) / 2;',
        'const centre = longestPulse;',
      ],
      ['places of a servo stand too near', 'const share = i / (PLACES - 1);', 'const share = i / PLACES;'],
    ],
  ),
  ...inFile(
    'core/src/workshop/cards/boardCard.ts',
    ['core/test/cards.test.ts'],
    [['rails of other boards are on the card', "node.kind === 'rail' && node.board === id", "node.kind === 'rail'"]],
  ),
  ...inFile(
    'core/src/workshop/diary/typedIn.ts',
    ['core/test/pit.test.ts', 'core/test/cards.test.ts', 'core/test/diary.test.ts'],
    [['what was set stays unsaid when it changes', 'if (was && same(was, line)) return [];', 'if (was) return [];']],
  ),
  ...inFile(
    'core/src/workshop/harness/checks.ts',
    ['core/test/harness.test.ts'],
    [
      [
        'a wire may carry any breaker',
        'else if (rated !== undefined && largestBreaker(gauge) < rated)',
        'else if (rated !== undefined && largestBreaker(gauge) < 0 * rated)',
      ],
      ['a plug may carry any breaker', 'connectorRated < rated)', 'connectorRated < 0 * rated)'],
      ['a robot without a main breaker is well', 'if (harness.main?.breaker === undefined)', 'if (false)'],
      ['two drives on one seat are well', 'if (slot.mechanisms.length > 1 &&', 'if (false &&'],
    ],
  ),
  ...inFile(
    'core/src/workshop/harness/harness.ts',
    ['core/test/harness.test.ts'],
    [
      [
        'motors behind one breaker are told apart',
        'return together ? all : all.slice(at, at + 1);',
        'return all.slice(at, at + 1);',
      ],
      ['channels count from nought', 'number: i + 1, ...channel', 'number: i, ...channel'],
      ['names of several are one name', 'of > 1 ? `${name} ${i + 1}` : name', 'name'],
    ],
  ),
];
