import { contours } from 'd3-contour';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { bottomHeight } from '../bottom/bottom.ts';

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
      coordinates.flat().flatMap((ring) => openParts(ring).map((part) => ({ light_mm: value, points: part.map(at) }))),
    );
}

/** The parts of a ring that run inside the grid; what runs along its border is no line of the bottom. */
function openParts(ring: readonly number[][]): number[][][] {
  const border = (a: number[], b: number[]) =>
    [0, 1].some((axis) => a[axis] === b[axis] && (a[axis] <= 0.5 || a[axis] >= (axis === 0 ? STATIONS : ACROSS) - 0.5));
  const parts: number[][][] = [];
  let part: number[][] = [];
  for (let k = 0; k + 1 < ring.length; k++) {
    if (border(ring[k], ring[k + 1])) {
      if (part.length > 1) parts.push(part);
      part = [];
      continue;
    }
    if (part.length === 0) part.push(ring[k]);
    part.push(ring[k + 1]);
  }
  if (part.length > 1) parts.push(part);
  return parts;
}
