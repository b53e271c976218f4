/** @jest-environment node */
// Files of scans, as our writers and other hands write them, read by the same way the worker reads them.
import { describe, expect, it } from '@jest/globals';
import { meshToObj, meshToPly, meshToStl } from '@june-tide/core/files';
import { modelNamed } from '@june-tide/core/models';
import { shapeOf } from '@june-tide/core/shape';
import { meshOf } from '@june-tide/core/solid';
import { readScan } from './scanRead.ts';

const mesh = meshOf(shapeOf(modelNamed('Kettle')!), { stations: 60, ring: 32 });
const facets = mesh.triangles.length / 3;
const bytes = (content: string | Uint8Array): ArrayBuffer => {
  const from = typeof content === 'string' ? new TextEncoder().encode(content) : content;
  return Uint8Array.from(from).buffer;
};
const span = (positions: ArrayLike<number>) => {
  let [low, high] = [Infinity, -Infinity];
  for (let i = 0; i < positions.length; i += 3) {
    low = Math.min(low, positions[i]);
    high = Math.max(high, positions[i]);
  }
  return high - low;
};
const reason = (content: string | Uint8Array) => {
  const read = readScan(bytes(content));
  return read.ok ? 'read' : read.reason;
};

describe('a file of a scan', () => {
  it.each([
    ['STL', meshToStl(mesh, 'a')],
    ['OBJ', meshToObj(mesh, 'a')],
    ['PLY', meshToPly(mesh, 'a')],
  ] as const)('%s: every triangle is there, as long as the board', (_kind, content) => {
    const read = readScan(bytes(content));
    if (!read.ok) throw new Error(read.reason);
    expect(read.scan.triangles?.length).toBe(3 * facets);
    expect(span(read.scan.positions)).toBeCloseTo(span(mesh.positions), 2);
  });

  it('with a triangle that names corners it has not is read without it; of nothing else it is refused', () => {
    const corners = 'v 0 0 0\nv 1 0 0\nv 0 2 5\n';
    const read = readScan(bytes(`${corners}f 0 0 0\nf 1 2 3\nf 1 2 9\n`));
    if (!read.ok) throw new Error(read.reason);
    expect([...read.scan.positions]).toEqual([0, 0, 0, 1, 0, 0, 0, 2, 5]);
    expect(reason(`${corners}f 0 0 0\n`)).toBe('There are no faces in the file.');
  });

  it('of points alone is points: PLY without faces, OBJ without faces, a text with commas', () => {
    const ply =
      'ply\nformat ascii 1.0\nelement vertex 3\nproperty float x\nproperty float y\nproperty float z\nend_header\n0 0 0\n1 0 0\n0 2 5\n';
    for (const text of [ply, 'v 0 0 0\nv 1 0 0\nv 0 2 5\n', '0,0,0\n1,0,0\n0,2,5\n']) {
      const read = readScan(bytes(text));
      if (!read.ok) throw new Error(read.reason);
      expect(read.scan.triangles).toBeUndefined();
      expect([...read.scan.positions]).toEqual([0, 0, 0, 1, 0, 0, 0, 2, 5]);
    }
  });

  it('that claims a hundred million triangles is refused before there is room made for one', () => {
    const head = new Uint8Array(84 + 50);
    new DataView(head.buffer).setUint32(80, 100_000_000, true);
    expect(reason(head)).toMatch(/100,000,000 triangles/);
    expect(reason('ply\nformat ascii 1.0\nelement vertex 100000000\nend_header\n')).toMatch(/100,000,000/);
  });

  it.each([
    ['nothing', '', /empty/],
    ['an STL cut off', meshToStl(mesh, 'a').subarray(0, 900), /cut off/],
    ['a PLY cut off', meshToPly(mesh, 'a').slice(0, 400), /cut off/],
    ['a PLY whose head has no end', 'ply\nformat ascii 1.0\n', /cut off/],
    ['a zip', 'PK\x03\x04 and more', /unpack/],
    ['a letter', 'Dear shaper, here is the board', /no scan/],
    ['a picture under the name of a scan', '\x89PNG\r\n\x1a\n\0\0\0', /no scan/],
  ])('%s is refused in words', (_what, content, words) => {
    expect(reason(content)).toMatch(words);
  });
});
