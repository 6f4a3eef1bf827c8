import { readPlan, readPlanText, type PlanRead } from '@rough-gear/contract';
import { changedBetween, PLAN_FORMAT, PLAN_VERSION, type Plan } from '@rough-gear/core';
import Joi from 'joi';
import type { Limits } from '../reading/limits.js';
import { jsonOf } from '../reading/json.js';
import { refused, taken, thrownOut, understood, type Read } from '../read.js';
import { emptyPlan } from './emptyPlan.js';

/** A sound plan as it is written, and what the lists say of it. */
export interface PlanText {
  readonly text: string;
  readonly name: string;
  /** What a search looks through. */
  readonly sought: string;
  /** What was done since the save that it is based on, in words; absent where that is not asked, or cannot be read. */
  readonly changed?: readonly string[];
}

const LIMITS: Limits = { name: 'the plan', depth: 40, values: 100_000, objects: 30_000 };
const LONGEST_NAME = 80;
const COPY = ' copy';

const name = Joi.string().trim().min(1).max(LONGEST_NAME);
const newPlan = Joi.object<{ name?: string; document?: unknown }>({ name, document: Joi.object() }).xor(
  'name',
  'document',
);
const renaming = Joi.object<{ name: string }>({ name: name.required() });

const soughtOf = ({ name: robot, mechanisms }: Plan): string =>
  [robot, ...mechanisms.map((mechanism) => mechanism.name)].join('\n').toLowerCase();

export const planText = (plan: Plan): PlanText => ({
  text: JSON.stringify(plan),
  name: plan.name,
  sought: soughtOf(plan),
});

function planOf(document: unknown, before?: string): Read<PlanText> {
  const read = readPlan(document);
  if (read.ok)
    return taken({ ...planText(read.plan), changed: before === undefined ? undefined : changed(before, read) });
  return thrownOut(`This is no plan of format ${PLAN_FORMAT}, version ${PLAN_VERSION}`, read.problems);
}

function changed(before: string, after: PlanRead): readonly string[] | undefined {
  const read = readPlanText(before);
  return read.ok && after.ok ? changedBetween(read.plan, after.plan) : undefined;
}

/** A plan that is saved over another one. */
export function readPlanBody(body: Uint8Array, before?: string): Read<PlanText> {
  const json = jsonOf(body, LIMITS);
  return json.ok ? planOf(json.value, before) : json;
}

/** A plan that is made: by its name alone, or from a document. */
export function readNewPlan(body: Uint8Array): Read<PlanText> {
  const json = jsonOf(body, LIMITS);
  const asked = json.ok ? understood(newPlan, json.value, 'body') : json;
  return asked.ok ? planOf(asked.value.document ?? emptyPlan(asked.value.name ?? '')) : asked;
}

/** A plan as it is stored, brought up to date where an earlier version of the program saved it. */
export function readStoredPlan(text: string): Read<PlanText> {
  const read = readPlanText(text);
  if (read.ok) return taken(planText(read.plan));
  return refused(409, 'This version of the program cannot read that plan', { problems: read.problems });
}

const named = (text: string, to: (before: string) => string): Read<PlanText> => {
  const read = readPlanText(text);
  if (!read.ok) return readStoredPlan(text);
  return planOf({ ...read.plan, name: to(read.plan.name) });
};

/** A stored plan under the name that a body asks for. */
export function readRenaming(body: Uint8Array, text: string): Read<PlanText> {
  const json = jsonOf(body, LIMITS);
  const asked = json.ok ? understood(renaming, json.value, 'body') : json;
  return asked.ok ? named(text, () => asked.value.name) : asked;
}

/** A copy of a stored plan, named as one. */
export const copyOfPlan = (text: string): Read<PlanText> =>
  named(text, (before) => `${before.slice(0, LONGEST_NAME - COPY.length)}${COPY}`);

/** What was done between two saves, in words; nothing where one of them cannot be read. */
export const changedInSave = (before: string, after: string): readonly string[] | undefined =>
  changed(before, readPlanText(after));
