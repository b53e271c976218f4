import { finSpots } from '../../fins/spots.ts';
import type { Shape } from '../../shape/shape.ts';
import { meshOf } from '../../solid/mesh.ts';
import { normally, seeded } from '../seeded.ts';
import { type Cloud, countOf, posed, type Pose, sampled } from './cloud.ts';

/** What a made-up scanner does to a board. */
export interface Scanner {
  points: number;
  /** Deviation of each point, mm. */
  noise_mm: number;
  /** Share of points that lie anywhere about the board. */
  strays: number;
  /** Holes in the surface, each so many mm across. */
  holes: number;
  hole_mm: number;
  /** With its fins in. */
  fins: boolean;
  /** Bottom up, and turned so much about each axis, in order x, y, z. */
  turned_rad: readonly [number, number, number];
  moved_mm: readonly [number, number, number];
  /** What a unit of the file is, mm. */
  unit_mm: number;
  seed: number;
}

export const CLEAN_SCANNER: Scanner = {
  points: 200_000,
  noise_mm: 0,
  strays: 0,
  holes: 0,
  hole_mm: 0,
  fins: false,
  turned_rad: [0.3, -0.2, 1.1],
  moved_mm: [400, -900, 1200],
  unit_mm: 1,
  seed: 1,
};
/** As a hand-held one does: noise, strays, holes, upside down, in inches, fins in. */
export const ROUGH_SCANNER: Scanner = {
  ...CLEAN_SCANNER,
  noise_mm: 1,
  strays: 0.05,
  holes: 9,
  hole_mm: 90,
  fins: true,
  turned_rad: [Math.PI + 0.2, 0.15, -0.8],
  unit_mm: 25.4,
  seed: 4,
};

function turnOf([a, b, c]: readonly [number, number, number]): number[][] {
  const times = (p: number[][], q: number[][]) =>
    p.map((row) => [0, 1, 2].map((j) => row[0] * q[0][j] + row[1] * q[1][j] + row[2] * q[2][j]));
  const x = [
    [1, 0, 0],
    [0, Math.cos(a), -Math.sin(a)],
    [0, Math.sin(a), Math.cos(a)],
  ];
  const y = [
    [Math.cos(b), 0, Math.sin(b)],
    [0, 1, 0],
    [-Math.sin(b), 0, Math.cos(b)],
  ];
  const z = [
    [Math.cos(c), -Math.sin(c), 0],
    [Math.sin(c), Math.cos(c), 0],
    [0, 0, 1],
  ];
  return times(z, times(y, x));
}

/** The points of both sides of every fin, by area, so many a mm². */
function finPoints(shape: Shape, density: number, even: () => number): number[] {
  const out: number[] = [];
  for (const { rear, front, box } of finSpots(shape)) {
    const { depth_mm, rake_rad } = box.template;
    const base = Math.hypot(front.x_mm - rear.x_mm, front.y_mm - rear.y_mm);
    const count = Math.round(2 * base * 0.75 * depth_mm * density);
    const x0 = (rear.x_mm + front.x_mm) / 2;
    const z0 = shape.rocker.line.valueAt(Math.min(shape.board.length_mm, Math.max(0, x0)));
    for (let k = 0; k < count; k++) {
      const down = even();
      const along = (even() - 0.5) * (1 - 0.5 * down);
      const lean = Math.tan(box.cant_rad) * down * depth_mm * Math.sign(rear.y_mm + front.y_mm);
      out.push(
        x0 + along * (front.x_mm - rear.x_mm) - Math.tan(rake_rad) * down * depth_mm,
        (rear.y_mm + front.y_mm) / 2 + along * (front.y_mm - rear.y_mm) + lean + (even() < 0.5 ? -3 : 3) * (1 - down),
        z0 - down * depth_mm,
      );
    }
  }
  return out;
}

/** The points a scanner would give of a board. The same seed gives the same scan. */
export function madeUpScan(shape: Shape, scanner: Scanner): Cloud {
  const even = seeded(scanner.seed);
  const normal = normally(even);
  const mesh = meshOf(shape, { stations: 420, ring: 160 });
  const body = sampled(
    { positions: mesh.positions, triangles: mesh.triangles },
    Math.round(scanner.points * (1 - scanner.strays)),
  );
  const { length_mm, outline } = shape.board;
  const holes = Array.from({ length: scanner.holes }, () => {
    const k = 3 * Math.floor(even() * countOf(body));
    return [body[k], body[k + 1], body[k + 2], (scanner.hole_mm / 2) * (0.6 + 0.8 * even())];
  });
  const points: number[] = [];
  for (let i = 0; i < body.length; i += 3) {
    const [x, y, z] = [body[i], body[i + 1], body[i + 2]];
    if (holes.some(([a, b, c, r]) => (x - a) ** 2 + (y - b) ** 2 + (z - c) ** 2 < r * r)) continue;
    points.push(x, y, z);
  }
  if (scanner.fins) {
    // As dense as on the board, whose skin is about 2.2 times its plan of 0.75 length by width.
    const skin_mm2 = 2.2 * 0.75 * length_mm * outline.width_mm;
    for (const each of finPoints(shape, scanner.points / skin_mm2, even)) points.push(each);
  }
  if (scanner.noise_mm > 0) for (let i = 0; i < points.length; i++) points[i] += scanner.noise_mm * normal();
  const strays = Math.round(scanner.points * scanner.strays);
  for (let k = 0; k < strays; k++) {
    points.push((1.2 * even() - 0.1) * length_mm, (1.4 * even() - 0.7) * outline.width_mm, (even() - 0.3) * 500);
  }
  const pose: Pose = { turn: turnOf(scanner.turned_rad), about: [0, 0, 0] };
  const laid = posed(points, pose);
  for (let i = 0; i < laid.length; i++) laid[i] = (laid[i] + scanner.moved_mm[i % 3]) / scanner.unit_mm;
  return laid;
}
