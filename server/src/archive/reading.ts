import { partSchema, problemText, readPlanText, type Problem } from '@rough-gear/contract';
import { readTrial } from '@rough-gear/contract/bench';
import { textProblems } from '@rough-gear/contract/text';
import type { DiaryEntry, Part } from '@rough-gear/core';
import type Joi from 'joi';
import { planText } from '../plans/reading.js';
import { jsonOf } from '../reading/json.js';
import type { Limits } from '../reading/limits.js';
import { trialText, type BookTrial } from '../trials/reading.js';
import {
  diaryFileSchema,
  MANIFEST,
  manifestSchema,
  planFileSchema,
  SHELF,
  shelfFileSchema,
  trialFileSchema,
  type ArchivedPart,
  type ArchivedPlan,
} from './format.js';

/** A plan of an archive, sound as far as its saves go; one that this version cannot read may be among them. */
export interface PlanBrought extends ArchivedPlan {
  /** What a search looks through. */
  readonly sought: string;
  /** The newest save under a name that says where it came from; one that cannot be read keeps its own inside. */
  readonly beside: { readonly name: string; readonly text: string };
}

/** A part of an archive that is one, as it is written. */
export interface PartBrought extends Omit<ArchivedPart, 'part'> {
  readonly kind: string;
  readonly part: string;
}

/** What one file of an archive is, read apart from the requests. */
export type FileRead =
  | { readonly is: 'manifest' }
  | { readonly is: 'no archive'; readonly detail?: string }
  | { readonly is: 'shelf'; readonly parts: readonly PartBrought[]; readonly refused: readonly string[] }
  | { readonly is: 'plan'; readonly plan: PlanBrought }
  | { readonly is: 'trial'; readonly trial: BookTrial }
  | {
      readonly is: 'diary';
      readonly planId: string;
      readonly entries: readonly DiaryEntry[];
      readonly putAway: readonly DiaryEntry[];
    }
  | { readonly is: 'refused'; readonly why: string };

const LIMITS: Limits = { name: 'the file', depth: 40, values: 8_000_000, objects: 2_000_000 };
const LONGEST_SAID = 200;
const LONGEST_NAME_SAID = 80;

const said = (problems: readonly Problem[]): string => problemText(problems).split('\n')[0]!.slice(0, LONGEST_SAID);
const refusal = (why: string): FileRead => ({ is: 'refused', why });

/** One file of an archive, by its name; the first of all says what it is. */
export function readArchiveFile(name: string, bytes: Uint8Array, first: boolean): FileRead {
  const called = name.slice(0, LONGEST_NAME_SAID);
  const json = jsonOf(bytes, LIMITS);
  if (first) {
    if (name !== MANIFEST) return { is: 'no archive' };
    const { error } = manifestSchema.validate(json.ok ? json.value : undefined, { presence: 'required' });
    return error ? { is: 'no archive', detail: error.message } : { is: 'manifest' };
  }
  if (!json.ok) return refusal(`${called}: ${(json.refused.detail ?? json.refused.title).slice(0, LONGEST_SAID)}`);
  const as = <T>(schema: Joi.Schema<T>, then: (value: T) => FileRead): FileRead => {
    const { error, value: read } = schema.validate(json.value, { convert: false });
    return error ? refusal(`${called}: ${error.message.slice(0, LONGEST_SAID)}`) : then(read as T);
  };
  if (name === SHELF) return as(shelfFileSchema, shelfOf);
  if (name.startsWith('plans/')) return as(planFileSchema, planOf);
  if (name.startsWith('trials/'))
    return as(trialFileSchema, ({ id, trial, takings }) => {
      const read = readTrial(trial);
      return read.ok
        ? { is: 'trial', trial: { id, trial: trialText(read.trial), takings } }
        : refusal(`trial ${id}: ${said(read.problems)}`);
    });
  if (name.startsWith('diaries/'))
    return as(diaryFileSchema, ({ planId, entries, putAway = [] }) => {
      const problems = textProblems([entries, putAway]);
      return problems.length > 0
        ? refusal(`diary ${planId}: ${said(problems)}`)
        : { is: 'diary', planId, entries, putAway };
    });
  return refusal(`${called}: nothing this version knows`);
}

function shelfOf(parts: readonly ArchivedPart[]): FileRead {
  const refused: string[] = [];
  const sound = parts.flatMap(({ part, ...marks }): readonly PartBrought[] => {
    const { error } = partSchema.validate(part, { convert: false });
    if (error) refused.push(`part ${marks.id}: ${error.message.slice(0, LONGEST_SAID)}`);
    return error ? [] : [{ ...marks, kind: (part as Part).kind, part: JSON.stringify(part) }];
  });
  return { is: 'shelf', parts: sound, refused };
}

function planOf(plan: ArchivedPlan): FileRead {
  const newest = plan.revisions.find(({ revision }) => revision === plan.revision);
  const wrong = wrongRevisions(plan);
  if (!newest || wrong !== undefined)
    return refusal(`${plan.name}: ${wrong ?? `its revision ${plan.revision} is missing`}`);
  const read = readPlanText(newest.document);
  const name = `${plan.name.slice(0, 60)} (from an archive)`;
  const text = read.ok ? JSON.stringify({ ...read.plan, name }) : newest.document;
  const sought = read.ok ? planText(read.plan).sought : plan.name.toLowerCase();
  return { is: 'plan', plan: { ...plan, sought, beside: { name, text } } };
}

/** What is wrong with the saves of a plan, seen before anything of it is written. */
function wrongRevisions({ revision: newest, revisions }: ArchivedPlan): string | undefined {
  const numbers = revisions.map(({ revision }) => revision);
  const twice = numbers.find((number, i) => numbers.indexOf(number) !== i);
  if (twice !== undefined) return `its revision ${twice} is there twice`;
  const above = numbers.find((number) => number > newest);
  return above === undefined ? undefined : `its revision ${above} is newer than its newest, ${newest}`;
}
