import { TAILS } from '../document/kinds.ts';
import { type MarkTrouble, markTroubles } from '../curve/feasibility.ts';
import { hollowStretches } from '../curve/spring.ts';
import { battenEnds } from '../outline/outline.ts';
import { hasBlock } from '../outline/tails.ts';
import { wingsAt } from '../outline/wings.ts';
import { type Shape } from './shape.ts';
import { stationOfMark } from '../document/station.ts';

/** What a batten cannot do fairly on one of the three curves. */
export interface CurveTrouble extends MarkTrouble {
  curve: 'outline' | 'rocker' | 'foil';
  /** Index of the mark in the document; undefined when it is one of the board's own (wide point, block, thickest). */
  mark?: number;
}

interface Placed {
  x_mm: number;
  value_mm: number;
  mark?: number;
  give_mm?: number | undefined;
}

/**
 * Marks that ask for a hollow or a kink, by curve: which, and how far each would have to move. Half widths on the
 * outline. Empty for a board that a batten can take.
 */
export function curveTroubles(shape: Shape): CurveTrouble[] {
  const { board, anchors } = shape;
  const { length_mm } = board;
  const { outline, rocker, foil } = board;
  const wings = (x: number) => wingsAt(outline, x);
  const ends = battenEnds(outline);
  const outlineMarks: Placed[] = [
    { x_mm: anchors.wide_mm, value_mm: outline.width_mm / 2 + wings(anchors.wide_mm) },
    ...outline.marks.map((m, mark) => {
      const x_mm = stationOfMark(m, anchors);
      return { x_mm, value_mm: m.value_mm / 2 + wings(x_mm), mark, give_mm: m.give_mm };
    }),
    ...(hasBlock(outline.tail.kind) ? [{ x_mm: 0, value_mm: outline.tail.block_mm / 2 + wings(0) }] : []),
    ...(TAILS[outline.tail.kind].closes === 'point' ? [{ x_mm: 0, value_mm: ends.tail_mm + wings(0) }] : []),
    ...(outline.nose.kind === 'pointed' ? [{ x_mm: length_mm, value_mm: ends.nose_mm }] : []),
  ];
  const flat_mm = length_mm / 2 + rocker.flatPoint_mm;
  const rockerMarks: Placed[] = [
    { x_mm: 0, value_mm: rocker.tailLift_mm },
    { x_mm: flat_mm, value_mm: 0 },
    { x_mm: length_mm, value_mm: rocker.noseLift_mm },
    ...rocker.marks.map((m, mark) => ({
      x_mm: stationOfMark(m, anchors),
      value_mm: m.value_mm,
      mark,
      give_mm: m.give_mm,
    })),
  ];
  const thickest_mm = length_mm / 2 + foil.thickest_mm;
  const foilMarks: Placed[] = [
    { x_mm: 0, value_mm: foil.tailTip_mm },
    { x_mm: thickest_mm, value_mm: foil.thickness_mm },
    { x_mm: length_mm, value_mm: foil.noseTip_mm },
    ...foil.marks.map((m, mark) => ({
      x_mm: stationOfMark(m, anchors),
      value_mm: m.value_mm,
      mark,
      give_mm: m.give_mm,
    })),
  ];
  return [
    ...named('outline', outlineMarks, markTroubles(outlineMarks, 'in', anchors.wide_mm)),
    ...named('rocker', rockerMarks, markTroubles(rockerMarks, 'up', flat_mm)),
    ...named('foil', foilMarks, markTroubles(foilMarks, 'in', thickest_mm)),
  ];
}

function named(
  curve: CurveTrouble['curve'],
  marks: readonly Placed[],
  troubles: readonly MarkTrouble[],
): CurveTrouble[] {
  return troubles.flatMap((trouble) => {
    const placed = marks.find((m) => m.x_mm === trouble.x_mm);
    // A soft mark asks for nothing that lies within what it gives.
    if (placed?.give_mm !== undefined && trouble.by_mm <= placed.give_mm) return [];
    return [{ ...trouble, curve, ...(placed?.mark === undefined ? {} : { mark: placed.mark }) }];
  });
}

/** Stretches that came out hollow after all, by curve, mm from the tail. */
export function hollowsOf(shape: Shape): { curve: CurveTrouble['curve']; from_mm: number; to_mm: number }[] {
  const list = (curve: CurveTrouble['curve'], stretches: readonly [number, number][]) =>
    stretches.map(([from_mm, to_mm]) => ({ curve, from_mm, to_mm }));
  return [
    ...list('outline', hollowStretches(shape.outline.base, 'in')),
    ...list('rocker', hollowStretches(shape.rocker.line, 'up')),
    ...list('foil', hollowStretches(shape.foil.line, 'in')),
  ];
}
