import type { Board, BottomLayer, Mark, RailStation } from '../document/schema.ts';
import { boardFrom, type Opened } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { blendAt, cubicThrough } from '../curve/blend.ts';
import { solveInPlace } from '../curve/linear.ts';
import { railThicknessAt } from '../measure/stationTable.ts';
import { INCH_mm } from '../units/length.ts';
import { measuringSheet, readingAt, readOf, type Readings, type SheetGroup, type SheetLine } from './measuringSheet.ts';

/** Marks of the fitted lines give so much: enough that two readings close together make no bump. */
const MARK_GIVE_mm = 0.1;
/** A mark so near a measured place is that place. */
const SAME_PLACE_mm = 20;
/** Two sides read by hand agree to about so much: less is no difference of the rail. */
const NO_RAIL_mm = 0.3;
/** Less bottom than this is none: 1/32 in. */
const NO_BOTTOM_mm = INCH_mm / 32;

type Difference = (x_mm: number) => number;
type Giving = Mark & { give_mm?: number | undefined };

/**
 * The board that was made, fitted to what was read off it. Where nothing was measured it is the design, moved by the
 * differences measured around: the lines keep the design's own character. Marks are soft, so that a hand's error does not
 * make a bump. Holds crown, tuck, edges and fins, which are not measured.
 * @returns the board, or what makes it impossible (a reading typed wrong), in words.
 */
export function asBuilt(design: Board, readings: Readings): Opened {
  const lines = measuringSheet(shapeOf(design));
  const length = lines.find(({ id }) => id === 'length');
  const board: Board = { ...design, length_mm: (length && readOf(length, readings)) ?? design.length_mm };
  const anchors = anchorsOf(board);
  const placed = (group: SheetGroup) =>
    lines.flatMap((line) => {
      const read = line.group === group ? readOf(line, readings) : undefined;
      return read === undefined ? [] : [{ line, x_mm: stationOfMark(line.place, anchors), read }];
    });
  const differences = (group: SheetGroup): Difference => {
    const points = placed(group).map(({ line, x_mm, read }) => ({ x_mm, value: read - line.design_mm }));
    return likelyDifference(points);
  };

  const width = differences('width');
  const thick = differences('thickness');
  const lift = differences('rocker');
  const { outline, foil, rocker } = board;
  const block = lines.find(({ id }) => id === 'block');
  const blockRead = block && readOf(block, readings);
  const marked = <M extends Giving>(marks: readonly M[], off: Difference, group: SheetGroup, fold: number) =>
    softened(marks, off, placed(group), fold, (mark) => stationOfMark(mark, anchors));
  const thickest_mm = anchors.length_mm / 2 + foil.thickest_mm;
  const fitted: Board = {
    ...board,
    outline: {
      ...outline,
      width_mm: outline.width_mm + 2 * width(anchors.wide_mm),
      tail: { ...outline.tail, block_mm: blockRead === undefined ? outline.tail.block_mm : 2 * blockRead },
      marks: marked(outline.marks, width, 'width', 2).filter((mark) => {
        const x = stationOfMark(mark, anchors);
        // The wide point and the block are numbers of their own.
        return x > SAME_PLACE_mm && Math.abs(x - anchors.wide_mm) > SAME_PLACE_mm;
      }),
    },
    foil: {
      ...foil,
      thickness_mm: foil.thickness_mm + thick(thickest_mm),
      noseTip_mm: Math.max(1, foil.noseTip_mm + thick(anchors.length_mm)),
      tailTip_mm: Math.max(1, foil.tailTip_mm + thick(0)),
      marks: marked(foil.marks, thick, 'thickness', 1).filter((mark) => {
        const x = stationOfMark(mark, anchors);
        return x > 2 * INCH_mm && x < anchors.length_mm - 2 * INCH_mm && Math.abs(x - thickest_mm) > 60;
      }),
    },
    rocker: {
      ...rocker,
      noseLift_mm: rocker.noseLift_mm + lift(anchors.length_mm),
      tailLift_mm: rocker.tailLift_mm + lift(0),
      marks: marked(rocker.marks, lift, 'rocker', 1).filter((mark) => {
        const x = stationOfMark(mark, anchors);
        return x > SAME_PLACE_mm && x < anchors.length_mm - SAME_PLACE_mm;
      }),
    },
    bottom: { layers: asMeasured(design, placed('bottom'), anchors) },
  };
  const opened = boardFrom(fitted);
  if (!opened.ok || placed('rail').length === 0) return opened;
  return boardFrom(withRails(opened.board, differences('rail'), shapeOf(design)));
}

/** How a shaped board comes to differ from its design, mm: all along, and by places as long as a hand's pass; and what a hand misreads. */
const ALONG_mm = 0.5;
const PLACES_mm = 1.2;
const PASS_mm = 450;
const MISREAD_mm = 0.2;

/** How much two places of a board differ from the design together, mm². */
function together_mm2(apart_mm: number): number {
  const q = (Math.sqrt(5) * Math.abs(apart_mm)) / PASS_mm;
  return ALONG_mm ** 2 + PLACES_mm ** 2 * (1 + q + (q * q) / 3) * Math.exp(-q);
}

/**
 * The most likely difference from the design along the board, given those read: it meets each reading within what a hand
 * misreads, and far from all of them it is next to nothing. d(x) = k(x, X) (K + s² I)⁻¹ r.
 *
 * Method: Gaussian process regression with a Matérn covariance of order 5/2 over a constant, Rasmussen and Williams 2006,
 * Gaussian Processes for Machine Learning, equations 2.23 and 4.17. Its four numbers are our own, tried on simulated boards.
 */
function likelyDifference(points: readonly { x_mm: number; value: number }[]): Difference {
  const n = points.length;
  if (n === 0) return () => 0;
  const covariance = new Float64Array(n * n);
  const weights = Float64Array.from(points, ({ value }) => value);
  for (let i = 0; i < n; i++) {
    for (let j = 0; j < n; j++) {
      covariance[i * n + j] = together_mm2(points[i].x_mm - points[j].x_mm) + (i === j ? MISREAD_mm ** 2 : 0);
    }
  }
  // Positive definite by the misreading on its diagonal: there is always one answer.
  solveInPlace(covariance, weights, n);
  return (x) => points.reduce((sum, { x_mm }, i) => sum + weights[i] * together_mm2(x - x_mm), 0);
}

interface Placed {
  line: SheetLine;
  x_mm: number;
  read: number;
}

/** The design's marks moved by the difference there, and a mark at every measured place that had none; all of them soft. */
function softened<M extends Giving>(
  marks: readonly M[],
  off: Difference,
  placed: readonly Placed[],
  fold: number,
  stationOf: (mark: Mark) => number,
): (M | (Mark & { give_mm: number }))[] {
  if (placed.length === 0) return [...marks];
  const moved = marks.map((mark) => ({
    ...mark,
    value_mm: mark.value_mm + fold * off(stationOf(mark)),
    give_mm: MARK_GIVE_mm,
  }));
  const added = placed
    .filter(({ x_mm }) => marks.every((mark) => Math.abs(stationOf(mark) - x_mm) > SAME_PLACE_mm))
    .map(({ line, x_mm }) => {
      return { ...line.place, value_mm: fold * (line.design_mm + off(x_mm)), give_mm: MARK_GIVE_mm };
    });
  return [...moved, ...added];
}

/** The bottom's layers scaled to the light that was read; a bottom drawn flat that was not shaped so gets a layer. */
function asMeasured(
  design: Board,
  placed: readonly Placed[],
  anchors: { length_mm: number; wide_mm: number },
): BottomLayer[] {
  const { layers } = design.bottom;
  if (placed.every(({ line, read }) => Math.abs(read - line.design_mm) < NO_BOTTOM_mm)) return layers;
  const meant = placed.filter(({ line }) => Math.abs(line.design_mm) >= NO_BOTTOM_mm);
  const ratio =
    meant.length > 0
      ? cubicThrough(
          meant.map(({ line, x_mm, read }) => ({ x_mm, value: Math.min(3, Math.max(0, read / line.design_mm)) })),
        )
      : undefined;
  const scaled = layers.map((layer) => ({
    ...layer,
    depths: layer.depths.map((mark) => {
      return ratio ? { ...mark, value_mm: mark.value_mm * blendAt(ratio, stationOfMark(mark, anchors)) } : mark;
    }),
  }));
  const unmeant = (kind: 'single' | 'roll', sign: number): BottomLayer[] => {
    const depths = placed.map(({ line, read }): Mark => {
      const depth = Math.abs(line.design_mm) < NO_BOTTOM_mm ? Math.max(0, sign * (read - line.design_mm)) : 0;
      return { ...line.place, value_mm: depth < NO_BOTTOM_mm ? 0 : depth };
    });
    return depths.some(({ value_mm }) => value_mm > 0) ? [{ kind, width: 1, depths }] : [];
  };
  return [...scaled, ...unmeant('single', 1), ...unmeant('roll', -1)].slice(0, 8);
}

/** Rails as full or as pinched as their thickness was read: each station's fullness by bisection, where it can. */
function withRails(board: Board, off: Difference, design: Shape): Board {
  const anchors = anchorsOf(board);
  // Only rails change: every other curve is taken over as it is.
  const sprung = shapeOf(board);
  const wanted = (station: RailStation) => {
    const x = stationOfMark(station, anchors);
    return railThicknessAt(design, Math.min(x, design.board.length_mm)) + off(x);
  };
  let stations = board.rails.stations;
  stations.forEach((station, i) => {
    const x = stationOfMark(station, anchors);
    const made = (fullness: number) => {
      const tried = stations.map((other, k) => (k === i ? { ...other, fullness } : other));
      return {
        tried,
        mm: railThicknessAt(shapeOf({ ...board, rails: { ...board.rails, stations: tried } }, sprung), x),
      };
    };
    // Less than a hand can read is no difference.
    const now = made(station.fullness).mm;
    if (!(now > 0) || Math.abs(now - wanted(station)) < NO_RAIL_mm) return;
    let [low, high] = [0, 1];
    for (let k = 0; k < 24; k++) {
      const middle = (low + high) / 2;
      if (made(middle).mm < wanted(station)) low = middle;
      else high = middle;
    }
    stations = made((low + high) / 2).tried;
  });
  return { ...board, rails: { ...board.rails, stations } };
}

/** What a perfect hand would read off a board, for every line of a sheet: the sheet filled in. */
export function readingsOf(built: Shape, sheet: readonly SheetLine[]): Readings {
  return Object.fromEntries(
    sheet.map((line) => {
      const x = stationOfMark(line.place, built.anchors);
      const mm = line.id === 'block' ? built.board.outline.tail.block_mm / 2 : readingAt(built, line.group, x);
      return [line.id, line.sided ? { left_mm: mm, right_mm: mm } : { value_mm: mm }];
    }),
  );
}
