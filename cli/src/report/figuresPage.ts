import { displayText } from '@rough-gear/contract/units';
import { FIGURES, figureMeta, type FigureName } from '@rough-gear/core';

/** The page docs/figures.md: every figure, and what stands in for it when nobody gave it. */
export function figuresPage(): string {
  const rows = (Object.keys(FIGURES) as FigureName[]).map((name) => {
    const { label, dimension, link, need, fallback, optional } = figureMeta(name);
    return `| \`${name}\` | ${label} | ${dimension} | ${link} | ${need} | ${standIn(fallback, dimension, optional)} |`;
  });
  return [
    '# Figures',
    '',
    'Made by `npm run schema` from `core/src/plan/figures/table.ts`. Where nothing stands in for a missing figure, whatever needs it is *not known*, and the figure is named.',
    '',
    '| key | name | measures | link | needed for | when missing |',
    '| --- | --- | --- | --- | --- | --- |',
    ...rows,
    '',
  ].join('\n');
}

type Meta = ReturnType<typeof figureMeta>;

function standIn(fallback: Meta['fallback'], dimension: Meta['dimension'], optional: Meta['optional']): string {
  if (!fallback) return optional ? 'may be absent' : '*not known*';
  if ('rule' in fallback) return `estimated: ${fallback.rule}`;
  return `typical ${displayText(fallback.typical, dimension)}: ${fallback.why}`;
}
