import { type Shape, sectionAt } from '../shape/shape.ts';
import { undersideHeightAt } from '../section/heights.ts';
import type { Mesh } from '../solid/mesh.ts';
import { finMesh } from './finShape.ts';
import { type FinSpot, finSpots } from './spots.ts';

/** How far a fin's base is sunk into the board, so that no light shows under it, mm. */
const SUNK_mm = 1.5;

/** Height of the bottom under a place on the plan, over the tangent at the flat point. mm. */
function bottomUnder(shape: Shape, x_mm: number, y_mm: number): number {
  const section = sectionAt(shape, x_mm);
  return shape.rocker.line.valueAt(x_mm) + (section ? undersideHeightAt(section, y_mm) : 0);
}

/** All fins standing in the board's own axes: along their toe, leaning by their cant, their base on the bottom. */
export function placedFins(shape: Shape): Mesh[] {
  return finSpots(shape).map((spot) => placed(shape, spot));
}

function placed(shape: Shape, spot: FinSpot): Mesh {
  const { box, side, rear, front } = spot;
  const mesh = finMesh(box.template, side);
  const rearZ = bottomUnder(shape, rear.x_mm, rear.y_mm) + SUNK_mm;
  const frontZ = bottomUnder(shape, front.x_mm, front.y_mm) + SUNK_mm;
  const base = box.template.base_mm;
  const along = [(front.x_mm - rear.x_mm) / base, (front.y_mm - rear.y_mm) / base, (frontZ - rearZ) / base];
  const lean = side === 0 ? 0 : side * box.cant_rad;
  const down = [0, Math.sin(lean), -Math.cos(lean)];
  const out = [0, Math.cos(lean), Math.sin(lean)];
  const positions = new Float64Array(mesh.positions.length);
  const origin = [rear.x_mm, rear.y_mm, rearZ];
  for (let v = 0; v < positions.length; v += 3) {
    const [x, y, z] = [mesh.positions[v], mesh.positions[v + 1], mesh.positions[v + 2]];
    for (let k = 0; k < 3; k++) positions[v + k] = origin[k] + x * along[k] + y * out[k] + z * down[k];
  }
  // Down instead of up turns the solid over; so its triangles turn too.
  const triangles = mesh.triangles.slice();
  for (let t = 0; t < triangles.length; t += 3) {
    const held = triangles[t + 1];
    triangles[t + 1] = triangles[t + 2];
    triangles[t + 2] = held;
  }
  return { positions, triangles };
}
