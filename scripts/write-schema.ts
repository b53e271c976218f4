// Writes the published JSON Schemas of board file, rider's sheet and shop from the zod schemas. A test compares them.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { boardJsonSchema } from '@june-tide/core/document';
import { recordJsonSchemas } from '@june-tide/core/record';

const folder = join(import.meta.dirname, '..', 'docs', 'schema');
mkdirSync(folder, { recursive: true });
for (const [name, schema] of Object.entries({ board: boardJsonSchema(), ...recordJsonSchemas() })) {
  writeFileSync(join(folder, `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`);
  console.log(`wrote docs/schema/${name}.schema.json`);
}
