import { TAILS } from '../document/kinds.ts';
import { smootherstep } from '../curve/ease.ts';
import type { OutlineDocument } from '../document/schema.ts';

/**
 * How far all wings together draw the half width in at x. Where the tail closes on the stringer each wing's share runs out
 * toward the tip as an ellipse does, so that the batten and what is taken from it close together.
 */
export function wingsAt(outline: Pick<OutlineDocument, 'wings' | 'tail'>, x_mm: number): number {
  const { wings, tail } = outline;
  const closes = TAILS[tail.kind].closes !== 'block';
  let sum = 0;
  for (const wing of wings) {
    const drawn = wing.depth_mm * smootherstep((wing.fromTail_mm - x_mm) / wing.length_mm);
    if (!closes || drawn === 0) sum += drawn;
    else {
      const aft = 1 - Math.max(0, x_mm) / wing.fromTail_mm;
      sum += drawn * Math.sqrt(Math.max(0, 1 - aft * aft));
    }
  }
  return sum;
}
