// npm run edition: writes the boards of core's edition, with the cards it draws of them, into core/src/record/fixtures/editions. Done once for
// each edition, before the core that draws otherwise is: never again for one that is out.
import { writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buildSync } from 'esbuild';
import { root } from './prepare.mjs';

const out = join(tmpdir(), `june-tide-edition-${process.pid}.mjs`);
buildSync({
  stdin: {
    contents: `
      import fc from 'fast-check';
      import { anyBoard } from './core/src/testing/anyBoard.ts';
      import { models } from './core/src/models/models.ts';
      import { shapeOf } from './core/src/shape/shape.ts';
      export { EDITION } from './core/src/record/card.ts';
      import { cardOf } from './core/src/record/card.ts';
      const boards = [...models(), ...fc.sample(anyBoard, { seed: 7, numRuns: 24 })];
      export const kept = boards.map((board) => ({ board, card: cardOf(shapeOf(board)) }));
    `,
    resolveDir: root,
    loader: 'ts',
  },
  bundle: true,
  platform: 'node',
  format: 'esm',
  outfile: out,
  logLevel: 'error',
});
const { kept, EDITION } = await import(out);
const file = join(root, 'core', 'src', 'record', 'fixtures', 'editions', `${EDITION}.json`);
writeFileSync(file, JSON.stringify(kept));
console.log(`${kept.length} boards of edition ${EDITION} are in ${file}`);
