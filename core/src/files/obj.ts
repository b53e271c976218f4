import type { Mesh } from '../solid/mesh.ts';
import { inAscii, onOneLine } from '../units/oneLine.ts';

/** A mesh as Wavefront OBJ text: vertices in mm to 0.0001, then triangles counted from 1. */
export function meshToObj(mesh: Mesh, name: string): string {
  const lines = [`# June Tide, mm`, `o ${onOneLine(name).replace(/\s+/g, '_')}`];
  const p = mesh.positions;
  for (let v = 0; v < p.length; v += 3) {
    lines.push(`v ${p[v].toFixed(4)} ${p[v + 1].toFixed(4)} ${p[v + 2].toFixed(4)}`);
  }
  const t = mesh.triangles;
  for (let f = 0; f < t.length; f += 3) lines.push(`f ${t[f] + 1} ${t[f + 1] + 1} ${t[f + 2] + 1}`);
  lines.push('');
  return lines.join('\n');
}

/** A mesh as ASCII PLY text, mm: vertices, then triangles. */
export function meshToPly(mesh: Mesh, name: string): string {
  const p = mesh.positions;
  const t = mesh.triangles;
  const lines = [
    'ply',
    'format ascii 1.0',
    `comment June Tide, mm: ${inAscii(name)}`,
    `element vertex ${p.length / 3}`,
    'property double x',
    'property double y',
    'property double z',
    `element face ${t.length / 3}`,
    'property list uchar int vertex_indices',
    'end_header',
  ];
  for (let v = 0; v < p.length; v += 3) {
    lines.push(`${p[v].toFixed(4)} ${p[v + 1].toFixed(4)} ${p[v + 2].toFixed(4)}`);
  }
  for (let f = 0; f < t.length; f += 3) lines.push(`3 ${t[f]} ${t[f + 1]} ${t[f + 2]}`);
  lines.push('');
  return lines.join('\n');
}
