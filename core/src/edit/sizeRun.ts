import * as z from 'zod';
import { LENGTH_mm } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { boardFrom, type Issue } from '../shape/issues.ts';
import { INCH_mm } from '../units/length.ts';
import { grown } from './grow.ts';

/** How a model grows through its sizes: lengths from one to another by a step, and what each step adds across and up. */
export const sizeRunSchema = z.strictObject({
  from_mm: z.number().min(LENGTH_mm.low).max(LENGTH_mm.high),
  to_mm: z.number().min(LENGTH_mm.low).max(LENGTH_mm.high),
  step_mm: z.number().min(10).max(610),
  widthAStep_mm: z.number().min(-50).max(50),
  thicknessAStep_mm: z.number().min(-20).max(20),
});
export type SizeRun = z.infer<typeof sizeRunSchema>;

/** No run is longer. */
export const MOST_SIZES = 16;

/** Four sizes up and two down, 2 in apart, an eighth wider and a sixteenth thicker each. Common practice, from memory. */
export function usualRun(board: Board): SizeRun {
  const step_mm = 2 * INCH_mm;
  return {
    from_mm: Math.max(LENGTH_mm.low, board.length_mm - 2 * step_mm),
    to_mm: Math.min(LENGTH_mm.high, board.length_mm + 4 * step_mm),
    step_mm,
    widthAStep_mm: INCH_mm / 8,
    thicknessAStep_mm: INCH_mm / 16,
  };
}

export interface SizeOfRun {
  length_mm: number;
  /** The model itself. */
  own: boolean;
  made: { ok: true; board: Board } | { ok: false; issues: Issue[] };
}

/**
 * A model through a run of sizes, the shortest first; the model's own size stands among them as it is. Each is the model
 * `grown` to its length, wider and thicker by what the steps from the model's own length add. Sizes no board can have say why.
 * @throws RangeError for a run that does not go upward or has more than 16 sizes.
 */
export function sizesOf(board: Board, run: SizeRun): SizeOfRun[] {
  const { from_mm, to_mm, step_mm } = run;
  const count = Math.floor((to_mm - from_mm) / step_mm + 1e-6) + 1;
  if (!(to_mm >= from_mm && step_mm > 0 && count <= MOST_SIZES)) {
    throw new RangeError(`sizesOf: a run goes upward through at most ${MOST_SIZES} sizes, got ${count}`);
  }
  const lengths = Array.from({ length: count }, (_, k) => from_mm + k * step_mm);
  const isOwn = (length_mm: number) => Math.abs(length_mm - board.length_mm) < 0.5;
  if (!lengths.some(isOwn)) lengths.push(board.length_mm);
  return lengths
    .sort((a, b) => a - b)
    .map((length_mm): SizeOfRun => {
      if (isOwn(length_mm)) return { length_mm: board.length_mm, own: true, made: { ok: true, board } };
      const steps = (length_mm - board.length_mm) / step_mm;
      const sized = grown(board, length_mm, steps * run.widthAStep_mm, steps * run.thicknessAStep_mm);
      return { length_mm, own: false, made: boardFrom(sized) };
    });
}
