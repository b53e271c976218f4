// Writes the published JSON Schema of the board file from the zod schema. A test compares the two.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { boardJsonSchema } from '@june-tide/core/document';

const folder = join(import.meta.dirname, '..', 'docs', 'schema');
mkdirSync(folder, { recursive: true });
writeFileSync(join(folder, 'board.schema.json'), `${JSON.stringify(boardJsonSchema(), null, 2)}\n`);
console.log('wrote docs/schema/board.schema.json');
