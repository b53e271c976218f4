import { INCH_mm } from '../units/length.ts';
import type { Shape } from '../shape/shape.ts';
import { railLineAt, stringerLineAt } from './bottomLines.ts';

/** The longest stretch of a line along the bottom that a straightedge lies on. */
interface StraightRun {
  from_mm: number;
  to_mm: number;
}

/** So much light under a straightedge is still straight. Common practice, no source: what an eye sees at once. */
const LIGHT_mm = INCH_mm / 32;
const STATIONS = 240;
/** Nearer to a tip the line is the curve of the end, mm. */
const OFF_TIP_mm = INCH_mm;

/**
 * Where a rocker bend ends and the next begins: the longest stretch of the rail line, or of the stringer's, over which a straightedge
 * shows no more light than `light_mm` anywhere. Found on 241 even stations, so good to 1/240 of the length.
 */
export function straightRun(shape: Shape, of: 'rail' | 'stringer', light_mm = LIGHT_mm): StraightRun {
  const { length_mm } = shape.board;
  const lineAt = of === 'rail' ? railLineAt : stringerLineAt;
  const span = length_mm - 2 * OFF_TIP_mm;
  const x = (k: number) => OFF_TIP_mm + (span * k) / STATIONS;
  const heights = Array.from({ length: STATIONS + 1 }, (_, k) => lineAt(shape, x(k)));
  const lies = (a: number, b: number): boolean => {
    // The light under an edge laid on the ends of a hollow, or on the middle of a hump, is what the line is off its chord.
    let [above, below] = [0, 0];
    for (let k = a + 1; k < b; k++) {
      const off = heights[k] - heights[a] - ((heights[b] - heights[a]) * (k - a)) / (b - a);
      above = Math.max(above, off);
      below = Math.min(below, off);
    }
    return above - below <= light_mm;
  };
  let best = [0, 1];
  let a = 0;
  for (let b = 1; b <= STATIONS; b++) {
    while (a < b - 1 && !lies(a, b)) a++;
    if (b - a > best[1] - best[0]) best = [a, b];
  }
  return { from_mm: x(best[0]), to_mm: x(best[1]) };
}
