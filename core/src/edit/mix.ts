import {
  APEX,
  CANT_rad,
  EDGE_RADIUS_mm,
  FIN_INSET_mm,
  FIN_SIZE_mm,
  heldWithin,
  LAYER_WIDTH,
  MOST_LAYERS,
  MOST_MARKS,
  MOST_STATIONS,
  MOST_WINGS,
  NOSE_RADIUS_mm,
  TIP_CURVE_rad,
  TIP_RADIUS_mm,
  TOE_rad,
  TRAILING_EDGE_mm,
  TUCK_mm,
  WING_DEPTH_mm,
  WING_LENGTH_mm,
} from '../document/limits.ts';
import { DECK_FEATURES } from '../document/kinds.ts';
import type { Board, BottomLayer, DeckFeature, Mark, OutlineMark, RailStation } from '../document/schema.ts';
import { boardSchema } from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { type Shape, shapeOf } from '../shape/shape.ts';
import { stationOfMark } from '../document/station.ts';
import { blendAt, blendThrough } from '../curve/blend.ts';
import { thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { railAt } from '../rails/rails.ts';

/** A mix that may have had to stop short: `share` is how far it went. */
export interface Mixed {
  board: Board;
  share: number;
  /** Why it stopped short of what was asked; undefined when it did not. */
  reason?: string;
}

/**
 * A board between two: every number `share` of the way from one to the other. Marks of both are kept, each at its distance
 * from its end, where a board that has none there is read. Of what cannot be mixed (kind of nose, tail, setup) the nearer
 * board's is taken; a contour or deck feature only one has fades with its share.
 */
export function blended(from: Board, to: Board, share: number): Mixed {
  return legalMix(from, to, share);
}

/**
 * The difference of two boards multiplied: factor 1 is `other`, 2 is as far again beyond it, 0 is `base`. Stops at the
 * last board that can be built, and says so.
 */
export function exaggerated(base: Board, other: Board, factor: number): Mixed {
  return legalMix(base, other, factor);
}

function legalMix(from: Board, to: Board, share: number): Mixed {
  const whole = mixOf(from, to, share);
  const trouble = whyNot(whole);
  if (trouble === undefined) return { board: whole, share };
  // Halve toward the nearer end, which is a board, until the mix is one.
  let good = share > 0.5 ? 1 : 0;
  let bad = share;
  let board = mixOf(from, to, good);
  if (whyNot(board) !== undefined) board = good === 1 ? to : from;
  for (let round = 0; round < 24; round++) {
    const middle = (good + bad) / 2;
    const trial = mixOf(from, to, middle);
    if (whyNot(trial) === undefined) {
      good = middle;
      board = trial;
    } else bad = middle;
  }
  return { board, share: good, reason: trouble };
}

function whyNot(board: Board): string | undefined {
  const parsed = boardSchema.safeParse(board);
  if (!parsed.success) return `${parsed.error.issues[0].path.join('.')} would leave its range`;
  return boardIssues(board)[0]?.words;
}

function mixOf(a: Board, b: Board, share: number): Board {
  const A = shapeOf(a);
  const B = shapeOf(b);
  const near = share < 0.5 ? a : b;
  const mix = (x: number, y: number) => x + share * (y - x);
  const length_mm = mix(a.length_mm, b.length_mm);
  const anchorsMixed = {
    length_mm,
    wide_mm: length_mm / 2 + mix(a.outline.widePoint_mm, b.outline.widePoint_mm),
  };
  /** The marks of both boards, read on both and mixed. Two that come to lie on one another are one. */
  const marks = <M extends Mark | OutlineMark>(
    ofA: readonly M[],
    ofB: readonly M[],
    read: (shape: Shape, x_mm: number) => number,
  ): M[] => {
    const out: M[] = [];
    const taken: number[] = [];
    for (const mark of [...ofA, ...ofB]) {
      const x = stationOfMark(mark, anchorsMixed);
      if (taken.some((other) => Math.abs(other - x) < LEAST_GAP_mm)) continue;
      if (out.length >= MOST_MARKS) break;
      taken.push(x);
      const valueOn = (shape: Shape) => read(shape, stationOfMark(mark, shape.anchors));
      out.push({ ...mark, value_mm: mix(valueOn(A), valueOn(B)) });
    }
    return out;
  };
  const { outline: p, rocker: r, foil: f } = a;
  const { outline: q, rocker: s, foil: g } = b;
  const tailMix = p.tail.kind === q.tail.kind || (p.tail.block_mm > 0 && q.tail.block_mm > 0);
  return {
    ...near,
    name: near.name,
    length_mm,
    outline: {
      width_mm: mix(p.width_mm, q.width_mm),
      widePoint_mm: mix(p.widePoint_mm, q.widePoint_mm),
      marks: marks(p.marks, q.marks, (shape, x) => 2 * halfBreadthAt(shape.outline, x)),
      nose: mixedNose(p.nose, q.nose, share),
      tail: tailMix
        ? {
            kind: near.outline.tail.kind,
            block_mm: mix(p.tail.block_mm, q.tail.block_mm),
            depth_mm: p.tail.kind === q.tail.kind ? mix(p.tail.depth_mm, q.tail.depth_mm) : near.outline.tail.depth_mm,
            tip_mm: heldWithin(TIP_RADIUS_mm, mix(p.tail.tip_mm, q.tail.tip_mm)),
          }
        : near.outline.tail,
      wings: mixedWings(p.wings, q.wings, share),
    },
    rocker: {
      noseLift_mm: mix(r.noseLift_mm, s.noseLift_mm),
      tailLift_mm: mix(r.tailLift_mm, s.tailLift_mm),
      flatPoint_mm: mix(r.flatPoint_mm, s.flatPoint_mm),
      marks: marks(r.marks, s.marks, (shape, x) => shape.rocker.line.valueAt(x)),
    },
    foil: {
      thickness_mm: mix(f.thickness_mm, g.thickness_mm),
      thickest_mm: mix(f.thickest_mm, g.thickest_mm),
      noseTip_mm: mix(f.noseTip_mm, g.noseTip_mm),
      tailTip_mm: mix(f.tailTip_mm, g.tailTip_mm),
      marks: marks(f.marks, g.marks, (shape, x) => thicknessAt(shape.foil, x)),
    },
    deck: {
      crown: mixedStations(a.deck.crown, b.deck.crown, (mark) => {
        const on = (shape: Shape) => blendAt(shape.crown, stationOfMark(mark, shape.anchors));
        return { ...mark, value_mm: mix(on(A), on(B)) };
      }),
      features: mixedFeatures(a.deck.features, b.deck.features, share),
    },
    rails: {
      stations: mixedStations(a.rails.stations, b.rails.stations, (station) => mixedRail(station, A, B, share)),
      tailEdge: {
        length_mm: mix(a.rails.tailEdge.length_mm, b.rails.tailEdge.length_mm),
        fade_mm: mix(a.rails.tailEdge.fade_mm, b.rails.tailEdge.fade_mm),
        hardness: clamp01(mix(a.rails.tailEdge.hardness, b.rails.tailEdge.hardness)),
      },
    },
    bottom: { layers: mixedLayers(A, B, share) },
    fins: mixedFins(a, b, share),
  };
}

/** Two marks closer than this would be a lever; the first one stays. A sixteenth of a 6 ft board is the limit of fairness. */
const LEAST_GAP_mm = 90;

function clamp01(value: number): number {
  return Math.min(1, Math.max(0, value));
}

function mixedNose(a: Board['outline']['nose'], b: Board['outline']['nose'], share: number): Board['outline']['nose'] {
  if (a.kind === 'pointed' && b.kind === 'pointed') {
    return {
      kind: 'pointed',
      curve_rad: heldWithin(TIP_CURVE_rad, a.curve_rad + share * (b.curve_rad - a.curve_rad)),
      tip_mm: heldWithin(TIP_RADIUS_mm, a.tip_mm + share * (b.tip_mm - a.tip_mm)),
    };
  }
  if (a.kind === 'round' && b.kind === 'round' && a.radius_mm !== undefined && b.radius_mm !== undefined) {
    return { kind: 'round', radius_mm: heldWithin(NOSE_RADIUS_mm, a.radius_mm + share * (b.radius_mm - a.radius_mm)) };
  }
  return share < 0.5 ? a : b;
}

/** Wings in pairs from the front; one without a partner fades with its share. */
function mixedWings(
  a: Board['outline']['wings'],
  b: Board['outline']['wings'],
  share: number,
): Board['outline']['wings'] {
  const mix = (x: number, y: number) => x + share * (y - x);
  const wings: Board['outline']['wings'] = [];
  for (let i = 0; i < Math.max(a.length, b.length); i++) {
    const one = a[i] ?? { ...b[i], depth_mm: 0 };
    const two = b[i] ?? { ...a[i], depth_mm: 0 };
    const depth_mm = mix(one.depth_mm, two.depth_mm);
    if (depth_mm < WING_DEPTH_mm.low) continue;
    wings.push({
      fromTail_mm: mix(one.fromTail_mm, two.fromTail_mm),
      depth_mm,
      length_mm: Math.max(WING_LENGTH_mm.low, mix(one.length_mm, two.length_mm)),
      raised: clamp01(mix(one.raised, two.raised)),
    });
  }
  return wings.slice(0, MOST_WINGS);
}

/** The stations of both, each made anew, those that fall together once. */
function mixedStations<S extends Pick<Mark, 'from' | 'at_mm'>>(
  a: readonly S[],
  b: readonly S[],
  made: (station: S) => S,
): S[] {
  const out: S[] = [];
  for (const station of [...a, ...b]) {
    if (out.length >= MOST_STATIONS) break;
    if (out.some((s) => s.from === station.from && Math.abs(s.at_mm - station.at_mm) < 1)) continue;
    out.push(made(station));
  }
  return out;
}

function mixedRail(station: RailStation, A: Shape, B: Shape, share: number): RailStation {
  const on = (shape: Shape) =>
    railAt(
      { ...shape.rails, document: { ...shape.rails.document, tailEdge: NO_EDGE } },
      stationOfMark(station, shape.anchors),
    );
  const one = on(A);
  const two = on(B);
  const mix = (x: number, y: number, limits: { low: number; high: number }) => heldWithin(limits, x + share * (y - x));
  return {
    from: station.from,
    at_mm: station.at_mm,
    apex: mix(one.apex, two.apex, APEX),
    fullness: mix(one.fullness, two.fullness, SHARE),
    tuck_mm: mix(one.tuck_mm, two.tuck_mm, TUCK_mm),
    edge: mix(one.edge, two.edge, SHARE),
    edgeRadius_mm: mix(one.edgeRadius_mm, two.edgeRadius_mm, EDGE_RADIUS_mm),
  };
}

const SHARE = { low: 0, high: 1 };
const NO_EDGE = { length_mm: 0, fade_mm: 10, hardness: 0 };

/** Features of one kind mix; one that only one board has fades with its share, or stays away when it cannot fade. */
function mixedFeatures(a: readonly DeckFeature[], b: readonly DeckFeature[], share: number): DeckFeature[] {
  const kinds = [...new Set([...a, ...b].map((feature) => feature.kind))];
  return kinds.flatMap((kind): DeckFeature[] => {
    const one = a.find((f) => f.kind === kind);
    const two = b.find((f) => f.kind === kind);
    const near = (share < 0.5 ? one : two) ?? one ?? two;
    if (!near) return [];
    const { size, limits } = DECK_FEATURES[kind];
    const numberOf = (feature: DeckFeature | undefined, key: string) =>
      Number((feature as unknown as Record<string, unknown> | undefined)?.[key] ?? 0);
    const mixed = Object.fromEntries(
      Object.entries(near).map(([key, value]) => {
        const both = one !== undefined && two !== undefined;
        // What only one board has fades with its share and stays where it is.
        if (typeof value !== 'number' || (!both && key !== size)) return [key, value];
        const place = key === 'at_mm' && both && 'from' in one && 'from' in two && one.from !== two.from;
        return [key, place ? value : numberOf(one, key) + share * (numberOf(two, key) - numberOf(one, key))];
      }),
    ) as DeckFeature;
    return numberOf(mixed, size) >= limits.low ? [mixed] : [];
  });
}

/** Layers of one kind mix station by station; one that only one board has fades with its share. */
function mixedLayers(A: Shape, B: Shape, share: number): BottomLayer[] {
  const out: BottomLayer[] = [];
  const restB = [...B.board.bottom.layers];
  const depthOn = (layer: BottomLayer | undefined, shape: Shape) => {
    if (!layer || layer.off === true) return () => 0;
    const blend = blendThrough(layer.depths.map((m) => ({ x_mm: stationOfMark(m, shape.anchors), value: m.value_mm })));
    return (mark: Mark) => blendAt(blend, stationOfMark(mark, shape.anchors));
  };
  const mixed = (one: BottomLayer | undefined, two: BottomLayer | undefined) => {
    const base = (share < 0.5 ? one : two) ?? one ?? two;
    if (!base) return;
    const onA = depthOn(one, A);
    const onB = depthOn(two, B);
    const depths = mixedStations(one?.depths ?? [], two?.depths ?? [], (mark) => ({
      ...mark,
      value_mm: onA(mark) + share * (onB(mark) - onA(mark)),
    }));
    const width = one && two ? heldWithin(LAYER_WIDTH, one.width + share * (two.width - one.width)) : base.width;
    const { off: _, ...on } = base;
    if (depths.some((mark) => Math.abs(mark.value_mm) > 1e-6)) out.push({ ...on, width, depths });
  };
  for (const layer of A.board.bottom.layers) {
    const at = restB.findIndex((other) => other.kind === layer.kind);
    mixed(layer, at >= 0 ? restB.splice(at, 1)[0] : undefined);
  }
  for (const layer of restB) mixed(undefined, layer);
  return out.slice(0, MOST_LAYERS);
}

/** Boxes mix where both boards have the same setup; else the nearer board's are taken. */
function mixedFins(a: Board, b: Board, share: number): Board['fins'] {
  if (a.fins.setup !== b.fins.setup || a.fins.boxes.length !== b.fins.boxes.length)
    return share < 0.5 ? a.fins : b.fins;
  const mix = (x: number, y: number, limits: { low: number; high: number }) => heldWithin(limits, x + share * (y - x));
  return {
    setup: a.fins.setup,
    boxes: a.fins.boxes.map((box, i) => {
      const other = b.fins.boxes[i];
      return {
        ...(share < 0.5 ? box : other),
        trailingEdge_mm: mix(box.trailingEdge_mm, other.trailingEdge_mm, TRAILING_EDGE_mm),
        inset_mm: mix(box.inset_mm, other.inset_mm, FIN_INSET_mm),
        toe_rad: mix(box.toe_rad, other.toe_rad, TOE_rad),
        cant_rad: mix(box.cant_rad, other.cant_rad, CANT_rad),
        template: {
          ...(share < 0.5 ? box : other).template,
          base_mm: mix(box.template.base_mm, other.template.base_mm, FIN_SIZE_mm),
          depth_mm: mix(box.template.depth_mm, other.template.depth_mm, FIN_SIZE_mm),
        },
      };
    }),
  };
}
