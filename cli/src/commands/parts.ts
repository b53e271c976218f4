import { DECK_FEATURES, type DeckFeatureKind } from '@june-tide/core/document';
import {
  featureLitres,
  type MarkedCurve,
  markRows,
  type Part,
  PARTS,
  withCrownTimes,
  withDeckFeature,
  withMarkHard,
  withNewDeckFeature,
  withoutDeckFeature,
  withPart,
} from '@june-tide/core/edit';
import { curveGains, shapeOf } from '@june-tide/core/shape';
import { formatLength } from '@june-tide/core/units';
import { readBoard, Told, writeBoard } from '../files.ts';
import { type Command, lengthOf, need, numberOf } from '../options.ts';
import { checked } from './change.ts';

const style = { kind: 'fraction', denominator: 16 } as const;

/** One part of another board, brought to this one's length by its rule. */
export const part: Command = async ([file, name, from], values, console) => {
  const words = `jt part needs a board file, a part (${PARTS.join(', ')}) and the board file it is taken from.`;
  const board = await readBoard(need(file, words));
  const which = PARTS.find((known): known is Part => known === name);
  if (!which) throw new Told(`There is no part “${String(name)}”; there are ${PARTS.join(', ')}.`);
  const taken = withPart(board, which, await readBoard(need(from, words)));
  if (!taken.ok) throw new Told(`${taken.reason}. Nothing was written.`);
  await writeBoard(values.out ?? need(file, words), taken.board);
  if (taken.backWidths !== 1) {
    const percent = Math.abs(100 * (taken.backWidths - 1)).toFixed(1);
    console.out(
      `The back half was drawn ${percent} % ${taken.backWidths > 1 ? 'wider' : 'narrower'} to meet the front.`,
    );
  }
};

const KINDS = Object.keys(DECK_FEATURES) as DeckFeatureKind[];

/** The deck: what is worked into it and its litres; with `add`, `off`, `set` or `--factor` it is changed. */
export const deck: Command = async ([file, act, ...rest], values, console) => {
  const board = await readBoard(need(file, 'jt deck needs a board file.'));
  const write = async (changed: typeof board) => writeBoard(values.out ?? String(file), checked(changed));
  if (values.factor !== undefined) return write(withCrownTimes(board, numberOf(values.factor, '--factor')));
  switch (act) {
    case undefined: {
      const features = board.deck.features.map((feature, i) => ({ ...feature, litres: featureLitres(board, i) }));
      if (values.json) return console.out(JSON.stringify({ crown: board.deck.crown, features }, null, 2));
      for (const mark of board.deck.crown) {
        console.out(
          `crown ${formatLength(mark.value_mm, style)}, ${formatLength(mark.at_mm, style)} from ${mark.from}`,
        );
      }
      features.forEach((feature, i) => {
        const litres = `${feature.litres < 0 ? '−' : '+'}${Math.abs(feature.litres).toFixed(2)} L`;
        console.out(`${i + 1} ${DECK_FEATURES[feature.kind].words}, ${litres}`);
      });
      return;
    }
    case 'add': {
      const kind = KINDS.find((known) => known === rest[0]);
      if (!kind) throw new Told(`There is no deck feature “${String(rest[0])}”; there are ${KINDS.join(', ')}.`);
      const added = withNewDeckFeature(board, kind);
      if (added === board) throw new Told(`This deck can have no other ${DECK_FEATURES[kind].words}.`);
      return write(added);
    }
    case 'off':
    case 'set': {
      const index = numberOf(rest[0] ?? '', 'the feature') - 1;
      const feature = board.deck.features[index] as (typeof board.deck.features)[number] | undefined;
      if (!feature) throw new Told(`This deck has no feature ${String(rest[0])}; jt deck FILE lists them.`);
      if (act === 'off') return write(withoutDeckFeature(board, index));
      const change = Object.fromEntries(
        rest.slice(1).map((pair) => {
          const [key, text = ''] = pair.split('=');
          if (!Object.hasOwn(feature, key) || key === 'kind') {
            const keys = Object.keys(feature).filter((known) => known !== 'kind');
            throw new Told(`A ${DECK_FEATURES[feature.kind].words} has no number “${key}”; it has ${keys.join(', ')}.`);
          }
          return [key, key.endsWith('_mm') ? lengthOf(text, key) : numberOf(text, key)];
        }),
      );
      return write(withDeckFeature(board, index, change));
    }
    default:
      throw new Told(`jt deck knows add, off and set, not “${act}”.`);
  }
};

/** The plan radius of the tips that close in a point. */
export const tips: Command = async ([file, ...pairs], values, console) => {
  const board = await readBoard(need(file, 'jt tips needs a board file.'));
  const { nose, tail } = board.outline;
  if (pairs.length === 0) {
    if (nose.kind === 'pointed') console.out(`nose ${formatLength(nose.tip_mm, style)}`);
    if (tail.kind === 'pin') console.out(`pin ${formatLength(tail.tip_mm, style)}`);
    if (nose.kind !== 'pointed' && tail.kind !== 'pin') console.out('Neither end closes in a point.');
    return;
  }
  const outline = { ...board.outline };
  for (const pair of pairs) {
    const [end, text = ''] = pair.split('=');
    if (end === 'nose') {
      if (nose.kind !== 'pointed') throw new Told('This nose is round: it has its own radius, outline.nose.radius_mm.');
      outline.nose = { ...nose, tip_mm: lengthOf(text, 'nose') };
    } else if (end === 'pin') {
      if (tail.kind !== 'pin') throw new Told('This tail is no pin: it closes in its own way.');
      outline.tail = { ...tail, tip_mm: lengthOf(text, 'pin') };
    } else throw new Told(`jt tips knows nose and pin, not “${end}”.`);
  }
  await writeBoard(values.out ?? String(file), checked({ ...board, outline }));
};

const CURVES: readonly MarkedCurve[] = ['outline', 'rocker', 'foil'];

/** The marks of the three curves, hard or soft; with --gain how far each moves its line. --hard or --soft CURVE.N turns one. */
export const marks: Command = async ([file], values, console) => {
  const board = await readBoard(need(file, 'jt marks needs a board file.'));
  const turned = values.hard ?? values.soft;
  if (turned !== undefined) {
    const [name, key = ''] = turned.split('.');
    const curve = CURVES.find((known) => known === name);
    const index = Number(key) - 1;
    if (!curve || !(index in board[curve].marks))
      throw new Told(`There is no mark “${turned}”; jt marks FILE lists them.`);
    return writeBoard(values.out ?? String(file), withMarkHard(board, curve, String(index), values.hard !== undefined));
  }
  const shape = shapeOf(board);
  const rows = CURVES.flatMap((curve) => {
    const labels = new Map(markRows(board, curve).map((row) => [row.key, row]));
    return curveGains(shape, curve).map((gain) => ({ ...gain, row: labels.get(String(gain.mark)) }));
  });
  if (values.json) {
    console.out(
      JSON.stringify(
        rows.map(({ row: _row, ...gain }) => gain),
        null,
        2,
      ),
    );
    return;
  }
  for (const { curve, mark, x_mm, soft, gain, line_mm, givenUp, row } of rows) {
    const said = [
      `${curve}.${mark + 1}`.padEnd(12),
      `${formatLength(row?.value_mm ?? 0, style)} at ${formatLength(x_mm, style)} from the tail`,
      soft ? `soft, line ${formatLength(line_mm, style)}` : 'hard',
      ...(values.gain ? [`gain ${gain.toFixed(2)}`] : []),
      ...(givenUp || gain > 2.002 ? ['a lever'] : []),
    ];
    console.out(said.join(', '));
  }
};
