/** The cross product of two sides of a facet, its length twice the area, outward by the right-hand rule. */
export interface Facet {
  x: number;
  y: number;
  z: number;
}

/** Of the triangle whose corners begin at a, b, c in `positions` (three numbers a point). Written into `out`. */
export function facetInto(positions: Float64Array, a: number, b: number, c: number, out: Facet): void {
  const ux = positions[b] - positions[a];
  const uy = positions[b + 1] - positions[a + 1];
  const uz = positions[b + 2] - positions[a + 2];
  const vx = positions[c] - positions[a];
  const vy = positions[c + 1] - positions[a + 1];
  const vz = positions[c + 2] - positions[a + 2];
  out.x = uy * vz - uz * vy;
  out.y = uz * vx - ux * vz;
  out.z = ux * vy - uy * vx;
}
