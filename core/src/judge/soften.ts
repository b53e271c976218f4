import type { Board } from '../document/schema.ts';
import { scaledToLitres } from '../edit/litres.ts';
import { Facts } from '../measure/facts.ts';
import { type MeasureKey, measureOf } from '../measure/catalogue.ts';
import type { Kind } from '../rider/kinds.ts';
import { litresFor } from '../rider/litres.ts';
import { type Rider, USUAL_WAVES } from '../rider/rider.ts';
import { volume_L } from '../measure/volume.ts';
import { boardIssues } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { pushedFar } from './complaints.ts';

/** Who a board for ordinary riders is for where nobody is named: our own choice. */
const ORDINARY: Rider = {
  id: 'ordinary',
  name: 'an ordinary rider',
  mass_kg: 75,
  weights: [],
  height_mm: 1760,
  age: 34,
  ability: 'intermediate',
  surfsAWeek: 2,
  fitness: 'usual',
  stance: 'neutral',
  waves: USUAL_WAVES,
  boards: [],
};

/** What is told of a softened board, in the order it is done. */
const TOLD = [
  'noseRocker_mm',
  'noseThickness12_mm',
  'tailThickness12_mm',
  'block_mm',
  'length_mm',
  'width_mm',
  'thickness_mm',
  'volume_L',
] as const satisfies readonly MeasureKey[];

export interface Softened {
  board: Board;
  /** Each number it changes, from and to. */
  told: { key: (typeof TOLD)[number]; from: number; to: number }[];
  /** Litres asked for, and the sum they come from; undefined where the board has them already or no board of its lines can have them. */
  litres: { target_L: number; sentence: string } | undefined;
}

/**
 * A board drawn for an expert made one for ordinary riders in one step: less nose lift, a balanced foil and a narrower block as the
 * judgement advises, then litres for the rider by rule where it has fewer, length and block held. Common practice.
 * @param rider whoever it is for; somebody of 75 kg who rides along the face where nobody is named.
 */
export function softenedFor(board: Board, kind: Kind, rider: Rider = ORDINARY): Softened {
  // The step is half of the way; a block that is narrow already goes less far, or not at all.
  const lines = pushedFar(board, 'soften', 1, 2).board;
  const { low_L, target_L, sentence } = litresFor(rider, kind);
  const filled = volume_L(shapeOf(lines)) < low_L ? filledTo(lines, target_L) : undefined;
  const to = filled ?? lines;
  const [was, is] = [board, to].map((each) => new Facts(shapeOf(each)));
  const told = TOLD.map((key) => ({ key, from: measureOf(key).read(was), to: measureOf(key).read(is) })).filter(
    ({ from, to: now }) => Math.abs(now - from) > 0.05,
  );
  return { board: to, told, litres: filled && { target_L, sentence } };
}

/** Rounds in which the foam that a narrower block takes away is put back: each leaves less than a tenth of the last. */
const ROUNDS = 4;

/** The lines with so many litres, length and block held; undefined where no board of its lines has them. */
function filledTo(lines: Board, target_L: number): Board | undefined {
  const { block_mm } = lines.outline.tail;
  let [aim_L, board] = [target_L, lines];
  for (let round = 0; round < ROUNDS; round++) {
    const made = scaledToLitres(lines, aim_L, ['length']);
    if (!made.ok) return undefined;
    const { outline } = made.board;
    board = { ...made.board, outline: { ...outline, tail: { ...outline.tail, block_mm } } };
    if (boardIssues(board).length > 0) return undefined;
    aim_L += target_L - volume_L(shapeOf(board));
  }
  return board;
}
