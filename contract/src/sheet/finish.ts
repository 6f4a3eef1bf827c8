import { CELLS } from '@rough-gear/core';
import type { SheetLine } from './entries.js';
import type { SheetKind } from './fields.js';
import type { Doubtful, Told } from './reading.js';
import { toldBy } from './readFigure.js';

interface Said {
  readonly told: readonly Told[];
  readonly doubtful: readonly Doubtful[];
}

/** What several lines say together, or what a sheet counts otherwise than the plan does. */
export function finish(
  kind: SheetKind,
  told: readonly Told[],
  doubtful: readonly Doubtful[],
  lines: readonly SheetLine[],
): Said {
  switch (kind) {
    case 'motor':
      return motor(told, doubtful);
    case 'pack':
      return pack(told, doubtful, lines);
    case 'controller':
      return controller(told, doubtful, lines);
    case 'stepper':
      return stepper(told, doubtful);
    case 'servo':
      return servo(told, doubtful);
  }
}

const without = <T extends { readonly name: string }>(all: readonly T[], ...names: readonly string[]): readonly T[] =>
  all.filter(({ name }) => !names.includes(name));
const named = (told: readonly Told[], name: string): Told | undefined => told.find((one) => one.name === name);

/** Names of the figures that each way to give a motor has, beside what every motor has. */
const FORMS: Readonly<Record<string, Readonly<Record<string, string>>>> = {
  sheet: {
    ratedVoltage: 'ratedVoltage',
    freeSpeed: 'freeSpeed',
    freeCurrent: 'freeCurrent',
    stallTorque: 'stallTorque',
    stallCurrent: 'stallCurrent',
    resistance: 'statedResistance',
    kv: 'statedKv',
  },
  kv: { kv: 'kv', resistance: 'resistance', freeCurrent: 'freeCurrent' },
  turns: { turns: 'turns' },
};
const OF_A_FORM = new Set(['turns', ...Object.keys(FORMS['sheet']!)]);

/** How a motor's figures are given: by stall and free run, by Kv, or by turns. */
function motorForm(names: ReadonlySet<string>): 'sheet' | 'kv' | 'turns' {
  if (names.has('stallTorque') || names.has('stallCurrent')) return 'sheet';
  if (names.has('kv')) return 'kv';
  if (names.has('freeSpeed') || names.has('ratedVoltage')) return 'sheet';
  return names.has('turns') ? 'turns' : 'sheet';
}

function motor(all: readonly Told[], doubts: readonly Doubtful[]): Said {
  const poles = named(all, 'poles');
  const constant = named(all, 'torqueConstant');
  const doubtful = [...doubts];
  const told = [...without(all, 'poles', 'torqueConstant')];
  if (poles && !named(told, 'polePairs')) {
    if (poles.si! % 2 === 0) told.push({ ...poles, name: 'polePairs', si: poles.si! / 2, as: String(poles.si! / 2) });
    else doubtful.push({ ...poles, name: 'polePairs', reason: 'poles come in pairs', choices: [] });
  }
  if (constant && !named(told, 'kv')) {
    const kv = 1 / constant.si!;
    const choices = toldBy(`${Number(((kv * 30) / Math.PI).toPrecision(4))} Kv`, 'kv').map((one) => ({
      ...constant,
      ...one,
      name: 'kv',
    }));
    doubtful.push({ ...constant, name: 'kv', reason: 'a torque constant: Kv is one over it', choices });
  }
  const form = motorForm(new Set([...told, ...doubtful].map(({ name }) => name)));
  const names = FORMS[form]!;
  const inForm = <T extends { readonly name: string }>(one: T): readonly T[] =>
    OF_A_FORM.has(one.name) ? (names[one.name] ? [{ ...one, name: names[one.name]! }] : []) : [one];
  return {
    told: told.flatMap(inForm),
    doubtful: doubtful.flatMap((doubt) =>
      inForm({ ...doubt, choices: doubt.choices.flatMap(inForm) }).filter(({ name }) => name !== 'poles'),
    ),
  };
}

/** A pulse from so long to so long is the two ends of the travel. */
function servo(told: readonly Told[], doubts: readonly Doubtful[]): Said {
  const ends = doubts.find(({ name, choices }) => name === 'pulse' && choices.length === 2)?.choices;
  const [short, long] = [...(ends ?? [])].sort((a, b) => a.si! - b.si!);
  return {
    told: [
      ...without(told, 'pulse', 'voltage'),
      ...(short && long
        ? [
            { ...short, name: 'shortestPulse' },
            { ...long, name: 'longestPulse' },
          ]
        : []),
    ],
    doubtful: without(doubts, 'pulse', 'voltage'),
  };
}

/** Volts of a cell, as packs are named by. */
const NOMINAL: Readonly<Record<string, readonly number[]>> = {
  lipo: [3.7, 3.8],
  liion: [3.6, 3.7, 3.65],
  lifepo4: [3.2, 3.3],
  nimh: [1.2],
  lead: [2],
  alkaline: [1.5],
};
/** "25C": so many times the charge in an hour. */
const RATE = /(?<![\w.,])(\d{1,3}(?:\.\d)?) ?C\b(?!\s*(?:burst|peak|max))/;
const HOUR = 3600;

function pack(all: readonly Told[], doubts: readonly Doubtful[], lines: readonly SheetLine[]): Said {
  const told = [...without(all, 'voltage', 'packResistance')];
  for (const rate of ratesOn(lines, told)) if (!named(told, rate.name)) told.push(rate);
  const doubtful = [...doubts];
  const [voltage, chemistry, resistance] = ['voltage', 'chemistry', 'packResistance'].map((name) => named(all, name));
  const series = named(told, 'series');
  const each = NOMINAL[String(chemistry?.value)] ?? [];
  const cells = each.map((cell) => (voltage?.si ?? NaN) / cell);
  const whole = wholeCells(voltage?.si ?? NaN, each);
  if (voltage && chemistry && !series && whole !== undefined)
    told.push({ ...voltage, name: 'series', si: whole, as: String(whole) });
  if (voltage && series && cells.length > 0 && !cells.some((count) => Math.abs(count - series.si!) < 0.25)) {
    doubtful.push({ ...series, reason: `does not go with ${voltage.as}`, choices: [series] });
    told.splice(told.indexOf(series), 1);
  }
  const which = doubts.find(({ name }) => name === 'voltage');
  if (which && !series) {
    const choices = which.choices.flatMap((one): readonly Told[] => {
      const count = wholeCells(one.si!, each);
      return count === undefined ? [] : [{ ...one, name: 'series', si: count, as: String(count) }];
    });
    doubtful.push({ ...which, name: 'series', choices });
  }
  if (resistance) {
    const { si } = named(told, 'series') ?? {};
    const parallel = named(told, 'parallel')?.si ?? 1;
    const ofCell =
      si === undefined
        ? []
        : toldBy(`${Number(((1000 * resistance.si! * parallel) / si).toPrecision(4))} mΩ`, 'resistance');
    const ofOne = { ...resistance, name: 'cellResistance' };
    const choices = [...ofCell.map((one) => ({ ...resistance, ...one, name: 'cellResistance' })), ofOne];
    if (/\b(?:per|of (?:a|each|one)|each) cell\b|\/ ?cell\b/i.test(resistance.line)) told.push(ofOne);
    else
      doubtful.push({ ...resistance, name: 'cellResistance', reason: 'of the whole pack, or of one cell?', choices });
  }
  return { told, doubtful: without(doubtful, 'voltage', 'packResistance') };
}

/** Cells in series by a pack's volts, where they come out whole. */
function wholeCells(volts: number, each: readonly number[]): number | undefined {
  const count = each
    .map((cell) => volts / cell)
    .find((cells) => Math.abs(cells - Math.round(cells)) < 0.03 * Math.max(1, cells / 4));
  return count === undefined ? undefined : Math.round(count);
}

/** Amperes of rates such as 25C, where the charge is known: what flows in on a line that tells of charging, else out. */
function ratesOn(lines: readonly SheetLine[], told: readonly Told[]): readonly Told[] {
  const charge = named(told, 'capacity')?.si;
  if (charge === undefined) return [];
  return lines.flatMap(({ line, at }): readonly Told[] => {
    const match = RATE.exec(line);
    if (!match) return [];
    const si = Number(((Number(match[1]) * charge) / HOUR).toPrecision(6));
    const name = /(?<!dis)charg(?:e|ing)/i.test(line) ? 'chargeLimit' : 'dischargeLimit';
    return [{ line, at, name, si, as: `${si} A` }];
  });
}

function stepper(all: readonly Told[], doubts: readonly Doubtful[]): Said {
  const angle = named(all, 'stepAngle');
  const told = [...without(all, 'stepAngle')];
  const steps = angle && (2 * Math.PI) / angle.si!;
  if (angle && steps !== undefined && !named(told, 'stepsPerTurn')) {
    const whole = Math.round(steps);
    if (Math.abs(steps - whole) < 0.005 * steps)
      told.push({ ...angle, name: 'stepsPerTurn', si: whole, as: String(whole) });
  }
  const leads = named(told, 'leads');
  if (leads && ![4, 6, 8].includes(leads.si!)) told.splice(told.indexOf(leads), 1);
  return { told, doubtful: doubts };
}

function controller(all: readonly Told[], doubts: readonly Doubtful[], lines: readonly SheetLine[]): Said {
  const voltage = named(all, 'voltage');
  const doubtful = doubts.flatMap((doubt): readonly Doubtful[] => {
    if (doubt.name === 'current') return [{ ...doubt, name: 'statorLimit' }];
    return doubt.name === 'voltage' ? [] : [doubt];
  });
  const told = [...without(all, 'voltage')];
  const range = doubts.find(({ name, choices }) => name === 'voltage' && choices.length === 2);
  if (range) {
    const [low, high] = [...range.choices].sort((a, b) => a.si! - b.si!);
    if (!named(told, 'lowestVoltage')) told.push({ ...low!, name: 'lowestVoltage' });
    if (!named(told, 'highestVoltage')) told.push({ ...high!, name: 'highestVoltage' });
  } else if (voltage)
    doubtful.push({
      ...voltage,
      name: 'highestVoltage',
      reason: 'the most it stands, or what it is made for?',
      choices: [{ ...voltage, name: 'highestVoltage' }],
    });
  const drives = drivesOn(lines);
  if (drives) told.push(drives);
  return { told, doubtful: [...doubtful, ...cellsOn(lines).filter(({ name }) => !named(told, name))] };
}

/** Which kinds of motor a controller says it drives. */
function drivesOn(lines: readonly SheetLine[]): Told | undefined {
  const brushless = lines.find(({ line }) => /\bbrush-?less\b|\bBLDC\b/i.test(line));
  const brushed = lines.find(({ line }) => /\bbrushed\b|\bbrush motors?\b/i.test(line));
  const first = brushed ?? brushless;
  if (!first) return undefined;
  const value = [...(brushed ? ['brushed'] : []), ...(brushless ? ['brushless'] : [])];
  return { ...first, name: 'drives', value, as: value.join(', ') };
}

const CELL_SPAN = /(?<![\w.,])(\d{1,2}) ?(?:S ?)?(?:-|–|~|to) ?(\d{1,2}) ?S\b/;
/** Cells that are counted by S alone are of lithium. */
const LITHIUM = CELLS.lipo;

/** "2–4S": how empty the least and how full the most may be is not said. */
function cellsOn(lines: readonly SheetLine[]): readonly Doubtful[] {
  return lines.flatMap(({ line, at }) => {
    const match = CELL_SPAN.exec(line);
    if (!match) return [];
    const ask = (name: string, cells: number, each: readonly number[]): Doubtful => ({
      line,
      at,
      name,
      as: match[0],
      reason: 'of cells: how full?',
      choices: each
        .flatMap((volts) => toldBy(`${Number((cells * volts).toFixed(2))} V`, 'voltage'))
        .map((one) => ({ ...one, line, at, name })),
    });
    const { full, nominal, floor: empty } = LITHIUM;
    return [
      ask('lowestVoltage', Number(match[1]), [empty, nominal]),
      ask('highestVoltage', Number(match[2]), [full, nominal]),
    ];
  });
}
