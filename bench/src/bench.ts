// npm run bench: how fast the core is, beside reference libraries doing the same work in the same run.
import { dragFrame } from './dragFrame.ts';
import { growth, memoryOverFrames } from './growth.ts';
import { making } from './making.ts';
import { judgement } from './judgement.ts';
import { againstReferences } from './references.ts';
import { ratioTable } from './table.ts';

console.log(
  `Node ${process.version}. Medians of many runs; the machine is shared, so read the ratios, not the milliseconds.\n`,
);
console.log('A frame of a drag');
ratioTable(await dragFrame());
console.log('A judgement by all rules (aim: under 20 ms), beside the frame it follows');
ratioTable(judgement());
console.log('Making, beside a frame of the same board');
ratioTable(making());
for (const { title, rows } of await againstReferences()) {
  console.log(`\n${title}`);
  ratioTable(rows);
}
console.log(`\nGrowth\n${growth().join('\n')}`);
console.log(`\nMemory over a long drag\n${memoryOverFrames().join('\n')}`);
