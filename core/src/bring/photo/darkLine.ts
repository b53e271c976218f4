import type { Point } from '../plane.ts';
import type { Picture } from './findOutline.ts';

/** A line is no darker than its paper by less than this, of 255. */
const LEAST_DARK = 18;

/**
 * The nearest place on a dark line: the middle of what is darker than the paper about, by its darkness squared, so that faint squares count
 * little; twice over. `p` itself where nothing is. Pixels.
 */
export function onDarkLine({ width, height, rgba }: Picture, p: Point, reach_px: number): Point {
  const tone = (c: number, r: number) => {
    const at = 4 * (r * width + c);
    return 0.299 * rgba[at] + 0.587 * rgba[at + 1] + 0.114 * rgba[at + 2];
  };
  let at = p;
  for (let round = 0; round < 2; round++) {
    const places: { x: number; y: number; tone: number }[] = [];
    for (let r = Math.max(0, Math.floor(at.y - reach_px)); r <= Math.min(height - 1, at.y + reach_px); r++) {
      for (let c = Math.max(0, Math.floor(at.x - reach_px)); c <= Math.min(width - 1, at.x + reach_px); c++) {
        const place = { x: c + 0.5, y: r + 0.5, tone: tone(c, r) };
        if (Math.hypot(place.x - at.x, place.y - at.y) <= reach_px) places.push(place);
      }
    }
    const paper = places.map((place) => place.tone).sort((a, b) => a - b)[Math.floor(0.7 * places.length)] ?? 0;
    const [found, weight] = places.reduce(
      ([sum, total], place) => {
        const dark = Math.max(0, paper - place.tone - LEAST_DARK) ** 2;
        return [{ x: sum.x + dark * place.x, y: sum.y + dark * place.y }, total + dark];
      },
      [{ x: 0, y: 0 }, 0],
    );
    if (weight === 0) return p;
    at = { x: found.x / weight, y: found.y / weight };
  }
  return at;
}
