import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { models } from '../models/models.ts';
import { meshOf, meshVolume_mm3 } from '../solid/mesh.ts';
import { judgedByManifold } from '../testing/manifold.ts';
import { meshFaults } from '../testing/validateMesh.ts';
import { integrateAlong } from './integrate.ts';
import { planArea_mm2, volume_L } from './volume.ts';

describe('integration along the board, against closed forms', () => {
  it('gives an ellipsoid its volume, 4/3 π abc, within 0.01 %', () => {
    const [a, b, c] = [950, 250, 32];
    const area = (x: number) => Math.PI * b * c * Math.max(0, 1 - ((x - a) / a) ** 2);
    const exact = (4 / 3) * Math.PI * a * b * c;
    expect(Math.abs(integrateAlong(2 * a, [], area) / exact - 1)).toBeLessThan(1e-4);
  });

  it('gives an elliptic cylinder its volume, π b c L, within 0.01 %', () => {
    const [L, b, c] = [1830, 250, 32];
    expect(Math.abs(integrateAlong(L, [], () => Math.PI * b * c) / (Math.PI * b * c * L) - 1)).toBeLessThan(1e-4);
  });

  it('gives half an ellipse its area, π a b / 2, vertical tangents and all', () => {
    const [a, b] = [900, 240];
    const half = (x: number) => b * Math.sqrt(Math.max(0, 1 - ((x - a) / a) ** 2));
    expect(Math.abs(integrateAlong(2 * a, [], half) / ((Math.PI * a * b) / 2) - 1)).toBeLessThan(1e-4);
  });

  it('is not harmed by a jump that it is told of', () => {
    const step = (x: number) => (x < 700 ? 1 : 3);
    expect(integrateAlong(1000, [700], step)).toBeCloseTo(700 + 900, 4);
  });
});

describe.each(models().map((board) => [board.name, board] as const))('the solid of %s', (_name, board) => {
  const shape = shapeOf(board);
  const mesh = meshOf(shape);

  it('is closed, of one piece, without tunnels, and outward', () => {
    expect(meshFaults(mesh)).toEqual([]);
  });

  it('is a valid solid of genus 0 to manifold-3d, and its volume agrees with the integral within 0.15 %', async () => {
    const judged = await judgedByManifold(mesh);
    expect(judged.status).toBe('NoError');
    expect(judged.genus).toBe(0);
    expect(Math.abs(judged.volume_mm3 / 1e6 / volume_L(shape) - 1)).toBeLessThan(0.0015);
    expect(judged.volume_mm3).toBeCloseTo(meshVolume_mm3(mesh), -2);
  });

  it('has the litres of a board: between 0.42 and 0.68 of length x width x thickness', () => {
    const box_L = (board.length_mm * board.outline.width_mm * board.foil.thickness_mm) / 1e6;
    expect(volume_L(shape) / box_L).toBeGreaterThan(0.42);
    expect(volume_L(shape) / box_L).toBeLessThan(0.68);
    expect(planArea_mm2(shape)).toBeLessThan(board.length_mm * board.outline.width_mm);
  });

  it('grows by the cube when everything is drawn larger', () => {
    // Vertices on the same surface of a board 1 % larger each way would be these, scaled.
    const larger = { ...mesh, positions: mesh.positions.map((p) => p * 1.01) };
    expect(meshVolume_mm3(larger) / meshVolume_mm3(mesh)).toBeCloseTo(1.01 ** 3, 9);
  });
});
