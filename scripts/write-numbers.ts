// Writes core/src/testing/numbers/*.json anew: what core works out of four boards, and what comes of boards brought in. Done when
// numbers are meant to change.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { numberedBoards, numbersOf } from '../core/src/testing/numbers.ts';
import { BROUGHT } from '../core/src/testing/numbersBrought.ts';

const folder = join(import.meta.dirname, '..', 'core', 'src', 'testing', 'numbers');
mkdirSync(folder, { recursive: true });
const records = [
  ...Object.entries(numberedBoards()).map(([name, board]) => [name, () => numbersOf(board)] as const),
  ...Object.entries(BROUGHT).map(([door, broughtIn]) => [`brought-${door}`, broughtIn] as const),
];
for (const [name, numbers] of records) {
  const kept = Object.entries(numbers()).map(([key, value]) => [
    key,
    typeof value === 'number' ? Number(value.toPrecision(10)) : value,
  ]);
  writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(Object.fromEntries(kept), null, 2)}\n`);
  console.log(`${name}: ${kept.length}`);
}
