import { basename } from 'node:path';
import type { Board } from '@june-tide/core/document';
import {
  blended,
  exaggerated,
  type Held,
  HOLDABLE,
  joinedOutlines,
  scaledToLitres,
  solvedFor,
  grown,
  stretched,
} from '@june-tide/core/edit';
import { Facts, MEASURE_KEYS, type MeasureKey, measureOf } from '@june-tide/core/measure';
import { modelNamed, models } from '@june-tide/core/models';
import { boardFrom, shapeOf } from '@june-tide/core/shape';
import { exportBoard } from '../export.ts';
import { readBoard, saveWhole, Told, writeBoard, readText } from '../files.ts';
import { type Command, lengthOf, need, numberOf } from '../options.ts';
import { numberAt, setNumbers, withNumberAt } from '../set.ts';

export const newBoard: Command = async (_args, values) => {
  const name = need(values.model, 'jt new needs --model NAME; jt models lists them.');
  const out = need(values.out, 'jt new needs --out FILE.');
  const board = modelNamed(name);
  if (!board) {
    const names = models().map((m) => m.name);
    throw new Told(`There is no model “${name}”. There are: ${names.join(', ')}.`);
  }
  await writeBoard(out, board);
};

export const setPaths: Command = async ([file, ...changes], values) => {
  need(file, 'jt set needs a board file.');
  if (changes.length === 0) throw new Told('jt set needs at least one path=value.');
  await writeBoard(values.out ?? file, setNumbers(await readBoard(file), changes));
};

/** A board from a station table, and how far it came out off. */
export const importFrom: Command = async ([file], values, console) => {
  const from = need(file, 'jt import needs a station table (CSV).');
  const out = need(values.out, 'jt import needs --out FILE.');
  const { boardFromStations, furthestOff } = await import('@june-tide/core/files/packages');
  const name =
    basename(from)
      .replace(/\.[^.]*$/, '')
      .slice(0, 80) || 'Measured board';
  const read = boardFromStations(await readText(from), name);
  if (!read.ok) throw new Told(`${from}: ${read.reason}`);
  await writeBoard(out, read.board);
  console.out(`${read.rows} rows. ${furthestOff(read.residuals, { kind: 'fraction', denominator: 16 })}`);
};

export const exportTo: Command = async ([file], values, console) => {
  const board = await readBoard(need(file, 'jt export needs a board file.'));
  const to = need(values.to, 'jt export needs --to and a format; jt help lists them.');
  const out = need(values.out, 'jt export needs --out FILE.');
  await saveWhole(out, await exportBoard(board, to, values, console.out));
};

function heldOf(text: string | undefined): Held[] {
  return (text ?? '')
    .split(',')
    .map((word) => word.trim())
    .filter((word) => word !== '')
    .map((word) => {
      const held = HOLDABLE.find((known) => known === word);
      if (!held) throw new Told(`--hold: “${word}” cannot be held; ${HOLDABLE.join(', ')} can.`);
      return held;
    });
}

/** Litres with some sizes held, or another length by the stretch rule. */
export const scale: Command = async ([file], values, console) => {
  const board = await readBoard(need(file, 'jt scale needs a board file.'));
  if ((values.litres === undefined) === (values.length === undefined)) {
    throw new Told('jt scale needs either --litres or --length.');
  }
  if (values.length !== undefined) {
    const rockerPower = values.rocker === undefined ? undefined : numberOf(values.rocker, '--rocker');
    const length_mm = lengthOf(values.length, '--length');
    const longer = rockerPower === undefined ? grown(board, length_mm) : stretched(board, length_mm, { rockerPower });
    await writeBoard(values.out ?? file, checked(longer));
    return;
  }
  await toLitres(board, values.litres ?? '', values.hold, values.out ?? file, console);
};

async function toLitres(
  board: Board,
  text: string,
  hold: string | undefined,
  out: string,
  console: { out: (t: string) => void },
) {
  const solved = scaledToLitres(board, numberOf(text, '--litres'), heldOf(hold));
  if (!solved.ok)
    throw new Told(`${solved.reason}; the nearest is ${solved.reached.toFixed(2)} L. Nothing was written.`);
  await writeBoard(out, solved.board);
  console.out(`${solved.reached.toFixed(2)} L`);
}

/** Any measure to a wanted value by one lever, or litres with sizes held. */
export const solve: Command = async ([file, wanted], values, console) => {
  const board = await readBoard(need(file, 'jt solve needs a board file.'));
  const out = values.out ?? file;
  if (values.litres !== undefined) {
    await toLitres(board, values.litres, values.hold, out, console);
    return;
  }
  const [key, text] = need(wanted, 'jt solve needs measure=value and --by path, or --litres.').split('=');
  if (!isMeasure(key)) throw new Told(`There is no measure “${key}”; jt measure --json lists them.`);
  const value =
    measureOf(key).unit === 'mm' && !/^[-+.\d]+$/.test(text ?? '')
      ? lengthOf(text ?? '', key)
      : numberOf(text ?? '', key);
  const path = need(values.by, 'jt solve needs --by and the path of the lever that may move.');
  const start = numberAt(board, path);
  const reach = Math.max(1, Math.abs(start));
  const read = (b: Board) => measureOf(key).read(new Facts(shapeOf(b)));
  const small = withNumberAt(board, path, start + 1e-3 * reach);
  const way = read(small) >= read(board) ? 1 : -1;
  const solved = solvedFor((p) => withNumberAt(board, path, start + way * p * reach), read, value, {
    within: 1e-3,
    most: 1,
    words: `${path} alone cannot bring ${key} to ${text}`,
  });
  if (!solved.ok) throw new Told(`${solved.reason}; the nearest is ${solved.reached.toFixed(3)}. Nothing was written.`);
  await writeBoard(out, checked(solved.board));
  console.out(`${path} = ${numberAt(solved.board, path)}`);
};

const isMeasure = (key: string): key is MeasureKey => MEASURE_KEYS.some((known) => known === key);

export const join: Command = async ([front, back], values, console) => {
  const words = 'jt join needs two board files: the front half of the first goes on the back half of the second.';
  const joined = joinedOutlines(await readBoard(need(front, words)), await readBoard(need(back, words)));
  if (!joined.ok) throw new Told(`${joined.reason}.`);
  await writeBoard(need(values.out, 'jt join needs --out FILE.'), checked(joined.board));
  if (joined.backWidths !== 1) {
    const percent = Math.abs(100 * (joined.backWidths - 1)).toFixed(1);
    console.out(
      `The back half was drawn ${percent} % ${joined.backWidths > 1 ? 'wider' : 'narrower'} to meet the front.`,
    );
  }
};

export const blend: Command = async ([one, two], values, console) => {
  const words = 'jt blend needs two board files.';
  const share = numberOf(values.share ?? '0.5', '--share');
  if (!(share >= 0 && share <= 1)) throw new Told('--share runs from 0 (the first board) to 1 (the second).');
  const mixed = blended(await readBoard(need(one, words)), await readBoard(need(two, words)), share);
  await writeBoard(need(values.out, 'jt blend needs --out FILE.'), checked(mixed.board));
  if (mixed.reason !== undefined) console.out(`Stopped at ${mixed.share.toFixed(3)}: ${mixed.reason}.`);
};

export const exaggerate: Command = async ([base, other], values, console) => {
  const words = 'jt exaggerate needs two board files.';
  const factor = numberOf(values.factor ?? '2', '--factor');
  const mixed = exaggerated(await readBoard(need(base, words)), await readBoard(need(other, words)), factor);
  await writeBoard(need(values.out, 'jt exaggerate needs --out FILE.'), checked(mixed.board));
  if (mixed.reason !== undefined) console.out(`Stopped at ${mixed.share.toFixed(3)} times: ${mixed.reason}.`);
};

/** @throws Told when the board could not be built. */
export function checked(board: Board): Board {
  const opened = boardFrom(board);
  if (opened.ok) return opened.board;
  const list = opened.issues.slice(0, 12).map((issue) => `\n  ${issue.path}: ${issue.words}`);
  throw new Told(`That board cannot be built, so nothing was written.${list.join('')}`);
}
