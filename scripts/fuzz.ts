// npm run fuzz -- [--count 100000] [--seed 1] [--boards 2000] [--write]: everything that reads what comes from outside, with good inputs
// damaged by a seed; texts of ten megabytes; legal boards by a seed through every function of core the interface calls.
// Ends with 1 where anything was thrown from the depths, said in no person's words, took over two seconds or over a gigabyte.
import { mkdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import fc from 'fast-check';
import { readScan } from '../app/src/workers/scanRead.ts';
import { meshToObj, meshToPly } from '../core/src/files/obj.ts';
import { meshToStl } from '../core/src/files/stl.ts';
import { models } from '../core/src/models/models.ts';
import { shapeOf } from '../core/src/shape/shape.ts';
import { meshOf } from '../core/src/solid/mesh.ts';
import { anyBoard } from '../core/src/testing/anyBoard.ts';
import { damagedBytes } from '../core/src/testing/fuzz/damage.ts';
import { boardsAtEdges } from '../core/src/testing/fuzz/edges.ts';
import { boardTroubles, printedTrouble } from '../core/src/testing/fuzz/everything.ts';
import { type FuzzTold, fuzzed, longTexts, longTried, through } from '../core/src/testing/fuzz/fuzzed.ts';

const MOST_ms = 2000;
const MOST_bytes = 2 ** 30;

const { values } = parseArgs({
  options: {
    count: { type: 'string', default: '100000' },
    seed: { type: 'string', default: '1' },
    boards: { type: 'string', default: '2000' },
  },
});
const [count, seed, boards] = [Number(values.count), Number(values.seed), Number(values.boards)];
let wrong = 0;
let mostMemory = 0;
/** Time of the processor, ms: what runs beside it is not counted. */
const clock = () => process.cpuUsage().user / 1000;
const say = (line: string) => void process.stdout.write(`${line}\n`);
// What libraries say of a damaged file is no matter of ours.
for (const way of ['log', 'warn', 'error', 'info'] as const) console[way] = () => undefined;

function remembered(): void {
  mostMemory = Math.max(mostMemory, process.memoryUsage().rss);
}

const kept = join(import.meta.dirname, '../fuzz-found');

/** An input that broke something is kept, to become a fixture. */
function keep(reader: string, at: number, input: unknown): void {
  mkdirSync(kept, { recursive: true });
  const path = join(kept, `${reader.replaceAll(/\W+/g, '-')}-${seed}-${at}`);
  if (input instanceof Uint8Array) writeFileSync(`${path}.bin`, input);
  else
    writeFileSync(
      typeof input === 'string' ? `${path}.txt` : `${path}.json`,
      typeof input === 'string' ? input : (JSON.stringify(input) ?? 'undefined'),
    );
}

function told({ reader, inputs, refused, slowest_ms, faults }: FuzzTold): void {
  remembered();
  const slow = slowest_ms > MOST_ms;
  wrong += faults.length + (slow ? 1 : 0);
  say(
    `${reader.padEnd(24)} ${String(inputs).padStart(7)} inputs, ${String(refused).padStart(6)} refused, slowest ${slowest_ms.toFixed(0).padStart(5)} ms, ${faults.length} wrong${slow ? ', TOO SLOW' : ''}`,
  );
  for (const [at, fault] of faults.slice(0, 10).entries()) {
    keep(reader, at, fault.input);
    say(`    ${fault.why}`);
  }
}

fuzzed(count, seed, clock, told);
const mesh = meshOf(shapeOf(models()[0]), { stations: 14, ring: 10 });
const text = (of: string) => new TextEncoder().encode(of);
told(
  through(
    {
      name: 'a scan',
      good: [
        meshToStl(mesh, 'a'),
        text(meshToPly(mesh, 'a')),
        text(meshToObj(mesh, 'a')),
        text('1 2 3\n4 5 6\n7 8 9\n'),
      ],
      read: (bytes) => {
        const read = readScan(bytes.slice().buffer);
        return read.ok ? [] : [read.reason];
      },
    },
    damagedBytes,
    Math.ceil(count / 20),
    seed + 3,
    clock,
  ),
);

for (const [what, long] of longTexts(10)) {
  for (const { reader, ms, why } of longTried(long, clock)) {
    if (why === undefined && ms <= MOST_ms) continue;
    wrong += 1;
    say(`10 MB of ${what}, ${reader}: ${why ?? `${ms.toFixed(0)} ms`}`);
  }
  remembered();
}
say(`10 MB of each of ${longTexts(0).length} things: done`);

let slowest = 0;
for (const [at, board] of fc.sample(anyBoard, { seed, numRuns: boards }).entries()) {
  const from = clock();
  const printed = at % 100 === 0 ? await printedTrouble(board) : undefined;
  const troubles = [...boardTroubles(board, at), ...(printed === undefined ? [] : [printed])];
  slowest = Math.max(slowest, clock() - from);
  if (troubles.length > 0) {
    wrong += 1;
    keep('a board', at, board);
    say(`board ${at}: ${troubles.slice(0, 4).join('; ')}`);
  }
  if (at % 100 === 99) {
    remembered();
    say(`${at + 1} boards, slowest ${(slowest / 1000).toFixed(1)} s for everything`);
  }
}
// And boards that are only just boards, of three models in turn.
const all = models();
for (const model of [0, 1, 2].map((k) => all[(seed * 3 + k) % all.length])) {
  const edges = boardsAtEdges(model);
  for (const [at, board] of edges.entries()) {
    const troubles = boardTroubles(board, at + 1);
    if (troubles.length === 0) continue;
    wrong += 1;
    keep(`${model.name} at an edge`, at, board);
    say(`${model.name}, edge ${at}: ${troubles.slice(0, 4).join('; ')}`);
  }
  remembered();
  say(`${model.name}: ${edges.length} boards that are only just boards`);
}
const tooMuch = mostMemory > MOST_bytes;
say(`most memory ${(mostMemory / 1e6).toFixed(0)} MB${tooMuch ? ': TOO MUCH' : ''}; ${wrong} wrong`);
if (wrong > 0 || tooMuch) process.exitCode = 1;
