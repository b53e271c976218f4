// Writes core/src/testing/numbers/*.json anew: what core works out of four boards. Done when numbers are meant to change.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { numberedBoards, numbersOf } from '../core/src/testing/numbers.ts';

const folder = join(import.meta.dirname, '..', 'core', 'src', 'testing', 'numbers');
mkdirSync(folder, { recursive: true });
for (const [name, board] of Object.entries(numberedBoards())) {
  const kept = Object.entries(numbersOf(board)).map(([key, value]) => [
    key,
    typeof value === 'number' ? Number(value.toPrecision(10)) : value,
  ]);
  writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(Object.fromEntries(kept), null, 2)}\n`);
  console.log(`${name}: ${kept.length}`);
}
