// Read by OpenCascade, which had no part in writing it.
import { beforeAll, describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import { getOC, importSTEP, measureArea, measureVolume, Solid } from 'replicad';
import { volume_L } from '../../measure/volume.ts';
import { modelNamed, models } from '../../models/models.ts';
import { sectionRing } from '../../section/walk.ts';
import { sectionAt, type Shape, shapeOf } from '../../shape/shape.ts';
import { meshOf } from '../../solid/mesh.ts';
import { openCascade } from '../../testing/lofts.ts';
import { thinned } from '../../testing/runs.ts';
import { controlNet, controlPoints, interpolationAt, type Point, surfaceAt } from './bSpline.ts';
import { exactOf, textOf } from './part21.ts';
import { shapeToStep } from './step.ts';

beforeAll(() => openCascade(), 60_000);

interface Analyzer {
  IsValid: () => boolean;
}
interface Checks {
  BRepCheck_Analyzer: new (shape: unknown, geometry: boolean, parallel: boolean) => Analyzer;
}

async function opened(text: string) {
  const found = await importSTEP(new Blob([text]));
  const { BRepCheck_Analyzer } = getOC() as unknown as Checks;
  if (!(found instanceof Solid)) throw new Error(`not a solid, but ${found.constructor.name}`);
  return {
    solid: found,
    valid: new BRepCheck_Analyzer(found.wrapped, true, false).IsValid(),
  };
}

/** How far a point lies off the section at its own station, mm. */
function offSection(shape: Shape, [x, y, z]: readonly number[]): number {
  const section = sectionAt(shape, x);
  if (!section) return 0;
  const ring = sectionRing(section, 200);
  const rocker = shape.rocker.line.valueAt(x);
  let least = Infinity;
  for (let i = 0; i < ring.length; i++) {
    const [a, b] = [ring[i], ring[(i + 1) % ring.length]];
    const [dy, dz] = [b.y_mm - a.y_mm, b.z_mm - a.z_mm];
    const t = ((y - a.y_mm) * dy + (z - rocker - a.z_mm) * dz) / (dy * dy + dz * dz || 1);
    const k = t < 0 ? 0 : t > 1 ? 1 : t;
    const [ey, ez] = [a.y_mm + k * dy - y, a.z_mm + k * dz + rocker - z];
    const square = ey * ey + ez * ez;
    if (square < least) least = square;
  }
  return Math.sqrt(least);
}

/** Instances of a file by their numbers: type and what stands in the brackets, as far as this writer goes. */
function instancesOf(text: string): Map<string, { type: string; inside: string }> {
  const found = text.matchAll(/^(#\d+)=([A-Z0-9_]+)\((.*)\);$/gm);
  return new Map([...found].map(([, name, type, inside]) => [name, { type, inside }]));
}
const namesIn = (inside: string): string[] => [...inside.matchAll(/#\d+/g)].map(([name]) => name);

/** Twice the area vector of a closed line of points (Newell). */
function areaOf(line: readonly Point[]): [number, number, number] {
  const out: [number, number, number] = [0, 0, 0];
  line.forEach((a, i) => {
    const b = line[(i + 1) % line.length];
    out[0] += (a[1] - b[1]) * (a[2] + b[2]);
    out[1] += (a[2] - b[2]) * (a[0] + b[0]);
    out[2] += (a[0] - b[0]) * (a[1] + b[1]);
  });
  return out;
}

describe('STEP of a board', () => {
  // OpenCascade turns a loop that runs the wrong way round by itself; another program may not.
  it.each(['Slack Water', 'Kettle', 'Gannet'])(
    '%s: every edge is run once each way, every loop left of its own surface, outward',
    (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const all = instancesOf(shapeToStep(shape, 1).text);
      const of = (key: string) => all.get(key)!;
      const pointOf = (key: string) =>
        of(key)
          .inside.match(/-?\d[\d.E+-]*/g)!
          .map(Number) as unknown as Point;
      const senses = new Map<string, string[]>();
      let volume = 0;
      for (const { type, inside } of all.values()) {
        if (type !== 'ADVANCED_FACE') continue;
        const [bound, surface] = namesIn(inside);
        const same = inside.endsWith('.T.');
        const loop = namesIn(of(namesIn(of(bound).inside)[0]).inside).flatMap((oriented) => {
          const [edge] = namesIn(of(oriented).inside);
          const forward = of(oriented).inside.endsWith('.T.');
          senses.set(edge, [...(senses.get(edge) ?? []), forward ? 'forward' : 'back']);
          const curve = namesIn(of(edge).inside)[2];
          const points = namesIn(of(curve).inside).map(pointOf);
          return forward ? points : points.reverse();
        });
        const area = areaOf(loop);
        let normal: readonly number[];
        if (of(surface).type === 'PLANE') normal = pointOf(namesIn(of(namesIn(of(surface).inside)[0]).inside)[1]);
        else {
          // The frame of the control net runs along u first: its own area is that of u by v.
          const rows = [...of(surface).inside.matchAll(/\((#[^()]*)\)/g)].map(([, row]) => namesIn(row).map(pointOf));
          const last = rows[0].length - 1;
          normal = areaOf([
            ...rows.map((row) => row[0]),
            ...rows[rows.length - 1],
            ...rows.map((row) => row[last]).reverse(),
            ...[...rows[0]].reverse(),
          ]);
        }
        const along = normal.reduce((sum, value, axis) => sum + value * area[axis], 0);
        expect([surface, along > 0]).toEqual([surface, same]);
        const middle = [0, 1, 2].map((axis) => loop.reduce((sum, p) => sum + p[axis] / loop.length, 0));
        volume += middle.reduce((sum, v, axis) => sum + (v * area[axis]) / 6, 0);
      }
      // Outward: flat faces through the loops enclose some of the board; inside out it would be less than nothing.
      expect(volume / 1e6).toBeGreaterThan(0.1 * volume_L(shape));
      for (const [edge, ways] of senses) expect([edge, ways.sort()]).toEqual([edge, ['back', 'forward']]);
    },
  );

  it.each(thinned(models(), 6).map(({ name }) => name))(
    '%s: a valid closed solid of few faces, of the board’s litres, on its sections',
    async (name) => {
      const shape = shapeOf(modelNamed(name)!);
      const { text, faces, error_mm } = shapeToStep(shape);
      const { solid, valid } = await opened(text);
      expect([valid, solid.faces.length]).toEqual([true, faces]);
      expect(faces).toBeLessThan(100);
      expect(Math.abs(measureVolume(solid) / 1e6 / volume_L(shape) - 1)).toBeLessThan(1e-3);
      const [[x0], [x1]] = solid.boundingBox.bounds;
      expect(Math.abs(x0)).toBeLessThan(0.1);
      expect(Math.abs(x1 - shape.board.length_mm)).toBeLessThan(0.1);
      // Corners of OpenCascade's own facets lie on its surfaces: away from the tips, where a section is steep to the plan.
      const { vertices } = solid.mesh({ tolerance: 1, angularTolerance: 0.5 });
      let worst = 0;
      for (let i = 0; i < vertices.length; i += 3 * 7) {
        const p = [vertices[i], vertices[i + 1], vertices[i + 2]];
        if (p[0] < 80 || p[0] > shape.board.length_mm - 40) continue;
        worst = Math.max(worst, offSection(shape, p));
      }
      expect(worst).toBeLessThan(error_mm + 0.05);
      expect(error_mm).toBeLessThan(name === 'Tin Roof' ? 0.12 : 0.08);
    },
    60_000,
  );

  it('has the area of the finest facets', async () => {
    const shape = shapeOf(modelNamed('Kettle')!);
    const { positions: p, triangles } = meshOf(shape, { stations: 800, ring: 384 });
    let area = 0;
    for (let t = 0; t < triangles.length; t += 3) {
      const [a, b, c] = [0, 1, 2].map((k) => 3 * triangles[t + k]);
      const [u, v] = [b, c].map((at) => [0, 1, 2].map((axis) => p[at + axis] - p[a + axis]));
      area += Math.hypot(u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]) / 2;
    }
    const { solid } = await opened(shapeToStep(shape).text);
    expect(measureArea(solid) / area).toBeCloseTo(1, 3);
  }, 60_000);

  it('keeps the letters of its name, and has no date: the same board, the same bytes', () => {
    const board = { ...modelNamed('Gannet')!, name: "Ólafur's \\ Ω" };
    const [a, b] = [shapeToStep(shapeOf(board)).text, shapeToStep(shapeOf(board)).text];
    expect(a).toBe(b);
    expect(a).toContain("'\\X2\\00D3\\X0\\lafur''s \\\\ \\X2\\03A9\\X0\\'");
    expect(a).not.toMatch(/[^\n -~]/);
    expect(a).toMatch(/FILE_DESCRIPTION\(\('surfaces within 0\.\d{3} mm of the board'\),'2;1'\);/);
  });
});

describe('texts and numbers of ISO 10303-21', () => {
  it('are written as its grammar has them', () => {
    expect([0, 1, -0, 0.5, 1e-7, 1.5e-9, 1e21, -12.25].map(exactOf)).toEqual([
      '0.',
      '1.',
      '0.',
      '0.5',
      '1.E-7',
      '1.5E-9',
      '1.E+21',
      '-12.25',
    ]);
    expect(textOf("it's")).toBe("'it''s'");
  });
});

describe('B-splines through points', () => {
  it('are the cubic itself where the points lie on one', () => {
    const params = [0, 0.07, 0.3, 0.42, 0.8, 0.93, 1];
    const cubic = (t: number): Point => [t, 1 - 2 * t + 3 * t ** 3, t ** 2 - t ** 3];
    const by = interpolationAt(params);
    const control = controlPoints(by, params.map(cubic));
    const flat = interpolationAt([0, 1]);
    const net = control.map((p) => [p, p]);
    for (const t of [0, 0.01, 0.2, 0.5, 0.77, 1]) {
      surfaceAt(by, flat, net, [t, 0.4]).forEach((value, axis) => expect(value).toBeCloseTo(cubic(t)[axis], 12));
    }
  });

  it('go through every point of any grid, its first and last exactly; straight between two', () => {
    const grown = (steps: number[]) => {
      const sums = steps.reduce((all, step) => [...all, all[all.length - 1] + step], [0]);
      return sums.map((s) => s / sums[sums.length - 1]);
    };
    const steps = fc.array(fc.double({ min: 0.05, max: 1, noNaN: true }), { minLength: 1, maxLength: 12 });
    fc.assert(
      fc.property(steps, steps, fc.integer({ min: 0, max: 1e6 }), (along, across, seed) => {
        const [u, v] = [interpolationAt(grown(along)), interpolationAt(grown(across))];
        const grid = u.params.map((_, i) =>
          v.params.map((__, j): Point => [i + Math.sin(seed + i * j), j, Math.cos(seed * (i + 1) + j) * 5]),
        );
        const net = controlNet(u, v, grid);
        u.params.forEach((a, i) =>
          v.params.forEach((b, j) => {
            surfaceAt(u, v, net, [a, b]).forEach((value, axis) => expect(value).toBeCloseTo(grid[i][j][axis], 7));
          }),
        );
        net[0][0].forEach((value, axis) => expect(value).toBeCloseTo(grid[0][0][axis], 12));
      }),
      { numRuns: 60, endOnFailure: true },
    );
  });

  it('refuse parameters that do not rise', () => {
    expect(() => interpolationAt([0, 0.5, 0.5, 1])).toThrow(/parameter 2 does not rise/);
    expect(() => interpolationAt([0])).toThrow(RangeError);
  });
});
