import type { Mesh } from '../solid/mesh.ts';
import { inAscii } from '../units/oneLine.ts';

const HEADER = 80;
const FACET = 50;

/**
 * A mesh as binary STL: an 80-byte header, a count, then 50 bytes a facet, little-endian; mm.
 * The header names the program and never begins with "solid", which marks the text form.
 */
export function meshToStl(mesh: Mesh, name: string): Uint8Array<ArrayBuffer> {
  const count = mesh.triangles.length / 3;
  const bytes = new Uint8Array(HEADER + 4 + FACET * count);
  const view = new DataView(bytes.buffer);
  const header = `June Tide, mm: ${inAscii(name)}`.slice(0, HEADER);
  for (let i = 0; i < header.length; i++) bytes[i] = header.charCodeAt(i);
  view.setUint32(HEADER, count, true);
  const p = mesh.positions;
  for (let t = 0; t < count; t++) {
    const at = HEADER + 4 + FACET * t;
    const [a, b, c] = [0, 1, 2].map((k) => 3 * mesh.triangles[3 * t + k]);
    const u = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const v = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
    const size = Math.hypot(...n) || 1;
    for (let k = 0; k < 3; k++) {
      view.setFloat32(at + 4 * k, n[k] / size, true);
      view.setFloat32(at + 12 + 4 * k, p[a + k], true);
      view.setFloat32(at + 24 + 4 * k, p[b + k], true);
      view.setFloat32(at + 36 + 4 * k, p[c + k], true);
    }
  }
  return bytes;
}
