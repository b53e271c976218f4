import { solveInPlace } from '../curve/linear.ts';
import { MOST_MARKS } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { solvedFor } from '../edit/shift.ts';
import { thicknessAt } from '../foil/foil.ts';
import { volume_L } from '../measure/volume.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { boardFrom } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { type LengthStyle, lengthWords } from '../units/format.ts';
import { type Card, CARD_SHARES, EDITION } from './cardSchema.ts';

const rounded = (value: number): number => Number(value.toFixed(4));
const stationsOf = ({ board }: Shape): number[] => CARD_SHARES.map((share) => share * board.length_mm);
const widthsOf = (shape: Shape): number[] => stationsOf(shape).map((x_mm) => 2 * halfBreadthAt(shape.outline, x_mm));
const thicknessesOf = (shape: Shape): number[] => stationsOf(shape).map((x_mm) => thicknessAt(shape.foil, x_mm));

/** The card of a board as this core draws it; mm and litres to a ten-thousandth. */
export function cardOf(shape: Shape): Card {
  return {
    edition: EDITION,
    volume_L: rounded(volume_L(shape)),
    widths_mm: widthsOf(shape).map(rounded),
    thicknesses_mm: thicknessesOf(shape).map(rounded),
  };
}

/** How far a board as it is drawn is off a card: the most of each, with its sign, and where it is. */
export interface CardOff {
  volume_L: number;
  width_mm: number;
  widthAt_mm: number;
  thickness_mm: number;
  thicknessAt_mm: number;
}

function mostOff(now: readonly number[], card: readonly number[]): { off: number; index: number } {
  const offs = now.map((value, i) => value - card[i]);
  const index = offs.reduce((best, off, i) => (Math.abs(off) > Math.abs(offs[best]) ? i : best), 0);
  return { off: offs[index], index };
}

export function offCard(shape: Shape, card: Card): CardOff {
  const stations = stationsOf(shape);
  const width = mostOff(widthsOf(shape), card.widths_mm);
  const thickness = mostOff(thicknessesOf(shape), card.thicknesses_mm);
  return {
    volume_L: volume_L(shape) - card.volume_L,
    width_mm: width.off,
    widthAt_mm: stations[width.index],
    thickness_mm: thickness.off,
    thicknessAt_mm: stations[thickness.index],
  };
}

/** Less than this a board that was drawn again has not changed. */
const SAME = { volume_L: 0.05, mm: 0.2 } as const;

/** Does a newer core draw the board otherwise than its card says? */
export const isOffCard = ({ volume_L, width_mm, thickness_mm }: CardOff): boolean =>
  Math.abs(volume_L) > SAME.volume_L || Math.abs(width_mm) > SAME.mm || Math.abs(thickness_mm) > SAME.mm;

/** How a board is drawn against its card, in words: “0.21 L more, 0.4 mm thinner 5 1/2 in from the tail”. @param least what is said of it. */
export function offWords(
  { volume_L: litres, width_mm, widthAt_mm, thickness_mm, thicknessAt_mm }: CardOff,
  style: LengthStyle,
  least: { volume_L: number; mm: number } = SAME,
): string {
  const line = (off_mm: number, at_mm: number, more: string, less: string) =>
    Math.abs(off_mm) > least.mm
      ? [`${Math.abs(off_mm).toFixed(1)} mm ${off_mm > 0 ? more : less} ${lengthWords(at_mm, style)} from the tail`]
      : [];
  return [
    ...(Math.abs(litres) > least.volume_L ? [`${Math.abs(litres).toFixed(2)} L ${litres > 0 ? 'more' : 'less'}`] : []),
    ...line(thickness_mm, thicknessAt_mm, 'thicker', 'thinner'),
    ...line(width_mm, widthAt_mm, 'wider', 'narrower'),
  ].join(', ');
}

/** A board that was made to meet its card is met to this. */
export const MET = { volume_L: 0.02, mm: 0.1 } as const;

/** One curve of the board: its own numbers, and what of the card it answers for. */
interface Part {
  numbers: (board: Board) => number[];
  withNumbers: (board: Board, numbers: readonly number[]) => Board;
  withMark: (board: Board, x_mm: number, value_mm: number) => Board | undefined;
  read: (shape: Shape) => number[];
  card: (card: Card) => readonly number[];
}

const tied = (x_mm: number, value_mm: number) => ({ from: 'tail' as const, at_mm: rounded(x_mm), value_mm });

const OUTLINE: Part = {
  numbers: ({ outline }) => [outline.width_mm, ...outline.marks.map(({ value_mm }) => value_mm)],
  withNumbers: (board, [width_mm, ...values]) => ({
    ...board,
    outline: {
      ...board.outline,
      width_mm,
      marks: board.outline.marks.map((mark, i) => ({ ...mark, value_mm: values[i] })),
    },
  }),
  withMark: (board, x_mm, value_mm) =>
    board.outline.marks.length < MOST_MARKS
      ? { ...board, outline: { ...board.outline, marks: [...board.outline.marks, tied(x_mm, value_mm)] } }
      : undefined,
  read: widthsOf,
  card: ({ widths_mm }) => widths_mm,
};

const FOIL: Part = {
  numbers: ({ foil }) => [foil.thickness_mm, ...foil.marks.map(({ value_mm }) => value_mm)],
  withNumbers: (board, [thickness_mm, ...values]) => ({
    ...board,
    foil: { ...board.foil, thickness_mm, marks: board.foil.marks.map((mark, i) => ({ ...mark, value_mm: values[i] })) },
  }),
  withMark: (board, x_mm, value_mm) =>
    board.foil.marks.length < MOST_MARKS
      ? { ...board, foil: { ...board.foil, marks: [...board.foil.marks, tied(x_mm, value_mm)] } }
      : undefined,
  read: thicknessesOf,
  card: ({ thicknesses_mm }) => thicknesses_mm,
};

const worst = (offs: readonly number[]): number => Math.max(...offs.map(Math.abs));
/** How much there is to be met yet: what is off by more than may be, in squares. */
const unmet = (offs: readonly number[]): number =>
  offs.reduce((sum, off) => sum + Math.max(0, Math.abs(off) - MET.mm) ** 2, 0);

/** The shape of a board that can be built; undefined of one that cannot. */
function builtShape(board: Board): Shape | undefined {
  try {
    return boardFrom(board).ok ? shapeOf(board) : undefined;
  } catch {
    return undefined;
  }
}

const ROUNDS = 4;
const STEP_mm = 0.05;

/** The numbers that are there moved by the least that brings the curve nearest to the card (Levenberg's damping, least norm). */
function numbersMoved(board: Board, card: Card, part: Part): Board {
  let best = { board, offs: offsOf(shapeOf(board), card, part) };
  for (let round = 0; round < ROUNDS && worst(best.offs) > MET.mm / 4; round++) {
    const numbers = part.numbers(best.board);
    const columns = numbers.map((_, k) => {
      const moved = builtShape(
        part.withNumbers(
          best.board,
          numbers.map((value, i) => (i === k ? value + STEP_mm : value)),
        ),
      );
      if (!moved) return best.offs.map(() => 0);
      return offsOf(moved, card, part).map((off, i) => (off - best.offs[i]) / STEP_mm);
    });
    const moves = leastMoves(columns, best.offs);
    const next = [1, 0.5, 0.25]
      .map((share) =>
        part.withNumbers(
          best.board,
          numbers.map((value, k) => rounded(value - share * moves[k])),
        ),
      )
      .map((trial) => ({ board: trial, shape: builtShape(trial) }))
      .flatMap(({ board: trial, shape }) => (shape ? [{ board: trial, offs: offsOf(shape, card, part) }] : []))
      .sort((a, b) => worst(a.offs) - worst(b.offs))[0] as typeof best | undefined;
    if (!next || worst(next.offs) >= worst(best.offs)) break;
    best = next;
  }
  return best.board;
}

const offsOf = (shape: Shape, card: Card, part: Part): number[] => {
  const meant = part.card(card);
  return part.read(shape).map((value, i) => value - meant[i]);
};

/** Moves of the numbers, by their columns of effect, that undo what is off: J'(JJ' + d)^-1 off. */
function leastMoves(columns: readonly (readonly number[])[], offs: readonly number[]): number[] {
  const n = offs.length;
  const a = new Float64Array(n * n);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) a[i * n + j] = columns.reduce((sum, column) => sum + column[i] * column[j], 0);
    a[i * n + i] += 1e-3;
  }
  const z = Float64Array.from(offs);
  if (!solveInPlace(a, z, n)) return columns.map(() => 0);
  return columns.map((column) => column.reduce((sum, effect, i) => sum + effect * z[i], 0));
}

/** A curve brought to the card: its numbers moved first, then marks put in where it is still off. */
function partMet(board: Board, card: Card, part: Part): Board {
  let best = numbersMoved(board, card, part);
  for (let added = 0; added < CARD_SHARES.length; added++) {
    const shape = shapeOf(best);
    const offs = offsOf(shape, card, part);
    if (worst(offs) <= MET.mm) break;
    // The farthest off first; where a mark there makes it no better, the next.
    const order = offs.map((_, i) => i).sort((i, j) => Math.abs(offs[j]) - Math.abs(offs[i]));
    const better = order
      .filter((i) => Math.abs(offs[i]) > MET.mm)
      .map((i) => part.withMark(best, stationsOf(shape)[i], part.card(card)[i]))
      .find((trial) => {
        const made = trial && builtShape(trial);
        return made !== undefined && unmet(offsOf(made, card, part)) < 0.9 * unmet(offs);
      });
    if (!better) break;
    best = numbersMoved(better, card, part);
  }
  return best;
}

const clamped = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

/** Ways to litres that leave every width and thickness as it is: how far the deck falls toward the rail, and how full the rail is. */
const FULLER: readonly { by: (board: Board, p: number) => Board; most: number }[] = [
  {
    most: 12,
    by: (board, p) => {
      const crown = board.deck.crown.map((mark) => ({ ...mark, value_mm: Math.max(0, mark.value_mm - p) }));
      return { ...board, deck: { ...board.deck, crown } };
    },
  },
  {
    most: 1,
    by: (board, p) => {
      const stations = board.rails.stations.map((station) => ({
        ...station,
        fullness: clamped(station.fullness + p, 0, 1),
      }));
      return { ...board, rails: { ...board.rails, stations } };
    },
  },
];

const missed_L = (board: Board, card: Card): number => Math.abs(volume_L(shapeOf(board)) - card.volume_L);

/**
 * The board as it was when its card was written: its numbers solved so that this core draws what the card says, within {@link MET} where that
 * is possible. Widths and thicknesses are met by the outline and the foil, litres by how far the deck falls toward the rail, then by how full
 * the rail is.
 * @returns the board, and how far it is still off.
 */
export function asOnCard(board: Board, card: Card): { board: Board; off: CardOff } {
  let made = partMet(partMet(board, card, OUTLINE), card, FOIL);
  for (const { by, most } of FULLER) {
    if (missed_L(made, card) <= MET.volume_L) break;
    const from = made;
    const solved = solvedFor(
      (p) => by(from, p),
      (trial) => volume_L(shapeOf(trial)),
      card.volume_L,
      {
        within: MET.volume_L / 2,
        most,
        words: 'the litres cannot be met',
      },
    );
    const met = solved.ok ? solved.board : solved.nearest;
    if (missed_L(met, card) < missed_L(made, card)) made = met;
  }
  return { board: made, off: offCard(shapeOf(made), card) };
}

const cards = new WeakMap<Board, Card>();

/**
 * The card to be kept with a board: of this edition, or the one of before as long as the board is drawn otherwise than it says and nobody has
 * said which of the two it is.
 */
export function cardFor(board: Board, before: Card | undefined): Card {
  const shape = before && before.edition < EDITION ? shapeOf(board) : undefined;
  if (before && shape && isOffCard(offCard(shape, before))) return before;
  const known = cards.get(board);
  if (known) return known;
  const card = cardOf(shape ?? shapeOf(board));
  cards.set(board, card);
  return card;
}
