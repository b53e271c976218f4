import type { Board, Mark } from '../../document/schema.ts';
import { MOST_MARKS, WING_DEPTH_mm } from '../../document/limits.ts';
import { flattestPart } from '../../measure/bend.ts';
import { Facts } from '../../measure/facts.ts';
import { shapeOf } from '../../shape/shape.ts';
import { grown } from '../../edit/grow.ts';
import { withWings } from '../../edit/parts.ts';
import { thickened, widened } from '../../edit/size.ts';
import { thicknessAt } from '../../foil/foil.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { clamp, inch, movable } from './lever.ts';

/** Changes the width mark 12 in from an end, or sets one there if there is none. */
function endWidth(board: Board, end: 'nose' | 'tail', by_mm: number): Board {
  const { outline } = board;
  const index = outline.marks.findIndex((mark) => mark.from === end && Math.abs(mark.at_mm - inch(12)) < inch(2.5));
  if (index >= 0) {
    const marks = outline.marks.map((mark, i) => (i === index ? { ...mark, value_mm: mark.value_mm + by_mm } : mark));
    return { ...board, outline: { ...outline, marks } };
  }
  const x = end === 'nose' ? board.length_mm - inch(12) : inch(12);
  const value_mm = 2 * halfBreadthAt(shapeOf(board).outline, x) + by_mm;
  return { ...board, outline: { ...outline, marks: [...outline.marks, { from: end, at_mm: inch(12), value_mm }] } };
}

/**
 * Changes lifts toward one tip: the tip's own by so much, marks on the way in proportion to the lift they have. Of a tip without lift
 * they rise as a parabola from the flat point does.
 */
function tipLift(board: Board, end: 'nose' | 'tail', by_mm: number): Board {
  if (by_mm === 0) return board;
  const { rocker, length_mm } = board;
  const tip = end === 'nose' ? rocker.noseLift_mm : rocker.tailLift_mm;
  const lifted = tip + by_mm;
  const run_mm = length_mm / 2 + (end === 'nose' ? -1 : 1) * rocker.flatPoint_mm;
  const raised = ({ at_mm, value_mm }: Mark) =>
    tip > 0 ? (value_mm * lifted) / tip : value_mm + by_mm * Math.max(0, 1 - at_mm / run_mm) ** 2;
  const marks = rocker.marks.map((mark) => (mark.from === end ? { ...mark, value_mm: raised(mark) } : mark));
  return {
    ...board,
    rocker: { ...rocker, marks, [end === 'nose' ? 'noseLift_mm' : 'tailLift_mm']: lifted },
  };
}

/** Changes the lift 12 in from an end alone: the curve moves into or out of the tip. */
function entryLift(board: Board, end: 'nose' | 'tail', by_mm: number): Board {
  const { rocker } = board;
  const marks = rocker.marks.map((mark) =>
    mark.from === end && Math.abs(mark.at_mm - inch(12)) < inch(3)
      ? { ...mark, value_mm: mark.value_mm + by_mm }
      : mark,
  );
  return { ...board, rocker: { ...rocker, marks } };
}

/** So far past the ends of the flattest part the curve is taken, as a share of its half length. */
const PAST_FLAT = 1.2;

/** Lowers the bottom's curve at both ends of its flattest part, tips held. */
function flatter(board: Board, by_mm: number): Board {
  // Curve is not put back there by two marks: that would make a wave of it.
  if (by_mm <= 0) return board;
  const { rocker } = board;
  const shape = shapeOf(board);
  const { line } = shape.rocker;
  const flat = flattestPart(shape);
  const places = [-1, 1].map((side) => flat.middle_mm - board.length_mm / 2 + (side * PAST_FLAT * flat.length_mm) / 2);
  const near = (at_mm: number) => (mark: Mark) => mark.from === 'centre' && Math.abs(mark.at_mm - at_mm) < inch(3);
  const marks = [
    ...rocker.marks.filter((mark) => places.every((at) => !near(at)(mark))),
    ...places.map((at_mm) => ({
      from: 'centre' as const,
      at_mm,
      value_mm: Math.max(0, line.valueAt(board.length_mm / 2 + at_mm) - by_mm),
      give_mm: 0.4,
    })),
  ];
  return marks.length > MOST_MARKS ? board : { ...board, rocker: { ...rocker, marks } };
}

/** What a board drawn for a sharp rider is softened toward: nose lift, a balanced foil, a narrower block. Common practice. */
const SOFT = { noseLift_mm: inch(4.75), block: 0.92 } as const;

/** Nose lift, foil and block so much of the way to a board that forgives. */
function softened(board: Board, share: number): Board {
  const facts = new Facts(shapeOf(board));
  const lift = Math.min(0, SOFT.noseLift_mm - facts.m.noseRocker_mm) * share;
  const balanced = foilTilt(tipLift(board, 'nose', lift), -Math.min(0, facts.foilBias_mm) * share);
  const { tail } = balanced.outline;
  const block_mm = tail.block_mm * (1 - (1 - SOFT.block) * share);
  return { ...balanced, outline: { ...balanced.outline, tail: { ...tail, block_mm } } };
}

/** Thicker 12 in from one end and thinner from the other. */
function foilTilt(board: Board, by_mm: number): Board {
  const { foil } = board;
  const marks: Mark[] = foil.marks.map((mark) =>
    mark.from === 'nose' || mark.from === 'tail'
      ? { ...mark, value_mm: mark.value_mm + (mark.from === 'nose' ? by_mm / 2 : -by_mm / 2) }
      : mark,
  );
  if (marks.length > 0) return { ...board, foil: { ...foil, marks } };
  const shape = shapeOf(board);
  const at = (x: number) => thicknessAt(shape.foil, x);
  return {
    ...board,
    foil: {
      ...foil,
      marks: [
        { from: 'nose', at_mm: inch(12), value_mm: at(board.length_mm - inch(12)) + by_mm / 2 },
        { from: 'tail', at_mm: inch(12), value_mm: at(inch(12)) - by_mm / 2 },
      ],
    },
  };
}

/** Size, outline, rocker and foil. */
export const SHAPE_LEVERS = movable({
  length: {
    more: 'longer',
    less: 'shorter',
    step: inch(1),
    unit: 'mm',
    reads: 'length_mm',
    lotMore: 'It catches everything and turns like a door.',
    lotLess: 'It fits anywhere on the wave and is hard to get onto one.',
    shift: (b, by) => grown(b, b.length_mm + by),
  },
  width: {
    more: 'wider',
    less: 'narrower',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'width_mm',
    lotMore: 'Fast and steady in weak waves; slow from rail to rail, and it slaps.',
    lotLess: 'Quick from rail to rail; it sinks at slow speed and tips.',
    shift: (b, by) => widened(b, by),
  },
  thickness: {
    more: 'thicker',
    less: 'thinner',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'thickness_mm',
    lotMore: 'It floats high and corks; the rail will not sink.',
    lotLess: 'It sinks under the rider between waves and bogs.',
    shift: (b, by) => thickened(b, by),
  },
  widePoint: {
    more: 'wide point forward',
    less: 'wide point back',
    step: inch(1 / 2),
    unit: 'mm',
    reads: 'widePointFromCentre_mm',
    lotMore: 'All front-foot drive and long arcs; the tail will not be stood on.',
    lotLess: 'It turns under the back foot and pearls from any step forward.',
    shift: (b, by) => ({ ...b, outline: { ...b.outline, widePoint_mm: b.outline.widePoint_mm + by } }),
  },
  noseWidth: {
    more: 'wider nose',
    less: 'narrower nose',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'noseWidth12_mm',
    lotMore: 'It paddles and planes early, and catches in anything steep.',
    lotLess: 'Nothing to catch, and nothing to paddle on.',
    shift: (b, by) => endWidth(b, 'nose', by),
  },
  tailWidth: {
    more: 'wider tail',
    less: 'narrower tail',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'tailWidth12_mm',
    lotMore: 'Lift and speed in weak waves; it lets go at speed.',
    lotLess: 'It sinks and holds, and stops in a flat part.',
    shift: (b, by) => endWidth(b, 'tail', by),
  },
  block: {
    more: 'wider block',
    less: 'narrower block',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'block_mm',
    lotMore: 'Corners that bite and lift; it slides when it is fast.',
    lotLess: 'A pin in all but name: hold, and little lift.',
    shift: (b, by) => ({
      ...b,
      outline: {
        ...b.outline,
        tail: { ...b.outline.tail, block_mm: Math.max(0, b.outline.tail.block_mm + by) },
      },
    }),
  },
  curvier: {
    more: 'curvier rail line',
    less: 'straighter rail line',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'straightness',
    falls: true,
    lotMore: 'It turns anywhere and runs in no line.',
    lotLess: 'Drive and speed, and turns from the tail alone.',
    shift: (b, by) => endWidth(endWidth(b, 'nose', -by), 'tail', -by),
  },
  wingDepth: {
    more: 'deeper wing',
    less: 'shallower wing',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'wingDepth_mm',
    lotMore: 'Two boards in one: full ahead of the wing, a pin behind it.',
    lotLess: 'The wing fades into the rail.',
    shift: (b, by) =>
      withWings(
        b,
        b.outline.wings.map((wing) => ({ ...wing, depth_mm: Math.max(WING_DEPTH_mm.low, wing.depth_mm + by) })),
      ),
  },
  wingForward: {
    more: 'wing forward',
    less: 'wing back',
    step: inch(1 / 2),
    unit: 'mm',
    reads: 'wingFrom_mm',
    lotMore: 'A long narrow tail: loose and tight, with little drive.',
    lotLess: 'The wing is too near the tail to turn about.',
    shift: (b, by) =>
      withWings(
        b,
        b.outline.wings.map((wing) => ({ ...wing, fromTail_mm: wing.fromTail_mm + by })),
      ),
  },
  wingRaise: {
    more: 'wing raised',
    less: 'wing flatter',
    step: 0.25,
    unit: 'share',
    reads: 'wingRaised',
    lotMore: 'The edge climbs to the deck: smooth, with less bite.',
    lotLess: 'A flat wing pivots abruptly.',
    shift: (b, by) => ({
      ...b,
      outline: {
        ...b.outline,
        wings: b.outline.wings.map((wing) => ({ ...wing, raised: clamp(wing.raised + by, 0, 1) })),
      },
    }),
  },
  noseRocker: {
    more: 'more nose rocker',
    less: 'less nose rocker',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'noseRocker_mm',
    lotMore: 'It never pearls, pushes water and catches late.',
    lotLess: 'In early, and under at the first steep drop.',
    shift: (b, by) => tipLift(b, 'nose', by),
  },
  entry: {
    more: 'more curve in the entry',
    less: 'lower entry',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'entryShare',
    lotMore: 'An even curve to the tip that rises over chop and pushes water.',
    lotLess: 'Flat to the last inches, then a flip.',
    shift: (b, by) => entryLift(b, 'nose', by),
  },
  tailRocker: {
    more: 'more tail rocker',
    less: 'less tail rocker',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'tailRocker_mm',
    lotMore: 'It turns on a plate and drags in a line.',
    lotLess: 'Fast, and stuck in its line.',
    shift: (b, by) => tipLift(b, 'tail', by),
  },
  tailKick: {
    more: 'tail curve spread forward',
    less: 'tail curve drawn to the tip',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'tailKick',
    lotMore: 'Even rocker that trims and pushes no water.',
    lotLess: 'A kick: the nose lifts when it is stepped on, the middle drags.',
    shift: (b, by) => entryLift(b, 'tail', by),
  },
  flat: {
    more: 'more flat between the feet',
    less: 'more curve between the feet',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'flatShare',
    lotMore: 'It planes at once under weight, and turns from the tail alone.',
    lotLess: 'It turns anywhere and planes late.',
    shift: (b, by) => flatter(b, by),
  },
  soften: {
    more: 'softened for another rider',
    less: 'sharpened',
    step: 0.5,
    unit: 'share',
    calledBy: { key: 'noseRocker_mm', when: 'high' },
    lotMore: 'A forgiving board that anyone rides, and nobody’s own.',
    lotLess: 'An expert’s board.',
    shift: (b, by) => softened(b, by),
  },
  foilForward: {
    more: 'foam forward',
    less: 'foam back',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'foilBias12_mm',
    lotMore: 'It paddles in and rides from the front foot; the tail sinks.',
    lotLess: 'Power under the back foot; the nose dives when paddled.',
    shift: (b, by) => foilTilt(b, by),
  },
});
