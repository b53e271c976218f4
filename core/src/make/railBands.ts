import { sectionAt, type Shape } from '../shape/shape.ts';
import { stationOfMark } from '../document/station.ts';
import { type StationPlace, USUAL_STATIONS } from '../measure/stationTable.ts';
import { INCH_mm } from '../units/length.ts';
import {
  facesMeet,
  foamOutside,
  meetsSide,
  type RailCorner,
  railCorner,
  type RailSide,
  standsOff,
  touchedBy,
} from './railCorner.ts';

/** How many flat cuts: on the deck side and under. */
export interface BandCounts {
  deck: number;
  under: number;
}
export const USUAL_BANDS: BandCounts = { deck: 3, under: 1 };
export const DECK_BANDS = [2, 3, 4] as const;
export const UNDER_BANDS = [1, 2] as const;

/** One flat cut at one station, cut in this order from the plane to the apex. */
interface Band {
  /** Its inner edge, level in from the rail, mm: drawn on the deck (or bottom), or on the band before it. */
  in_mm: number;
  /** Where it comes out on the square side, down from the deck plane, or up from the bottom's. mm. */
  side_mm: number;
  /** The face against the level, rad. */
  slope_rad: number;
}

export interface BandStation {
  x_mm: number;
  half_mm: number;
  deck: Band[];
  under: Band[];
  /** Foam left to sand on one rail, mm². */
  left_mm2: number;
  /** The proudest corner left, mm off the finished rail. */
  proud_mm: number;
}

/** Faces of one side as shares of the quarter turn from plane to square side: cubic Bernstein weights along the board. */
type Shares = readonly (readonly number[])[];

export interface RailBands {
  counts: BandCounts;
  deck: Shares;
  under: Shares;
  /** Foam left to sand on both rails. */
  left_L: number;
}

const STATIONS = 41;
const FROM_TIP_mm = INCH_mm;
/** Faces stay so far apart, as a share of the quarter turn: flatter ones are one face. */
const LEAST_GAP = 0.03;
const WEIGHTS = 4;

interface Worked {
  u: number;
  corner: RailCorner;
}

/**
 * Rail bands of a shape. Each face touches the rail at every station and lies outside it; what is free is its angle, a
 * cubic along the board, so that the lines drawn through the bands are as fair as the rail itself. The angles leave the
 * least foam in all, found by a pattern search (Hooke and Jeeves 1961, J. ACM 8, 212); a further band starts from the bands
 * before it and a cut between two of them, so more bands never leave more foam.
 * @throws RangeError for counts outside 1 to 4 on the deck and 0 to 2 under.
 */
export function railBands(shape: Shape, counts: BandCounts = USUAL_BANDS): RailBands {
  const whole = Number.isInteger(counts.deck) && Number.isInteger(counts.under);
  if (!(whole && counts.deck >= 1 && counts.deck <= 4 && counts.under >= 0 && counts.under <= 2)) {
    throw new RangeError(
      `railBands: 1 to 4 bands on the deck and 0 to 2 under, got ${counts.deck} and ${counts.under}`,
    );
  }
  const L = shape.board.length_mm;
  const step = (L - 2 * FROM_TIP_mm) / (STATIONS - 1);
  const worked: Record<RailSide, Worked[]> = { deck: [], under: [] };
  for (let k = 0; k < STATIONS; k++) {
    const x = FROM_TIP_mm + k * step;
    const section = sectionAt(shape, x);
    if (!section) continue;
    for (const side of ['deck', 'under'] as const) worked[side].push({ u: x / L, corner: railCorner(section, side) });
  }
  const deck = leastFoam(worked.deck, counts.deck);
  const under = leastFoam(worked.under, counts.under);
  const left_mm3 = 2 * step * (deck.foam_mm2 + under.foam_mm2);
  return { counts, deck: deck.shares, under: under.shares, left_L: left_mm3 / 1e6 };
}

/** The shares of so many bands that leave the least foam, grown one band at a time. */
function leastFoam(worked: readonly Worked[], count: number): { shares: Shares; foam_mm2: number } {
  let shares: number[][] = [];
  let foam = total(worked, shares);
  for (let n = 0; n < count; n++) {
    const trials = Array.from({ length: n + 1 }, (_, k) => withOneBetween(shares, k));
    const foams = trials.map((trial) => total(worked, trial));
    const best = foams.indexOf(Math.min(...foams));
    ({ shares, foam } = searched(worked, trials[best], foams[best]));
  }
  return { shares, foam_mm2: foam };
}

function withOneBetween(shares: readonly (readonly number[])[], k: number): number[][] {
  const between = Array.from({ length: WEIGHTS }, (_, j) => ((shares[k - 1]?.[j] ?? 0) + (shares[k]?.[j] ?? 1)) / 2);
  return [...shares.slice(0, k).map((row) => [...row]), between, ...shares.slice(k).map((row) => [...row])];
}

function searched(worked: readonly Worked[], start: number[][], foam: number): { shares: number[][]; foam: number } {
  const shares = start;
  let least = foam;
  for (let step = 0.08; step > 0.002; step /= 2) {
    for (let sweep = 0, moved = true; moved && sweep < 12; sweep++) {
      moved = false;
      for (let k = 0; k < shares.length; k++) {
        for (let j = 0; j < WEIGHTS; j++) {
          for (const by of [step, -step]) {
            const was = shares[k][j];
            const next = was + by;
            if (next - (shares[k - 1]?.[j] ?? 0) < LEAST_GAP || (shares[k + 1]?.[j] ?? 1) - next < LEAST_GAP) continue;
            shares[k][j] = next;
            const now = total(worked, shares);
            if (now < least) {
              least = now;
              moved = true;
              break;
            }
            shares[k][j] = was;
          }
        }
      }
    }
  }
  return { shares, foam: least };
}

function total(worked: readonly Worked[], shares: Shares): number {
  let sum = 0;
  for (const { u, corner } of worked) sum += foamOutside(corner, anglesAt(corner, shares, u));
  return sum;
}

function anglesAt(corner: RailCorner, shares: Shares, u: number): number[] {
  const r = 1 - u;
  const turn = Math.PI / 2 - corner.plane_rad;
  return shares.map(
    ([a, b, c, d]) => corner.plane_rad + turn * (a * r * r * r + 3 * b * r * r * u + 3 * c * r * u * u + d * u * u * u),
  );
}

/** The bands at x. @returns undefined at the closed tips. */
export function bandsAt(shape: Shape, bands: RailBands, x_mm: number): BandStation | undefined {
  const section = sectionAt(shape, x_mm);
  if (!section) return undefined;
  const u = x_mm / shape.board.length_mm;
  const read = (side: RailSide) => {
    const corner = railCorner(section, side);
    const angles = anglesAt(corner, bands[side], u);
    const faces = [corner.plane_rad, ...angles, Math.PI / 2];
    const top = meetsSide(corner, corner.plane_rad);
    const corners = faces.slice(1).map((face, k) => facesMeet(corner, faces[k], face));
    const cut = angles.map((angle, k): Band => {
      return {
        in_mm: section.half_mm - corners[k].y_mm,
        side_mm: top - meetsSide(corner, angle),
        slope_rad: angle,
      };
    });
    const proud = Math.max(...corners.map((p) => standsOff(corner, p.y_mm, p.q_mm)));
    return { cut, foam: foamOutside(corner, angles), proud };
  };
  const deck = read('deck');
  const under = read('under');
  return {
    x_mm,
    half_mm: section.half_mm,
    deck: deck.cut,
    under: under.cut,
    left_mm2: deck.foam + under.foam,
    proud_mm: Math.max(deck.proud, under.proud),
  };
}

/** The corner points of the banded section, from the deck plane at the stringer round the rail to the bottom; y, z in mm. */
export function bandedSection(shape: Shape, bands: RailBands, x_mm: number): { y_mm: number; z_mm: number }[] {
  const section = sectionAt(shape, x_mm);
  if (!section) return [];
  const u = x_mm / shape.board.length_mm;
  const along = (side: RailSide) => {
    const corner = railCorner(section, side);
    const faces = [corner.plane_rad, ...anglesAt(corner, bands[side], u), Math.PI / 2];
    const sign = side === 'deck' ? 1 : -1;
    // The crown is shaped before the bands: the deck as it is, to where they begin.
    const touched = side === 'deck' ? touchedBy(corner, corner.plane_rad) : 0;
    const start = Array.from({ length: touched + 1 }, (_, i) => ({
      y_mm: corner.chain[2 * i],
      z_mm: sign * corner.chain[2 * i + 1],
    }));
    const met = faces.slice(1).map((face, k) => facesMeet(corner, faces[k], face));
    return [...start, ...met.map(({ y_mm, q_mm }) => ({ y_mm, z_mm: sign * q_mm }))];
  };
  return [...along('deck'), ...along('under').reverse()];
}

/** The bands at the usual stations, or others; those off the board are left out. From tail to nose. */
export function bandTable(
  shape: Shape,
  bands: RailBands,
  places: readonly StationPlace[] = USUAL_STATIONS,
): (BandStation & StationPlace)[] {
  return places
    .flatMap((place) => {
      const x = stationOfMark(place, shape.anchors);
      const at = x > 0 && x < shape.board.length_mm ? bandsAt(shape, bands, x) : undefined;
      return at ? [{ ...at, ...place }] : [];
    })
    .sort((a, b) => a.x_mm - b.x_mm);
}
