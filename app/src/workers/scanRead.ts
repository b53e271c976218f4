import { OBJLoader } from 'three/examples/jsm/loaders/OBJLoader.js';
import { PLYLoader } from 'three/examples/jsm/loaders/PLYLoader.js';
import { STLLoader } from 'three/examples/jsm/loaders/STLLoader.js';
import type { BufferGeometry } from 'three';
import { type Scan, scanFileKind } from '@june-tide/core/bring';

export type ScanRead = { ok: true; scan: Scan } | { ok: false; reason: string };

/** The points and triangles of a scan's file: STL, OBJ, PLY by three.js, a text of points by itself. Never throws. */
export function readScan(bytes: ArrayBuffer): ScanRead {
  const told = scanFileKind(new Uint8Array(bytes, 0, Math.min(8192, bytes.byteLength)), bytes.byteLength);
  if (!told.ok) return told;
  try {
    switch (told.kind) {
      case 'stl':
        return ofGeometry(new STLLoader().parse(bytes), true);
      case 'ply': {
        const geometry = new PLYLoader().parse(bytes);
        return ofGeometry(geometry, geometry.index !== null);
      }
      case 'obj':
        return ofObj(new TextDecoder().decode(bytes));
      case 'xyz':
        return ofPoints(new TextDecoder().decode(bytes));
    }
  } catch {
    return { ok: false, reason: 'The file cannot be read: it was written wrong, or cut off.' };
  }
}

function ofGeometry(geometry: BufferGeometry, isMesh: boolean): ScanRead {
  const position = geometry.getAttribute('position') as { array: ArrayLike<number> } | undefined;
  if (!position || position.array.length < 3) return { ok: false, reason: 'There are no points in the file.' };
  const positions = Float32Array.from(position.array);
  const { index } = geometry;
  const triangles = index
    ? Uint32Array.from(index.array)
    : isMesh
      ? Uint32Array.from({ length: positions.length / 3 }, (_, k) => k)
      : undefined;
  return { ok: true, scan: { positions, triangles } };
}

function ofObj(text: string): ScanRead {
  // A file of points alone has no faces, and three.js makes nothing of it.
  if (!/^\s*f\s/m.test(text)) return ofPoints(text.replace(/^(?!\s*v\s).*$/gm, '').replace(/^\s*v\s+/gm, ''));
  const parts: Float32Array[] = [];
  new OBJLoader().parse(text).traverse((object) => {
    const { geometry } = object as { geometry?: BufferGeometry };
    const position = geometry?.getAttribute('position');
    if (position) parts.push(Float32Array.from(position.array as ArrayLike<number>));
  });
  const positions = new Float32Array(parts.reduce((sum, part) => sum + part.length, 0));
  let at = 0;
  for (const part of parts) {
    positions.set(part, at);
    at += part.length;
  }
  return ofCorners(positions);
}

/** Triangles by their corners; one that names a corner the file has not is left out. */
function ofCorners(corners: Float32Array): ScanRead {
  const kept = new Float32Array(corners.length);
  let count = 0;
  for (let at = 0; at + 9 <= corners.length; at += 9) {
    const triangle = corners.subarray(at, at + 9);
    if (!triangle.every(Number.isFinite)) continue;
    kept.set(triangle, count);
    count += 9;
  }
  if (count === 0) return { ok: false, reason: 'There are no faces in the file.' };
  const positions = kept.slice(0, count);
  return { ok: true, scan: { positions, triangles: Uint32Array.from({ length: count / 3 }, (_, k) => k) } };
}

/** Three numbers a line, apart by blanks, commas or semicolons; what else stands on a line is left. */
function ofPoints(text: string): ScanRead {
  const out: number[] = [];
  for (const line of text.split('\n')) {
    const [x, y, z] = line.trim().split(/[\s,;]+/);
    if (z !== undefined) out.push(Number(x), Number(y), Number(z));
  }
  return out.length >= 9
    ? { ok: true, scan: { positions: Float32Array.from(out) } }
    : { ok: false, reason: 'There are no points in the file.' };
}
