// npm run bench: how fast the core is, beside reference libraries doing the same work in the same run.
import { ratioTable } from './table.ts';
import { dragFrame } from './dragFrame.ts';

console.log(
  `Node ${process.version}. Medians of many runs; the machine is shared, so read the ratios, not the milliseconds.\n`,
);
ratioTable(await dragFrame());
