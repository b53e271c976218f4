// Writes docs/measures.md from the rules. A test compares the two.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { measuresDocument } from '@june-tide/core/measure';

writeFileSync(join(import.meta.dirname, '..', 'docs', 'measures.md'), measuresDocument());
console.log('wrote docs/measures.md');
