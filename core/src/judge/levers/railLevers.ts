import type { Board } from '../../document/schema.ts';
import { anchorsOf, stationOfMark } from '../../document/station.ts';
import { clamp, inch, movable } from './lever.ts';

function everyRail(board: Board, change: (rail: Board['rails']['stations'][number]) => object): Board {
  return { ...board, rails: { ...board.rails, stations: board.rails.stations.map((r) => ({ ...r, ...change(r) })) } };
}

/** So much softer the rail gets ahead of an edge that is a step shorter. */
const EDGE_A_STEP = 0.1;

/** Rails and edges. */
export const RAIL_LEVERS = movable({
  railFullness: {
    more: 'fuller rails',
    less: 'thinner rails',
    step: 0.1,
    unit: 'share',
    reads: 'railFullness',
    lotMore: 'Boxy: it pushes back and will not be buried.',
    lotLess: 'Knife rails: sensitive, and they bury under weight.',
    shift: (b, by) => everyRail(b, (r) => ({ fullness: clamp(r.fullness + by, 0, 1) })),
  },
  railDown: {
    more: 'lower rails',
    less: 'rounder rails',
    step: 0.05,
    unit: 'share',
    reads: 'railApex',
    falls: true,
    lotMore: 'Down rails go high and fast, and catch a rider who is late.',
    lotLess: 'Round rails hold water, forgive and drop down the face.',
    shift: (b, by) => everyRail(b, (r) => ({ apex: clamp(r.apex - by, 0.1, 0.75) })),
  },
  edgeLength: {
    more: 'longer hard edge',
    less: 'shorter hard edge',
    step: inch(2),
    unit: 'mm',
    reads: 'hardTo_mm',
    lotMore: 'It bites, then slides the tail.',
    lotLess: 'Nothing lets the water go.',
    shift: (b, by) => ({
      ...b,
      rails: {
        ...b.rails,
        tailEdge: { ...b.rails.tailEdge, length_mm: Math.max(0, b.rails.tailEdge.length_mm + by) },
        // Where the edge no longer reaches, no station keeps one.
        stations:
          by >= 0
            ? b.rails.stations
            : b.rails.stations.map((r) => {
                const x = stationOfMark(r, anchorsOf(b));
                const reach = b.rails.tailEdge.length_mm + by;
                return x > reach ? { ...r, edge: Math.max(0, r.edge + EDGE_A_STEP * (by / inch(2))) } : r;
              }),
      },
    }),
  },
  edgeHardness: {
    more: 'harder edge in the tail',
    less: 'softer edge in the tail',
    step: 0.1,
    unit: 'share',
    reads: 'railEdgeTail',
    lotMore: 'It releases and goes; it catches when it is put wrong.',
    lotLess: 'It holds water and draws round; several fins feel dull on it.',
    shift: (b, by) => ({
      ...b,
      rails: {
        tailEdge: { ...b.rails.tailEdge, hardness: clamp(b.rails.tailEdge.hardness + by, 0, 1) },
        stations: b.rails.stations.map((r) =>
          stationOfMark(r, anchorsOf(b)) < b.length_mm / 3 ? { ...r, edge: clamp(r.edge + by, 0, 1) } : r,
        ),
      },
    }),
  },
  foreEdge: {
    more: 'harder rails forward',
    less: 'softer rails forward',
    step: 0.1,
    unit: 'share',
    reads: 'railEdgeNose',
    lotMore: 'It draws along the face and trips in chop.',
    lotLess: 'Soft and forgiving; it holds water.',
    shift: (b, by) => ({
      ...b,
      rails: {
        ...b.rails,
        stations: b.rails.stations.map((r) =>
          stationOfMark(r, anchorsOf(b)) >= b.length_mm / 3 ? { ...r, edge: clamp(r.edge + by, 0, 1) } : r,
        ),
      },
    }),
  },
});
