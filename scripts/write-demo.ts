// Writes the demo's boards with a past, as they are made. A test compares the two.
import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { boardsWithPast } from '../core/src/demo/demoHistory.ts';

const file = join(import.meta.dirname, '..', 'core', 'src', 'demo', 'past.json');
// A board on a line, so that a change shows which.
const lines = boardsWithPast().map((record) => JSON.stringify(record));
writeFileSync(file, `[\n${lines.join(',\n')}\n]\n`);
console.log(`wrote ${file}`);
