import { isWithin, LENGTH_mm } from '../document/limits.ts';
import type { Board } from '../document/schema.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { sectionArea } from './volume.ts';
import { integrateAlong } from './integrate.ts';
import { goldenSection } from '../curve/goldenSection.ts';
import { curveLength_mm, lowestAt, stringerLineAt } from './bottomLines.ts';

/** The straight line that lifts are read from. */
export const ROCKER_READINGS = ['flat', 'middle', 'table'] as const;
export type RockerReading = (typeof ROCKER_READINGS)[number];

export const READING_WORDS: Readonly<Record<RockerReading, string>> = {
  flat: 'tangent at the flat point',
  middle: 'tangent at mid-length',
  table: 'lying on a table',
};

/** A straight line under the board: height at the tail tip and slope, over the stored tangent. */
interface Datum {
  height_mm: number;
  slope: number;
}

/**
 * The line that a reading measures from.
 * `middle`: the tangent of the stringer at half length. `table`: the plane the board comes to rest on by its own weight,
 * that line under the lowest points whose contact holds the centre of the foam over it; fins off.
 */
function datumOf(shape: Shape, reading: RockerReading): Datum {
  if (reading === 'flat') return { height_mm: 0, slope: 0 };
  if (reading === 'middle') {
    const x = shape.board.length_mm / 2;
    const slope = shape.rocker.line.slopeAt(x);
    return { slope, height_mm: stringerLineAt(shape, x) - slope * x };
  }
  return restingLine(shape);
}

/** Lifts of a point of the board over a datum, square to nothing: straight up, as a square on a straightedge reads. */
function liftOver(datum: Datum, x_mm: number, z_mm: number): number {
  return z_mm - datum.height_mm - datum.slope * x_mm;
}

export interface TipLifts {
  noseLift_mm: number;
  tailLift_mm: number;
}

/** Nose and tail lift at the stringer as one convention reads them. */
export function tipLifts(shape: Shape, reading: RockerReading): TipLifts {
  const datum = datumOf(shape, reading);
  const { length_mm } = shape.board;
  return {
    noseLift_mm: liftOver(datum, length_mm, stringerLineAt(shape, length_mm)),
    tailLift_mm: liftOver(datum, 0, stringerLineAt(shape, 0)),
  };
}

/**
 * Sets nose and tail lift as read in a convention. Holds the flat point, all marks between, and everything else.
 * @returns undefined when no board of these marks reads so: the lifts would fall below the flat point.
 */
export function withTipLifts(board: Board, reading: RockerReading, wanted: TipLifts): Board | undefined {
  let trial = board;
  for (let round = 0; round < 60; round++) {
    const read = tipLifts(shapeOf(trial), reading);
    const nose = wanted.noseLift_mm - read.noseLift_mm;
    const tail = wanted.tailLift_mm - read.tailLift_mm;
    if (Math.abs(nose) < 1e-7 && Math.abs(tail) < 1e-7) return trial;
    const noseLift_mm = trial.rocker.noseLift_mm + nose;
    const tailLift_mm = trial.rocker.tailLift_mm + tail;
    if (!(noseLift_mm >= 0 && tailLift_mm >= 0 && noseLift_mm <= 600 && tailLift_mm <= 400)) return undefined;
    trial = { ...trial, rocker: { ...trial.rocker, noseLift_mm, tailLift_mm } };
  }
  return undefined;
}

/** The straight length that gives this length along the curve, all marks held at their ends. Undefined if none does. */
export function straightLengthFor(board: Board, curve_mm: number): number | undefined {
  let length_mm = board.length_mm;
  for (let round = 0; round < 40; round++) {
    const miss = curve_mm - curveLength_mm(shapeOf({ ...board, length_mm }));
    if (Math.abs(miss) < 1e-7) return length_mm;
    length_mm += miss;
    if (!isWithin(LENGTH_mm, length_mm)) return undefined;
  }
  return undefined;
}

/** Where the centre of the shaped foam lies along the board, mm from the tail. */
function centreOfFoam(shape: Shape): number {
  const { length_mm } = shape.board;
  const { breaks } = shape.outline;
  const volume = integrateAlong(length_mm, breaks, (x) => sectionArea(shape, x));
  return integrateAlong(length_mm, breaks, (x) => x * sectionArea(shape, x)) / volume;
}

interface Contact {
  x: number;
  z: number;
}

/** The line under two contacts that were found among stations: each slides to where the bottom really is lowest over it. */
function settled(shape: Shape, a: Contact, b: Contact, step_mm: number): Datum {
  const slopeOf = (from: Contact, to: Contact) => (to.z - from.z) / (to.x - from.x);
  const slid = ({ x }: Contact, slope: number): Contact => {
    const low = Math.max(0, x - step_mm);
    const high = Math.min(shape.board.length_mm, x + step_mm);
    const at = goldenSection((place) => lowestAt(shape, place) - slope * place, low, high);
    return { x: at, z: lowestAt(shape, at) };
  };
  let [tail, nose] = [a, b];
  for (let round = 0; round < 3; round++) {
    const slope = slopeOf(tail, nose);
    [tail, nose] = [slid(tail, slope), slid(nose, slope)];
  }
  const slope = slopeOf(tail, nose);
  return { slope, height_mm: tail.z - slope * tail.x };
}

/** The facet of the lower convex hull of the bottom that lies under the centre of the foam. Method: Andrew's chain. */
function restingLine(shape: Shape): Datum {
  const { length_mm } = shape.board;
  const centre = centreOfFoam(shape);
  const count = 240;
  const hull: Contact[] = [];
  for (let k = 0; k <= count; k++) {
    const x = (length_mm * k) / count;
    const z = lowestAt(shape, x);
    while (hull.length >= 2) {
      const a = hull[hull.length - 2];
      const b = hull[hull.length - 1];
      if ((b.x - a.x) * (z - a.z) - (b.z - a.z) * (x - a.x) > 0) break;
      hull.pop();
    }
    hull.push({ x, z });
  }
  let i = 0;
  while (i + 2 < hull.length && hull[i + 1].x < centre) i++;
  const [a, b] = [hull[i], hull[i + 1]];
  if (b.x - a.x > (1.5 * length_mm) / count) {
    return settled(shape, a, b, length_mm / count);
  }
  // A facet of one step stands for a smooth bottom: the tangent under the centre.
  const h = 1;
  const slope = (lowestAt(shape, centre + h) - lowestAt(shape, centre - h)) / (2 * h);
  return { slope, height_mm: lowestAt(shape, centre) - slope * centre };
}
