import { ADAPTERS } from './adapters.js';
import type { Got } from './got.js';

type Word = number | string | boolean | null;

export interface Case {
  readonly id: string;
  readonly kind: string;
  readonly given: Readonly<Record<string, unknown>>;
  readonly expect: Readonly<Record<string, { readonly value: Word; readonly relTol?: number }>>;
}

export interface CaseResult {
  readonly id: string;
  readonly kind: string;
  readonly got: Got;
  readonly pass: boolean;
  readonly reason?: string;
}

/** Reads a file's text. Throws with the reason where it is not of the cases' shape. */
export function readCases(text: string): readonly Case[] {
  const file: unknown = JSON.parse(text);
  const cases = isRecord(file) ? file['cases'] : undefined;
  if (!Array.isArray(cases)) throw new Error('"cases" is not a list');
  return cases.map((entry: unknown, i) => {
    if (!isRecord(entry) || typeof entry['id'] !== 'string' || typeof entry['kind'] !== 'string') {
      throw new Error(`case ${i + 1}: "id" and "kind" must be words`);
    }
    if (!isRecord(entry['given']) || !isRecord(entry['expect']))
      throw new Error(`case ${entry['id']}: "given" and "expect" must be objects`);
    for (const [name, expected] of Object.entries(entry['expect'])) {
      if (!isRecord(expected) || !('value' in expected))
        throw new Error(`case ${entry['id']}: "expect.${name}" has no "value"`);
    }
    return entry as unknown as Case;
  });
}

/** Runs one case through the core. A kind nobody knows has failed, with that as the reason. */
export function runCase({ id, kind, given, expect }: Case): CaseResult {
  const adapt = ADAPTERS[kind];
  if (!adapt) return { id, kind, got: {}, pass: false, reason: `unknown kind ${kind}` };
  let all: Got;
  try {
    all = adapt(given);
  } catch (problem) {
    return { id, kind, got: {}, pass: false, reason: `not computed: ${(problem as Error).message}` };
  }
  const names = Object.keys(expect);
  const got = Object.fromEntries(names.filter((name) => name in all).map((name) => [name, all[name]!]));
  const off = names.filter((name) => !(name in all) || !agrees(all[name] ?? null, expect[name]!));
  return off.length === 0
    ? { id, kind, got, pass: true }
    : { id, kind, got, pass: false, reason: `off: ${off.join(', ')}` };
}

function agrees(got: Word, { value, relTol = 0 }: { value: Word; relTol?: number }): boolean {
  if (typeof value !== 'number' || typeof got !== 'number') return got === value;
  return Math.abs(got - value) <= relTol * Math.abs(value) + 1e-9;
}

function isRecord(value: unknown): value is Record<string, unknown> {
  return typeof value === 'object' && value !== null && !Array.isArray(value);
}
