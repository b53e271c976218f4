import { type Facet, facetInto } from '../solid/facet.ts';
import type { Shape } from '../shape/shape.ts';
import { type Mesh, type MeshDetail, meshOf, ringDetail, type Row } from '../solid/mesh.ts';
import { sectionArea } from './volume.ts';

/** Areas of the skin, mm². */
export interface Skin {
  /** Apex to apex over the deck: what the deck's cloth covers without its laps. */
  deck_mm2: number;
  /** Apex to apex under the board: what can be wetted without putting the rail under. */
  bottom_mm2: number;
  /** The face of a block and the walls of a notch. */
  end_mm2: number;
  total_mm2: number;
}

const DETAIL: MeshDetail = { stations: 240, ring: 96 };

/**
 * Areas of deck, bottom and ends, by the facets of the solid's own grid: a ring's first part, to the apex, is deck, the
 * rest of it bottom. Second order in the mesh: 0.15 % at the usual detail (tested against one three times finer).
 */
export function skinOf(shape: Shape, detail = DETAIL): Skin {
  const mesh = meshOf(shape, detail);
  const { rows, half } = mesh.grid!;
  const deckParts = ringDetail(shape, detail.ring).deck;
  let deck = 0;
  let bottom = 0;
  let walls = 0;
  for (let i = 0; i + 1 < rows.length; i++) {
    for (let j = 0; j < half; j++) {
      const area = quadArea(
        mesh,
        corner(rows[i], j),
        corner(rows[i + 1], j),
        corner(rows[i + 1], j + 1),
        corner(rows[i], j + 1),
      );
      if (j < deckParts) deck += area;
      else bottom += area;
    }
    if (rows[i].kind === 'split') {
      walls += quadArea(
        mesh,
        corner(rows[i], 0),
        corner(rows[i + 1], 0),
        corner(rows[i + 1], half),
        corner(rows[i], half),
      );
    }
  }
  const block = rows[0].kind === 'pole' ? 0 : sectionArea(shape, 1e-6);
  const [deck_mm2, bottom_mm2, end_mm2] = [2 * deck, 2 * bottom, 2 * walls + block];
  return { deck_mm2, bottom_mm2, end_mm2, total_mm2: deck_mm2 + bottom_mm2 + end_mm2 };
}

function corner(row: Row, j: number): number {
  return 3 * (row.kind === 'pole' ? row.start : row.start + j);
}

function quadArea(mesh: Mesh, a: number, b: number, c: number, d: number): number {
  return triangleArea(mesh.positions, a, b, c) + triangleArea(mesh.positions, a, c, d);
}

const facet: Facet = { x: 0, y: 0, z: 0 };

function triangleArea(p: Float64Array, a: number, b: number, c: number): number {
  facetInto(p, a, b, c, facet);
  return Math.sqrt(facet.x * facet.x + facet.y * facet.y + facet.z * facet.z) / 2;
}
