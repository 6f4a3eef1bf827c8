import { planSchema } from './plan.js';

/** The published JSON Schema of a plan, made from the one schema that guards it. */
export async function planJsonSchema(): Promise<Record<string, unknown>> {
  const { default: convert } = await import('joi-to-json');
  const schema = convert(planSchema, 'json-draft-2019-09') as Record<string, unknown>;
  return { $schema: 'https://json-schema.org/draft/2019-09/schema', title: 'Rough Gear plan, version 1', ...schema };
}
