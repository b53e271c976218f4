import type { Shape } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { railLineAt } from './bottomLines.ts';

/** Light under a straightedge where a bend has begun: 1/32 in, what hand work is good to (common practice, no source). */
const BEGUN_mm = INCH_mm / 32;

/** Where the rail line is straight, mm from the tail: outside it the bends have begun. */
export interface StraightRun {
  tail_mm: number;
  nose_mm: number;
}

/** Steps of the first look from the flat point outward. */
const STEP_mm = 10;

/**
 * The straight run of the rail line: a straightedge held along it at the flat point, out to where 1/32 in of light is under it on
 * either side. Error below 0.01 mm where the line bends one way.
 */
export function straightRunOf(shape: Shape): StraightRun {
  const { flat_mm } = shape.rocker;
  const { length_mm } = shape.board;
  const level = railLineAt(shape, flat_mm);
  const slope = (railLineAt(shape, flat_mm + STEP_mm) - railLineAt(shape, flat_mm - STEP_mm)) / (2 * STEP_mm);
  const lies = (x: number) => Math.abs(railLineAt(shape, x) - level - slope * (x - flat_mm)) <= BEGUN_mm;
  const endToward = (way: 1 | -1): number => {
    const end = way > 0 ? length_mm : 0;
    let low = flat_mm;
    while (low !== end) {
      let high = way > 0 ? Math.min(end, low + STEP_mm) : Math.max(end, low - STEP_mm);
      if (lies(high)) {
        low = high;
        continue;
      }
      for (let round = 0; round < 12; round++) {
        const middle = (low + high) / 2;
        if (lies(middle)) low = middle;
        else high = middle;
      }
      return low;
    }
    return end;
  };
  return { tail_mm: endToward(-1), nose_mm: endToward(1) };
}
