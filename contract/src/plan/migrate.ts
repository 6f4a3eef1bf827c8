/**
 * Brings an older document up to the present version; what is no plan, or of an unknown version, is given back as it is
 * for the schema to refuse. Version 1 said whether a part is owned; since version 2 it is said how many are.
 */
export function migrate(document: unknown): unknown {
  return isRecord(document) && document['version'] === 1 ? fromFirst(document) : document;
}

function fromFirst(document: Readonly<Record<string, unknown>>): unknown {
  const { parts } = document;
  if (!isRecord(parts)) return { ...document, version: 2 };
  const counted = Object.entries(parts).map(([id, copy]) => {
    if (!isRecord(copy) || !isRecord(copy['part']) || typeof copy['part']['owned'] !== 'boolean') return [id, copy];
    const { owned, ...part } = copy['part'];
    return [id, { ...copy, part: owned ? { ...part, owned: 1 } : part }];
  });
  return { ...document, version: 2, parts: Object.fromEntries(counted) as unknown };
}

const isRecord = (value: unknown): value is Readonly<Record<string, unknown>> =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
