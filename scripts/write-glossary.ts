// Writes docs/glossary.md from the glossary. A test compares the two.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { glossaryDocument } from '@june-tide/core/document';

writeFileSync(join(import.meta.dirname, '..', 'docs', 'glossary.md'), glossaryDocument());
console.log('wrote docs/glossary.md');
