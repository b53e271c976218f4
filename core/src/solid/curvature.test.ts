import { describe, expect, it } from '@jest/globals';
import { BoxGeometry, type BufferGeometry, CylinderGeometry, SphereGeometry, TorusGeometry } from 'three';
import { modelNamed } from '../models/models.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { type LitMesh, litMesh } from './creases.ts';
import { meshCurvature } from './curvature.ts';
import { meshOf } from './mesh.ts';

/** Shapes another library makes, whose curvature is known in closed form. */
function lit(geometry: BufferGeometry): LitMesh {
  return {
    positions: Float32Array.from(geometry.getAttribute('position').array),
    normals: Float32Array.from(geometry.getAttribute('normal').array),
    triangles: Uint32Array.from(geometry.getIndex()!.array),
  };
}

/** The vertices of a mesh where something holds of their place. */
const where = (mesh: LitMesh, holds: (x: number, y: number, z: number) => boolean): number[] =>
  Array.from({ length: mesh.positions.length / 3 }, (_, i) => i).filter((i) =>
    holds(mesh.positions[3 * i], mesh.positions[3 * i + 1], mesh.positions[3 * i + 2]),
  );

describe('the curvature of a mesh', () => {
  it('of a ball is one over its radius, every way', () => {
    const mesh = lit(new SphereGeometry(50, 96, 64));
    const inside = where(mesh, (x, y) => Math.abs(x) < 45 && Math.abs(y) < 45);
    expect(inside.length).toBeGreaterThan(2000);
    for (const way of ['along', 'across', 'mean'] as const) {
      const bend = meshCurvature(mesh, way);
      for (const i of inside) expect(Math.abs(bend[i] * 50 - 1)).toBeLessThan(0.01);
    }
  });

  it('of a pipe along the board is none along, one over its radius across, and hollow seen from within', () => {
    const pipe = new CylinderGeometry(20, 20, 400, 96, 40, true).rotateZ(Math.PI / 2);
    const mesh = lit(pipe);
    const middle = where(mesh, (x) => Math.abs(x) < 150);
    const [along, across, mean] = (['along', 'across', 'mean'] as const).map((way) => meshCurvature(mesh, way));
    for (const i of middle) {
      expect(Math.abs(along[i])).toBeLessThan(1e-4);
      expect(Math.abs(across[i] * 20 - 1)).toBeLessThan(0.01);
      expect(Math.abs(mean[i] * 40 - 1)).toBeLessThan(0.01);
    }
    const within = { ...mesh, normals: mesh.normals.map((n) => -n) };
    const hollow = meshCurvature(within, 'across');
    for (const i of middle) expect(Math.abs(hollow[i] * 20 + 1)).toBeLessThan(0.01);
  });

  it('of a ring is hollow the one way and round the other on its inner side', () => {
    // The ring lies in x and z: where it crosses y = 0 within, it bends away along x and round across.
    const mesh = lit(new TorusGeometry(100, 25, 64, 200).rotateX(Math.PI / 2));
    const inner = where(mesh, (x, y, z) => Math.abs(x) < 5 && Math.abs(y) < 1e-3 && z > 70 && z < 80);
    expect(inner.length).toBeGreaterThan(0);
    const [along, across] = (['along', 'across'] as const).map((way) => meshCurvature(mesh, way));
    for (const i of inner) {
      expect(along[i] * 75).toBeCloseTo(-1, 1);
      expect(across[i] * 25).toBeCloseTo(1, 1);
    }
  });

  it('of a flat box is none, on its edges too', () => {
    const mesh = lit(new BoxGeometry(100, 60, 20, 10, 6, 2));
    const bend = meshCurvature(mesh, 'mean');
    for (const k of bend) expect(Math.abs(k)).toBeLessThan(1e-6);
  });

  it('of a board is that of its rocker along the stringer, and hollow across where it has a concave', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const mesh = litMesh(meshOf(shape, { stations: 180, ring: 96 }));
    const L = shape.board.length_mm;
    const deepest = where(mesh, (x, y, z) => {
      const section = sectionAt(shape, x);
      return (
        x > 0.3 * L &&
        x < 0.6 * L &&
        Math.abs(y) < 1e-6 &&
        section !== undefined &&
        z - shape.rocker.line.valueAt(x) < 25
      );
    });
    expect(deepest.length).toBeGreaterThan(20);
    const [along, across] = (['along', 'across'] as const).map((way) => meshCurvature(mesh, way));
    for (const i of deepest) {
      expect(across[i]).toBeLessThan(0);
      // A convex rocker seen from below is round; a tail's and a nose's radius lie between 1 and 20 m.
      expect(along[i]).toBeGreaterThan(1 / 20_000);
      expect(along[i]).toBeLessThan(1 / 1000);
    }
  });
});
