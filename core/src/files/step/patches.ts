import { sectionAt, type Shape } from '../../shape/shape.ts';
import { halfBreadthAt, notchHalfBreadthAt } from '../../outline/outline.ts';
import { LAYERS } from '../../document/kinds.ts';
import { type HalfCounts, halfSection } from '../../section/walk.ts';
import { meshStations } from '../../solid/stations.ts';
import { controlNet, type Interpolation, interpolationAt, meanChords, type Point, surfaceAt } from './bSpline.ts';

/** The strips of half a section, from the stringer of the deck round the rail to that of the bottom. */
export const STRIPS = ['deck', 'under', 'fillet', 'bottom'] as const;

/** A row of the grid: half a section at a station, or the point of a closed tip. */
interface GridRow {
  x_mm: number;
  kind: 'pole' | 'full' | 'split';
  /** The right half, deck to bottom; the same point throughout at a tip. */
  half: Point[];
}

/** A surface of the right half between two rows that the board is cut at, and one strip of the sections. */
interface Patch {
  segment: number;
  strip: number;
  u: Interpolation;
  v: Interpolation;
  /** `net[i][j]`: along the board, round the section. */
  net: Point[][];
}

export interface Patches {
  rows: GridRow[];
  /** Rows the board is cut at: its ends, and where the plan has a corner. */
  cuts: number[];
  /** Where each strip begins and the last ends, as numbers of points of a half. */
  bounds: number[];
  patches: Patch[];
  /** Inner walls of a split tail, by segment: straight from deck to bottom. */
  walls: { segment: number; u: Interpolation; net: Point[][] }[];
  /** How far the surfaces were found off the board's own, between the points they go through. */
  error_mm: number;
}

/** A tip narrower than this is taken as closed. */
const NEEDLE_mm = 0.02;
/** A surface along the board goes through so many rows at the least. */
const LEAST_ROWS = 5;

function countsFor(shape: Shape, fine: number): HalfCounts {
  const stepped = shape.board.deck.features.some((f) => f.kind === 'step' || f.kind === 'flat');
  const across = Math.max(12, ...shape.bottom.layers.map(({ layer }) => LAYERS[layer.kind].across));
  const times = (count: number) => Math.round(count * fine);
  return { deck: times(stepped ? 36 : 10), under: times(8), fillet: times(5), bottom: times(across) };
}

/** The row at a station. */
function rowAt(shape: Shape, x_mm: number, counts: HalfCounts): GridRow {
  const rocker = shape.rocker.line.valueAt(x_mm);
  const points = counts.deck + counts.under + counts.fillet + counts.bottom + 1;
  const section = sectionAt(shape, x_mm);
  if (!section || section.half_mm <= NEEDLE_mm) {
    const { tailTip_mm, noseTip_mm } = shape.board.foil;
    const inside = sectionAt(shape, x_mm <= 0 ? 0.001 : x_mm - 0.001);
    const tip = inside?.apex_mm ?? (x_mm <= 0 ? tailTip_mm : noseTip_mm) / 2;
    const pole: Point = [x_mm, 0, rocker + tip];
    return { x_mm, kind: 'pole', half: Array.from({ length: points }, () => pole) };
  }
  const notch = notchHalfBreadthAt(shape.outline, x_mm);
  const half = halfSection(section, counts).map((p, j): Point => {
    const middle = notch <= 0 && (j === 0 || j === points - 1);
    return [x_mm, middle ? 0 : p.y_mm, rocker + p.z_mm];
  });
  return { x_mm, kind: notch > 0 ? 'split' : 'full', half };
}

/** Past the last stations of a mesh a rounded tip goes on as the root of the distance: more there, closing up as squares do. */
function nearTips(shape: Shape, count: number): number[] {
  const L = shape.board.length_mm;
  const many = Math.round(count / 10);
  const reach = L * (1 - Math.cos((3 * Math.PI) / count));
  const near = Array.from({ length: many - 1 }, (_, k) => reach * ((k + 1) / many) ** 2);
  return near.flatMap((x) => [x, L - x]);
}

/** Where a pointed end stops being as narrow as a board can be: the plan has a corner there that is no break of its own. */
function kneesOf(shape: Shape): number[] {
  const L = shape.board.length_mm;
  const reach = 20;
  return [(d: number) => d, (d: number) => L - d].flatMap((from) => {
    const half = (d: number) => halfBreadthAt(shape.outline, from(d)) - notchHalfBreadthAt(shape.outline, from(d));
    const least = half(0);
    if (!(least > 0 && Math.abs(half(0.5) - least) < 1e-9 && half(reach) > least + 1)) return [];
    let [flat, beyond] = [0.5, reach];
    for (let k = 0; k < 50; k++) {
      const middle = (flat + beyond) / 2;
      if (half(middle) - least < 1e-9) flat = middle;
      else beyond = middle;
    }
    return [from(flat)];
  });
}

/** Stations of the grid: those of a mesh, and more between two cuts where there are too few for a surface. */
function stationsOf(shape: Shape, count: number): { xs: number[]; cuts: number[] } {
  const L = shape.board.length_mm;
  const breaks = [...shape.outline.breaks, ...kneesOf(shape)]
    .filter((x) => x > 0.5 && x < L - 0.5)
    .sort((a, b) => a - b);
  const ends = [0, ...breaks.filter((x, i) => i === 0 || x - breaks[i - 1] > 0.5), L];
  const usual = [...meshStations(shape, count), ...nearTips(shape, count)].sort((a, b) => a - b);
  const xs: number[] = [0];
  const cuts = [0];
  for (let s = 1; s < ends.length; s++) {
    const [from, to] = [ends[s - 1], ends[s]];
    const margin = Math.min(0.005, (to - from) / 50);
    let inner = usual.filter((x, i) => x > from + margin && x < to - margin && x - (usual[i - 1] ?? -1) > 1e-3);
    if (inner.length + 2 < LEAST_ROWS)
      inner = Array.from({ length: LEAST_ROWS - 2 }, (_, k) => from + ((to - from) * (k + 1)) / (LEAST_ROWS - 1));
    xs.push(...inner, to);
    cuts.push(xs.length - 1);
  }
  return { xs, cuts };
}

/** The right half of a board as surfaces through its sections, so many stations and points round them. */
export function patchesOf(shape: Shape, count: number, fine: number): Patches {
  const counts = countsFor(shape, fine);
  const { xs, cuts } = stationsOf(shape, count);
  const rows = xs.map((x) => rowAt(shape, x, counts));
  const bounds = STRIPS.reduce((at, strip) => [...at, at[at.length - 1] + counts[strip]], [0]);
  const open = rows.filter(({ kind }) => kind !== 'pole');
  const vs = STRIPS.map((_, t) =>
    interpolationAt(meanChords(open.map(({ half }) => half.slice(bounds[t], bounds[t + 1] + 1)))),
  );
  const patches: Patch[] = [];
  const walls: Patches['walls'] = [];
  for (let s = 0; s + 1 < cuts.length; s++) {
    const part = rows.slice(cuts[s], cuts[s + 1] + 1);
    const lines = part[0].half.map((_, j) => part.map(({ half }) => half[j]));
    const u = interpolationAt(meanChords(lines));
    vs.forEach((v, t) => {
      const grid = part.map(({ half }) => half.slice(bounds[t], bounds[t + 1] + 1));
      patches.push({ segment: s, strip: t, u, v, net: controlNet(u, v, grid) });
    });
    if (part[0].kind === 'split') {
      const first = patches[patches.length - STRIPS.length].net;
      const last = patches[patches.length - 1].net;
      walls.push({ segment: s, u, net: first.map((row, i) => [row[0], last[i][last[i].length - 1]]) });
    }
  }
  return { rows, cuts, bounds, patches, walls, error_mm: errorOf(shape, patches, counts) };
}

/** The share of a surface's normal that lies in the section: what a distance within the section is to the distance square to the surface. */
function steepness(
  u: Interpolation,
  v: Interpolation,
  net: Point[][],
  [at, across]: readonly [number, number],
): number {
  const step = 1e-5;
  const along = [Math.max(0, at - step), Math.min(1, at + step)].map((x) => surfaceAt(u, v, net, [x, across]));
  const round = [Math.max(0, across - step), Math.min(1, across + step)].map((y) => surfaceAt(u, v, net, [at, y]));
  const [a, b] = [along, round].map(([p, q]) => [q[0] - p[0], q[1] - p[1], q[2] - p[2]]);
  const n = [a[1] * b[2] - a[2] * b[1], a[2] * b[0] - a[0] * b[2], a[0] * b[1] - a[1] * b[0]];
  const whole = Math.hypot(n[0], n[1], n[2]);
  return whole > 0 ? Math.hypot(n[1], n[2]) / whole : 1;
}

/** Between two parameters a surface is tried at these shares. */
const TRIED = [0.5];

/** The greatest distance found from the surfaces, half way between their points, to the section at the same station. */
function errorOf(shape: Shape, patches: readonly Patch[], counts: HalfCounts): number {
  const finer = {
    deck: 4 * counts.deck,
    under: 4 * counts.under,
    fillet: 4 * counts.fillet,
    bottom: 4 * counts.bottom,
  };
  let worst = 0;
  const rings = new Map<string, Point[]>();
  const ringAt = (x_mm: number) => {
    const key = x_mm.toFixed(6);
    let ring = rings.get(key);
    if (!ring) rings.set(key, (ring = rowAt(shape, x_mm, finer).half as Point[]));
    return ring;
  };
  const middles = ({ params }: Interpolation) =>
    params.slice(1).flatMap((to, i) => TRIED.map((share) => params[i] + share * (to - params[i])));
  for (const { u, v, net } of patches) {
    for (const at of middles(u)) {
      for (const across of [0, ...middles(v), 1]) {
        const p = surfaceAt(u, v, net, [at, across]);
        // A surface may leave the board's ends by a rounding: there is no section beyond them.
        const ring = ringAt(Math.min(shape.board.length_mm, Math.max(0, p[0])));
        let least = Infinity;
        for (let i = 1; i < ring.length; i++) {
          const [a, b] = [ring[i - 1], ring[i]];
          const [dy, dz] = [b[1] - a[1], b[2] - a[2]];
          const t = ((p[1] - a[1]) * dy + (p[2] - a[2]) * dz) / (dy * dy + dz * dz || 1);
          const k = t < 0 ? 0 : t > 1 ? 1 : t;
          const [ey, ez] = [a[1] + k * dy - p[1], a[2] + k * dz - p[2]];
          const square = ey * ey + ez * ez;
          if (square < least) least = square;
        }
        const off = Math.sqrt(least) * steepness(u, v, net, [at, across]);
        if (off > worst) worst = off;
      }
    }
  }
  return worst;
}
