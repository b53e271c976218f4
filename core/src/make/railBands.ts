import * as z from 'zod';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { stationOfMark } from '../document/station.ts';
import { type StationPlace, USUAL_STATIONS } from '../measure/stationTable.ts';
import { type Blend, blendAt, cubicThrough } from '../curve/blend.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { INCH_mm } from '../units/length.ts';
import {
  cornerProud,
  faceFrom,
  facesMeet,
  foamOutside,
  meetsSide,
  type RailCorner,
  railCorner,
  type RailSide,
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

const inFromRail = z.number().min(1).max(300);
/** A line the shaper holds: as far in from the rail as given at three places, in between and beyond that share of the half width. */
const fixedLine = z.strictObject({
  side: z.enum(['deck', 'under']),
  /** Which band of that side, from 0. */
  band: z.number().int().min(0).max(3),
  in_mm: z.strictObject({ nose12: inFromRail, middle: inFromRail, tail12: inFromRail }),
});
export type FixedLine = z.infer<typeof fixedLine>;

/** How the rails are to be cut: how many bands, and the lines the shaper holds. */
export const bandPlanSchema = z.strictObject({
  deck: z.union(DECK_BANDS.map((n) => z.literal(n))),
  under: z.union(UNDER_BANDS.map((n) => z.literal(n))),
  fixed: z.array(fixedLine).max(6).optional(),
});
export interface BandPlan extends BandCounts {
  fixed?: readonly FixedLine[] | undefined;
}

/** Where a held line is given, in the order of a FixedLine. */
export const FIXED_AT: Readonly<Record<keyof FixedLine['in_mm'], StationPlace>> = {
  nose12: { from: 'nose', at_mm: 12 * INCH_mm },
  middle: { from: 'centre', at_mm: 0 },
  tail12: { from: 'tail', at_mm: 12 * INCH_mm },
};

/** Faces of one side as shares of the quarter turn from plane to square side: cubic Bernstein weights along the board. */
type Shares = readonly (readonly number[])[];

/** For each band of a side its inner edge as a share of the half width along the board, where the shaper holds it. */
type HeldLines = readonly (Blend | undefined)[];

export interface RailBands {
  counts: BandCounts;
  deck: Shares;
  under: Shares;
  held: Readonly<Record<RailSide, HeldLines>>;
  /** Foam left to sand on both rails. */
  left_L: number;
}

const STATIONS = 41;
const FROM_TIP_mm = INCH_mm;
/** Faces stay so far apart, as a share of the quarter turn: flatter ones are one face. */
const LEAST_GAP = 0.03;
const WEIGHTS = 4;
/** The power at which corners of a station are added up: high enough that the proudest is nearly all of it, and still smooth. */
const PROUDEST_POWER = 8;

interface Worked {
  x_mm: number;
  u: number;
  corner: RailCorner;
}

/**
 * Rail bands of a shape. Each face touches the rail at every station and lies outside it; what is free is its angle, a
 * cubic along the board, so that the lines drawn through the bands are as fair as the rail itself. The angles make the
 * proudest corners least in all, found by a pattern search (Hooke and Jeeves 1961, J. ACM 8, 212); a further band starts from the
 * bands before it and a cut between two of them, so more bands never stand prouder. A line the shaper holds stays where it is
 * given, as far as faces can stay apart, and the others are found around it.
 * @throws RangeError for counts outside 1 to 4 on the deck and 0 to 2 under, or a held line that is not one of them.
 */
export function railBands(shape: Shape, plan: BandPlan = USUAL_BANDS): RailBands {
  const { deck: onDeck, under: below, fixed = [] } = plan;
  const whole = Number.isInteger(onDeck) && Number.isInteger(below);
  if (!(whole && onDeck >= 1 && onDeck <= 4 && below >= 0 && below <= 2)) {
    throw new RangeError(`railBands: 1 to 4 bands on the deck and 0 to 2 under, got ${onDeck} and ${below}`);
  }
  const counts: BandCounts = { deck: onDeck, under: below };
  const held = { deck: heldLines(shape, 'deck', onDeck, fixed), under: heldLines(shape, 'under', below, fixed) };
  const L = shape.board.length_mm;
  const step = (L - 2 * FROM_TIP_mm) / (STATIONS - 1);
  const worked: Record<RailSide, Worked[]> = { deck: [], under: [] };
  for (let k = 0; k < STATIONS; k++) {
    const x = FROM_TIP_mm + k * step;
    const section = sectionAt(shape, x);
    if (!section) continue;
    for (const side of ['deck', 'under'] as const)
      worked[side].push({ x_mm: x, u: x / L, corner: railCorner(section, side) });
  }
  const deck = leastProud(worked.deck, held.deck);
  const under = leastProud(worked.under, held.under);
  const foam_mm2 = (side: RailSide, shares: Shares) =>
    worked[side].reduce((sum, at) => sum + foamOutside(at.corner, anglesAt(at, shares, held[side])), 0);
  const left_mm3 = 2 * step * (foam_mm2('deck', deck) + foam_mm2('under', under));
  return { counts, deck, under, held, left_L: left_mm3 / 1e6 };
}

function heldLines(shape: Shape, side: RailSide, count: number, fixed: readonly FixedLine[]): HeldLines {
  const lines: (Blend | undefined)[] = Array.from({ length: count }, () => undefined);
  for (const line of fixed.filter((one) => one.side === side)) {
    const { nose12, middle, tail12 } = line.in_mm;
    if (!(Number.isInteger(line.band) && line.band >= 0 && line.band < count))
      throw new RangeError(`railBands: there is no band ${line.band} to hold`);
    if (!(nose12 > 0 && middle > 0 && tail12 > 0)) throw new RangeError('railBands: a line is held in from the rail');
    const places = (['tail12', 'middle', 'nose12'] as const).map((at) => {
      const x_mm = stationOfMark(FIXED_AT[at], shape.anchors);
      return { x_mm, value: line.in_mm[at] / Math.max(1, halfBreadthAt(shape.outline, x_mm)) };
    });
    lines[line.band] = cubicThrough(places);
  }
  return lines;
}

/** The shares that stand least proud, grown one band at a time, then searched once more around what is held. */
function leastProud(worked: readonly Worked[], held: HeldLines): Shares {
  let shares: number[][] = [];
  for (let n = 0; n < held.length; n++) {
    const trials = Array.from({ length: n + 1 }, (_, k) => withOneBetween(shares, k));
    const proud = trials.map((trial) => total(worked, trial, NONE_HELD));
    const best = proud.indexOf(Math.min(...proud));
    shares = searched(worked, trials[best], NONE_HELD);
  }
  return held.some((line) => line !== undefined) ? searched(worked, shares, held) : shares;
}
const NONE_HELD: HeldLines = [];

function withOneBetween(shares: readonly (readonly number[])[], k: number): number[][] {
  const between = Array.from({ length: WEIGHTS }, (_, j) => ((shares[k - 1]?.[j] ?? 0) + (shares[k]?.[j] ?? 1)) / 2);
  return [...shares.slice(0, k).map((row) => [...row]), between, ...shares.slice(k).map((row) => [...row])];
}

function searched(worked: readonly Worked[], start: number[][], held: HeldLines): number[][] {
  const shares = start;
  let least = total(worked, shares, held);
  for (let step = 0.08; step > 0.002; step /= 2) {
    for (let sweep = 0, moved = true; moved && sweep < 12; sweep++) {
      moved = false;
      for (let k = 0; k < shares.length; k++) {
        if (held[k]) continue;
        for (let j = 0; j < WEIGHTS; j++) {
          for (const by of [step, -step]) {
            const was = shares[k][j];
            const next = was + by;
            const [before, after] = [held[k - 1] ? undefined : shares[k - 1], held[k + 1] ? undefined : shares[k + 1]];
            if (next - (before?.[j] ?? 0) < LEAST_GAP || (after?.[j] ?? 1) - next < LEAST_GAP) continue;
            shares[k][j] = next;
            const now = total(worked, shares, held);
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
  return shares;
}

/** The proudest corners of all stations together, mm. */
function total(worked: readonly Worked[], shares: Shares, held: HeldLines): number {
  let sum = 0;
  for (const at of worked) {
    const angles = anglesAt(at, shares, held);
    let corners = 0;
    for (let k = 0; k <= angles.length; k++) {
      const from = k === 0 ? at.corner.plane_rad : angles[k - 1];
      corners += cornerProud(at.corner, from, angles[k] ?? Math.PI / 2) ** PROUDEST_POWER;
    }
    sum += corners ** (1 / PROUDEST_POWER);
  }
  return sum;
}

/** The angles of the faces at a station, rising: free ones from their cubic, held ones so that their edge is where it is asked. */
function anglesAt({ corner, u, x_mm }: Worked, shares: Shares, held: HeldLines): number[] {
  const r = 1 - u;
  const turn = Math.PI / 2 - corner.plane_rad;
  const gap = LEAST_GAP * turn;
  let before = corner.plane_rad;
  return shares.map(([a, b, c, d], k) => {
    const line = held[k];
    const wanted = line
      ? faceFrom(corner, before, corner.half_mm * (1 - blendAt(line, x_mm)))
      : corner.plane_rad + turn * (a * r * r * r + 3 * b * r * r * u + 3 * c * r * u * u + d * u * u * u);
    const most = Math.PI / 2 - gap * (shares.length - k);
    before = Math.min(most, Math.max(before + gap, wanted));
    return before;
  });
}

/** The bands at x. @returns undefined at the closed tips. */
export function bandsAt(shape: Shape, bands: RailBands, x_mm: number): BandStation | undefined {
  const section = sectionAt(shape, x_mm);
  if (!section) return undefined;
  const u = x_mm / shape.board.length_mm;
  const read = (side: RailSide) => {
    const corner = railCorner(section, side);
    const angles = anglesAt({ corner, u, x_mm }, bands[side], bands.held[side]);
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
    const proud = Math.max(...corners.map((_, k) => cornerProud(corner, faces[k], faces[k + 1])));
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
    const angles = anglesAt({ corner, u, x_mm }, bands[side], bands.held[side]);
    const faces = [corner.plane_rad, ...angles, Math.PI / 2];
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
