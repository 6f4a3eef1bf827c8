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

  const parts: { name: string; seconds: number }[] = [];
  const draws: { id: string; name: string; current: number; from: number; to?: number }[] = [];
  const lanes = new Map<string, Go[]>();
  let name = 'imported';
  rows.forEach((row, i) => {
    const line = i + 2;
    const say = (reason: string) => problems.push(`line ${line}: ${reason}`);
    const cell = (column: Column): string => row[at(column)] ?? '';
    const number = (column: Column): number => {
      const value = Number(cell(column));
      if (cell(column) === '' || !Number.isFinite(value)) say(`${column} is "${cell(column)}"; a number is wanted`);
      return value;
    };
    switch (cell('what')) {
      case 'script':
        name = cell('name') || name;
        return;
      case 'part':
        parts.push({ name: cell('name') || `part ${parts.length + 1}`, seconds: number('seconds') });
        return;
      case 'draw': {
        const to = cell('to_s') === '' ? {} : { to: number('to_s') };
        draws.push({
          id: cell('id') || `draw-${line}`,
          name: cell('name') || 'draw',
          current: number('current_A'),
          from: cell('from_s') === '' ? 0 : number('from_s'),
          ...to,
        });
        return;
      }
      case 'go': {
        const mechanism = plan.mechanisms.find((one) => one.id === cell('mechanism') || one.name === cell('mechanism'));
        if (!mechanism)
          return say(
            `mechanism "${cell('mechanism')}" is none of the robot’s; ${plan.mechanisms.map((one) => one.id).join(', ')} are allowed`,
          );
        const does = cell('does');
        const job = mechanism.jobs.find((one) => one.id === does || one.name === does);
        if (!job && does !== CRUISE)
          return say(
            `${mechanism.id} does no "${does}"; ${[...mechanism.jobs.map((one) => one.id), CRUISE].join(', ')} are allowed`,
          );
        const when = whenOf(cell('begins'), number, cell('go'));
        if (!when) return say(`begins is "${cell('begins')}"; at, every, after, with are allowed`);
        const doing = job ? { job: job.id } : { cruise: { speed: number('speed_m_s'), seconds: number('seconds') } };
        lanes.set(mechanism.id, [
          ...(lanes.get(mechanism.id) ?? []),
          { id: cell('id') || `go-${line}`, when, ...doing },
        ]);
        return;
      }
      default:
        say(`what is "${cell('what')}"; script, part, draw, go are allowed`);
    }
  });
  const read: MatchScript = {
    id,
    name,
    counts: true,
    parts,
    lanes: [...lanes].map(([mechanism, goes]) => ({ mechanism, goes })),
    draws,
  };
  if (problems.length > 0) return { ok: false, problems };
  const { error } = scriptSchema.validate(read, { abortEarly: false });
  return error ? { ok: false, problems: error.details.map(({ message }) => message) } : { ok: true, script: read };
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
