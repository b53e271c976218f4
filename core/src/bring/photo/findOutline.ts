import { contours } from 'd3-contour';
import { areaOf, boxOfPoints, type Point, type Stroke } from '../plane.ts';
import { apartFromBackground } from './background.ts';
import { type Homography, inverted, seenThrough } from './homography.ts';
import { corrected } from './corrected.ts';
import { bowed, type Lens, straightened } from './lens.ts';

// Pixel by pixel and point by point: looked up once.
const { abs, floor, max, min, round } = Math;

/** A picture: four bytes a pixel, row by row from the top. */
export interface Picture {
  width: number;
  height: number;
  rgba: Uint8ClampedArray;
}

export type OutlineFound =
  | {
      ok: true;
      /** On the plane of the board, mm, y up. */
      stroke: Stroke;
      /** The same in pixels of the picture, to draw over it. */
      seen: Point[];
    }
  | { ok: false; reason: string };

export interface FindChoices {
  /** From pixels, as a straight lens would have them, to mm, y down as in the picture. */
  toPlane: Homography;
  lens: Lens;
  /** The part of the plane that is looked at, mm. */
  part: { left: number; top: number; right: number; bottom: number };
  /** How unlike the background the board must be, as a share of what was found by itself; 1 as found. */
  unlike: number;
  /** Where a hand marked the edge, in pixels of the picture: the line is drawn to it. */
  edges?: readonly Point[] | undefined;
}

/** The plane is looked at in so many steps along its longer side. */
const STEPS = 1100;
/** A board is at least this share of the part looked at. */
const LEAST_SHARE = 0.03;

/**
 * The outline of what lies on an even background. The part of the plane is seen square on, each pixel's distance in colour from the
 * background taken, the background being a plane of colour through the rim of the part; the threshold after Otsu (1979); the line by marching
 * squares, between pixels. The largest ring that does not run along the rim is the board.
 */
export function outlineInPicture(
  picture: Picture,
  { toPlane, lens, part, unlike, edges = [] }: FindChoices,
): OutlineFound {
  const [wide, high] = [part.right - part.left, part.bottom - part.top];
  const step = max(wide, high) / STEPS;
  const [columns, rows] = [max(8, round(wide / step)), max(8, round(high / step))];
  const colours = squareOn(picture, inverted(toPlane), lens, part, step, columns, rows);
  const apart = apartFromBackground(colours, columns, rows);
  const threshold = otsu(apart) * unlike;
  const smooth = blurred(apart, columns, rows);
  const [found] = contours().size([columns, rows]).thresholds([threshold])(Array.from(smooth));
  const rings = (found?.coordinates ?? []).map(([outer]) => outer.slice(0, -1).map(([x, y]): Point => ({ x, y })));
  const whole = rings
    .filter((ring) => {
      const box = boxOfPoints(ring);
      return box.left > 1 && box.low > 1 && box.right < columns - 1 && box.high < rows - 1;
    })
    .map((ring) => ({ ring, area: abs(areaOf(ring)) }))
    .sort((a, b) => b.area - a.area);
  if (whole.length === 0 || whole[0].area < LEAST_SHARE * columns * rows) {
    return {
      ok: false,
      reason:
        'No board stands out whole against its background: choose another part of the picture, or move the slider.',
    };
  }
  const plane = corrected(
    whole[0].ring.map(({ x, y }) => ({ x: part.left + x * step, y: part.top + y * step })),
    edges.map((edge) => seenThrough(toPlane, straightened(lens, edge))),
  );
  const back = inverted(toPlane);
  return {
    ok: true,
    stroke: { points: plane.map(({ x, y }) => ({ x, y: -y })), closed: true },
    seen: plane.map((p) => bowed(lens, seenThrough(back, p))),
  };
}

/** The part of the plane seen square on, three numbers a place; where the picture does not reach, none. */
function squareOn(
  { width, height, rgba }: Picture,
  toPicture: Homography,
  lens: Lens,
  part: FindChoices['part'],
  step: number,
  columns: number,
  rows: number,
): Float32Array {
  const out = new Float32Array(3 * columns * rows).fill(Number.NaN);
  for (let r = 0; r < rows; r++) {
    for (let c = 0; c < columns; c++) {
      const straight = seenThrough(toPicture, { x: part.left + (c + 0.5) * step, y: part.top + (r + 0.5) * step });
      const at = bowed(lens, straight);
      const x = floor(at.x - 0.5);
      const y = floor(at.y - 0.5);
      if (!(x >= 0 && y >= 0 && x + 1 < width && y + 1 < height)) continue;
      const u = at.x - 0.5 - x;
      const v = at.y - 0.5 - y;
      const from = 4 * (y * width + x);
      for (let k = 0; k < 3; k++) {
        out[3 * (r * columns + c) + k] =
          (1 - v) * ((1 - u) * rgba[from + k] + u * rgba[from + 4 + k]) +
          v * ((1 - u) * rgba[from + 4 * width + k] + u * rgba[from + 4 * width + 4 + k]);
      }
    }
  }
  return out;
}

/** The value that parts a set in two so that each is most alike in itself (Otsu 1979), by a histogram of 256. */
export function otsu(values: ArrayLike<number>): number {
  let most = 0;
  for (let i = 0; i < values.length; i++) if (values[i] > most) most = values[i];
  if (!(most > 0)) return 1;
  const BINS = 256;
  const counts = new Float64Array(BINS);
  for (let i = 0; i < values.length; i++) counts[min(BINS - 1, floor((values[i] / most) * BINS))]++;
  const total = values.length;
  const sum = counts.reduce((s, count, k) => s + k * count, 0);
  let [below, sumBelow, best, at] = [0, 0, -1, 0];
  for (let k = 0; k < BINS - 1; k++) {
    below += counts[k];
    sumBelow += k * counts[k];
    if (below === 0 || below === total) continue;
    const between = below * (total - below) * (sumBelow / below - (sum - sumBelow) / (total - below)) ** 2;
    if (between > best) [best, at] = [between, k];
  }
  return ((at + 1) / BINS) * most;
}

/** Each place the mean of itself and its eight neighbours. */
function blurred(values: Float32Array, columns: number, rows: number): Float32Array {
  const out = Float32Array.from(values);
  for (let r = 1; r + 1 < rows; r++) {
    for (let c = 1; c + 1 < columns; c++) {
      let sum = 0;
      for (let dr = -columns; dr <= columns; dr += columns) {
        const i = r * columns + c + dr;
        sum += values[i - 1] + values[i] + values[i + 1];
      }
      out[r * columns + c] = sum / 9;
    }
  }
  return out;
}
