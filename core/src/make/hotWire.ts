import * as z from 'zod';
import type { Shape } from '../shape/shape.ts';
import { lowestAt, stringerLineAt } from '../measure/bottomLines.ts';
import { thicknessAt } from '../foil/foil.ts';
import { type Allowance, USUAL_ALLOWANCE } from './blankFit.ts';

const mm = (low: number, high: number) => z.number().min(low).max(high);

/** A block of EPS as it lies on the table, and the wire it is cut with. */
export const wireBlockSchema = z.strictObject({
  length_mm: mm(500, 6000),
  width_mm: mm(200, 3000),
  height_mm: mm(40, 2000),
  /** What the wire melts away, across. */
  kerf_mm: mm(0, 8),
  /** The wire's own diameter. */
  wire_mm: mm(0.1, 3),
  /** Foam left between one board and the next. */
  apart_mm: mm(0, 60),
});
export type WireBlock = z.infer<typeof wireBlockSchema>;

/** A block of 8 x 4 x 2 ft, a wire of 0.6 mm that melts 1.5: common practice, from memory; a trial cut has its own. */
export const USUAL_WIRE_BLOCK: WireBlock = {
  length_mm: 2438.4,
  width_mm: 1219.2,
  height_mm: 609.6,
  kerf_mm: 1.5,
  wire_mm: 0.6,
  apart_mm: 6,
};

export interface WirePoint {
  x_mm: number;
  z_mm: number;
}

/** One board in the block: x from the block's end at the tails, z over its foot. */
export interface WireLayer {
  name: string;
  /** Where its tail is, and the zero its rocker is measured from. */
  tail_mm: number;
  base_mm: number;
  length_mm: number;
  /** The foam wanted, from end to end of the block: under the bottom and over the deck by the allowance. */
  bottom: WirePoint[];
  deck: WirePoint[];
  /** What the wire rides on: the upper edges of the templates, a level run before and behind the block with them. */
  bottomEdge: WirePoint[];
  deckEdge: WirePoint[];
  /** So many of this width lie beside one another in the block. */
  abreast: number;
}

export interface WirePlan {
  layers: WireLayer[];
  /** Boards the block does not hold, each with by how much it is short. */
  left: { name: string; of: 'length' | 'width' | 'height'; short_mm: number }[];
  /** From the foot to the topmost cut. */
  used_mm: number;
}

/** Templates run level past both ends of the block by so much: the wire is moving straight before it meets foam. */
export const WIRE_LEAD_mm = 60;
/** No cut comes nearer to the foot: a template must hold together there. */
const FOOT_mm = 15;
/** So near to a tip the lines are those of the tip's rounding: the cut goes on straight from here. */
const TIP_mm = 15;
/** Past a tip a cut becomes level, its slope falling away over so much. */
const LEVELS_mm = 80;
const PLACES = 800;

/** The foam wanted of one board at places along the block, over its own zero. */
function linesIn(shape: Shape, block: WireBlock, allowance: Allowance, xs: readonly number[]) {
  const { length_mm: L } = shape.board;
  const tail_mm = (block.length_mm - L) / 2;
  const step = block.length_mm / PLACES;
  const apex = shape.outline.end.notch_mm;
  // Where a notch ends the lowest of the bottom comes in as steeply as a root does: the wire passes under it.
  const lowest = (x: number) =>
    apex > 0 && Math.abs(x - apex) < 2 * step
      ? Math.min(lowestAt(shape, x - step), lowestAt(shape, x + step))
      : lowestAt(shape, x);
  const bottomAt = (x: number) => lowest(x) - allowance.surface_mm;
  const deckAt = (x: number) => stringerLineAt(shape, x) + thicknessAt(shape.foil, x) + allowance.surface_mm;
  const beyond = (end: number, inward: number) => {
    const slope = (bottomAt(end + inward) - bottomAt(end)) / inward;
    const thick = deckAt(end) - bottomAt(end);
    return (x: number) => {
      // Straight on past the tip, then level: the wire leaves the foam as it came in.
      const on = LEVELS_mm * (1 - Math.exp(-Math.abs(x - end) / LEVELS_mm));
      const bottom = bottomAt(end) + slope * Math.sign(x - end) * on;
      return { bottom, deck: bottom + thick };
    };
  };
  const [aft, fore] = [beyond(TIP_mm, 20), beyond(L - TIP_mm, -20)];
  const rows = xs.map((x_mm) => {
    const x = x_mm - tail_mm;
    const { bottom, deck } = x < TIP_mm ? aft(x) : x > L - TIP_mm ? fore(x) : { bottom: bottomAt(x), deck: deckAt(x) };
    return { x_mm, bottom, deck };
  });
  return { tail_mm, rows };
}

/** A line moved off itself by so much to its left, seen along x: upward where positive. */
function movedOff(line: readonly WirePoint[], by_mm: number): WirePoint[] {
  return line.map((p, i) => {
    const a = line[Math.max(0, i - 1)];
    const b = line[Math.min(line.length - 1, i + 1)];
    const long = Math.hypot(b.x_mm - a.x_mm, b.z_mm - a.z_mm);
    return {
      x_mm: p.x_mm - (by_mm * (b.z_mm - a.z_mm)) / long,
      z_mm: p.z_mm + (by_mm * (b.x_mm - a.x_mm)) / long,
    };
  });
}

/** The edge of a template, with its level run past both ends. */
function withRuns(line: readonly WirePoint[]): WirePoint[] {
  const [first, last] = [line[0], line[line.length - 1]];
  return [
    { x_mm: first.x_mm - WIRE_LEAD_mm, z_mm: first.z_mm },
    ...line,
    { x_mm: last.x_mm + WIRE_LEAD_mm, z_mm: last.z_mm },
  ];
}

/**
 * Boards laid in one block one over another, each as low as the one under it leaves room for, along the whole length: spooned, rocker in
 * rocker. The wire rides on the upper edges of a pair of templates, one on each side of the block; its middle is half its diameter over
 * them, and it melts half the kerf to either side. So an edge lies off the foam wanted by half of kerf and wire, along the line's normal:
 * lower by both for a bottom, which is over the wire, higher by half the kerf less half the wire for a deck.
 */
export function wirePlan(
  boards: readonly { name: string; shape: Shape }[],
  block: WireBlock,
  allowance: Allowance = USUAL_ALLOWANCE,
): WirePlan {
  const xs = Array.from({ length: PLACES + 1 }, (_, k) => (block.length_mm * k) / PLACES);
  const layers: WireLayer[] = [];
  const left: WirePlan['left'] = [];
  const { kerf_mm: kerf, wire_mm: wire } = block;
  let ceiling: WirePoint[] | undefined;
  let used_mm = 0;
  for (const { name, shape } of boards) {
    const { length_mm, outline } = shape.board;
    const width = outline.width_mm + 2 * allowance.width_mm;
    const tooLong = length_mm + 2 * allowance.ends_mm - block.length_mm;
    if (tooLong > 0) {
      left.push({ name, of: 'length', short_mm: tooLong });
      continue;
    }
    if (width > block.width_mm) {
      left.push({ name, of: 'width', short_mm: width - block.width_mm });
      continue;
    }
    const { tail_mm, rows } = linesIn(shape, block, allowance, xs);
    const under = ceiling;
    const base_mm = under
      ? Math.max(...rows.map((row, i) => under[i].z_mm + 2 * kerf + block.apart_mm - row.bottom))
      : FOOT_mm + kerf + wire - Math.min(...rows.map((row) => row.bottom));
    const top = base_mm + Math.max(...rows.map((row) => row.deck)) + kerf;
    if (top > block.height_mm) {
      left.push({ name, of: 'height', short_mm: top - block.height_mm });
      continue;
    }
    const bottom = rows.map((row) => ({ x_mm: row.x_mm, z_mm: base_mm + row.bottom }));
    const deck = rows.map((row) => ({ x_mm: row.x_mm, z_mm: base_mm + row.deck }));
    layers.push({
      name,
      tail_mm,
      base_mm,
      length_mm,
      bottom,
      deck,
      bottomEdge: withRuns(movedOff(bottom, -(kerf + wire) / 2)),
      deckEdge: withRuns(movedOff(deck, (kerf - wire) / 2)),
      abreast: Math.floor(block.width_mm / width),
    });
    ceiling = deck;
    used_mm = top;
  }
  return { layers, left, used_mm };
}
