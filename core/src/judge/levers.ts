import type { Board, BottomLayer, FinBox, LayerKind, Mark } from '../board/document.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../board/station.ts';
import { shapeOf } from '../board/shape.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { thicknessAt } from '../foil/foil.ts';
import { withNewLayer } from '../edit/parts.ts';
import { thickened, widened } from '../edit/size.ts';
import { INCH_mm } from '../units/length.ts';
import type { FactKey, Facts } from './facts.ts';

/**
 * One thing a shaper can move: by how much at first, how it is said, and the change itself. `move` takes a number of first
 * steps, more being positive, and returns the board as it is where the lever has nothing to hold on. Results may leave what
 * can be built; whoever moves a lever far asks boardIssues().
 */
export interface Lever {
  /** As in “more nose rocker”, “less nose rocker”. */
  more: string;
  less: string;
  /** One step, in the unit: mm, rad, or a plain share. */
  step: number;
  unit: 'mm' | 'rad' | 'share';
  /** What it moves, to rank by: the number of a board that it pushes up. */
  reads?: FactKey | ((facts: Facts) => number);
  /** What a lot more, and a lot less, of it does. */
  lotMore: string;
  lotLess: string;
  move: (board: Board, steps: number) => Board;
}

const inch = (value: number) => value * INCH_mm;
const degrees = (angle: number) => (angle * Math.PI) / 180;
const clamp = (value: number, low: number, high: number) => Math.min(high, Math.max(low, value));

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

/** Changes lifts toward one tip: the tip's own by so much, marks on the way in proportion to the lift they have. */
function tipLift(board: Board, end: 'nose' | 'tail', by_mm: number): Board {
  const { rocker } = board;
  const tip = end === 'nose' ? rocker.noseLift_mm : rocker.tailLift_mm;
  const k = (tip + by_mm) / tip;
  const marks = rocker.marks.map((mark) => (mark.from === end ? { ...mark, value_mm: mark.value_mm * k } : mark));
  return {
    ...board,
    rocker: { ...rocker, marks, [end === 'nose' ? 'noseLift_mm' : 'tailLift_mm']: tip + by_mm },
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

function everyRail(board: Board, change: (rail: Board['rails']['stations'][number]) => object): Board {
  return { ...board, rails: { ...board.rails, stations: board.rails.stations.map((r) => ({ ...r, ...change(r) })) } };
}

/** The contours of a kind scaled so that the deepest gains so much; one is laid where it usually runs if there is none. */
function deeper(board: Board, kinds: readonly LayerKind[], lay: LayerKind, by_mm: number): Board {
  const has = board.bottom.layers.some((layer) => kinds.includes(layer.kind));
  const from = has ? board : by_mm > 0 ? withNewLayer(board, lay) : board;
  if (!has && from === board) return board;
  const deepestOf = (layer: BottomLayer) => Math.max(...layer.depths.map((mark) => Math.abs(mark.value_mm)));
  const layers = from.bottom.layers.map((layer) => {
    if (!kinds.includes(layer.kind)) return layer;
    const deepest = deepestOf(layer);
    const wanted = has ? Math.max(0, deepest + by_mm) : by_mm;
    const k = deepest > 0 ? wanted / deepest : 1;
    return { ...layer, depths: layer.depths.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })) };
  });
  return { ...from, bottom: { layers } };
}

/** Moves every depth mark of these kinds along the board; the deepest stays clear of the ends. */
function slid(board: Board, kinds: readonly LayerKind[], by_mm: number): Board {
  const anchors = anchorsOf(board);
  const L = board.length_mm;
  const layers = board.bottom.layers.map((layer) => {
    if (!kinds.includes(layer.kind)) return layer;
    const [deepest] = [...layer.depths].sort((a, b) => Math.abs(b.value_mm) - Math.abs(a.value_mm));
    const x0 = stationOfMark(deepest, anchors);
    const by = clamp(by_mm, 0.1 * L - x0, 0.76 * L - x0);
    const depths = layer.depths.map((mark) => {
      const x = clamp(stationOfMark(mark, anchors) + by, 0, L);
      return { ...mark, at_mm: distanceFrom(mark.from, x, anchors) };
    });
    return { ...layer, depths };
  });
  return { ...board, bottom: { layers } };
}

/** Spreads or draws together the depth marks of every contour about its middle, or about the tip it runs to; all stay on the board. */
function spread(board: Board, k: number): Board {
  const anchors = anchorsOf(board);
  const L = board.length_mm;
  const layers = board.bottom.layers.map((layer) => {
    const xs = layer.depths.map((mark) => stationOfMark(mark, anchors));
    const [least, most] = [Math.min(...xs), Math.max(...xs)];
    const fixed = least < inch(1) ? least : most > L - inch(1) ? most : (least + most) / 2;
    const room = Math.min(
      most > fixed ? (L - fixed) / (most - fixed) : Infinity,
      least < fixed ? fixed / (fixed - least) : Infinity,
    );
    const by = Math.min(k, Math.max(1, room));
    return {
      ...layer,
      depths: layer.depths.map((mark, i) => ({
        ...mark,
        at_mm: distanceFrom(mark.from, clamp(fixed + (xs[i] - fixed) * by, 0, L), anchors),
      })),
    };
  });
  return { ...board, bottom: { layers } };
}

function everyFin(board: Board, change: (box: FinBox) => FinBox): Board {
  return { ...board, fins: { ...board.fins, boxes: board.fins.boxes.map(change) } };
}

const everyTemplate = (board: Board, change: (template: FinBox['template']) => Partial<FinBox['template']>): Board =>
  everyFin(board, (box) => ({ ...box, template: { ...box.template, ...change(box.template) } }));

/** Every lever the notes, the rider's words and “a lot more” speak of. First steps are the smallest that are real (CP). */
export const LEVERS = {
  length: {
    more: 'longer',
    less: 'shorter',
    step: inch(1),
    unit: 'mm',
    reads: 'L',
    lotMore: 'It catches everything and turns like a door.',
    lotLess: 'It fits anywhere on the wave and is hard to get onto one.',
    move: (b, n) => ({ ...b, length_mm: b.length_mm + inch(n) }),
  },
  width: {
    more: 'wider',
    less: 'narrower',
    step: inch(1 / 8),
    unit: 'mm',
    reads: (f) => f.m.width_mm,
    lotMore: 'Fast and steady in weak waves; slow from rail to rail, and it slaps.',
    lotLess: 'Quick from rail to rail; it sinks at slow speed and tips.',
    move: (b, n) => widened(b, (n * inch(1)) / 8),
  },
  thickness: {
    more: 'thicker',
    less: 'thinner',
    step: inch(1 / 16),
    unit: 'mm',
    reads: (f) => f.m.thickness_mm,
    lotMore: 'It floats high and corks; the rail will not sink.',
    lotLess: 'It sinks under the rider between waves and bogs.',
    move: (b, n) => thickened(b, (n * inch(1)) / 16),
  },
  widePoint: {
    more: 'wide point forward',
    less: 'wide point back',
    step: inch(1 / 2),
    unit: 'mm',
    reads: 'wideShare',
    lotMore: 'All front-foot drive and long arcs; the tail will not be stood on.',
    lotLess: 'It turns under the back foot and pearls from any step forward.',
    move: (b, n) => ({ ...b, outline: { ...b.outline, widePoint_mm: b.outline.widePoint_mm + (n * inch(1)) / 2 } }),
  },
  noseWidth: {
    more: 'wider nose',
    less: 'narrower nose',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'noseShare',
    lotMore: 'It paddles and planes early, and catches in anything steep.',
    lotLess: 'Nothing to catch, and nothing to paddle on.',
    move: (b, n) => endWidth(b, 'nose', (n * inch(1)) / 4),
  },
  tailWidth: {
    more: 'wider tail',
    less: 'narrower tail',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'tailShare',
    lotMore: 'Lift and speed in weak waves; it lets go at speed.',
    lotLess: 'It sinks and holds, and stops in a flat part.',
    move: (b, n) => endWidth(b, 'tail', (n * inch(1)) / 4),
  },
  block: {
    more: 'wider block',
    less: 'narrower block',
    step: inch(1 / 4),
    unit: 'mm',
    reads: (f) => f.m.block_mm,
    lotMore: 'Corners that bite and lift; it slides when it is fast.',
    lotLess: 'A pin in all but name: hold, and little lift.',
    move: (b, n) => ({
      ...b,
      outline: {
        ...b.outline,
        tail: { ...b.outline.tail, block_mm: Math.max(0, b.outline.tail.block_mm + (n * inch(1)) / 4) },
      },
    }),
  },
  curvier: {
    more: 'curvier rail line',
    less: 'straighter rail line',
    step: inch(1 / 8),
    unit: 'mm',
    reads: (f) => -f.straightness,
    lotMore: 'It turns anywhere and runs in no line.',
    lotLess: 'Drive and speed, and turns from the tail alone.',
    move: (b, n) => endWidth(endWidth(b, 'nose', (-n * inch(1)) / 8), 'tail', (-n * inch(1)) / 8),
  },
  wingDepth: {
    more: 'deeper wing',
    less: 'shallower wing',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'wingDepth_mm',
    lotMore: 'Two boards in one: full ahead of the wing, a pin behind it.',
    lotLess: 'The wing fades into the rail.',
    move: (b, n) => ({
      ...b,
      outline: {
        ...b.outline,
        wings: b.outline.wings.map((wing) => ({
          ...wing,
          depth_mm: Math.max(0.5, wing.depth_mm + (n * inch(1)) / 16),
        })),
      },
    }),
  },
  wingForward: {
    more: 'wing forward',
    less: 'wing back',
    step: inch(1 / 2),
    unit: 'mm',
    reads: 'wingFrom_mm',
    lotMore: 'A long narrow tail: loose and tight, with little drive.',
    lotLess: 'The wing is too near the tail to turn about.',
    move: (b, n) => ({
      ...b,
      outline: {
        ...b.outline,
        wings: b.outline.wings.map((wing) => ({ ...wing, fromTail_mm: wing.fromTail_mm + (n * inch(1)) / 2 })),
      },
    }),
  },
  wingRaise: {
    more: 'wing raised',
    less: 'wing flatter',
    step: 0.25,
    unit: 'share',
    reads: (f) => Math.max(0, ...f.board.outline.wings.map((wing) => wing.raised)),
    lotMore: 'The edge climbs to the deck: smooth, with less bite.',
    lotLess: 'A flat wing pivots abruptly.',
    move: (b, n) => ({
      ...b,
      outline: {
        ...b.outline,
        wings: b.outline.wings.map((wing) => ({ ...wing, raised: clamp(wing.raised + 0.25 * n, 0, 1) })),
      },
    }),
  },
  noseRocker: {
    more: 'more nose rocker',
    less: 'less nose rocker',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'noseRockerShare',
    lotMore: 'It never pearls, pushes water and catches late.',
    lotLess: 'In early, and under at the first steep drop.',
    move: (b, n) => tipLift(b, 'nose', (n * inch(1)) / 8),
  },
  entry: {
    more: 'more curve in the entry',
    less: 'lower entry',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'entryShare',
    lotMore: 'An even curve to the tip that rises over chop and pushes water.',
    lotLess: 'Flat to the last inches, then a flip.',
    move: (b, n) => entryLift(b, 'nose', (n * inch(1)) / 16),
  },
  tailRocker: {
    more: 'more tail rocker',
    less: 'less tail rocker',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'tailRockerShare',
    lotMore: 'It turns on a plate and drags in a line.',
    lotLess: 'Fast, and stuck in its line.',
    move: (b, n) => tipLift(b, 'tail', (n * inch(1)) / 16),
  },
  tailKick: {
    more: 'tail curve spread forward',
    less: 'tail curve drawn to the tip',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'tailKick',
    lotMore: 'Even rocker that trims and pushes no water.',
    lotLess: 'A kick: the nose lifts when it is stepped on, the middle drags.',
    move: (b, n) => entryLift(b, 'tail', (n * inch(1)) / 16),
  },
  foilForward: {
    more: 'foam forward',
    less: 'foam back',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'foilBias_mm',
    lotMore: 'It paddles in and rides from the front foot; the tail sinks.',
    lotLess: 'Power under the back foot; the nose dives when paddled.',
    move: (b, n) => foilTilt(b, (n * inch(1)) / 16),
  },
  railFullness: {
    more: 'fuller rails',
    less: 'thinner rails',
    step: 0.1,
    unit: 'share',
    reads: 'railFullness',
    lotMore: 'Boxy: it pushes back and will not be buried.',
    lotLess: 'Knife rails: sensitive, and they bury under weight.',
    move: (b, n) => everyRail(b, (r) => ({ fullness: clamp(r.fullness + 0.1 * n, 0, 1) })),
  },
  railDown: {
    more: 'lower rails',
    less: 'rounder rails',
    step: 0.05,
    unit: 'share',
    reads: (f) => -f.railWide.apex,
    lotMore: 'Down rails go high and fast, and catch a rider who is late.',
    lotLess: 'Round rails hold water, forgive and drop down the face.',
    move: (b, n) => everyRail(b, (r) => ({ apex: clamp(r.apex - 0.05 * n, 0.1, 0.75) })),
  },
  edgeLength: {
    more: 'longer hard edge',
    less: 'shorter hard edge',
    step: inch(2),
    unit: 'mm',
    reads: 'hardTo_mm',
    lotMore: 'It bites, then slides the tail.',
    lotLess: 'Nothing lets the water go.',
    move: (b, n) => ({
      ...b,
      rails: {
        ...b.rails,
        tailEdge: { ...b.rails.tailEdge, length_mm: Math.max(0, b.rails.tailEdge.length_mm + inch(2) * n) },
        // Where the edge no longer reaches, no station keeps one.
        stations:
          n >= 0
            ? b.rails.stations
            : b.rails.stations.map((r) => {
                const x = stationOfMark(r, anchorsOf(b));
                const reach = b.rails.tailEdge.length_mm + inch(2) * n;
                return x > reach ? { ...r, edge: Math.max(0, r.edge + 0.1 * n) } : r;
              }),
      },
    }),
  },
  edgeHardness: {
    more: 'harder edge in the tail',
    less: 'softer edge in the tail',
    step: 0.1,
    unit: 'share',
    reads: (f) => f.railTail.edge,
    lotMore: 'It releases and goes; it catches when it is put wrong.',
    lotLess: 'It holds water and draws round; several fins feel dull on it.',
    move: (b, n) => ({
      ...b,
      rails: {
        tailEdge: { ...b.rails.tailEdge, hardness: clamp(b.rails.tailEdge.hardness + 0.1 * n, 0, 1) },
        stations: b.rails.stations.map((r) =>
          stationOfMark(r, anchorsOf(b)) < b.length_mm / 3 ? { ...r, edge: clamp(r.edge + 0.1 * n, 0, 1) } : r,
        ),
      },
    }),
  },
  foreEdge: {
    more: 'harder rails forward',
    less: 'softer rails forward',
    step: 0.1,
    unit: 'share',
    reads: (f) => f.railNose.edge,
    lotMore: 'It draws along the face and trips in chop.',
    lotLess: 'Soft and forgiving; it holds water.',
    move: (b, n) => ({
      ...b,
      rails: {
        ...b.rails,
        stations: b.rails.stations.map((r) =>
          stationOfMark(r, anchorsOf(b)) >= b.length_mm / 3 ? { ...r, edge: clamp(r.edge + 0.1 * n, 0, 1) } : r,
        ),
      },
    }),
  },
  bevel: {
    more: 'bevel forward',
    less: 'less bevel',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'bevel_mm',
    lotMore: 'A narrow planing bottom: quick, never catches, and slow to plane.',
    lotLess: 'The edge is where the rail is.',
    move: (b, n) => deeper(b, ['bevel'], 'bevel', (n * inch(1)) / 16),
  },
  concave: {
    more: 'deeper concave',
    less: 'shallower concave',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'concaveDepth_mm',
    lotMore: 'All lift and drive; it sticks to its track and chatters.',
    lotLess: 'Flat: easy, loose and without drive.',
    move: (b, n) => deeper(b, ['single', 'narrow', 'triple'], 'single', (n * inch(1)) / 32),
  },
  concaveForward: {
    more: 'concave forward',
    less: 'concave back',
    step: inch(2),
    unit: 'mm',
    reads: (f) => f.concave.at_mm / f.L,
    lotMore: 'Lift ahead of the feet: it runs and will not come round.',
    lotLess: 'Lift behind the feet: it pushes the nose down.',
    move: (b, n) => slid(b, ['single', 'narrow', 'triple'], inch(2) * n),
  },
  tailVee: {
    more: 'more vee in the tail',
    less: 'less vee in the tail',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'tailVee_mm',
    lotMore: 'It falls from rail to rail and is tippy.',
    lotLess: 'Flat: fast and slow to tip.',
    move: (b, n) => deeper(b, ['vee'], 'vee', (n * inch(1)) / 32),
  },
  roll: {
    more: 'more roll',
    less: 'less roll',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'roll_mm',
    lotMore: 'It parts chop, sits in the water and sticks.',
    lotLess: 'It planes and slaps.',
    move: (b, n) => deeper(b, ['roll'], 'roll', (n * inch(1)) / 32),
  },
  foreVee: {
    more: 'vee or belly forward',
    less: 'flatter forward',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'foreVee_mm',
    lotMore: 'It cuts chop and glides in; it draws no lift from the nose.',
    lotLess: 'It planes early and slaps.',
    move: (b, n) => {
      const by = (n * inch(1)) / 32;
      const forward = b.bottom.layers.some(
        (layer) =>
          layer.kind === 'roll' &&
          layer.depths.some((mark) => stationOfMark(mark, anchorsOf(b)) > 0.55 * b.length_mm && mark.value_mm > 0),
      );
      if (forward) return deeper(b, ['roll'], 'roll', by);
      if (by <= 0) return b;
      const layer: BottomLayer = {
        kind: 'roll',
        width: 1,
        depths: [
          { from: 'nose', at_mm: inch(2), value_mm: by },
          { from: 'nose', at_mm: 0.25 * b.length_mm, value_mm: by },
          { from: 'nose', at_mm: 0.5 * b.length_mm, value_mm: 0 },
        ],
      };
      return { ...b, bottom: { layers: [...b.bottom.layers, layer] } };
    },
  },
  noseConcave: {
    more: 'deeper nose concave',
    less: 'shallower nose concave',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'noseConcave_mm',
    lotMore: 'It slows and steadies the nose ride, and slides out in a steep section.',
    lotLess: 'The nose has no lift to stand on.',
    move: (b, n) => deeper(b, ['teardrop'], 'teardrop', (n * inch(1)) / 32),
  },
  noseHollow: {
    more: 'concave nearer the nose tip',
    less: 'concave ended before the nose',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'noseHollow_mm',
    lotMore: 'In early on clean faces; it slaps on every bump.',
    lotLess: 'Flat at the nose.',
    move: (b, n) => {
      const anchors = anchorsOf(b);
      const layers = b.bottom.layers.map((layer) =>
        layer.kind === 'single' || layer.kind === 'narrow' || layer.kind === 'triple'
          ? {
              ...layer,
              depths: layer.depths.map((mark) =>
                stationOfMark(mark, anchors) > b.length_mm - inch(14.5)
                  ? { ...mark, value_mm: Math.max(0, mark.value_mm + (n * inch(1)) / 32) }
                  : mark,
              ),
            }
          : layer,
      );
      return { ...b, bottom: { layers } };
    },
  },
  blendLength: {
    more: 'contours blended over more length',
    less: 'contours blended over less length',
    step: 0.1,
    unit: 'share',
    reads: (f) => -f.blendSlope,
    lotMore: 'Everything everywhere: no contour does its own work.',
    lotLess: 'Steps in the bottom that the water trips over.',
    move: (b, n) => spread(b, Math.max(0.15, 1 + 0.1 * n)),
  },
  channels: {
    more: 'deeper channels',
    less: 'shallower channels',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'channels_mm',
    lotMore: 'Tracks that hold a line at speed and nothing else.',
    lotLess: 'Grooves one can see and not feel.',
    move: (b, n) => deeper(b, ['channels'], 'channels', (n * inch(1)) / 32),
  },
  finsForward: {
    more: 'fins forward',
    less: 'fins back',
    step: inch(1 / 4),
    unit: 'mm',
    reads: 'finsAhead_mm',
    lotMore: 'Loose, turns at once, and slides.',
    lotLess: 'Drive and control, drawn out and stiff.',
    move: (b, n) =>
      everyFin(b, (box) => ({ ...box, trailingEdge_mm: Math.max(0, box.trailingEdge_mm + (n * inch(1)) / 4) })),
  },
  finSize: {
    more: 'larger fins',
    less: 'smaller fins',
    step: 0.04,
    unit: 'share',
    reads: 'finAreaShare',
    lotMore: 'Hold for a heavy rider and fast water; stiff.',
    lotLess: 'Loose and quick to let go.',
    move: (b, n) =>
      everyTemplate(b, (t) => ({
        base_mm: t.base_mm * Math.max(0.3, 1 + 0.04 * n),
        depth_mm: t.depth_mm * Math.max(0.3, 1 + 0.04 * n),
      })),
  },
  finRake: {
    more: 'more rake',
    less: 'more upright fins',
    step: degrees(2),
    unit: 'rad',
    reads: 'finRake_rad',
    lotMore: 'Long arcs and hold.',
    lotLess: 'Pivot, quick to the top, and abrupt.',
    move: (b, n) => everyTemplate(b, (t) => ({ rake_rad: clamp(t.rake_rad + degrees(2) * n, -0.2, 1.1) })),
  },
  finTip: {
    more: 'wider fin tips',
    less: 'narrower fin tips',
    step: 0.04,
    unit: 'share',
    reads: 'finTip',
    lotMore: 'Hold at the top of a turn.',
    lotLess: 'Tips that let go.',
    move: (b, n) => everyTemplate(b, (t) => ({ tip: clamp(t.tip + 0.04 * n, 0.06, 0.88) })),
  },
  finBase: {
    more: 'longer fin bases',
    less: 'shorter fin bases',
    step: inch(1 / 8),
    unit: 'mm',
    reads: 'finBase_mm',
    lotMore: 'Drive, like a keel.',
    lotLess: 'Pivot, and no drive.',
    move: (b, n) => everyTemplate(b, (t) => ({ base_mm: Math.max(inch(1), t.base_mm + (n * inch(1)) / 8) })),
  },
  centreFin: {
    more: 'larger centre fin',
    less: 'smaller centre fin',
    step: 0.06,
    unit: 'share',
    reads: (f) => f.centreShare ?? 0,
    lotMore: 'It holds at the top of a turn and will not be slid.',
    lotLess: 'It lets go at the top.',
    move: (b, n) =>
      everyFin(b, (box) =>
        box.role === 'centre'
          ? {
              ...box,
              template: {
                ...box.template,
                base_mm: box.template.base_mm * Math.max(0.3, 1 + 0.03 * n),
                depth_mm: box.template.depth_mm * Math.max(0.3, 1 + 0.03 * n),
              },
            }
          : box,
      ),
  },
  toe: {
    more: 'more toe',
    less: 'less toe',
    step: degrees(0.5),
    unit: 'rad',
    reads: (f) => f.front?.toe_rad ?? 0,
    lotMore: 'Turns at once and drags in a line.',
    lotLess: 'Straight and fast, slow to turn.',
    move: (b, n) =>
      everyFin(b, (box) =>
        box.role === 'centre' ? box : { ...box, toe_rad: clamp(box.toe_rad + degrees(0.5) * n, -0.15, 0.28) },
      ),
  },
  cant: {
    more: 'more cant',
    less: 'less cant',
    step: degrees(1),
    unit: 'rad',
    reads: (f) => f.front?.cant_rad ?? 0,
    lotMore: 'Fluid and sensitive; it drags and lets the tail drop.',
    lotLess: 'Drive in a straight line.',
    move: (b, n) =>
      everyFin(b, (box) =>
        box.role === 'centre' ? box : { ...box, cant_rad: clamp(box.cant_rad + degrees(1) * n, -0.15, 0.45) },
      ),
  },
} as const satisfies Record<string, Lever>;

export type LeverId = keyof typeof LEVERS;

/** The lever as the interface it fulfils, whatever is known of this one. */
export const lever = (id: LeverId): Lever => LEVERS[id];
