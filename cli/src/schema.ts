import { mkdirSync, writeFileSync } from 'node:fs';
import { planJsonSchema } from '@rough-gear/contract/schema';
import { figuresPage } from './report/figuresPage.js';

/** `npm run schema`: writes the published JSON Schema and the page of figures, both made from the code. */
mkdirSync('docs', { recursive: true });
writeFileSync('docs/plan.schema.json', `${JSON.stringify(await planJsonSchema(), null, 2)}\n`);
writeFileSync('docs/figures.md', figuresPage());
