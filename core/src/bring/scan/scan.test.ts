// Boards brought in by a scan: made-up scans of known boards, shapes of the books, and what is no board.
import { describe, expect, it } from '@jest/globals';
import { volume_L } from '../../measure/volume.ts';
import { modelNamed, models } from '../../models/models.ts';
import { shapeOf } from '../../shape/shape.ts';
import { meshOf } from '../../solid/mesh.ts';
import { seeded } from '../../testing/random.ts';
import { thinned } from '../../testing/runs.ts';
import { cleaned, countOf, looksInward, sampled, type Scan } from './cloud.ts';
import { boardFromScan, scanLength } from './fitScan.ts';
import { CLEAN_SCANNER, madeUpScan, ROUGH_SCANNER } from './madeUpScan.ts';
import { outside, surfaceOf } from './surface.ts';

const model = (name: string) => shapeOf(modelNamed(name)!);
const others = (name: string) => models().filter((board) => board.name !== name);
const reason = (scan: Scan, unit_mm = 1) => {
  const made = boardFromScan(scan, { name: 'Scan', unit_mm });
  return made.ok ? 'made' : made.reason;
};
const few = { ...CLEAN_SCANNER, points: 20_000 };

/** What is scanned; every other of them in a plain run, all in a deep one. */
const SCANNED: Readonly<Record<string, () => void>> = {
  'clean, in any pose: within 1 mm in the mean and one in a hundred of the litres, without its own lines known': () => {
    const shape = model('Slack Water');
    const scan = { positions: madeUpScan(shape, { ...CLEAN_SCANNER, points: 120_000 }) };
    const told: number[] = [];
    const made = boardFromScan(scan, {
      name: 'Scan',
      unit_mm: 1,
      among: others('Slack Water'),
      onGoing: (_step, share) => told.push(share),
    });
    if (!made.ok) throw new Error(made.reason);
    expect(made.findings.rms_mm).toBeLessThan(0.5);
    expect(volume_L(shapeOf(made.board)) / volume_L(shape)).toBeCloseTo(1, 2);
    expect(made.board.length_mm).toBeCloseTo(shape.board.length_mm, -1);
    expect(made.board.outline.tail.kind).toBe('squash');
    expect(made.findings.noseBy).toBe('lift');
    expect(made.findings.fins).toBe(false);
    // It is told how far it is, and never goes back.
    expect(told.length).toBeGreaterThan(8);
    expect(told).toEqual(told.toSorted((a, b) => a - b));
  },
  'that is the hull of Wigley, by its closed form: 4/9 L B T (W. C. S. Wigley 1934, from memory)': () => {
    const [length, beam, deep] = [1900, 520, 70];
    const made = boardFromScan(wigley(length, beam, deep), { name: 'Hull', unit_mm: 1 });
    if (!made.ok) throw new Error(made.reason);
    // It ends in an edge that has no skin to scan.
    expect(Math.abs(made.board.length_mm - length)).toBeLessThan(5);
    expect(Math.abs(made.board.foil.thickness_mm - deep)).toBeLessThan(1.5);
    // Its rails are edges at the deck, where no board has its apex: the outline lies inside them by a few in a hundred.
    expect(made.board.outline.width_mm).toBeGreaterThan(0.93 * beam);
    expect(made.board.outline.width_mm).toBeLessThan(beam);
    expect(Math.abs(volume_L(shapeOf(made.board)) / ((4 / 9) * length * beam * deep * 1e-6) - 1)).toBeLessThan(0.02);
    expect(made.findings.rms_mm).toBeLessThan(2);
    expect(made.findings.inward).toBe(false);
  },
  'rough, bottom up, in inches, with its fins in, strays and holes: within 2 mm and 1.5 in a hundred': () => {
    const shape = model('Kettle');
    const scan = { positions: madeUpScan(shape, { ...ROUGH_SCANNER, points: 80_000 }) };
    expect(scanLength(scan).units).toEqual(['in']);
    const made = boardFromScan(scan, { name: 'Scan', unit_mm: 25.4, among: others('Kettle') });
    if (!made.ok) throw new Error(made.reason);
    expect(made.findings.rms_mm).toBeLessThan(2);
    expect(Math.abs(volume_L(shapeOf(made.board)) / volume_L(shape) - 1)).toBeLessThan(0.015);
    expect(made.board.outline.tail.kind).toBe('swallow');
    expect(made.findings.fins).toBe(true);
    expect(made.findings.noseBy).toBe('fins');
    expect(made.findings.strays).toBeGreaterThan(0.03);
    expect(made.findings.strays).toBeLessThan(0.06);
    expect(Math.max(...made.findings.sides.map(({ right_mm }) => Math.abs(right_mm)))).toBeLessThan(0.8);
  },
  'that is an ellipsoid, by its closed form: its length, width, thickness, and 4/3 π a b c': () => {
    const [a, b, c] = [900, 255, 33];
    const even = seeded(3);
    const points: number[] = [];
    while (points.length < 3 * 60_000) {
      // Even on the skin: a point of the sphere is kept as often as the skin is stretched there.
      const z = 2 * even() - 1;
      const t = 2 * Math.PI * even();
      const r = Math.sqrt(1 - z * z);
      const [x, y] = [r * Math.cos(t), r * Math.sin(t)];
      const stretch = Math.sqrt((x * b * c) ** 2 + (y * a * c) ** 2 + (z * a * b) ** 2);
      if (even() * a * b < stretch) points.push(a * x, b * y, c * z);
    }
    const made = boardFromScan({ positions: Float64Array.from(points) }, { name: 'Egg', unit_mm: 1 });
    if (!made.ok) throw new Error(made.reason);
    expect(made.board.length_mm).toBeGreaterThan(1790);
    expect(made.board.length_mm).toBeLessThan(1805);
    expect(Math.abs(made.board.outline.width_mm - 510)).toBeLessThan(4);
    expect(Math.abs(made.board.foil.thickness_mm - 66)).toBeLessThan(3);
    expect(volume_L(shapeOf(made.board)) / ((4 / 3) * Math.PI * a * b * c * 1e-6)).toBeCloseTo(1, 1);
    expect(made.findings.rms_mm).toBeLessThan(2);
  },
  'shows which rail is the wider, and how much': () => {
    const shape = model('Slack Water');
    const positions = madeUpScan(shape, { ...few, points: 60_000, turned_rad: [0, 0, 0], moved_mm: [0, 0, 0] });
    // The left rail shaved by 5 mm in the middle, easing out to both sides: the right one is the wider.
    const { length_mm, outline } = shape.board;
    for (let i = 0; i < positions.length; i += 3) {
      const along = (positions[i] - length_mm / 2) / 350;
      if (positions[i + 1] > 0) positions[i + 1] *= 1 - (10 / outline.width_mm) * Math.exp(-along * along);
    }
    const made = boardFromScan({ positions }, { name: 'Uneven', unit_mm: 1, among: others('Slack Water') });
    if (!made.ok) throw new Error(made.reason);
    const middle = made.findings.sides[2];
    const [first, , , , last] = made.findings.sides;
    // The stringer is found where both sides are most alike: what is told is how the sides differ along the board.
    expect(middle.right_mm - (first.right_mm + last.right_mm) / 2).toBeGreaterThan(1.5);
    expect(Math.abs(middle.right_mm)).toBeLessThan(6);
  },
};

/** y = ± B/2 (1 − (2x/L)²)(1 − (z/T)²), with a level deck at z = 0: a mesh, faces outward. */
function wigley(length: number, beam: number, deep: number): Scan {
  const positions: number[] = [];
  const triangles: number[] = [];
  const [along, down] = [240, 60];
  const sheet = (place: (s: number, t: number) => [number, number, number], flipped: boolean) => {
    const first = positions.length / 3;
    for (let i = 0; i <= along; i++) for (let j = 0; j <= down; j++) positions.push(...place(i / along, j / down));
    for (let i = 0; i < along; i++)
      for (let j = 0; j < down; j++) {
        const [a, b] = [first + i * (down + 1) + j, first + (i + 1) * (down + 1) + j];
        triangles.push(...(flipped ? [a, a + 1, b, b, a + 1, b + 1] : [a, b, a + 1, b, b + 1, a + 1]));
      }
  };
  const half = (s: number) => (beam / 2) * (1 - (2 * s - 1) ** 2);
  const hull =
    (side: 1 | -1) =>
    (s: number, t: number): [number, number, number] => {
      // Rows are closer at the keel, where the section turns.
      const z = t * t - 1;
      return [length * (s - 0.5), side * half(s) * (1 - z * z), deep * z];
    };
  sheet(hull(1), true);
  sheet(hull(-1), false);
  sheet((s, t) => [length * (s - 0.5), half(s) * (2 * t - 1), 0], false);
  return { positions: Float64Array.from(positions), triangles: Uint32Array.from(triangles) };
}

describe('a mesh', () => {
  const { positions, triangles } = meshOf(model('Kettle'), { stations: 60, ring: 40 });
  it('that was mirrored, or written inside out, looks inward; in any pose it looks outward', () => {
    expect(looksInward({ positions, triangles })).toBe(false);
    const mirrored = positions.map((value, i) => (i % 3 === 1 ? 300 - value : 300 + value));
    expect(looksInward({ positions: mirrored, triangles })).toBe(true);
    const insideOut = triangles.map((_, k) => triangles[k - (k % 3) + (2 - (k % 3))]);
    expect(looksInward({ positions, triangles: insideOut })).toBe(true);
    // Turned by a right angle about the length.
    const turned = positions.map((value, i) =>
      i % 3 === 0 ? value : i % 3 === 1 ? positions[i + 1] : -positions[i - 1],
    );
    expect(looksInward({ positions: turned, triangles })).toBe(false);
    expect(looksInward(wigley(1900, 520, 70))).toBe(false);
  });
  it('has no side where its faces are in no order, and points alone have none', () => {
    const mixed = triangles.map((_, k) =>
      Math.floor(k / 3) % 2 ? triangles[k] : triangles[k - (k % 3) + (2 - (k % 3))],
    );
    expect(looksInward({ positions, triangles: mixed })).toBeUndefined();
    expect(looksInward({ positions })).toBeUndefined();
  });
});

describe('a board that was scanned', () => {
  it.each(thinned(Object.keys(SCANNED), 2))('%s', (what) => SCANNED[what]());
});

describe('how far a point lies outside a board', () => {
  it('is what it was moved off the skin by, to a twentieth of a millimetre, away from edges', () => {
    const shape = model('Penny Step');
    const mesh = meshOf(shape, { stations: 300, ring: 120 });
    const surface = surfaceOf(shape);
    const { positions: p, triangles } = mesh;
    const even = seeded(9);
    const offs: number[] = [];
    const wanted: number[] = [];
    const nose: number[] = [];
    for (let k = 0; k < 2000; k++) {
      const f = 3 * Math.floor((even() * triangles.length) / 3);
      const [a, b, c] = [0, 1, 2].map((j) => 3 * triangles[f + j]);
      const at = [0, 1, 2].map((j) => (p[a + j] + p[b + j] + p[c + j]) / 3);
      const isNose = at[0] > shape.board.length_mm - 160 && at[0] < shape.board.length_mm - 20;
      if (!isNose && (at[0] < 200 || at[0] > shape.board.length_mm - 200)) continue;
      const [u, v] = [b, c].map((q) => [0, 1, 2].map((j) => p[q + j] - p[a + j]));
      const n = [u[1] * v[2] - u[2] * v[1], u[2] * v[0] - u[0] * v[2], u[0] * v[1] - u[1] * v[0]];
      const size = Math.hypot(...n);
      const d = 4 * even() - 2;
      const moved = Float64Array.from(at.map((value, j) => value + (d * n[j]) / size));
      const out = new Float64Array(1);
      outside(surface, moved, new Int32Array(2), false, out);
      // Toward the tip the skin slopes along the board, which tells there.
      if (isNose) {
        nose.push(Math.abs(out[0] - d));
        continue;
      }
      wanted.push(d);
      offs.push(out[0] - d);
    }
    const sizes = offs.map(Math.abs).sort((a, b) => a - b);
    expect(sizes[Math.floor(0.5 * sizes.length)]).toBeLessThan(0.05);
    expect(sizes[Math.floor(0.95 * sizes.length)]).toBeLessThan(0.6);
    expect(wanted.length).toBeGreaterThan(1000);
    nose.sort((a, b) => a - b);
    expect(nose.length).toBeGreaterThan(50);
    expect(nose[Math.floor(0.75 * nose.length)]).toBeLessThan(0.2);
  });
});

describe('what is no scan of a board', () => {
  it('nothing, numbers that are none, a mesh without area', () => {
    expect(reason({ positions: new Float32Array() })).toMatch(/0 points.*too few/);
    expect(reason({ positions: new Float32Array(9000).fill(Number.NaN) })).toMatch(/too few/);
    expect(
      reason({ positions: new Float32Array(9000), triangles: Uint32Array.from({ length: 900 }, (_, k) => k) }),
    ).toMatch(/too few/);
    expect(reason({ positions: new Float32Array(9000) })).not.toBe('made');
  });

  it('two boards, half a board, a ball, a wrong unit', () => {
    const one = madeUpScan(model('Slack Water'), few);
    const two = new Float64Array(2 * one.length);
    two.set(one);
    two.set(
      one.map((value, i) => (i % 3 === 2 ? value + 600 : value)),
      one.length,
    );
    expect(reason({ positions: two })).toMatch(/two bodies/);
    const flat = madeUpScan(model('Slack Water'), { ...few, turned_rad: [0, 0, 0], moved_mm: [0, 0, 0] });
    const half: number[] = [];
    for (let i = 0; i < flat.length; i += 3) if (flat[i + 1] > -12) half.push(flat[i], flat[i + 1], flat[i + 2]);
    expect(reason({ positions: Float64Array.from(half) })).toMatch(/one rail|proportions/);
    const even = seeded(2);
    const ball = Float64Array.from({ length: 60_000 }, () => even() - 0.5);
    for (let i = 0; i < ball.length; i += 3) {
      const r = Math.hypot(ball[i], ball[i + 1], ball[i + 2]) / 900;
      for (let j = 0; j < 3; j++) ball[i + j] /= r;
    }
    expect(reason({ positions: ball })).toMatch(/proportions/);
    expect(reason({ positions: one }, 25.4)).toMatch(/another unit/);
  });

  it('is stopped by what is told of its going', () => {
    const stop = () => {
      throw new Error('enough');
    };
    expect(() =>
      boardFromScan({ positions: madeUpScan(model('Kettle'), few) }, { name: 'S', unit_mm: 1, onGoing: stop }),
    ).toThrow('enough');
  });
});

describe('points of a scan', () => {
  it('are even over a mesh, whatever its triangles: a triangle of nine tenths of the area has nine tenths of them', () => {
    const positions = Float64Array.of(0, 0, 0, 9, 0, 0, 0, 10, 0, 100, 0, 0, 101, 0, 0, 100, 10, 0);
    const points = sampled({ positions, triangles: Uint32Array.of(0, 1, 2, 3, 4, 5) }, 1000);
    let left = 0;
    for (let i = 0; i < points.length; i += 3) if (points[i] < 50) left++;
    expect(left / countOf(points)).toBeCloseTo(0.9, 2);
  });

  it('that lie by themselves are left out, and the rest is one body', () => {
    const { cloud, strays, bodies } = cleaned(madeUpScan(model('Kettle'), { ...few, points: 60_000, strays: 0.04 }));
    expect(strays).toBeGreaterThan(0.025);
    expect(strays).toBeLessThan(0.045);
    expect(bodies[0]).toBeGreaterThan(0.98);
    expect(countOf(cloud)).toBeGreaterThan(54_000);
  });
});
