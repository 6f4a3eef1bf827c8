type Document = Readonly<Record<string, unknown>>;

/** What brings a document of each earlier version to the next one. */
const STEPS: Readonly<Record<number, (document: Document) => Document>> = {
  1: countOwned,
  2: nameThingsOnce,
  3: measureScrews,
};

/**
 * Brings an older document up to the present version, step by step; what is no plan, or of an unknown version, is given
 * back as it is for the schema to refuse.
 */
export function migrate(document: unknown): unknown {
  let current = document;
  while (isRecord(current)) {
    const step = STEPS[Number(current['version'])];
    if (!step) break;
    current = step(current);
  }
  return current;
}

/** Version 1 said whether a part is owned; since version 2 it is said how many are. */
function countOwned(document: Document): Document {
  const { parts } = document;
  if (!isRecord(parts)) return { ...document, version: 2 };
  const counted = Object.entries(parts).map(([id, copy]) => {
    if (!isRecord(copy) || !isRecord(copy['part']) || typeof copy['part']['owned'] !== 'boolean') return [id, copy];
    const { owned, ...part } = copy['part'];
    return [id, { ...copy, part: owned ? { ...part, owned: 1 } : part }];
  });
  return { ...document, version: 2, parts: Object.fromEntries(counted) as unknown };
}

const MECHANISMS: Readonly<Record<string, string>> = { shooter: 'thrower' };
const JOBS: Readonly<Record<string, string>> = { shot: 'throw', clamp: 'grip', step: 'stride' };
const OUTPUTS: Readonly<Record<string, string>> = { jaw: 'grip' };

/** Version 2 called one thing by several names (shooter and shot, grip, jaw and clamp, a leg's step); version 3 by one. */
function nameThingsOnce(document: Document): Document {
  return { ...document, version: 3, mechanisms: eachOf(document['mechanisms'], mechanism) };
}

const mechanism = (found: Document): Document => ({
  ...renamed(found, MECHANISMS),
  jobs: eachOf(found['jobs'], job),
  choices: eachOf(found['choices'], (choice) =>
    isRecord(choice['output']) ? { ...choice, output: renamed(choice['output'], OUTPUTS) } : choice,
  ),
});

function job(found: Document): Document {
  const { shotMass, ...rest } = renamed(found, JOBS);
  return shotMass === undefined ? rest : { ...rest, pieceMass: shotMass };
}

/**
 * Version 3 kept a screw's lead and its lead angle apart, so that another lead left the losses as they were; version 4 has
 * the lead and the diameter that make the angle. Where the lead was missing the diameter is not known either.
 */
function measureScrews(document: Document): Document {
  const choice = (found: Document): Document => ({ ...found, stages: eachOf(found['stages'], screw) });
  const mechanisms = eachOf(document['mechanisms'], (found) => ({
    ...found,
    choices: eachOf(found['choices'], choice),
  }));
  return { ...document, version: 4, mechanisms };
}

function screw(stage: Document): Document {
  if (stage['kind'] !== 'screw') return stage;
  const { leadAngle, ...rest } = stage;
  const [lead, angle] = [siOf(stage['lead']), siOf(leadAngle)];
  if (lead === undefined || angle === undefined) return rest;
  const diameter = lead / (Math.PI * Math.tan(angle));
  const from = 'from the lead and the lead angle that stood here';
  const as = `${Number((diameter * 1000).toPrecision(4))} mm`;
  return { ...rest, pitchDiameter: { si: diameter, as, source: 'estimated', from } };
}

const siOf = (quantity: unknown): number | undefined =>
  isRecord(quantity) && typeof quantity['si'] === 'number' ? quantity['si'] : undefined;

const renamed = (found: Document, names: Readonly<Record<string, string>>): Document => {
  const { kind } = found;
  return typeof kind === 'string' && Object.hasOwn(names, kind) ? { ...found, kind: names[kind] } : found;
};

const eachOf = (list: unknown, change: (found: Document) => Document): unknown =>
  Array.isArray(list) ? list.map((item: unknown) => (isRecord(item) ? change(item) : item)) : list;

const isRecord = (value: unknown): value is Document =>
  typeof value === 'object' && value !== null && !Array.isArray(value);
