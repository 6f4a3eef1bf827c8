import { mkdirSync, writeFileSync } from 'node:fs';
import { planJsonSchema } from '@rough-gear/contract/schema';
import { figuresPage } from '../report/figuresPage.js';

/** `npm run schema`: writes the published JSON Schema and the page of figures, both made from the code. */
mkdirSync('docs', { recursive: true });
// A reference is one line: then a new field is one, too.
const schema = JSON.stringify(await planJsonSchema(), null, 2).replace(/\{\s+("\$ref": "[^"]+")\s+\}/g, '{ $1 }');
writeFileSync('docs/plan.schema.json', `${schema}\n`);
writeFileSync('docs/figures.md', figuresPage());
