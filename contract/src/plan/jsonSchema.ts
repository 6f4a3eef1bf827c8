import { planSchema } from './plan.js';

type Schema = Record<string, unknown>;

/** The published JSON Schema of a plan, made from the one schema that guards it. */
export async function planJsonSchema(): Promise<Schema> {
  const { default: convert } = await import('joi-to-json');
  const schema = withoutFallbacks(convert(planSchema, 'json-draft-2019-09')) as Schema;
  return { $schema: 'https://json-schema.org/draft/2019-09/schema', title: 'Rough Gear plan, version 1', ...schema };
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
