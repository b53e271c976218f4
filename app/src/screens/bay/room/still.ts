import { placedFins } from '@june-tide/core/fins';
import { thicknessAt } from '@june-tide/core/foil';
import { lowestAt, stringerLineAt } from '@june-tide/core/measure';
import type { Shape } from '@june-tide/core/shape';
import { litMesh } from '@june-tide/core/solid';
import type { Place } from './scene.ts';

/** What of a room hangs on the shape alone. */
export function stillOf(shape: Shape) {
  const { length_mm, outline } = shape.board;
  const bottom = (x: number) => stringerLineAt(shape, x);
  const deck = (x: number) => bottom(x) + thicknessAt(shape.foil, x);
  const xs = Array.from(
    { length: 121 },
    (_, k) => shape.outline.end.notch_mm + ((length_mm - shape.outline.end.notch_mm) * k) / 120,
  );
  return {
    length_mm,
    width_mm: outline.width_mm,
    top_mm: Math.max(...xs.map(deck)),
    heights_mm: [0.24, 0.72].map((share) => lowestAt(shape, share * length_mm)) as [number, number],
    fins: placedFins(shape).map((fin) => litMesh(fin)),
    stringer: [deck, bottom].map((at) => xs.slice(1, -1).map((x): Place => [x, 0, at(x)])),
  };
}
