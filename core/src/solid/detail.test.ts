import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed } from '../models/models.ts';
import { meshFaults } from '../testing/validateMesh.ts';
import { CREASE_rad, litMesh } from './creases.ts';
import { detailForChord } from './detail.ts';
import { meshOf, meshVolume_mm3 } from './mesh.ts';
import { meshNormals } from './normals.ts';

describe('level of detail by chord error', () => {
  it.each(['Slack Water', 'Kettle', 'Long Quay', 'Tin Roof'])(
    '%s: finer for less error, never short of what was asked',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      let before = Infinity;
      for (const chord of [2, 0.5, 0.15]) {
        const { detail, error_mm } = detailForChord(shape, chord);
        expect(error_mm).toBeLessThanOrEqual(chord);
        const mesh = meshOf(shape, detail);
        expect(meshFaults(mesh)).toEqual([]);
        const missing = 1 - meshVolume_mm3(mesh) / 1e6 / volume_L(shape);
        expect(Math.abs(missing)).toBeLessThan(before + 1e-4);
        // A skin everywhere off by the chord would miss its area times that.
        expect(Math.abs(missing) * volume_L(shape)).toBeLessThan((chord * 2.6e6) / 1e6 + 0.01);
        before = Math.abs(missing);
      }
    },
    60_000,
  );

  it('refuses an error of nothing', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    for (const chord of [0, -1, NaN]) expect(() => detailForChord(shape, chord)).toThrow(/must be positive/);
  });
});

describe('normals', () => {
  it("the grid's agree with the facets' where there is no crease, and point outward", () => {
    const mesh = meshOf(shapeOf(modelNamed('Lamplight')!));
    const grid = meshNormals(mesh);
    const facets = meshNormals({ positions: mesh.positions, triangles: mesh.triangles });
    let sum = 0;
    for (let v = 0; v < grid.length; v += 3) {
      const cos = grid[v] * facets[v] + grid[v + 1] * facets[v + 1] + grid[v + 2] * facets[v + 2];
      sum += Math.acos(Math.min(1, cos));
      expect(Math.hypot(grid[v], grid[v + 1], grid[v + 2])).toBeCloseTo(1, 4);
    }
    expect((sum / (grid.length / 3)) * (180 / Math.PI)).toBeLessThan(0.5);
  });

  it('keeps creases: a hard edge has two normals, a soft board none but at its ends', () => {
    const hard = meshOf(shapeOf(modelNamed('Tin Roof')!));
    const lit = litMesh(hard);
    expect(lit.triangles.length).toBe(hard.triangles.length);
    expect(lit.positions.length).toBeGreaterThan(hard.positions.length);
    for (let t = 0; t < hard.triangles.length; t++) {
      for (let k = 0; k < 3; k++) {
        const off = Math.abs(lit.positions[3 * lit.triangles[t] + k] - hard.positions[3 * hard.triangles[t] + k]);
        if (off > 1e-3) throw new Error('a corner moved');
      }
    }
    const smooth = litMesh(hard, Math.PI);
    expect(smooth.positions.length).toBe(hard.positions.length);
    expect(CREASE_rad).toBeLessThan(Math.PI / 4);
  });

  it('a cube is all creases: 24 normals for its 8 corners', () => {
    const positions = Float64Array.from([0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 1, 1, 0, 1, 1, 1, 1, 0, 1, 1]);
    const triangles = Uint32Array.from([
      0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7,
    ]);
    const lit = litMesh({ positions, triangles });
    expect(lit.positions.length / 3).toBe(24);
    for (let v = 0; v < lit.normals.length; v += 3) {
      const axis = [...lit.normals.slice(v, v + 3)].map(Math.abs).sort();
      expect(axis[2]).toBeCloseTo(1, 6);
      expect(axis[1]).toBeCloseTo(0, 6);
    }
  });

  it('weights facets by their angle: a cube lit all smooth has corners along its diagonals, however its faces are cut', () => {
    const positions = Float64Array.from([0, 0, 0, 1, 0, 0, 1, 1, 0, 0, 1, 0, 0, 0, 1, 1, 0, 1, 1, 1, 1, 0, 1, 1]);
    const triangles = Uint32Array.from([
      0, 2, 1, 0, 3, 2, 4, 5, 6, 4, 6, 7, 0, 1, 5, 0, 5, 4, 1, 2, 6, 1, 6, 5, 2, 3, 7, 2, 7, 6, 3, 0, 4, 3, 4, 7,
    ]);
    const lit = litMesh({ positions, triangles }, Math.PI);
    expect(lit.positions.length / 3).toBe(8);
    for (let v = 0; v < lit.normals.length; v += 3) {
      for (let k = 0; k < 3; k++) {
        expect(lit.normals[v + k]).toBeCloseTo((2 * lit.positions[v + k] - 1) / Math.sqrt(3), 6);
      }
    }
  });
});
