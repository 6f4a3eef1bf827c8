import { PLAN_VERSION } from '@rough-gear/core';
import type Joi from 'joi';
import { part, partCopy } from './part.js';
import { planSchema } from './plan.js';
import * as quantities from './quantity.js';
import { shaft, stage } from './stage.js';
import { supplyNode } from './supply.js';
import * as words from './words.js';

type Schema = Record<string, unknown>;

/** What occurs more than once is written once under this name, so that a new field changes a few lines. */
const SHARED: Readonly<Record<string, Joi.Schema>> = {
  ...quantities,
  ...words,
  shaft,
  stage,
  supplyNode,
  part,
  partCopy,
};

/** The published JSON Schema of a plan, made from the one schema that guards it. */
export async function planJsonSchema(): Promise<Schema> {
  const { default: toJson } = await import('joi-to-json');
  const convert = (schema: Joi.Schema) => withoutFallbacks(toJson(schema, 'json-draft-2019-09')) as Schema;
  const converted = Object.entries(SHARED).map(([name, schema]) => [name, convert(schema)] as const);
  const names = new Map(converted.map(([name, schema]) => [JSON.stringify(schema), name]));
  return {
    $schema: 'https://json-schema.org/draft/2019-09/schema',
    title: `Rough Gear plan, version ${PLAN_VERSION}`,
    ...(referring(convert(planSchema), names) as Schema),
    $defs: Object.fromEntries(converted.map(([name, schema]) => [name, referringBelow(schema, names)])),
  };
}

/** The same schema with a reference in the place of everything that has a name. */
function referring(node: unknown, names: ReadonlyMap<string, string>): unknown {
  const name = names.get(JSON.stringify(node));
  return name === undefined ? referringBelow(node, names) : { $ref: `#/$defs/${name}` };
}

function referringBelow(node: unknown, names: ReadonlyMap<string, string>): unknown {
  if (Array.isArray(node)) return node.map((one) => referring(one, names));
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(Object.entries(node).map(([key, value]) => [key, referring(value, names)]));
}

/**
 * Each union of kinds ends in a fallback that only exists to name a wrong kind in words. In a JSON
 * Schema it would take any object of a right kind, so it is left out.
 */
function withoutFallbacks(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(withoutFallbacks);
  if (typeof node !== 'object' || node === null) return node;
  return Object.fromEntries(
    Object.entries(node).map(([key, value]) => [
      key,
      withoutFallbacks(key === 'anyOf' && Array.isArray(value) ? value.filter((one) => !isFallback(one)) : value),
    ]),
  );
}

function isFallback(node: unknown): boolean {
  const { properties, additionalProperties } = node as Schema;
  return (
    typeof properties === 'object' &&
    properties !== null &&
    Object.keys(properties).join() === 'kind' &&
    additionalProperties !== false
  );
}
