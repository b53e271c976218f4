import { parseArgs } from 'node:util';
import {
  FAMILY_WORDS,
  formatLength,
  formatLitres,
  measure,
  modelNamed,
  models,
  shapeOf,
  ticketLines,
} from '@june-tide/core';
import { exportBoard } from './export.ts';
import { readBoard, saveWhole, Told, writeBoard } from './files.ts';
import { setNumbers } from './set.ts';

export interface Console {
  out: (text: string) => void;
  err: (text: string) => void;
}

const HELP = `June Tide at the command line

  jt models [--json]                          the starting models
  jt new --model NAME --out FILE              a board from a model
  jt measure FILE [--json]                    its numbers
  jt set FILE path=value ... [--out FILE]     change numbers: length=6'2 width="19 7/8" outline.tail.block_mm=150
  jt export FILE --to pdf|svg|json|stl --out FILE [--paper A4|Letter]

Lengths as people write them: 5'11, 19 7/8, 2.375, 505mm. A bare number is in inches; for a path that ends in _mm, in mm.`;

const options = {
  json: { type: 'boolean' },
  model: { type: 'string' },
  out: { type: 'string' },
  to: { type: 'string' },
  paper: { type: 'string' },
  help: { type: 'boolean' },
} as const;

/** Runs one command. Returns the exit code: 0, or 1 with plain words on `err` and nothing written. */
export async function run(args: string[], console: Console): Promise<number> {
  try {
    const { values, positionals } = parseArgs({ args, options, allowPositionals: true, strict: true });
    const [command, ...rest] = positionals;
    if (values.help || command === undefined || command === 'help') {
      console.out(HELP);
      return 0;
    }
    const need = <T>(value: T | undefined, words: string): T => {
      if (value === undefined) throw new Told(words);
      return value;
    };
    switch (command) {
      case 'models': {
        const list = models().map(({ name, family }) => ({ name, family }));
        if (values.json) console.out(JSON.stringify(list, null, 2));
        else for (const board of models()) console.out(modelLine(board));
        return 0;
      }
      case 'new': {
        const name = need(values.model, 'jt new needs --model NAME; jt models lists them.');
        const out = need(values.out, 'jt new needs --out FILE.');
        const board = modelNamed(name);
        if (!board)
          throw new Told(
            `There is no model “${name}”. There are: ${models()
              .map((m) => m.name)
              .join(', ')}.`,
          );
        await writeBoard(out, board);
        return 0;
      }
      case 'measure': {
        const board = await readBoard(need(rest[0], 'jt measure needs a board file.'));
        const shape = shapeOf(board);
        if (values.json) console.out(JSON.stringify(measure(shape), null, 2));
        else {
          console.out(modelLine(board));
          for (const line of ticketLines(shape, { kind: 'fraction', denominator: 16 })) {
            console.out(`  ${line.name.padEnd(20)} ${line.value}`);
          }
        }
        return 0;
      }
      case 'set': {
        const file = need(rest[0], 'jt set needs a board file.');
        if (rest.length < 2) throw new Told('jt set needs at least one path=value.');
        await writeBoard(values.out ?? file, setNumbers(await readBoard(file), rest.slice(1)));
        return 0;
      }
      case 'export': {
        const board = await readBoard(need(rest[0], 'jt export needs a board file.'));
        const to = need(values.to, 'jt export needs --to pdf, svg, json or stl.');
        const out = need(values.out, 'jt export needs --out FILE.');
        await saveWhole(out, await exportBoard(board, to, values.paper));
        return 0;
      }
      default:
        throw new Told(`“${command}” is not a command. jt help lists them.`);
    }
  } catch (error) {
    if (error instanceof Told || (error instanceof TypeError && 'code' in error)) {
      console.err(error.message);
      return 1;
    }
    console.err(
      `This should not have happened: ${error instanceof Error ? (error.stack ?? error.message) : String(error)}`,
    );
    return 1;
  }
}

function modelLine(board: ReturnType<typeof models>[number]): string {
  const style = { kind: 'fraction', denominator: 16 } as const;
  const size = [
    formatLength(board.length_mm, style, { feet: true }),
    formatLength(board.outline.width_mm, style),
    formatLength(board.foil.thickness_mm, style),
  ].join(' x ');
  return `${board.name.padEnd(14)} ${FAMILY_WORDS[board.family].padEnd(11)} ${size.padEnd(26)} ${formatLitres(measure(shapeOf(board)).volume_L)}`;
}
