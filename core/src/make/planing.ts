import type { Shape } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { INCH_mm } from '../units/length.ts';
import type { BlankLines } from './blank.ts';
import type { Placement } from './blankFit.ts';

/** A planer takes at most about an eighth at a time (CP). */
export const USUAL_PASS_mm = INCH_mm / 8;

/** One side of the blank at one station: what comes off, in passes, and what callipers read after each. */
export interface PlaningStation {
  /** On the board, from its tail. */
  x_mm: number;
  passes: { side: 'bottom' | 'deck'; depth_mm: number; thicknessAfter_mm: number }[];
}

/**
 * Foam to take off at each station, bottom first and then the deck as the hand routine goes, in even passes no deeper than
 * allowed; the last reading is the design's thickness. All stations have the same number of passes a side, so that each
 * pass runs the whole length.
 * @throws RangeError when the pass is not positive, or the board does not lie in the blank.
 */
export function planingPlan(
  shape: Shape,
  blank: BlankLines,
  { shift_mm, raise_mm, tilt_rad }: Placement,
  stations_mm: readonly number[],
  pass_mm: number = USUAL_PASS_mm,
): PlaningStation[] {
  if (!(pass_mm > 0)) throw new RangeError(`planingPlan: pass_mm must be positive, got ${pass_mm}`);
  const cuts = stations_mm.map((x) => {
    const up = tilt_rad * x + raise_mm;
    const bottom = shape.rocker.line.valueAt(x) + up - blank.bottom(x + shift_mm);
    const deck = blank.deck(x + shift_mm) - shape.rocker.line.valueAt(x) - thicknessAt(shape.foil, x) - up;
    if (!(bottom >= -1e-9 && deck >= -1e-9)) {
      throw new RangeError(`planingPlan: the board is not inside the blank at ${x.toFixed(0)} mm`);
    }
    return { x, bottom, deck };
  });
  const passesFor = (most: number) => Math.ceil(most / pass_mm - 1e-9);
  const bottoms = passesFor(Math.max(...cuts.map((cut) => cut.bottom)));
  const decks = passesFor(Math.max(...cuts.map((cut) => cut.deck)));
  return cuts.map(({ x, bottom, deck }) => {
    let thickness = thicknessAt(shape.foil, x) + bottom + deck;
    const passes: PlaningStation['passes'] = [];
    const run = (side: 'bottom' | 'deck', whole: number, count: number) => {
      for (let k = 0; k < count; k++) {
        thickness -= whole / count;
        passes.push({ side, depth_mm: whole / count, thicknessAfter_mm: thickness });
      }
    };
    run('bottom', bottom, bottoms);
    run('deck', deck, decks);
    return { x_mm: x, passes };
  });
}
