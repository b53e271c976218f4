import type { Board } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { type Solved, solvedFor } from './shift.ts';
import { stretched, thickened, widened } from './size.ts';

/** What a change of litres may hold. `outline` holds length and every width. */
export const HOLDABLE = ['length', 'width', 'thickness', 'outline'] as const;
export type Held = (typeof HOLDABLE)[number];

/** Litres are met to this. */
const LITRES_MET = 0.01;

/**
 * The board with so many litres: whatever is not held grows or shrinks by one share (length, widths, thicknesses), solved
 * to 0.01 L. Rocker lifts follow a change of length as the square of it, so the curve stays; marks hold on the result.
 * @returns why not, and the nearest there is, when everything is held or the numbers leave what can be built.
 */
export function scaledToLitres(board: Board, litres_L: number, held: readonly Held[] = []): Solved {
  const holds = new Set(held);
  const free = {
    length: !holds.has('length') && !holds.has('outline'),
    width: !holds.has('width') && !holds.has('outline'),
    thickness: !holds.has('thickness'),
  };
  const read = (b: Board) => volume_L(shapeOf(b));
  const now = read(board);
  if (!(litres_L > 0 && Number.isFinite(litres_L))) {
    return { ok: false, reason: `${litres_L} is not a number of litres`, nearest: board, reached: now };
  }
  if (!free.length && !free.width && !free.thickness) {
    const met = Math.abs(now - litres_L) <= LITRES_MET;
    if (met) return { ok: true, board, reached: now };
    return { ok: false, reason: 'everything is held, so the litres cannot change', nearest: board, reached: now };
  }
  const made = (p: number): Board => {
    const k = 1 + p;
    let trial = board;
    if (free.thickness) trial = thickened(trial, trial.foil.thickness_mm * (k - 1));
    if (free.width) trial = widened(trial, trial.outline.width_mm * (k - 1));
    if (free.length) trial = stretched(trial, trial.length_mm * k, { rockerPower: 2 });
    return trial;
  };
  return solvedFor(made, read, litres_L, {
    within: LITRES_MET / 2,
    most: 0.75,
    words: `no board of these proportions can be built with ${litres_L} litres while that is held`,
  });
}
