import { contours } from 'd3-contour';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';
import { notchHalfBreadthAt } from '../outline/outline.ts';

/** Lines of equal light under a straightedge laid across the bottom, on the right half of the plan. */
export interface ReliefLine {
  light_mm: number;
  /** x from the tail, y off the stringer. */
  points: { x_mm: number; y_mm: number }[];
}

const STATIONS = 140;
const ACROSS = 28;

/**
 * Contour lines of the bottom: how much light a straightedge laid across shows, every `step_mm`, on the half from the
 * stringer to the bottom's edge. Marching squares by d3-contour on a grid of stations and shares of the half width.
 * @throws RangeError when `step_mm` is not positive.
 */
export function bottomRelief(shape: Shape, step_mm: number): ReliefLine[] {
  if (!(step_mm > 0)) throw new RangeError(`bottomRelief: step_mm must be positive, got ${step_mm}`);
  const { length_mm } = shape.board;
  const grid = new Array<number>(STATIONS * ACROSS).fill(0);
  const edges = new Float64Array(STATIONS);
  let most = 0;
  for (let i = 0; i < STATIONS; i++) {
    const section = sectionAt(shape, ((i + 0.5) / STATIONS) * length_mm);
    if (!section) continue;
    edges[i] = section.edgeY_mm;
    let low = Infinity;
    for (let j = 0; j < ACROSS; j++) {
      const z = bottomHeight(section.input.bottom, j / (ACROSS - 1));
      grid[j * STATIONS + i] = z;
      low = Math.min(low, z);
    }
    for (let j = 0; j < ACROSS; j++) {
      grid[j * STATIONS + i] -= low;
      most = Math.max(most, grid[j * STATIONS + i]);
    }
  }
  const levels = Array.from({ length: Math.floor(most / step_mm) }, (_, k) => (k + 1) * step_mm);
  const at = ([column, row]: number[]) => {
    const i = Math.min(STATIONS - 1, Math.max(0, column - 0.5));
    const left = Math.floor(i);
    const edge = edges[left] + (i - left) * (edges[Math.min(STATIONS - 1, left + 1)] - edges[left]);
    return { x_mm: (column / STATIONS) * length_mm, y_mm: Math.max(0, ((row - 0.5) / (ACROSS - 1)) * edge) };
  };
  return contours()
    .size([STATIONS, ACROSS])
    .thresholds(levels)(grid)
    .flatMap(({ value, coordinates }) =>
      coordinates
        .flat()
        .flatMap(openParts)
        .flatMap((part) => clearOfNotch(shape, part.map(at)))
        .map((points) => ({ light_mm: value, points })),
    );
}

/** The parts of a line that lie on the board: none in the notch of a split tail. */
function clearOfNotch(shape: Shape, line: ReliefLine['points']): ReliefLine['points'][] {
  if (shape.outline.end.notch_mm <= 0) return [line];
  const off = ({ x_mm, y_mm }: ReliefLine['points'][number]) => y_mm - notchHalfBreadthAt(shape.outline, x_mm);
  const parts: ReliefLine['points'][] = [[]];
  line.forEach((p, k) => {
    const before = line[k - 1];
    // Where it runs over the notch's edge it ends on it.
    if (before && off(p) >= 0 !== off(before) >= 0) {
      const on = edgeBetween(off(p) >= 0 ? p : before, off(p) >= 0 ? before : p, off);
      parts[parts.length - 1].push(on);
      if (off(p) < 0) parts.push([]);
    }
    if (off(p) >= 0) parts[parts.length - 1].push(p);
  });
  return parts.filter(({ length }) => length > 1);
}

/** Points of the grid lie so far in from its border, as the contours count. */
const HALF_CELL = 0.5;

/** The last point on the board on the way from one that is on it to one that is not, by halving. */
function edgeBetween<P extends { x_mm: number; y_mm: number }>(on: P, beyond: P, off: (p: P) => number): P {
  const at = (t: number): P => ({
    ...on,
    x_mm: on.x_mm + t * (beyond.x_mm - on.x_mm),
    y_mm: on.y_mm + t * (beyond.y_mm - on.y_mm),
  });
  let [low, high] = [0, 1];
  for (let k = 0; k < 40; k++) {
    const middle = (low + high) / 2;
    if (off(at(middle)) >= 0) low = middle;
    else high = middle;
  }
  return at(low);
}

/**
 * The parts of a ring that run between the grid's own outermost points, cut off where they leave them: the contours close their rings
 * round outside, which is no line of the bottom.
 */
function openParts(closed: readonly number[][]): number[][][] {
  // Begun where it is outside, so that no line is cut in two where the ring happens to begin.
  const start = closed.findIndex((p, k) => k + 1 < closed.length && !within(p, closed[k + 1]));
  const ring = start > 0 ? [...closed.slice(start), ...closed.slice(1, start + 1)] : closed;
  const parts: number[][][] = [];
  let part: number[][] = [];
  const end = () => {
    if (part.length > 1) parts.push(part);
    part = [];
  };
  for (let k = 0; k + 1 < ring.length; k++) {
    const inside = within(ring[k], ring[k + 1]);
    if (!inside) {
      end();
      continue;
    }
    const [from, to] = inside;
    if (part.length === 0) part.push(from);
    part.push(to);
    if (to !== ring[k + 1]) end();
  }
  end();
  return parts;
}

/** The piece of a step that lies inside the grid (Liang and Barsky's clipping, 1984); its own ends where they do. */
function within(a: number[], b: number[]): [number[], number[]] | undefined {
  let [from, to] = [0, 1];
  for (const [axis, size] of [STATIONS, ACROSS].entries()) {
    const step = b[axis] - a[axis];
    const [low, high] = [HALF_CELL - a[axis], size - HALF_CELL - a[axis]];
    if (step === 0) {
      if (low > 0 || high < 0) return undefined;
      continue;
    }
    const [enter, leave] = step > 0 ? [low / step, high / step] : [high / step, low / step];
    from = Math.max(from, enter);
    to = Math.min(to, leave);
  }
  if (!(from < to)) return undefined;
  const at = (t: number) => [a[0] + t * (b[0] - a[0]), a[1] + t * (b[1] - a[1])];
  return [from === 0 ? a : at(from), to === 1 ? b : at(to)];
}
