// Where the project stands, whatever the folder it is run from.
import { dirname } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = dirname(dirname(fileURLToPath(import.meta.url)));
