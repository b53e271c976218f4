import { offLine, type Point } from '../plane.ts';

// Pixel by pixel and point by point: looked up once.
const { sqrt } = Math;

/** What a lens does to straight lines, by one coefficient about the middle of the picture (Brown 1966, first radial term). */
export interface Lens {
  centre: Point;
  /** Straight is 1 + bow r² times as far from the middle as seen, r in half widths of the picture. */
  bow: number;
  half_px: number;
}

export const noBow = (width: number, height: number): Lens => ({
  centre: { x: width / 2, y: height / 2 },
  bow: 0,
  half_px: width / 2,
});

/** Where a place of the picture would be, were the lens straight. */
export function straightened({ centre, bow, half_px }: Lens, { x, y }: Point): Point {
  const dx = x - centre.x;
  const dy = y - centre.y;
  const k = 1 + (bow * (dx * dx + dy * dy)) / (half_px * half_px);
  return { x: centre.x + k * dx, y: centre.y + k * dy };
}

/** Where a straight place is seen: the same the other way, by Newton's method on the distance from the middle. */
export function bowed({ centre, bow, half_px }: Lens, { x, y }: Point): Point {
  const dx = x - centre.x;
  const dy = y - centre.y;
  const straight = sqrt(dx * dx + dy * dy) / half_px;
  if (bow === 0 || straight === 0) return { x, y };
  let seen = straight;
  for (let round = 0; round < 6; round++) {
    seen -= (seen + bow * seen ** 3 - straight) / (1 + 3 * bow * seen * seen);
  }
  const k = seen / straight;
  return { x: centre.x + k * dx, y: centre.y + k * dy };
}

/** No lens bends more. */
const MOST_BOW = 0.3;

/** The lens by which a point on a straight edge lies between the edge's ends, by bisection; undefined where no lens does it. */
export function lensOf(from: Point, on: Point, to: Point, width: number, height: number): Lens | undefined {
  const lens = (bow: number): Lens => ({ ...noBow(width, height), bow });
  const off = (bow: number) => {
    const [a, b, p] = [from, to, on].map((each) => straightened(lens(bow), each));
    return offLine([a, b], p);
  };
  let [low, high] = [-MOST_BOW, MOST_BOW];
  if (off(low) > 0 === off(high) > 0) return undefined;
  const rises = off(high) > 0;
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if (off(middle) > 0 === rises) high = middle;
    else low = middle;
  }
  return lens((low + high) / 2);
}
