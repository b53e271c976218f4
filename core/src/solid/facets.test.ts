// Facets that other programs can compute with: none without area, and channels whose corners are not cut off.
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Board } from '../document/schema.ts';
import { modelNamed, models } from '../models/models.ts';
import { channelCorners } from '../bottom/bottom.ts';
import { bottomPoint } from '../section/section.ts';
import { bottomShares, halfSection } from '../section/walk.ts';
import { boardIssues } from '../shape/issues.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { anyBoard } from '../testing/anyBoard.ts';
import { runs } from '../testing/runs.ts';
import { meshFaults } from '../testing/validateMesh.ts';
import { detailForChord } from './detail.ts';
import { type Mesh, type MeshDetail, meshOf, ringDetail, USUAL_DETAIL } from './mesh.ts';

/** The smallest facet, mm²: half the length of the cross product of two sides. Looks nothing up in Math but once: there are millions. */
function smallestFacet_mm2({ positions: p, triangles: t }: Mesh): number {
  let least = Infinity;
  for (let i = 0; i < t.length; i += 3) {
    const [a, b, c] = [3 * t[i], 3 * t[i + 1], 3 * t[i + 2]];
    const [ux, uy, uz] = [p[b] - p[a], p[b + 1] - p[a + 1], p[b + 2] - p[a + 2]];
    const [vx, vy, vz] = [p[c] - p[a], p[c + 1] - p[a + 1], p[c + 2] - p[a + 2]];
    const [nx, ny, nz] = [uy * vz - uz * vy, uz * vx - ux * vz, ux * vy - uy * vx];
    const square = nx * nx + ny * ny + nz * nz;
    if (square < least) least = square;
  }
  return Math.sqrt(least) / 2;
}

describe('no facet is without area', () => {
  const DETAILS: readonly MeshDetail[] = [{ stations: 60, ring: 24 }, USUAL_DETAIL, { stations: 800, ring: 384 }];

  it.each(models().map((board): [string, Board] => [board.name, board]))(
    'on %s, coarse, usual or fine',
    (_name, board) => {
      const shape = shapeOf(board);
      for (const detail of DETAILS) {
        const mesh = meshOf(shape, detail);
        expect(smallestFacet_mm2(mesh)).toBeGreaterThan(1e-6);
        if (detail === DETAILS[0]) expect(meshFaults(mesh)).toEqual([]);
      }
    },
  );

  it('on any board, rails without a tuck and needles too', () => {
    fc.assert(
      fc.property(anyBoard, (board) => {
        fc.pre(boardIssues(board).length === 0);
        expect(smallestFacet_mm2(meshOf(shapeOf(board)))).toBeGreaterThan(1e-6);
      }),
      { numRuns: runs(40), seed: 14, endOnFailure: true },
    );
  });
});

describe('channels in a solid', () => {
  const channelled = (name: string, deep_mm: number): Board => ({
    ...modelNamed(name)!,
    bottom: {
      layers: [
        {
          kind: 'channels',
          width: 0.8,
          count: 3,
          depths: [
            { from: 'tail', at_mm: 0, value_mm: deep_mm },
            { from: 'tail', at_mm: 500, value_mm: deep_mm },
            { from: 'centre', at_mm: 0, value_mm: 0 },
          ],
        },
      ],
    },
  });

  it.each([
    ['Slack Water', 3],
    ['Slack Water', 12],
    ['Kettle', 6],
  ])(
    '%s with channels of %s mm: the facets across are off by no more than was asked, corners included',
    (name, deep) => {
      const shape = shapeOf(channelled(name, deep));
      for (const chord of [0.5, 0.2]) {
        const { detail, error_mm } = detailForChord(shape, chord);
        expect(error_mm).toBeLessThanOrEqual(chord);
        const counts = ringDetail(shape, detail.ring);
        for (const x of [200, 400, 700]) {
          const section = sectionAt(shape, x)!;
          const ring = halfSection(section, counts);
          const at = { y_mm: 0, z_mm: 0 };
          let worst = 0;
          for (const share of bottomShares(section, 400)) {
            bottomPoint(section, share, at);
            let nearest = Infinity;
            for (let i = 1; i < ring.length; i++) {
              const [a, b] = [ring[i - 1], ring[i]];
              const [dy, dz] = [b.y_mm - a.y_mm, b.z_mm - a.z_mm];
              const along = ((at.y_mm - a.y_mm) * dy + (at.z_mm - a.z_mm) * dz) / (dy * dy + dz * dz || 1);
              const t = along < 0 ? 0 : along > 1 ? 1 : along;
              const [ey, ez] = [a.y_mm + t * dy - at.y_mm, a.z_mm + t * dz - at.z_mm];
              const square = ey * ey + ez * ez;
              if (square < nearest) nearest = square;
            }
            if (nearest > worst) worst = nearest;
          }
          expect(Math.sqrt(worst)).toBeLessThan(chord);
        }
      }
    },
  );

  it('run along one line of vertices: a wall does not jump from one station to the next', () => {
    const shape = shapeOf(channelled('Slack Water', 6));
    const counts = ringDetail(shape, 120);
    const first = counts.deck + counts.under + counts.fillet;
    const walls = [200, 300, 400, 500].map((x) => {
      const section = sectionAt(shape, x)!;
      return halfSection(section, counts)
        .slice(first)
        .map(({ y_mm }) => y_mm / section.edgeY_mm);
    });
    // Each corner of three channels stands at the same place of every row.
    const section = sectionAt(shape, 200)!;
    const corners = channelCorners(section.input.bottom);
    expect(corners).toHaveLength(12);
    for (const corner of corners) {
      const places = walls.map((row) => row.findIndex((share) => Math.abs(share - corner) < 1e-9));
      expect(places[0]).toBeGreaterThan(0);
      expect(new Set(places).size).toBe(1);
    }
  });
});
