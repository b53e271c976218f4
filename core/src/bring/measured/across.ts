import { type Blend, blendAt, blendThrough } from '../../curve/blend.ts';
import { APEX, heldWithin, TUCK_mm } from '../../document/limits.ts';
import type { Board, BottomLayer, LayerKind, Mark, RailStation } from '../../document/schema.ts';
import { stationOfMark } from '../../document/station.ts';
import { depthAsked, placeAt, SAME_STATION_mm, withCrownAt, withDepthAt, withRailAt } from '../../edit/atStation.ts';
import type { StationPlace } from '../../measure/stationTable.ts';
import { sectionOf, type SectionInput } from '../../section/section.ts';
import { sectionAt, type Shape, shapeOf } from '../../shape/shape.ts';
import { leastSquares, type Unknown } from '../leastSquares.ts';
import { ACROSS } from './readings.ts';
import type { AcrossRead } from './sheet.ts';

/** What was read across the board at one place. */
export interface AcrossAt {
  place: StationPlace;
  read: Partial<Record<AcrossRead, number>>;
}

/** The numbers of a board across one place. */
interface Numbers {
  apex: number;
  fullness: number;
  tuck: number;
  crown: number;
  single: number;
  vee: number;
  double: number;
}
type Along = 'apex' | 'fullness' | 'tuck' | 'crown';
/** The contours by which a bottom that was read is met. */
const CONTOURS = ['single', 'vee', 'double'] as const;
type Contour = (typeof CONTOURS)[number];

/** A station of the other board so near to where was read stands for the same place, and gives way. */
const SAME_PLACE_mm = 150;
const MOST_CROWN_mm = 60;
const MOST_DEPTH_mm = 25;
const ROUNDS = 25;
/** A contour shallower than this everywhere is none. */
const IDLE_mm = 0.02;

/** What is changed to meet each reading; a hollow by what is more or less of the concave, and then of the vee. */
const BY: Readonly<
  Record<AcrossRead, { of: 'crown' | 'fullness' | 'apex' | 'tuck' | 'hollow' | 'double'; step: number }>
> = {
  halfway_mm: { of: 'crown', step: 0.05 },
  rail_mm: { of: 'fullness', step: 0.005 },
  apex_mm: { of: 'apex', step: 0.005 },
  tuck_mm: { of: 'tuck', step: 0.05 },
  hollow_mm: { of: 'hollow', step: 0.05 },
  beside_mm: { of: 'double', step: 0.05 },
};
const LIMITS = {
  crown: { low: 0, high: MOST_CROWN_mm },
  fullness: { low: 0, high: 1 },
  apex: APEX,
  tuck: TUCK_mm,
  hollow: { low: -MOST_DEPTH_mm, high: MOST_DEPTH_mm },
  double: { low: 0, high: MOST_DEPTH_mm },
} as const;

/**
 * The board with rails, crown and bottom as they were read: at each place those of its numbers are looked for that give the readings
 * (Gauss-Newton, the numbers of one section). Between places, and where nothing was read, it stays in the character it had: what was read
 * more or less is run along the board and added to its own stations. The board itself where nothing was read across.
 */
export function withAcross(base: Board, places: readonly AcrossAt[]): Board {
  const shape = shapeOf(base);
  const found = places.flatMap(({ place, read }) => {
    const x_mm = stationOfMark(place, shape.anchors);
    const solved = solvedAt(shape, x_mm, read);
    return solved ? [{ x_mm, ...solved }] : [];
  });
  return found.length > 0 ? withNumbers(base, found) : base;
}

/** The first contour of a kind that is on. */
const layerOf = (board: Board, kind: LayerKind) =>
  board.bottom.layers.findIndex((each) => each.kind === kind && each.off !== true);

const depthOf = (board: Board, kind: LayerKind, x_mm: number) => {
  const layer = layerOf(board, kind);
  return layer < 0 ? 0 : depthAsked(board, layer)(x_mm);
};

interface Solved {
  was: Numbers;
  now: Numbers;
}

/** The numbers of one place that give what was read there. Undefined where there is no section, or nothing was read. */
function solvedAt(shape: Shape, x_mm: number, read: AcrossAt['read']): Solved | undefined {
  const { board } = shape;
  const section = sectionAt(shape, x_mm);
  const reads = (Object.entries(read) as [AcrossRead, number][]).filter(([, value]) => Number.isFinite(value));
  if (!section || reads.length === 0) return undefined;
  const { input } = section;
  const was: Numbers = {
    apex: input.rail.apex,
    fullness: input.rail.fullness,
    tuck: input.rail.tuck_mm,
    crown: blendAt(shape.crown, x_mm),
    single: depthOf(board, 'single', x_mm),
    vee: depthOf(board, 'vee', x_mm),
    double: depthOf(board, 'double', x_mm),
  };
  const numbersOf = (values: readonly number[]): Numbers => {
    const now = { ...was };
    reads.forEach(([each], k) => {
      const { of } = BY[each];
      if (of === 'hollow') Object.assign(now, hollowed(was, values[k]));
      else now[of] = values[k];
    });
    return now;
  };
  const unknowns = reads.map(([each]): Unknown => {
    const { of, step } = BY[each];
    const start = of === 'hollow' ? 0 : was[of];
    return { start, low: Math.min(start, LIMITS[of].low), high: Math.max(start, LIMITS[of].high), step };
  });
  const fit = leastSquares(
    unknowns,
    (values) => {
      const now = sectionOf(inputWith(input, was, numbersOf(values)));
      return Float64Array.from(reads, ([each, value]) => ACROSS[each](now) - value);
    },
    { huber: 1e3, mostRounds: ROUNDS, gained: 1e-9 },
  );
  return { was, now: numbersOf(fit.values) };
}

/** More of a hollow: first less of the vee, then more concave; less of it: first less concave, then more vee. */
function hollowed({ single, vee }: Numbers, more: number): Pick<Numbers, 'single' | 'vee'> {
  return more >= 0
    ? { vee: Math.max(0, vee - more), single: single + Math.max(0, more - vee) }
    : { single: Math.max(0, single + more), vee: vee + Math.max(0, -more - single) };
}

/** A section's numbers with others in the place of the board's own. */
function inputWith(input: SectionInput, was: Numbers, now: Numbers): SectionInput {
  const { layers, depths } = input.bottom;
  const added = CONTOURS.map((kind) => ({ layer: plainLayer(kind), depth: now[kind] - was[kind] })).filter(
    ({ depth }) => depth !== 0,
  );
  return {
    ...input,
    crown_mm: input.crown_mm + now.crown - was.crown,
    rail: { ...input.rail, apex: now.apex, fullness: now.fullness, tuck_mm: now.tuck },
    bottom: {
      ...input.bottom,
      layers: [...layers, ...added.map(({ layer }) => layer)],
      depths: [...depths, ...added.map(({ depth }) => depth)],
    },
  };
}

/** A contour over the whole width that is nowhere yet. */
const plainLayer = (kind: LayerKind): BottomLayer => ({
  kind,
  width: 1,
  depths: (['tail', 'nose'] as const).map((from) => ({ from, at_mm: 0, value_mm: 0 })),
});

type Found = Solved & { x_mm: number };

function withNumbers(base: Board, found: readonly Found[]): Board {
  const by = Object.fromEntries(
    (['apex', 'fullness', 'tuck', 'crown'] as const).map((of) => [
      of,
      blendThrough(found.map(({ x_mm, was, now }) => ({ x_mm, value: now[of] - was[of] }))),
    ]),
  ) as Record<Along, Blend>;
  let board = base;
  // Stations first where was read, with what the blend gives there; then all of them moved by as much as was read more.
  for (const { x_mm } of found)
    board = withCrownAt(withRailAt(board, x_mm, {}), x_mm, blendAt(shapeOf(board).crown, x_mm));
  const { anchors } = shapeOf(base);
  const isSet = (x_mm: number) => found.some((each) => Math.abs(each.x_mm - x_mm) < SAME_STATION_mm);
  const isNear = (x_mm: number) => found.some((each) => Math.abs(each.x_mm - x_mm) < SAME_PLACE_mm);
  const kept = <P extends Mark | RailStation>(stations: readonly P[]): P[] =>
    stations.filter((station) => {
      const x_mm = stationOfMark(station, anchors);
      return isSet(x_mm) || !isNear(x_mm);
    });
  const railed = (station: RailStation): RailStation => {
    const x_mm = stationOfMark(station, anchors);
    return {
      ...station,
      apex: heldWithin(APEX, station.apex + blendAt(by.apex, x_mm)),
      fullness: Math.min(1, Math.max(0, station.fullness + blendAt(by.fullness, x_mm))),
      tuck_mm: heldWithin(TUCK_mm, station.tuck_mm + blendAt(by.tuck, x_mm)),
    };
  };
  const more = (of: Along, mark: Mark): Mark => ({
    ...mark,
    value_mm: Math.max(0, mark.value_mm + blendAt(by[of], stationOfMark(mark, anchors))),
  });
  board = {
    ...board,
    rails: { ...board.rails, stations: kept(board.rails.stations).map(railed) },
    deck: { ...board.deck, crown: kept(board.deck.crown).map((mark) => more('crown', mark)) },
  };
  return CONTOURS.reduce((made, kind) => withContour(made, kind, found), board);
}

/** The contour of a kind as deep as was found, set where it was not there yet. */
function withContour(board: Board, kind: Contour, found: readonly Found[]): Board {
  if (found.every(({ was, now }) => Math.abs(now[kind] - was[kind]) < IDLE_mm)) return board;
  const layers = layerOf(board, kind) < 0 ? [...board.bottom.layers, plainLayer(kind)] : board.bottom.layers;
  const layer = layerOf({ ...board, bottom: { layers } }, kind);
  return found.reduce(
    (made, { x_mm, now }) => {
      const set = withDepthAt(made, layer, x_mm, now[kind]);
      return placeAt(set, set.bottom.layers[layer].depths, x_mm) === undefined ? made : set;
    },
    { ...board, bottom: { layers } },
  );
}
