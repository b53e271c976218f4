// Writes docs/judgement.md from the rules. A test compares the two.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { judgementDocument } from '@june-tide/core/judge';

writeFileSync(join(import.meta.dirname, '..', 'docs', 'judgement.md'), judgementDocument());
console.log('wrote docs/judgement.md');
