import { APEX, heldWithin, LENGTH_mm, TUCK_mm } from '../../document/limits.ts';
import type { Board, BottomLayer, LayerKind, Mark, RailStation } from '../../document/schema.ts';
import { models } from '../../models/models.ts';
import { boardFrom } from '../../shape/issues.ts';
import { type Shape, shapeOf } from '../../shape/shape.ts';
import { boardOfParts } from '../drawn.ts';
import { leastSquares, type Unknown } from '../leastSquares.ts';
import { type Cloud, cleaned, countOf, looksInward, posed, principalPose, sampled, type Scan } from './cloud.ts';
import { GATES_mm, type HeldAgainst, heldAgainst } from './heldAgainst.ts';
import { offOf, pickedFrom, type Place, placed } from './place.ts';
import { readOff } from './readOff.ts';
import { boardLevers, unknown } from './scanLevers.ts';
import { stood, strip } from './stand.ts';
import { outside, type Surface, surfaceOf } from './surface.ts';

export interface ScanFindings extends HeldAgainst {
  /** Points of the file, and how many lay about it and were left out. */
  points: number;
  strays: number;
  fins: boolean;
  noseBy: 'fins' | 'lift' | 'guess';
  /** Its faces look inward: mirrored, or written inside out. If mirrored, its left is the board's right. */
  inward: boolean;
}

export type ScanMade = { ok: true; board: Board; findings: ScanFindings } | { ok: false; reason: string };

export interface ScanChoices {
  name: string;
  unit_mm: number;
  /** The nose is at the other end than it looks. */
  turned?: boolean;
  among?: readonly Board[];
  /** Told how far it is, 0 to 1; what it throws ends the work. */
  onGoing?: (step: string, share: number) => void;
}

/** Units a scan may be in, and the lengths by which each shows. */
export const SCAN_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8 } as const;
export type ScanUnit = keyof typeof SCAN_UNITS;

/** The length of a scan in its own unit, and the units in which that would be a board; more than one is asked about. */
export function scanLength(scan: Scan): { length: number; units: ScanUnit[] } {
  const { cloud } = cleaned(sampled(scan, 40_000));
  if (countOf(cloud) < LEAST_POINTS) return { length: 0, units: [] };
  const laid = posed(cloud, principalPose(cloud));
  const along = Float64Array.from({ length: countOf(laid) }, (_, i) => laid[3 * i]).sort();
  const length = along[along.length - 1] - along[0];
  const units = (Object.keys(SCAN_UNITS) as ScanUnit[]).filter((unit) => {
    const mm = length * SCAN_UNITS[unit];
    return mm > 1300 && mm < 3700;
  });
  return { length, units };
}

const LEAST_POINTS = 400;
/** Another body of more than this share of the points is a second board. */
const SECOND = 0.2;
/** So many points the fit is made with. */
const FITTED = 5000;

/**
 * The board that was scanned. Method: strays by the density of their neighbourhood; axes by principal components; the plane of symmetry,
 * the roll and the pitch by medians of slopes; outline, rocker and foil as read off slabs; then all of the board's numbers and its place
 * together, Gauss-Newton on the distances of points from the surface, with Huber's weights and what lies far off, as fins do, left out.
 * Never throws for a scan, but what `onGoing` throws.
 */
export function boardFromScan(scan: Scan, choices: ScanChoices): ScanMade {
  const { unit_mm, name, onGoing = () => undefined } = choices;
  onGoing('Looking through the points', 0.02);
  const all = sampled(scan);
  if (countOf(all) < LEAST_POINTS) {
    return { ok: false, reason: `There are ${countOf(all)} points with numbers in the scan: too few for a board.` };
  }
  for (let i = 0; i < all.length; i++) all[i] *= unit_mm;
  onGoing('Leaving out what lies about', 0.08);
  const { cloud, strays, bodies } = cleaned(all);
  if ((bodies[1] ?? 0) > SECOND) {
    return { ok: false, reason: 'There are two bodies apart from one another in the scan: cut it down to one board.' };
  }
  if (countOf(cloud) < LEAST_POINTS) return { ok: false, reason: 'The points lie nowhere close enough to be a board.' };
  onGoing('Finding nose, tail, deck and stringer', 0.14);
  const standing = stood(posed(cloud, principalPose(cloud)));
  if (!standing) return { ok: false, reason: 'No deck and bottom are found along what was scanned: it is no board.' };
  const laid = choices.turned ? end4end(standing.cloud, standing.length) : standing.cloud;
  const shape_reason = notABoard(laid, standing.length);
  if (shape_reason !== undefined) return { ok: false, reason: shape_reason };
  onGoing('Reading outline, rocker and foil', 0.2);
  const begun = boardOfParts(readOff(laid, standing.length), {
    name,
    within_mm: 1,
    bumps: false,
    among: choices.among ?? models(),
    onRound: () => onGoing('Reading outline, rocker and foil', 0.25),
  });
  if (!begun.ok) return begun;
  const fit = fitted(withPlainBottom(begun.board), laid, onGoing);
  const whole = boardFrom(fit.board);
  const opened = whole.ok ? whole : boardFrom({ ...fit.board, outline: { ...fit.board.outline, wings: [] } });
  if (!opened.ok) return { ok: false, reason: `The scan makes no board: ${opened.issues[0].words}.` };
  onGoing('Holding the scan against it', 0.97);
  return {
    ok: true,
    board: opened.board,
    findings: {
      points: countOf(scan.positions),
      strays,
      fins: standing.fins > 0.002,
      noseBy: standing.noseBy,
      inward: looksInward(scan) === true,
      ...heldAgainst(opened.board, laid, fit.place, 3 * FITTED),
    },
  };
}

/** Why the body is no board; undefined for one that could be. */
function notABoard(cloud: Cloud, length: number): string | undefined {
  if (!(length >= LENGTH_mm.low && length <= LENGTH_mm.high)) {
    return `The scan comes out ${length.toFixed(0)} mm long: is it in another unit?`;
  }
  const n = countOf(cloud);
  const span = (axis: number) => {
    const values = Float64Array.from({ length: n }, (_, i) => cloud[3 * i + axis]).sort();
    return values[Math.floor(0.995 * n)] - values[Math.floor(0.005 * n)];
  };
  const [wide, high] = [span(1), span(2)];
  if (wide < 0.1 * length || wide > 0.7 * length || high > 0.35 * length) {
    return 'What was scanned is not of a board’s proportions.';
  }
  if (cutOff(cloud, length, wide / 2)) {
    return 'Only one rail is in the scan: one side ends as thick as a middle. Both rails are needed.';
  }
  return undefined;
}

/** Does one side end in foam as thick as the other's inside, as where a scan stops at the stringer? */
function cutOff(cloud: Cloud, length: number, half: number): boolean {
  const thick = (side: -1 | 1) => {
    const found = [0.35, 0.45, 0.55, 0.65].flatMap((share) => {
      const near: number[] = [];
      for (let i = 0; i < countOf(cloud); i++) if (Math.abs(cloud[3 * i] - share * length) < 25) near.push(i);
      const heights = strip(cloud, near, 0.86 * half, 0.97 * half, side);
      return heights ? [heights[1] - heights[0]] : [];
    });
    return found.length > 0 ? found.sort((a, b) => a - b)[Math.floor(found.length / 2)] : 0;
  };
  const [right, left] = [thick(-1), thick(1)];
  return Math.min(left, right) < 0.62 * Math.max(left, right);
}

/** The other way round, tail for nose. */
function end4end(cloud: Cloud, length: number): Cloud {
  const out = Float64Array.from(cloud);
  for (let i = 0; i < out.length; i += 3) {
    out[i] = length - out[i];
    out[i + 1] = -out[i + 1];
  }
  return out;
}

/** Contours begin level, of the kinds any bottom is made up of; which of them are there is found. */
const FIRST_KINDS: readonly LayerKind[] = ['single', 'roll', 'vee', 'double'];

function depthsOf(length_mm: number): Mark[] {
  return [0.05, 0.22, 0.42, 0.66, 0.88].map((share) => ({ from: 'tail', at_mm: share * length_mm, value_mm: 0 }));
}

function withPlainBottom(board: Board): Board {
  const layer = (kind: LayerKind): BottomLayer => ({ kind, width: 1, depths: depthsOf(board.length_mm) });
  const { length_mm } = board;
  const rail = (from: 'tail' | 'nose' | 'centre', at_mm: number): RailStation => ({
    from,
    at_mm,
    apex: 0.36,
    fullness: 0.6,
    tuck_mm: 26,
    edge: from === 'tail' && at_mm < 300 ? 0.5 : 0.2,
    edgeRadius_mm: 4,
  });
  const third = Math.min(305, length_mm / 6);
  const crown = (from: 'tail' | 'nose' | 'centre', at_mm: number): Mark => ({ from, at_mm, value_mm: 8 });
  return {
    ...board,
    bottom: { layers: FIRST_KINDS.map(layer) },
    rails: {
      stations: [rail('tail', third / 2), rail('tail', 1.8 * third), rail('centre', 0), rail('nose', third)],
      tailEdge: { length_mm: 0, fade_mm: 300, hardness: 0 },
    },
    deck: { crown: [crown('tail', third), crown('centre', 0), crown('nose', third)], features: board.deck.features },
  };
}

/** Numbers a document must not have are drawn in. */
function legal(board: Board): Board {
  const { outline, foil } = board;
  return {
    ...board,
    outline: {
      ...outline,
      marks: outline.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, outline.width_mm - 0.02) })),
    },
    foil: {
      ...foil,
      marks: foil.marks.map((mark) => ({ ...mark, value_mm: Math.min(mark.value_mm, foil.thickness_mm - 0.01) })),
    },
  };
}

function surfaceFor(board: Board): Surface | undefined {
  let shape: Shape;
  try {
    shape = shapeOf(legal(board));
    return surfaceOf(shape);
  } catch {
    return undefined;
  }
}

/** Two contours that undo one another are drawn to nothing by so much a mm: a point's part in a thousand. */
const CONTOUR_PULL = 0.1;

function fitted(
  start: Board,
  cloud: Cloud,
  onGoing: NonNullable<ScanChoices['onGoing']>,
): { board: Board; place: Place } {
  let board = start;
  let place: Place = [0, 0, 0, 0, 0, 0];
  const middle = start.length_mm / 2;
  const picked = pickedFrom(cloud, FITTED, start.length_mm);
  GATES_mm.forEach((gate, stage) => {
    const points = within(board, place, middle, picked, gate);
    const count = points.length / 3;
    const moved = new Float64Array(points.length);
    const seen = new Int32Array(2 * count);
    let looked = false;
    const levers = boardLevers(board);
    const contours = [...levers.keys()].filter((k) => levers[k].isContour);
    const offBy = (values: readonly number[], again: boolean): Float64Array | undefined => {
      const made = surfaceFor(levers.reduce((b, lever, k) => lever.with(b, values[6 + k]), board));
      if (!made) return undefined;
      placed(points, values.slice(0, 6) as Place, middle, moved);
      const out = new Float64Array(count + contours.length);
      outside(made, moved, seen, again && looked, out);
      contours.forEach((k, i) => (out[count + i] = CONTOUR_PULL * values[6 + k]));
      looked = true;
      return out;
    };
    const places: Unknown[] = place.map((value, k) =>
      k < 3 ? unknown(value, value - 40, value + 40, 0.2) : unknown(value, value - 0.1, value + 0.1, 2e-4),
    );
    const fit = leastSquares([...places, ...levers.map((lever) => lever.unknown)], (values) => offBy(values, true), {
      huber: stage === 0 ? 3 : 1.2,
      mostRounds: stage === 0 ? 6 : 7,
      gained: 2e-3,
      onRound: (round) => {
        // The nearest places are looked for anew at the start of each round.
        looked = false;
        onGoing('Fitting the board to the points', 0.3 + 0.22 * stage + 0.03 * round);
      },
    });
    board = legal(levers.reduce((b, lever, k) => lever.with(b, fit.values[6 + k]), board));
    place = fit.values.slice(0, 6) as Place;
    board = withoutIdleLayers(board);
  });
  return { board: named(board), place };
}

/** A contour nowhere deeper than this is none. */
const IDLE_mm = 0.35;

/** What a concave and a roll of the same place undo of one another taken off both; contours that are none left out. */
function withoutIdleLayers(board: Board): Board {
  const of = (kind: LayerKind) => board.bottom.layers.find((layer) => layer.kind === kind);
  const [single, roll] = [of('single'), of('roll')];
  const layers = board.bottom.layers.map((layer) => {
    if (!single || !roll || (layer !== single && layer !== roll)) return layer;
    const both = single.depths.map(({ value_mm }, k) => Math.min(value_mm, roll.depths[k].value_mm));
    return { ...layer, depths: layer.depths.map((mark, k) => ({ ...mark, value_mm: mark.value_mm - both[k] })) };
  });
  return {
    ...board,
    bottom: { layers: layers.filter(({ depths }) => depths.some(({ value_mm }) => Math.abs(value_mm) > IDLE_mm)) },
  };
}

const named = (board: Board): Board => ({
  ...board,
  rails: {
    ...board.rails,
    stations: board.rails.stations.map((station) => ({
      ...station,
      apex: heldWithin(APEX, station.apex),
      tuck_mm: heldWithin(TUCK_mm, station.tuck_mm),
    })),
  },
});

/** The points no farther off the board than the gate. */
function within(board: Board, place: Place, middle: number, points: Float64Array, gate: number): Float64Array {
  const surface = surfaceFor(board);
  if (!surface) return points;
  const off = offOf(surface, place, middle, points);
  const out: number[] = [];
  off.forEach((each, k) => {
    if (Math.abs(each) <= gate) out.push(points[3 * k], points[3 * k + 1], points[3 * k + 2]);
  });
  return Float64Array.from(out);
}
