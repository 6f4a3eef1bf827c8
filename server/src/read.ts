import type { Problem } from '@rough-gear/contract';
import type Joi from 'joi';
import type { Answer } from './answered.js';

/** What was made of something that came from outside, or how whoever sent it is answered. It can be handed between threads. */
export type Read<T> = { readonly ok: true; readonly value: T } | { readonly ok: false; readonly refused: Answer };

export const refused = (status: number, title: string, more: Omit<Answer, 'status' | 'title'> = {}): Read<never> => ({
  ok: false,
  refused: { status, title, ...more },
});
export const taken = <T>(value: T): Read<T> => ({ ok: true, value });
export const thrownOut = (title: string, problems: readonly Problem[]): Read<never> =>
  refused(422, title, { problems });

/** A value held against its schema, refused by the place of what is wrong. */
export function understood<T>(schema: Joi.Schema<T>, value: unknown, where: string): Read<T> {
  const { error, value: read } = schema.validate(value ?? {}, { errors: { wrap: { label: false } } });
  if (!error) return taken(read as T);
  const problems = error.details.map(({ path, message }) => ({ field: [where, ...path].join('.'), reason: message }));
  return refused(400, 'The request is not understood', { problems });
}
