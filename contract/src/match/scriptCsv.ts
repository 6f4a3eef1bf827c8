import type { Go, MatchScript, Plan, When } from '@rough-gear/core';
import Papa from 'papaparse';
import { script as scriptSchema } from '../plan/script.js';
import { guarded, withoutGuard } from '../shelf/formulas.js';

/**
 * A match script as a CSV file (RFC 4180): a line a part of the match, a standing draw, or a go. Mechanisms and jobs go by
 * their ids, times in seconds, speeds in m/s.
 */

const COLUMNS = [
  'what',
  'id',
  'name',
  'mechanism',
  'does',
  'begins',
  'time_s',
  'from_s',
  'to_s',
  'go',
  'speed_m_s',
  'seconds',
  'current_A',
] as const;
type Column = (typeof COLUMNS)[number];
type Row = Partial<Record<Column, string | number | undefined>>;
const CRUISE = 'cruise';
const MOST_LINES = 600;

export function exportScript({ name, parts, lanes, draws }: MatchScript): string {
  const rows: Row[] = [
    { what: 'script', name },
    ...parts.map((part) => ({ what: 'part', name: part.name, seconds: part.seconds })),
    ...draws.map(({ id, name: called, current, from, to }) => ({
      what: 'draw',
      id,
      name: called,
      from_s: from,
      to_s: to,
      current_A: current,
    })),
    ...lanes.flatMap(({ mechanism, goes }) => goes.map((go) => rowOf(mechanism, go))),
  ];
  const data = rows.map((row) => COLUMNS.map((column) => cellOf(row[column])));
  return `${Papa.unparse({ fields: [...COLUMNS], data }, { newline: '\r\n' })}\r\n`;
}

const cellOf = (value: string | number | undefined): string | number =>
  typeof value === 'string' ? guarded(value) : (value ?? '');

function rowOf(mechanism: string, { id, job, cruise, when }: Go): Row {
  const begins: Row =
    when.kind === 'at'
      ? { time_s: when.time }
      : when.kind === 'every'
        ? { time_s: when.time, from_s: when.from, to_s: when.to }
        : { go: when.go, time_s: when.wait };
  return {
    what: 'go',
    id,
    mechanism,
    does: cruise ? CRUISE : job,
    begins: when.kind,
    ...begins,
    speed_m_s: cruise?.speed,
    seconds: cruise?.seconds,
  };
}

export type ScriptRead =
  { readonly ok: true; readonly script: MatchScript } | { readonly ok: false; readonly problems: readonly string[] };

/** Reads a script for a plan. Where any line is not understood nothing is taken, and each problem names its line. */
export function importScript(text: string, plan: Plan, id: string): ScriptRead {
  const { data, errors } = Papa.parse<string[]>(text.replace(/^\uFEFF/, ''), { skipEmptyLines: 'greedy' });
  const problems: string[] = errors.filter(({ type }) => type === 'Quotes').map(({ message }) => message);
  const [header = [], ...rows] = data.map((row) => row.map((cell) => withoutGuard(cell).trim()));
  const at = (column: Column) => header.indexOf(column);
  for (const column of ['what', 'mechanism', 'does', 'begins'] as const)
    if (at(column) < 0) problems.push(`the column "${column}" is missing; ${COLUMNS.join(', ')} are known`);
  if (rows.length > MOST_LINES) problems.push(`${rows.length} lines: up to ${MOST_LINES} are allowed`);
  if (problems.length > 0) return { ok: false, problems };

  const script = new ScriptLines(id, plan);
  rows.forEach((row, i) => script.take(row, at, i + 2));
  if (script.problems.length > 0) return { ok: false, problems: script.problems };
  const { error } = scriptSchema.validate(script.whole, { abortEarly: false });
  return error
    ? { ok: false, problems: error.details.map(({ message }) => message) }
    : { ok: true, script: script.whole };
}

/** A line of the file as it is asked, and where it is told what is wrong in it. */
interface Line {
  readonly number: number;
  cell(column: Column): string;
  figure(column: Column): number;
  say(reason: string): void;
}

/** What the lines of a file make, one after the other. */
class ScriptLines {
  readonly problems: string[] = [];
  private name = 'imported';
  private readonly parts: { name: string; seconds: number }[] = [];
  private readonly draws: { id: string; name: string; current: number; from: number; to?: number }[] = [];
  private readonly lanes = new Map<string, Go[]>();

  constructor(
    private readonly id: string,
    private readonly plan: Plan,
  ) {}

  get whole(): MatchScript {
    const lanes = [...this.lanes].map(([mechanism, goes]) => ({ mechanism, goes }));
    return { id: this.id, name: this.name, counts: true, parts: this.parts, lanes, draws: this.draws };
  }

  take(row: readonly string[], at: (column: Column) => number, number: number): void {
    const say = (reason: string): void => void this.problems.push(`line ${number}: ${reason}`);
    const cell = (column: Column): string => row[at(column)] ?? '';
    const figure = (column: Column): number => {
      const value = Number(cell(column));
      if (cell(column) === '' || !Number.isFinite(value)) say(`${column} is "${cell(column)}"; a number is wanted`);
      return value;
    };
    const line: Line = { number, cell, figure, say };
    switch (cell('what')) {
      case 'script':
        this.name = cell('name') || this.name;
        return;
      case 'part':
        this.parts.push({ name: cell('name') || `part ${this.parts.length + 1}`, seconds: figure('seconds') });
        return;
      case 'draw':
        return this.draw(line);
      case 'go':
        return this.go(line);
      default:
        say(`what is "${cell('what')}"; script, part, draw, go are allowed`);
    }
  }

  private draw({ number, cell, figure }: Line): void {
    const to = cell('to_s') === '' ? {} : { to: figure('to_s') };
    this.draws.push({
      id: cell('id') || `draw-${number}`,
      name: cell('name') || 'draw',
      current: figure('current_A'),
      from: cell('from_s') === '' ? 0 : figure('from_s'),
      ...to,
    });
  }

  private go({ number, cell, figure, say }: Line): void {
    const { mechanisms } = this.plan;
    const mechanism = mechanisms.find((one) => one.id === cell('mechanism') || one.name === cell('mechanism'));
    if (!mechanism)
      return say(
        `mechanism "${cell('mechanism')}" is none of the robot’s; ${mechanisms.map((one) => one.id).join(', ')} are allowed`,
      );
    const does = cell('does');
    const job = mechanism.jobs.find((one) => one.id === does || one.name === does);
    if (!job && does !== CRUISE)
      return say(
        `${mechanism.id} does no "${does}"; ${[...mechanism.jobs.map((one) => one.id), CRUISE].join(', ')} are allowed`,
      );
    const when = whenOf(cell('begins'), figure, cell('go'));
    if (!when) return say(`begins is "${cell('begins')}"; at, every, after, with are allowed`);
    const doing = job ? { job: job.id } : { cruise: { speed: figure('speed_m_s'), seconds: figure('seconds') } };
    const before = this.lanes.get(mechanism.id) ?? [];
    this.lanes.set(mechanism.id, [...before, { id: cell('id') || `go-${number}`, when, ...doing }]);
  }
}

function whenOf(kind: string, number: (column: Column) => number, go: string): When | undefined {
  switch (kind) {
    case 'at':
      return { kind, time: number('time_s') };
    case 'every':
      return { kind, time: number('time_s'), from: number('from_s'), to: number('to_s') };
    case 'after':
    case 'with':
      return { kind, go, wait: number('time_s') };
    default:
      return undefined;
  }
}
