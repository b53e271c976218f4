import { LENGTH_mm } from '../../document/limits.ts';
import type { Board } from '../../document/schema.ts';
import { models } from '../../models/models.ts';
import { boardFrom } from '../../shape/issues.ts';
import { boardOfParts } from '../drawn.ts';
import { type Cloud, cleaned, countOf, looksInward, posed, principalPose, sampled, type Scan } from './cloud.ts';
import { FITTED, fittedBoard, withPlainBottom } from './fitBoard.ts';
import { type HeldAgainst, heldAgainst } from './heldAgainst.ts';
import { readOff } from './readOff.ts';
import { stood, strip } from './stand.ts';

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
  const fit = fittedBoard(withPlainBottom(begun.board), laid, onGoing);
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
