import type Joi from 'joi';
import { HttpProblem } from './problem.js';

/** What was asked, held against its schema; refused by the place of what is wrong. */
export function validated<T>(schema: Joi.Schema<T>, value: unknown, where: string): T {
  const { error, value: read } = schema.validate(value ?? {}, { errors: { wrap: { label: false } } });
  if (error) {
    const problems = error.details.map(({ path, message }) => ({ field: [where, ...path].join('.'), reason: message }));
    throw new HttpProblem(400, 'The request is not understood', { problems });
  }
  return read as T;
}
