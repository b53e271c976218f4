import type { Shape } from '../board/shape.ts';
import { type MeshDetail, meshOf } from '../solid/mesh.ts';
import { meshStations } from '../solid/stations.ts';
import { sectionAt } from '../board/shape.ts';

/** Areas of the skin, mm². */
export interface Skin {
  /** Apex to apex over the deck: what the deck's cloth covers without its laps. */
  deck_mm2: number;
  /** Apex to apex under the board: what can be wetted without putting the rail under. */
  bottom_mm2: number;
  /** Faces of a block and the walls of a notch. */
  end_mm2: number;
  total_mm2: number;
}

const DETAIL: MeshDetail = { stations: 240, ring: 96 };

/**
 * Areas of deck, bottom and ends from the solid's own facets. A facet counts as deck where its middle lies above the
 * apex. Second order in the mesh: 0.05 % at the usual detail (tested against one four times finer).
 */
export function skinOf(shape: Shape, detail = DETAIL): Skin {
  const mesh = meshOf(shape, detail);
  const p = mesh.positions;
  const apexes = apexLine(shape, detail);
  const skin: Skin = { deck_mm2: 0, bottom_mm2: 0, end_mm2: 0, total_mm2: 0 };
  for (let t = 0; t < mesh.triangles.length; t += 3) {
    const [a, b, c] = [mesh.triangles[t] * 3, mesh.triangles[t + 1] * 3, mesh.triangles[t + 2] * 3];
    const u = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const v = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const area = Math.hypot(n[0], n[1], n[2]) / 2;
    const x = (p[a] + p[b] + p[c]) / 3;
    const z = (p[a + 2] + p[b + 2] + p[c + 2]) / 3;
    const across = p[a] === p[b] && p[b] === p[c];
    if (across || isWall(shape, p, a, b, c)) skin.end_mm2 += area;
    else if (z > apexes(x)) skin.deck_mm2 += area;
    else skin.bottom_mm2 += area;
    skin.total_mm2 += area;
  }
  return skin;
}

/** Does a facet lie on the wall of a notch? Its corners all do. */
function isWall(shape: Shape, p: Float64Array, ...corners: number[]): boolean {
  const { notch_mm } = shape.outline.end;
  if (notch_mm === 0) return false;
  return corners.every((at) => {
    if (p[at] > notch_mm + 1e-9) return false;
    const section = sectionAt(shape, p[at]);
    const edge = section ? section.input.notch_mm : 0;
    return Math.abs(Math.abs(p[at + 1]) - edge) < 1e-6;
  });
}

/** Height of the apex along the board, straight between the mesh's own stations. */
function apexLine(shape: Shape, detail: MeshDetail): (x_mm: number) => number {
  const stations = meshStations(shape, detail.stations);
  const heights = stations.map((x) => {
    const section = sectionAt(shape, x);
    return shape.rocker.line.valueAt(x) + (section ? section.apex_mm : NaN);
  });
  const filled = heights.map((z, i) => {
    if (!Number.isNaN(z)) return z;
    const beside = i === 0 ? 1 : i - 1;
    return heights[beside];
  });
  return (x) => {
    let low = 0;
    let high = stations.length - 1;
    while (high - low > 1) {
      const middle = (low + high) >> 1;
      if (stations[middle] <= x) low = middle;
      else high = middle;
    }
    const share = (x - stations[low]) / (stations[high] - stations[low]);
    return filled[low] + share * (filled[high] - filled[low]);
  };
}
