import fc from 'fast-check';
import {
  type Board,
  BOARD_FORMAT,
  BOARD_VERSION,
  type BottomLayer,
  type DeckFeature,
  FAMILIES,
  FIN_SETUPS,
  LAYER_KINDS,
  type Mark,
  type RailStation,
  TAIL_KINDS,
} from '../document/schema.ts';
import { boardIssues } from '../shape/issues.ts';
import { finBoxes } from '../fins/placement.ts';

const num = (min: number, max: number) => fc.double({ min, max, noNaN: true });

const tips = fc.oneof(fc.constant(0), num(0.5, 30));

/** Shares and choices from which a board is made, so that most draws are legal. */
const choices = fc.record({
  family: fc.constantFrom(...FAMILIES),
  length_mm: num(1400, 3300),
  width: num(0.16, 0.31),
  wide: num(-0.09, 0.1),
  nose12: num(0.5, 0.86),
  tail12: num(0.5, 0.86),
  nose: fc.oneof(
    fc.tuple(num(0.1, 1.25), tips).map(([curve_rad, tip_mm]) => ({ kind: 'pointed' as const, curve_rad, tip_mm })),
    fc.constant({ kind: 'round' as const }),
    num(50, 170).map((radius_mm) => ({ kind: 'round' as const, radius_mm })),
  ),
  tail: fc.record({
    kind: fc.constantFrom(...TAIL_KINDS),
    block: num(0.18, 0.5),
    depth_mm: num(10, 180),
    tip_mm: tips,
  }),
  wings: fc.array(fc.record({ at: num(0.06, 0.26), depth_mm: num(1, 12), length_mm: num(4, 120), raised: num(0, 1) }), {
    maxLength: 3,
  }),
  rocker: fc.record({
    nose: num(0.03, 0.085),
    tail: num(0.012, 0.05),
    flat: num(-0.08, 0.05),
    n12: num(0.2, 0.6),
    t12: num(0.15, 0.6),
  }),
  thickness_mm: num(45, 95),
  foil: fc.record({ at: num(-0.06, 0.08), n12: num(0.5, 0.85), t12: num(0.5, 0.85), tips: num(5, 20) }),
  crown: fc.tuple(num(0, 16), num(0, 20), num(0, 16)),
  features: fc.subarray(['flat', 'dome', 'beak', 'step', 'sDeck'] as const),
  featureSize: num(0, 1),
  rails: fc.array(
    fc.record({
      at: num(0.02, 0.98),
      apex: num(0.12, 0.72),
      fullness: num(0, 1),
      tuck_mm: num(0, 80),
      edge: num(0, 1),
      edgeRadius_mm: num(0.3, 20),
    }),
    { minLength: 1, maxLength: 5 },
  ),
  tailEdge: fc.record({ length_mm: num(0, 900), fade_mm: num(20, 500), hardness: num(0, 1) }),
  layers: fc.array(
    fc.record({
      kind: fc.constantFrom(...LAYER_KINDS),
      width: num(0.15, 1),
      count: fc.integer({ min: 1, max: 4 }),
      from: num(0, 0.5),
      run: num(0.2, 0.9),
      depth_mm: num(-2, 12),
    }),
    { maxLength: 4 },
  ),
  setup: fc.constantFrom(...FIN_SETUPS),
});

type Choices = typeof choices extends fc.Arbitrary<infer T> ? T : never;

const MARK_mm = 304.8;
/** Marks a foot from both tips. */
const atTwelve = (nose_mm: number, tail_mm: number): Mark[] => [
  { from: 'nose', at_mm: MARK_mm, value_mm: nose_mm },
  { from: 'tail', at_mm: MARK_mm, value_mm: tail_mm },
];

function outlineOf({ length_mm, ...c }: Choices, width_mm: number): Board['outline'] {
  return {
    width_mm,
    widePoint_mm: c.wide * length_mm,
    marks: atTwelve(width_mm * c.nose12, width_mm * c.tail12),
    nose: c.nose,
    tail: {
      kind: c.tail.kind,
      block_mm: width_mm * c.tail.block,
      depth_mm: c.tail.depth_mm,
      tip_mm: c.tail.tip_mm,
    },
    wings: c.wings.map((w) => ({
      fromTail_mm: w.at * length_mm,
      depth_mm: w.depth_mm,
      length_mm: Math.min(w.length_mm, 0.9 * w.at * length_mm),
      raised: w.raised,
    })),
  };
}

function rockerOf({ length_mm, rocker }: Choices): Board['rocker'] {
  const lifts = { nose: rocker.nose * length_mm, tail: rocker.tail * length_mm };
  return {
    noseLift_mm: lifts.nose,
    tailLift_mm: lifts.tail,
    flatPoint_mm: rocker.flat * length_mm,
    marks: atTwelve(lifts.nose * rocker.n12, lifts.tail * rocker.t12),
  };
}

function foilOf({ length_mm, thickness_mm, foil }: Choices): Board['foil'] {
  return {
    thickness_mm,
    thickest_mm: foil.at * length_mm,
    noseTip_mm: foil.tips,
    tailTip_mm: foil.tips,
    marks: atTwelve(thickness_mm * foil.n12, thickness_mm * foil.t12),
  };
}

function featureOf(kind: DeckFeature['kind'], size: number): DeckFeature {
  const stretch = { from: 'centre', at_mm: 200, length_mm: 300 + 500 * size, fade_mm: 60 + 300 * size } as const;
  switch (kind) {
    case 'flat':
      return { kind, width: 0.8 * size, ...stretch };
    case 'dome':
      return { kind, fall_mm: 0.5 + 12 * size, ...stretch };
    case 'beak':
      return { kind, length_mm: 100 + 300 * size, thickness_mm: 2 + 12 * size, fade_mm: 80 + 200 * size, roll: size };
    case 'step':
      return {
        kind,
        length_mm: 200 + 700 * size,
        inset_mm: 20 + 80 * size,
        drop_mm: 1 + 14 * size,
        fade_mm: 60 + 300 * size,
      };
    case 'sDeck':
      return { kind, drop_mm: 0.5 + 8 * size, ...stretch };
  }
}

function layerOf(l: Choices['layers'][number], length_mm: number): BottomLayer {
  const start = l.from * length_mm;
  const end = Math.min(length_mm, (l.from + l.run) * length_mm);
  return {
    kind: l.kind,
    width: l.width,
    ...(l.kind === 'channels' ? { count: l.count } : {}),
    depths: [
      { from: 'tail', at_mm: start, value_mm: 0 },
      { from: 'tail', at_mm: (start + end) / 2, value_mm: l.depth_mm },
      { from: 'tail', at_mm: end, value_mm: 0 },
    ],
  };
}

function boardOfChoices(c: Choices): Board {
  const { length_mm } = c;
  const width_mm = Math.min(c.width * length_mm, 640);
  return {
    format: BOARD_FORMAT,
    version: BOARD_VERSION,
    name: 'Any board',
    family: c.family,
    length_mm,
    outline: outlineOf(c, width_mm),
    rocker: rockerOf(c),
    foil: foilOf(c),
    deck: {
      crown: (['tail', 'centre', 'nose'] as const).map((from, k) => ({ from, at_mm: 0, value_mm: c.crown[k] })),
      features: c.features.map((kind) => featureOf(kind, c.featureSize)),
    },
    rails: {
      stations: c.rails.map(({ at, ...rail }): RailStation => ({ from: 'tail', at_mm: at * length_mm, ...rail })),
      tailEdge: c.tailEdge,
    },
    bottom: { layers: c.layers.map((layer) => layerOf(layer, length_mm)) },
    fins: finBoxes(c.setup, c.family, length_mm, width_mm * c.tail12),
    notes: '',
  };
}

/** Any legal board: all tails, noses, wings, contours, rails, deck features and setups, over their ranges. */
export const anyBoard: fc.Arbitrary<Board> = choices
  .map(boardOfChoices)
  .filter((board) => boardIssues(board).length === 0);
