import { etagOf, type StoredPlan } from '@rough-gear/contract';
import type { Request, Response } from 'express';
import Joi from 'joi';
import { HttpProblem } from '../http/problem.js';
import { jsonWith, sendJson } from '../http/rawJson.js';
import { sound, type Reader } from '../reading/reader.js';
import type { PlanStore, PlanStored, Saved } from './store.js';

const planId = Joi.string().guid();

export const missing = (): HttpProblem => new HttpProblem(404, 'There is no such plan');

export function idOf(request: Request): string {
  const id = String(request.params['id']);
  if (planId.validate(id).error) throw missing();
  return id;
}

/** A stored plan, its document as this version of the program writes it. */
export async function current(reader: Reader, stored: PlanStored): Promise<PlanStored> {
  const { text } = await sound(reader.ask('stored plan', stored.text));
  return { ...stored, text };
}

/** The plan that is asked for, one that is in use. */
export async function askedPlan(store: PlanStore, reader: Reader, request: Request): Promise<PlanStored> {
  const stored = await store.open(idOf(request));
  if (!stored) throw missing();
  return current(reader, stored);
}

/** A save that was taken; one that was not is a problem with what stands in its way. */
export async function taken(reader: Reader, response: Response, saved: Saved | undefined): Promise<PlanStored> {
  if (!saved) throw missing();
  if (saved.ok) return saved.plan;
  const { text, ...stored } = await current(reader, saved.stored);
  response.set('ETag', etagOf(stored.revision));
  throw new HttpProblem(412, 'The plan was saved by someone else in the meantime', {
    stored: { ...stored, document: JSON.parse(text) as StoredPlan['document'] },
  });
}

export function sendPlan(response: Response, { text, ...rest }: PlanStored): void {
  response.set('ETag', etagOf(rest.revision));
  sendJson(response, jsonWith({ ...rest }, { document: text }));
}
