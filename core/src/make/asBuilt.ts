import { MOST_STATIONS } from '../document/limits.ts';
import type {
  Board,
  BottomLayer,
  FoilDocument,
  Mark,
  OutlineDocument,
  RailStation,
  RockerDocument,
} from '../document/schema.ts';
import { boardFrom, type Opened } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { type Anchors, anchorsOf, stationOfMark } from '../document/station.ts';
import { blendAt, cubicThrough } from '../curve/blend.ts';
import { smootherstep } from '../curve/ease.ts';
import { solveInPlace } from '../curve/linear.ts';
import { endReach } from '../outline/outline.ts';
import { wingsAt } from '../outline/wings.ts';
import { railThicknessAt } from '../measure/stationTable.ts';
import { INCH_mm } from '../units/length.ts';
import { measuringSheet, readingAt, readOf, type Readings, type SheetGroup, type SheetLine } from './measuringSheet.ts';

/** So many marks hold a line as it was read, give so little, and stay so far off the ends and the places that are the board's own. */
const MARKS = 15;
const MARK_GIVE_mm = 0.05;
const END_mm = 50;
const OWN_mm = 60;
/** So far from where they were drawn the wide point and the thickest place may come out. */
const WIDE_MOVES_mm = 150;
const THICK_MOVES_mm = 250;
/** A mark so near a measured place is that place. */
const SAME_PLACE_mm = 20;
/** Two sides read by hand agree to about so much: less is no difference of the rail. */
const NO_RAIL_mm = 0.3;
/** Less bottom than this is none: 1/32 in. */
const NO_BOTTOM_mm = INCH_mm / 32;

type Difference = (x_mm: number) => number;

/**
 * The board that was made, fitted to what was read off it. Where nothing was measured it is the design, moved by the
 * likely difference there: the lines keep the design's own character, and a hand's error makes no bump. Holds tuck, edges and
 * fins, which are not measured.
 * @returns the board, or what makes it impossible (a reading typed wrong), in words.
 */
export function asBuilt(design: Board, readings: Readings): Opened {
  const shape = shapeOf(design);
  const lines = measuringSheet(shape);
  const length = lines.find(({ id }) => id === 'length');
  const board: Board = { ...design, length_mm: (length && readOf(length, readings)) ?? design.length_mm };
  const anchors = anchorsOf(board);
  const placed = (group: SheetGroup) =>
    lines.flatMap((line) => {
      const read = line.group === group ? readOf(line, readings) : undefined;
      return read === undefined ? [] : [{ line, x_mm: stationOfMark(line.place, anchors), read }];
    });
  const block = lines.find(({ id }) => id === 'block');
  const blockRead = block && readOf(block, readings);
  const { outline } = board;
  const tail = { ...outline.tail, block_mm: blockRead === undefined ? outline.tail.block_mm : 2 * blockRead };
  const made = { shape, anchors, placed };
  const fitted: Board = {
    ...board,
    outline: { ...outlineAsRead({ ...outline, tail }, made), tail },
    foil: foilAsRead(board.foil, made),
    rocker: rockerAsRead(board.rocker, made),
    deck: { ...board.deck, crown: crownAsRead(board.deck.crown, made) },
    bottom: { layers: asMeasured(design, placed('bottom'), anchors) },
  };
  const opened = boardFrom(fitted);
  // A rail is read with callipers, or by the light under its card: foam that is missing under it.
  const rails = [
    ...placed('rail').map(({ line, x_mm, read }) => ({ x_mm, value: read - line.design_mm })),
    ...placed('card').map(({ x_mm, read }) => ({ x_mm, value: -read })),
  ];
  if (!opened.ok || rails.length === 0) return opened;
  return boardFrom(withRails(opened.board, likelyDifference(rails), shape));
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

/** What the lines are made from: the design, where the made board's places are, and what was read at those of a group. */
interface Made {
  shape: Shape;
  anchors: Anchors;
  placed: (group: SheetGroup) => Placed[];
}

/** The line that was made: the design's, at the place of it that lies there on a board of another length, and the likely difference. */
function lineAsRead(
  { shape, anchors }: Made,
  read: readonly Placed[],
  fixed: readonly number[] = [],
  group: SheetGroup = read[0].line.group,
): (x_mm: number) => number {
  const points = read.map(({ line, x_mm, read: mm }) => ({ x_mm, value: mm - line.design_mm }));
  const off = likelyDifference([...points, ...fixed.map((x_mm) => ({ x_mm, value: 0 }))]);
  const longer = shape.board.length_mm - anchors.length_mm;
  // From either end as far as on the design: what it is longer or shorter by lies in the middle.
  const onDesign = (x: number) => x + longer * smootherstep(x / anchors.length_mm);
  return (x) => readingAt(shape, group, onDesign(x)) + off(x);
}

/** Marks that hold a line: closer toward the ends, where lines bend most; left out where the line is the board's own. */
function marksOf(
  line: (x_mm: number) => number,
  length_mm: number,
  from: { tail_mm: number; nose_mm: number },
  own: (x_mm: number) => boolean = () => false,
): (Mark & { give_mm: number })[] {
  const [low, high] = [from.tail_mm, length_mm - from.nose_mm];
  const marks: (Mark & { give_mm: number })[] = [];
  for (let k = 0; k < MARKS; k++) {
    const x = (low + high) / 2 - ((high - low) / 2) * Math.cos((Math.PI * k) / (MARKS - 1));
    if (own(x)) continue;
    const nearTail = x < length_mm / 2;
    const place = nearTail ? { from: 'tail' as const, at_mm: x } : { from: 'nose' as const, at_mm: length_mm - x };
    marks.push({ ...place, value_mm: Math.max(0, line(x)), give_mm: MARK_GIVE_mm });
  }
  return marks;
}

/** Where a line is greatest between two places, by steps of 2 mm: lines are flat there. */
function greatest(line: (x_mm: number) => number, low: number, high: number): number {
  let best = low;
  for (let x = low; x <= high; x += 2) if (line(x) > line(best)) best = x;
  return best;
}

function outlineAsRead(outline: OutlineDocument, made: Made): OutlineDocument {
  const read = made.placed('width').filter(({ line }) => line.id !== 'block');
  if (read.length === 0) return outline;
  const { length_mm, wide_mm } = made.anchors;
  const half = lineAsRead(made, read);
  const plain = (x: number) => half(x) + wingsAt(outline, x);
  const wide = greatest(plain, Math.max(0.2 * length_mm, wide_mm - WIDE_MOVES_mm), wide_mm + WIDE_MOVES_mm);
  const reach = endReach(outline);
  const from = { tail_mm: Math.max(END_mm, reach.tail_mm + 20), nose_mm: Math.max(END_mm, reach.nose_mm + 20) };
  const marks = marksOf(
    (x) => 2 * half(x),
    length_mm,
    from,
    (x) => Math.abs(x - wide) < OWN_mm,
  );
  return { ...outline, width_mm: 2 * half(wide), widePoint_mm: wide - length_mm / 2, marks };
}

function foilAsRead(foil: FoilDocument, made: Made): FoilDocument {
  const read = made.placed('thickness');
  if (read.length === 0) return foil;
  const { length_mm } = made.anchors;
  const thick = lineAsRead(made, read);
  const was = length_mm / 2 + foil.thickest_mm;
  const thickest = greatest(
    thick,
    Math.max(0.15 * length_mm, was - THICK_MOVES_mm),
    Math.min(0.9 * length_mm, was + THICK_MOVES_mm),
  );
  return {
    thickness_mm: thick(thickest),
    thickest_mm: thickest - length_mm / 2,
    noseTip_mm: Math.max(1, thick(length_mm)),
    tailTip_mm: Math.max(1, thick(0)),
    marks: marksOf(thick, length_mm, { tail_mm: END_mm, nose_mm: END_mm }, (x) => Math.abs(x - thickest) < OWN_mm),
  };
}

function rockerAsRead(rocker: RockerDocument, made: Made): RockerDocument {
  const read = made.placed('rocker');
  if (read.length === 0) return rocker;
  const { length_mm } = made.anchors;
  // The straightedge lies where the bottom is level: there nothing is off.
  const flat = length_mm / 2 + rocker.flatPoint_mm;
  const lift = lineAsRead(made, read, [flat]);
  return {
    ...rocker,
    noseLift_mm: lift(length_mm),
    tailLift_mm: lift(0),
    marks: marksOf(lift, length_mm, { tail_mm: END_mm, nose_mm: END_mm }, (x) => Math.abs(x - flat) < OWN_mm),
  };
}

/** The crown with as much more or less at each station as the deck was read to fall, by what a millimetre of crown makes of it there. */
function crownAsRead(crown: readonly Mark[], made: Made): Mark[] {
  const read = made.placed('crown');
  if (read.length === 0) return [...crown];
  const { shape, anchors } = made;
  const off = likelyDifference(read.map(({ line, x_mm, read: mm }) => ({ x_mm, value: mm - line.design_mm })));
  const more = crown.map((mark) => ({ ...mark, value_mm: mark.value_mm + 1 }));
  const rounder = shapeOf({ ...shape.board, deck: { ...shape.board.deck, crown: more } }, shape);
  const places = [
    ...crown,
    ...read
      .filter(({ x_mm }) => crown.every((mark) => Math.abs(stationOfMark(mark, anchors) - x_mm) > SAME_PLACE_mm))
      .map(({ line }) => line.place),
  ].slice(0, MOST_STATIONS);
  return places.map(({ from, at_mm }): Mark => {
    const x = stationOfMark({ from, at_mm }, shape.anchors);
    const falls = readingAt(rounder, 'crown', x) - readingAt(shape, 'crown', x);
    const by = falls > LEAST_FALL ? off(x) / falls : 0;
    return { from, at_mm, value_mm: Math.max(0, blendAt(shape.crown, x) + by) };
  });
}
/** A crown that makes less of the deck's fall than this is no help to it: at the very tips. */
const LEAST_FALL = 0.05;

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
  const read = (line: SheetLine, x: number) => {
    if (line.group !== 'card') return readingAt(built, line.group, x);
    // A card is cut to the design's rail: the light under it is what the rail came out thinner.
    const rail = sheet.find(({ group, name }) => group === 'rail' && name === line.name);
    return rail ? rail.design_mm - readingAt(built, 'rail', x) : 0;
  };
  return Object.fromEntries(
    sheet.map((line) => {
      const x = stationOfMark(line.place, built.anchors);
      const mm = line.id === 'block' ? built.board.outline.tail.block_mm / 2 : read(line, x);
      return [line.id, line.sided ? { left_mm: mm, right_mm: mm } : { value_mm: mm }];
    }),
  );
}
