import { bottomPoint, deckParameterAt, deckPoint, filletPoint, type Section, underPoint } from '../section/section.ts';
import { type Shape, sectionAt } from '../shape/shape.ts';

/**
 * How fair the surface is along the board: lines on deck, under-rail, edge and bottom, walked in half millimetres, and where
 * their slope or their curvature jumps. Both are read as a batten reads them: from what lies on either side, with what the
 * line does there anyway taken off, so that a curve that is only tight shows nothing.
 */
export interface Jump {
  line: string;
  x_mm: number;
  /** Angle between the tangents on either side, degrees. */
  slope_deg: number;
  /** Difference of the curvatures on either side, 1/m. */
  curvature_per_m: number;
}

const STEP_mm = 0.5;
/** The worst places of a line are looked at again in steps of a hundredth and less. */
const FINE_mm = 0.003;
const LOOKED_AT = 2;
/** The tips themselves are left out: the last of a board is sanded by hand. */
const TIP_mm = 75;
const SHARES = [0, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9] as const;

type Point = { y_mm: number; z_mm: number };
type Walk = [name: string, at: (section: Section, out: Point) => void];
const WALKS: readonly Walk[] = [
  ...[...SHARES, 0.85, 0.95].map((share): Walk => [
    `deck ${share}`,
    (section, out) => deckPoint(section, deckParameterAt(section, share * section.half_mm), out),
  ]),
  ['apex', (section, out) => underPoint(section, 0, out)],
  ...[0.2, 0.4, 0.6, 0.8, 0.95].map((share): Walk => [
    `under-rail ${share}`,
    (section, out) => acrossUnderRail(section, share, out),
  ]),
  ['edge', (section, out) => filletPoint(section, 0.5, out)],
  ...SHARES.map((share): Walk => [
    `bottom ${share}`,
    (section, out) => bottomPoint(section, share * section.bottomEnd, out),
  ]),
];

/**
 * The under-rail at a share of its breadth and height together from the edge (0) to the apex (1): a line that does not hang
 * on a parameter, and is sharp on a wall as on a flat.
 */
function acrossUnderRail(section: Section, share: number, out: Point): void {
  underPoint(section, 1, out);
  const edge = out.y_mm + out.z_mm;
  underPoint(section, 0, out);
  const wanted = edge + share * (out.y_mm + out.z_mm - edge);
  let [low, high] = [0, 1];
  for (let k = 0; k < 52; k++) {
    const middle = (low + high) / 2;
    underPoint(section, middle, out);
    if (out.y_mm + out.z_mm > wanted) low = middle;
    else high = middle;
  }
}

/** A wing that steps in over less than this is a crease, and meant. */
const STEP_IN_mm = 30;

/** Stretches whose creases are meant: wings that step in, and stations where a wing or a tail's corner begins or ends. */
function meant(shape: Shape): [from_mm: number, to_mm: number][] {
  const { breaks } = shape.outline;
  const near = 5 * STEP_mm;
  return [
    ...breaks.map((x): [number, number] => [x - near, x + near]),
    ...shape.board.outline.wings
      .filter(({ length_mm }) => length_mm < STEP_IN_mm)
      .map(({ fromTail_mm, length_mm }): [number, number] => [fromTail_mm - length_mm - near, fromTail_mm + near]),
  ];
}

/** The greatest jumps of each line of a board, creases that are meant and the last 75 mm left out. */
export function jumpsOf(shape: Shape): Jump[] {
  const creases = meant(shape);
  const clear = (x: number) => creases.every(([from, to]) => x < from || x > to);
  const coarse = read(shape, TIP_mm, shape.board.length_mm - TIP_mm, STEP_mm);
  return WALKS.map(([line, place], k): Jump => {
    const found = along(coarse[k], TIP_mm, STEP_mm, clear);
    // A third derivative that jumps looks like a little of both: it shrinks with the step, and a jump does not.
    const worst: number[] = [];
    for (const { x_mm } of found.sort((a, b) => b.curvature_per_m - a.curvature_per_m)) {
      if (worst.every((x) => Math.abs(x - x_mm) > 5)) worst.push(x_mm);
      if (worst.length === LOOKED_AT) break;
    }
    let jump: Jump = { line, x_mm: 0, slope_deg: 0, curvature_per_m: 0 };
    for (const x_mm of worst) {
      const from = x_mm - 2 * STEP_mm;
      const [fine] = read(shape, from, x_mm + 3 * STEP_mm, FINE_mm, [place]);
      for (const here of along(fine, from, FINE_mm, clear)) {
        if (here.curvature_per_m > jump.curvature_per_m) jump = { ...here, slope_deg: jump.slope_deg, line };
        jump.slope_deg = Math.max(jump.slope_deg, here.slope_deg);
      }
    }
    return jump;
  });
}

/** A line's points at even steps. */
function read(
  shape: Shape,
  from_mm: number,
  to_mm: number,
  step_mm: number,
  places: readonly Walk[1][] = WALKS.map(([, place]) => place),
): { y: Float64Array; z: Float64Array }[] {
  const count = Math.floor((to_mm - from_mm) / step_mm);
  const lines = places.map(() => ({ y: new Float64Array(count), z: new Float64Array(count) }));
  const point: Point = { y_mm: 0, z_mm: 0 };
  for (let i = 0; i < count; i++) {
    const section = sectionAt(shape, from_mm + i * step_mm);
    if (!section) throw new RangeError(`jumpsOf: no section ${from_mm + i * step_mm} mm from the tail`);
    places.forEach((place, k) => {
      place(section, point);
      lines[k].y[i] = point.y_mm;
      lines[k].z[i] = point.z_mm;
    });
  }
  return lines;
}

/** What jumps between each two neighbouring points of a line, where no crease is meant. */
function along(
  { y, z }: { y: Float64Array; z: Float64Array },
  from_mm: number,
  step_mm: number,
  clear: (x_mm: number) => boolean,
): Omit<Jump, 'line'>[] {
  const found: Omit<Jump, 'line'>[] = [];
  for (let i = 6; i + 8 < y.length; i++) {
    const x_mm = from_mm + i * step_mm;
    if (!clear(x_mm)) continue;
    const [ofY, ofZ] = [y, z].map((f) => jumpAt(f, i, step_mm));
    found.push({
      x_mm,
      slope_deg: (Math.hypot(ofY.slope, ofZ.slope) * 180) / Math.PI,
      curvature_per_m: 1000 * Math.hypot(ofY.curvature, ofZ.curvature),
    });
  }
  return found;
}

/** The jump that is left when the step goes to nothing: what grows with the step is taken off (Richardson). */
function jumpAt(f: Float64Array, i: number, h: number): { slope: number; curvature: number } {
  const near = jumpBetween(f, i, 1, h);
  const far = jumpBetween(f, i, 2, h);
  return { slope: 2 * near.slope - far.slope, curvature: 2 * near.curvature - far.curvature };
}

/** How slope and curvature change between two samples, less what they change by beside them; so many steps apart. */
function jumpBetween(f: Float64Array, i: number, apart: number, step: number): { slope: number; curvature: number } {
  const h = apart * step;
  const at = (k: number) => f[i + k * apart];
  const bend = (k: number) => (at(k - 1) - 2 * at(k) + at(k + 1)) / (h * h);
  const [left2, left, right, right2] = [bend(-2), bend(-1), bend(2), bend(3)];
  const slope = (at(2) - at(1) - at(0) + at(-1)) / h - h * (left + right);
  const curvature = right - left - 1.5 * (right2 - right + (left - left2));
  return { slope, curvature };
}
