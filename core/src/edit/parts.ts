import type { Board, BottomLayer, FinBox, LayerKind, RailStation, Wing } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { MOST_LAYERS, MOST_WINGS } from '../document/limits.ts';
import { LAYERS } from '../document/kinds.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../document/station.ts';
import { hasBlock } from '../outline/tails.ts';
import { wingsAt } from '../outline/wings.ts';
import { blendAt, blendThrough } from '../curve/blend.ts';
import { railAt } from '../rails/rails.ts';
import { INCH_mm } from '../units/length.ts';

/** Changes of the parts that come in lists: wings, rail stations, bottom layers, fin boxes. All hold everything else but where said. */

function changedAt<T>(list: readonly T[], index: number, change: Partial<T>): T[] {
  if (!(index in list)) throw new RangeError(`edit of parts: there is no entry ${index}`);
  return list.map((entry, i) => (i === index ? { ...entry, ...change } : entry));
}

const without = <T>(list: readonly T[], index: number): T[] => list.filter((_, i) => i !== index);

/**
 * Other wings on the same batten: each width mark, and the block, becomes narrower by what the wings now take there more than
 * before, or wider by what they give back, so that the line ahead of them stays as it is, to the last digit. Marks ahead of every
 * wing keep their numbers; `wingsTold` says which could not.
 */
export function withWings(board: Board, wings: readonly Wing[]): Board {
  const { outline } = board;
  const anchors = anchorsOf(board);
  const now = { ...outline, wings: [...wings] };
  const taken = (x_mm: number) => 2 * (wingsAt(now, x_mm) - wingsAt(outline, x_mm));
  return {
    ...board,
    outline: {
      ...now,
      marks: outline.marks.map((mark) => {
        const by = taken(stationOfMark(mark, anchors));
        return by === 0 ? mark : { ...mark, value_mm: mark.value_mm - by };
      }),
      tail: hasBlock(outline.tail.kind)
        ? { ...outline.tail, block_mm: outline.tail.block_mm - taken(0) }
        : outline.tail,
    },
  };
}

/** The marks whose widths other wings changed, by index, with what they were and are; the block under `block`. */
export function wingsTold(before: Board, after: Board): { key: string; from_mm: number; to_mm: number }[] {
  const told = before.outline.marks.flatMap((mark, i) => {
    const to_mm = after.outline.marks[i]?.value_mm ?? mark.value_mm;
    return to_mm === mark.value_mm ? [] : [{ key: String(i), from_mm: mark.value_mm, to_mm }];
  });
  const [from_mm, to_mm] = [before.outline.tail.block_mm, after.outline.tail.block_mm];
  return from_mm === to_mm ? told : [...told, { key: 'block', from_mm, to_mm }];
}

export function withWing(board: Board, index: number, change: Partial<Wing>): Board {
  return withWings(board, changedAt(board.outline.wings, index, change));
}

/** Lifts a wing off: what it took is given back. */
export function withoutWing(board: Board, index: number): Board {
  return withWings(board, without(board.outline.wings, index));
}

/** A new wing of ordinary size, 10 in up, or half way to the tail from the last one. Unchanged when there are three. */
export function withNewWing(board: Board): Board {
  const { wings } = board.outline;
  if (wings.length >= MOST_WINGS) return board;
  const lowest = Math.min(...wings.map((wing) => wing.fromTail_mm));
  const fromTail_mm = wings.length === 0 ? 10 * INCH_mm : lowest / 2;
  const wing: Wing = { fromTail_mm, depth_mm: 0.25 * INCH_mm, length_mm: 0.25 * INCH_mm, raised: 0 };
  return withWings(board, [...wings, wing]);
}

export function withRail(board: Board, index: number, change: Partial<RailStation>): Board {
  return { ...board, rails: { ...board.rails, stations: changedAt(board.rails.stations, index, change) } };
}

/** Takes a rail station away; the last one stays. */
export function withoutRail(board: Board, index: number): Board {
  if (board.rails.stations.length <= 1) return board;
  return { ...board, rails: { ...board.rails, stations: without(board.rails.stations, index) } };
}

/** A rail station at x with the rail as it is there, so that nothing changes until it is changed. */
export function withNewRail(board: Board, x_mm: number): Board {
  const shape = shapeOf(board);
  const from = x_mm > board.length_mm / 2 ? 'nose' : 'tail';
  const plain = { ...shape.rails, document: { ...board.rails, tailEdge: { ...board.rails.tailEdge, length_mm: 0 } } };
  const rail = railAt(plain, x_mm);
  const station: RailStation = { from, at_mm: distanceFrom(from, x_mm, anchorsOf(board)), ...rail };
  return { ...board, rails: { ...board.rails, stations: [...board.rails.stations, station] } };
}

/** Gives every station the rail of one: the same section all along. */
export function withRailEverywhere(board: Board, index: number): Board {
  const { from: _from, at_mm: _at, ...rail } = board.rails.stations[index];
  return {
    ...board,
    rails: { ...board.rails, stations: board.rails.stations.map((station) => ({ ...station, ...rail })) },
  };
}

function withLayers(board: Board, layers: BottomLayer[]): Board {
  return { ...board, bottom: { layers } };
}

export function withLayer(board: Board, index: number, change: Partial<BottomLayer>): Board {
  return withLayers(board, changedAt(board.bottom.layers, index, change));
}

export function withoutLayer(board: Board, index: number): Board {
  return withLayers(board, without(board.bottom.layers, index));
}

/** Switches a contour off, to see what it does, or on again. */
export function withLayerSwitched(board: Board, index: number, on: boolean): Board {
  const { off: _off, ...layer } = board.bottom.layers[index];
  const switched: BottomLayer = on ? layer : { ...layer, off: true };
  return withLayers(
    board,
    board.bottom.layers.map((entry, i) => (i === index ? switched : entry)),
  );
}

/** A contour of a kind where it usually runs, at a usual depth, fading in and out. Unchanged when there are eight. */
export function withNewLayer(board: Board, kind: LayerKind): Board {
  if (board.bottom.layers.length >= MOST_LAYERS) return board;
  const { from, to, depth_in: depth, width } = LAYERS[kind].usual;
  const anchors = anchorsOf(board);
  const mark = (share: number, value_mm: number) => {
    const x = share * board.length_mm;
    const tied = x > board.length_mm / 2 ? ('nose' as const) : ('tail' as const);
    return { from: tied, at_mm: distanceFrom(tied, x, anchors), value_mm };
  };
  const toTail = from === 0;
  const middle = (from + to) / 2;
  const layer: BottomLayer = {
    kind,
    width,
    depths: [mark(from, toTail ? 0.8 * depth * INCH_mm : 0), mark(middle, depth * INCH_mm), mark(to, 0)],
    ...(kind === 'channels' ? { count: 2 } : {}),
  };
  return withLayers(board, [...board.bottom.layers, layer]);
}

/** Changes one depth mark of one contour: its depth, or its place. */
export function withDepthMark(
  board: Board,
  layer: number,
  mark: number,
  change: { value_mm?: number; x_mm?: number },
): Board {
  const before = board.bottom.layers[layer].depths[mark];
  const at_mm = change.x_mm === undefined ? before.at_mm : distanceFrom(before.from, change.x_mm, anchorsOf(board));
  const depths = changedAt(board.bottom.layers[layer].depths, mark, {
    at_mm,
    value_mm: change.value_mm ?? before.value_mm,
  });
  return withLayer(board, layer, { depths });
}

/** A depth mark at x with the depth as it is there. */
export function withNewDepthMark(board: Board, layer: number, x_mm: number): Board {
  const anchors = anchorsOf(board);
  const { depths } = board.bottom.layers[layer];
  const blend = blendThrough(depths.map((m) => ({ x_mm: stationOfMark(m, anchors), value: m.value_mm })));
  const from = x_mm > board.length_mm / 2 ? ('nose' as const) : ('tail' as const);
  const mark = { from, at_mm: distanceFrom(from, x_mm, anchors), value_mm: blendAt(blend, x_mm) };
  return withLayer(board, layer, { depths: [...depths, mark] });
}

/** Takes a depth mark away; the last one stays. */
export function withoutDepthMark(board: Board, layer: number, mark: number): Board {
  const { depths } = board.bottom.layers[layer];
  return depths.length <= 1 ? board : withLayer(board, layer, { depths: without(depths, mark) });
}

export function withFinBox(board: Board, index: number, change: Partial<FinBox>): Board {
  return { ...board, fins: { ...board.fins, boxes: changedAt(board.fins.boxes, index, change) } };
}
