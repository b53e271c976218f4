import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { thicknessAt } from '../foil/foil.ts';
import { measure } from '../measure/measure.ts';
import { volume_L } from '../measure/volume.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { type Mesh, meshOf, meshVolume_mm3 } from '../solid/mesh.ts';
import { runs } from '../testing/runs.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { judgedByManifold, manifoldLibrary } from '../testing/manifold.ts';
import { meshFaults } from '../testing/validateMesh.ts';
import { MARK_MET_mm } from '../tolerances.ts';
import { sectionAt, shapeOf } from './shape.ts';
import { stationOfMark } from '../document/station.ts';
import { type Board, boardSchema, type Mark } from '../document/schema.ts';

const SEED = 20261125;

beforeAll(async () => void (await manifoldLibrary()));

describe('boards drawn over the whole parameter space', () => {
  const boards = fc.sample(anyBoard, { seed: SEED, numRuns: runs(500) });

  it('are boards by the schema', () => {
    for (const board of boards) expect(boardSchema.safeParse(board).success).toBe(true);
  });

  it('give a finite, closed, outward mesh whose volume is the integral within 0.2 %, genus 0 by manifold-3d', async () => {
    for (const board of boards.slice(0, boards.length / 2)) {
      const shape = shapeOf(board);
      const fine = meshOf(shape, { stations: 150, ring: 192 });
      const faults: string[] = [];
      if (!fine.positions.every(Number.isFinite)) faults.push('a point is lost');
      const off = meshVolume_mm3(fine) / 1e6 / volume_L(shape) - 1;
      if (!(Math.abs(off) < 0.002)) faults.push(`volume off by ${off}`);
      const coarse = meshOf(shape, { stations: 60, ring: 48 });
      faults.push(...meshFaults(coarse));
      const judged = await judgedByManifold(coarse);
      if (judged.status !== 'NoError') faults.push(judged.status);
      if (judged.genus !== 0) faults.push(`genus ${judged.genus}`);
      if (faults.length > 0) throw new Error(`${faults.join('; ')} on ${JSON.stringify(board)}`);
    }
  }, 150_000);

  it('have positive thickness everywhere and meet every mark', () => {
    for (const board of boards) {
      const shape = shapeOf(board);
      const faults: string[] = [];
      for (let k = 1; k < 60; k++) {
        const x = (board.length_mm * k) / 60;
        if (!(thicknessAt(shape.foil, x) > 0)) faults.push(`no thickness at ${x}`);
        const section = sectionAt(shape, x);
        if (section && !(section.apex_mm > section.edgeZ_mm)) faults.push(`apex under the edge at ${x}`);
      }
      const met = (curve: string, read: (x: number) => number, marks: readonly Mark[]) => {
        for (const mark of marks) {
          const off = read(stationOfMark(mark, shape.anchors)) - mark.value_mm;
          if (!(Math.abs(off) < MARK_MET_mm)) faults.push(`${curve} mark missed by ${off}`);
        }
      };
      met('outline', (x) => 2 * halfBreadthAt(shape.outline, x), board.outline.marks);
      met('foil', (x) => thicknessAt(shape.foil, x), board.foil.marks);
      met('rocker', (x) => shape.rocker.line.valueAt(x), board.rocker.marks);
      if (!Object.values(measure(shape)).every(Number.isFinite)) faults.push('a measure is not a number');
      if (faults.length > 0) throw new Error(`${faults.join('; ')} on ${JSON.stringify(board)}`);
    }
  }, 60_000);

  it('with their ends swapped are their own mirror: outline, rocker and foil', () => {
    const swapped = <M extends Mark>(marks: readonly M[]): M[] =>
      marks.map((mark) => ({ ...mark, from: mark.from === 'nose' ? ('tail' as const) : ('nose' as const) }));
    for (const drawn of boards.slice(0, 120)) {
      const board: Board = {
        ...drawn,
        outline: {
          ...drawn.outline,
          nose: { kind: 'pointed', curve_rad: (40 * Math.PI) / 180, tip_mm: drawn.outline.tail.tip_mm },
          tail: { kind: 'pin', block_mm: 0, depth_mm: 0, tip_mm: drawn.outline.tail.tip_mm },
          wings: [],
        },
        deck: { ...drawn.deck, features: [] },
      };
      const { outline, rocker, foil } = board;
      const turned: Board = {
        ...board,
        outline: { ...outline, widePoint_mm: -outline.widePoint_mm, marks: swapped(outline.marks) },
        rocker: {
          noseLift_mm: rocker.tailLift_mm,
          tailLift_mm: rocker.noseLift_mm,
          flatPoint_mm: -rocker.flatPoint_mm,
          marks: swapped(rocker.marks),
        },
        foil: { ...foil, thickest_mm: -foil.thickest_mm, marks: swapped(foil.marks) },
      };
      const [one, two] = [shapeOf(board), shapeOf(turned)];
      let worst = 0;
      for (let k = 1; k < 30; k++) {
        const x = (board.length_mm * k) / 30;
        const y = board.length_mm - x;
        worst = Math.max(
          worst,
          Math.abs(halfBreadthAt(one.outline, x) - halfBreadthAt(two.outline, y)),
          Math.abs(one.rocker.line.valueAt(x) - two.rocker.line.valueAt(y)),
          Math.abs(thicknessAt(one.foil, x) - thicknessAt(two.foil, y)),
        );
      }
      if (!(worst < 0.02)) throw new Error(`off its mirror by ${worst} on ${JSON.stringify(board)}`);
    }
  });

  it('keep their numbers when turned, moved, grown or mirrored', () => {
    for (const board of boards.slice(0, 60)) {
      const mesh = meshOf(shapeOf(board), { stations: 120, ring: 96 });
      const volume = meshVolume_mm3(mesh);
      const moved = mapped(mesh, (x, y, z) => [x + 1234, y - 77, z + 5]);
      const grown = mapped(mesh, (x, y, z) => [2 * x, 2 * y, 2 * z]);
      const mirrored = mapped(mesh, (x, y, z) => [x, -y, z]);
      expect(meshVolume_mm3(moved) / volume).toBeCloseTo(1, 8);
      expect(meshVolume_mm3(grown) / volume).toBeCloseTo(8, 8);
      expect(meshVolume_mm3(mirrored) / volume).toBeCloseTo(-1, 8);
      const points = new Set<string>();
      for (let v = 0; v < mesh.positions.length; v += 3) points.add(pointKey(mesh.positions, v, 1));
      let alone = 0;
      for (let v = 0; v < mesh.positions.length; v += 3) {
        if (!points.has(pointKey(mesh.positions, v, -1))) alone += 1;
      }
      expect(alone).toBe(0);
    }
  }, 60_000);
});

function pointKey(p: Float64Array, v: number, side: 1 | -1): string {
  return `${p[v]} ${side * p[v + 1] + 0} ${p[v + 2]}`;
}

function mapped(mesh: Mesh, to: (x: number, y: number, z: number) => number[]): Mesh {
  const positions = new Float64Array(mesh.positions.length);
  for (let v = 0; v < positions.length; v += 3) {
    positions.set(to(mesh.positions[v], mesh.positions[v + 1], mesh.positions[v + 2]), v);
  }
  return { positions, triangles: mesh.triangles };
}
