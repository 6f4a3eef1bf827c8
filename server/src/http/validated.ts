import type Joi from 'joi';
import { understood } from '../read.js';
import { HttpProblem } from './problem.js';

/** What was asked, held against its schema; refused by the place of what is wrong. */
export function validated<T>(schema: Joi.Schema<T>, value: unknown, where: string): T {
  const read = understood(schema, value, where);
  if (!read.ok) throw HttpProblem.of(read.refused);
  return read.value;
}
