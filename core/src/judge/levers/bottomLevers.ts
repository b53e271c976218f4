import type { Board, BottomLayer, LayerKind } from '../../document/schema.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../../document/station.ts';
import { withNewLayer } from '../../edit/parts.ts';
import { clamp, inch, movable } from './lever.ts';

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

/** The bottom's contours. */
export const BOTTOM_LEVERS = movable({
  bevel: {
    more: 'bevel forward',
    less: 'less bevel',
    step: inch(1 / 16),
    unit: 'mm',
    reads: 'bevel_mm',
    lotMore: 'A narrow planing bottom: quick, never catches, and slow to plane.',
    lotLess: 'The edge is where the rail is.',
    shift: (b, by) => deeper(b, ['bevel'], 'bevel', by),
  },
  concave: {
    more: 'deeper concave',
    less: 'shallower concave',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'concaveDepth_mm',
    lotMore: 'All lift and drive; it sticks to its track and chatters.',
    lotLess: 'Flat: easy, loose and without drive.',
    shift: (b, by) => deeper(b, ['single', 'narrow', 'triple'], 'single', by),
  },
  concaveForward: {
    more: 'concave forward',
    less: 'concave back',
    step: inch(2),
    unit: 'mm',
    reads: 'concaveAtShare',
    lotMore: 'Lift ahead of the feet: it runs and will not come round.',
    lotLess: 'Lift behind the feet: it pushes the nose down.',
    shift: (b, by) => slid(b, ['single', 'narrow', 'triple'], by),
  },
  tailVee: {
    more: 'more vee in the tail',
    less: 'less vee in the tail',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'tailVee_mm',
    lotMore: 'It falls from rail to rail and is tippy.',
    lotLess: 'Flat: fast and slow to tip.',
    shift: (b, by) => deeper(b, ['vee'], 'vee', by),
  },
  roll: {
    more: 'more roll',
    less: 'less roll',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'roll_mm',
    lotMore: 'It parts chop, sits in the water and sticks.',
    lotLess: 'It planes and slaps.',
    shift: (b, by) => deeper(b, ['roll'], 'roll', by),
  },
  foreVee: {
    more: 'vee or belly forward',
    less: 'flatter forward',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'foreVee_mm',
    lotMore: 'It cuts chop and glides in; it draws no lift from the nose.',
    lotLess: 'It planes early and slaps.',
    shift: (b, by) => {
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
    shift: (b, by) => deeper(b, ['teardrop'], 'teardrop', by),
  },
  noseHollow: {
    more: 'concave nearer the nose tip',
    less: 'concave ended before the nose',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'noseHollow_mm',
    lotMore: 'In early on clean faces; it slaps on every bump.',
    lotLess: 'Flat at the nose.',
    shift: (b, by) => {
      const anchors = anchorsOf(b);
      const layers = b.bottom.layers.map((layer) =>
        layer.kind === 'single' || layer.kind === 'narrow' || layer.kind === 'triple'
          ? {
              ...layer,
              depths: layer.depths.map((mark) =>
                stationOfMark(mark, anchors) > b.length_mm - inch(14.5)
                  ? { ...mark, value_mm: Math.max(0, mark.value_mm + by) }
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
    reads: 'blendSlope',
    falls: true,
    lotMore: 'Everything everywhere: no contour does its own work.',
    lotLess: 'Steps in the bottom that the water trips over.',
    shift: (b, by) => spread(b, Math.max(0.15, 1 + by)),
  },
  channels: {
    more: 'deeper channels',
    less: 'shallower channels',
    step: inch(1 / 32),
    unit: 'mm',
    reads: 'channels_mm',
    lotMore: 'Tracks that hold a line at speed and nothing else.',
    lotLess: 'Grooves one can see and not feel.',
    shift: (b, by) => deeper(b, ['channels'], 'channels', by),
  },
});
