import {
  BEAK_FADE_mm,
  BEAK_LENGTH_mm,
  DECK_FADE_mm,
  DECK_LENGTH_mm,
  heldWithin,
  STEP_LENGTH_mm,
} from '../document/limits.ts';
import { type Board, type DeckFeature, type FinBox, type Mark, type TailKind } from '../document/schema.ts';
import { clearOfCut, finBoxes } from '../fins/placement.ts';
import { type NoseKind, TAILS, USUAL_TIP_mm } from '../document/kinds.ts';
import { measure } from '../measure/measure.ts';
import { shapeOf } from '../shape/shape.ts';

/** How rocker grows with length in a stretch. */
export interface StretchRule {
  /**
   * Lifts grow with this power of the length: 0 keeps the lifts, 1 stretches them with the board, 2 keeps the curvature.
   * 1 when left out: then the middle keeps its radius for its length.
   */
  rockerPower?: number;
}

/**
 * A longer or shorter board of the same proportions: stations along it grow with the length, lifts by the rule; fins move as
 * their usual place does, so that what a shaper set off it stays set off it: 11 in on a 6'0 is 11 11/16 on a 6'8.
 * Holds: every width, thickness and depth; rails; the shape of the tail's end.
 */
export function stretched(board: Board, length_mm: number, { rockerPower = 1 }: StretchRule = {}): Board {
  const k = length_mm / board.length_mm;
  const lift = k ** rockerPower;
  const along = <M extends Pick<Mark, 'from' | 'at_mm'>>(mark: M): M => ({ ...mark, at_mm: mark.at_mm * k });
  const { outline, rocker, foil, deck, rails, bottom } = board;
  return {
    ...board,
    length_mm,
    outline: { ...outline, widePoint_mm: outline.widePoint_mm * k, marks: outline.marks.map(along) },
    rocker: {
      noseLift_mm: rocker.noseLift_mm * lift,
      tailLift_mm: rocker.tailLift_mm * lift,
      flatPoint_mm: rocker.flatPoint_mm * k,
      marks: rocker.marks.map((mark) => ({ ...along(mark), value_mm: mark.value_mm * lift })),
    },
    foil: { ...foil, thickest_mm: foil.thickest_mm * k, marks: foil.marks.map(along) },
    deck: { crown: deck.crown.map(along), features: deck.features.map((feature) => featureAlong(feature, k)) },
    rails: { ...rails, stations: rails.stations.map(along) },
    bottom: { layers: bottom.layers.map((layer) => ({ ...layer, depths: layer.depths.map(along) })) },
    fins: finsMoved(board, length_mm),
  };
}

/** A feature of the deck on a board k times as long: its places and lengths grow with it, within what a board may have. */
function featureAlong(feature: DeckFeature, k: number): DeckFeature {
  const grown = (value: number, limits: { low: number; high: number }) => heldWithin(limits, value * k);
  switch (feature.kind) {
    case 'beak':
      return {
        ...feature,
        length_mm: grown(feature.length_mm, BEAK_LENGTH_mm),
        fade_mm: grown(feature.fade_mm, BEAK_FADE_mm),
      };
    case 'step':
      return {
        ...feature,
        length_mm: grown(feature.length_mm, STEP_LENGTH_mm),
        fade_mm: grown(feature.fade_mm, DECK_FADE_mm),
      };
    case 'flat':
    case 'sDeck':
    case 'dome':
      return {
        ...feature,
        at_mm: feature.at_mm * k,
        length_mm: grown(feature.length_mm, DECK_LENGTH_mm),
        fade_mm: grown(feature.fade_mm, DECK_FADE_mm),
      };
  }
}

/** The fins of a board at another length: each box goes by as much as the usual one of its role does. */
function finsMoved({ fins, family, length_mm }: Board, to_mm: number): Board['fins'] {
  const usual = (length: number, role: FinBox['role']) =>
    finBoxes(fins.setup, family, length).boxes.find((box) => box.role === role)?.trailingEdge_mm;
  return {
    ...fins,
    boxes: fins.boxes.map((box) => {
      const [was, now] = [usual(length_mm, box.role), usual(to_mm, box.role)];
      if (was === undefined || now === undefined) return box;
      return { ...box, trailingEdge_mm: Math.max(0, box.trailingEdge_mm + now - was) };
    }),
  };
}

/** Moves the wide point by so much, toward the nose positive. Holds every number of every mark. */
export function widePointMoved(board: Board, by_mm: number): Board {
  return { ...board, outline: { ...board.outline, widePoint_mm: board.outline.widePoint_mm + by_mm } };
}

/** Makes the board so much wider at the wide point, all its widths in proportion. Holds stations, wings and the tail's depth. */
export function widened(board: Board, by_mm: number): Board {
  const { outline } = board;
  const k = (outline.width_mm + by_mm) / outline.width_mm;
  return {
    ...board,
    outline: {
      ...outline,
      width_mm: outline.width_mm * k,
      marks: outline.marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })),
      tail: { ...outline.tail, block_mm: outline.tail.block_mm * k },
    },
  };
}

/** Makes the board so much thicker at its thickest, all along in proportion, tips excepted. Holds stations, tips, crown. */
export function thickened(board: Board, by_mm: number): Board {
  const { foil } = board;
  const k = (foil.thickness_mm + by_mm) / foil.thickness_mm;
  return {
    ...board,
    foil: {
      ...foil,
      thickness_mm: foil.thickness_mm * k,
      marks: foil.marks.map((mark) => ({ ...mark, value_mm: mark.value_mm * k })),
    },
  };
}

/** Narrower than this a block is no block. */
const LEAST_BLOCK_mm = 45;

/**
 * Another tail on the same outline. Holds every mark; the block stays where both tails have one. A centre box that would
 * stand in the cut of the new tail moves forward to its edge.
 */
export function withTail(board: Board, kind: TailKind): Board {
  const { tail, width_mm } = board.outline;
  const { first } = TAILS[kind];
  const fresh = first.block_mm !== 'asItIs' && tail.block_mm < LEAST_BLOCK_mm;
  const block_mm = fresh ? Math.min(Number(first.block_mm), 0.5 * width_mm) : tail.block_mm;
  const depth_mm = first.depth_mm === 'asItIs' ? tail.depth_mm : first.depth_mm;
  return clearOfCut({ ...board, outline: { ...board.outline, tail: { ...tail, kind, block_mm, depth_mm } } });
}

/** The usual tip curve of a pointed nose: 40 degrees, the fairest over five boards. */
const POINTED_CURVE_rad = (40 * Math.PI) / 180;

/** A round nose whose tip the batten finds, or a pointed one. Holds every mark. */
export function withNose(board: Board, kind: NoseKind): Board {
  const nose =
    kind === 'round'
      ? ({ kind } as const)
      : ({ kind, curve_rad: POINTED_CURVE_rad, tip_mm: USUAL_TIP_mm.nose } as const);
  return { ...board, outline: { ...board.outline, nose } };
}

/** An outline with equal ends: nose and tail mirrored about the middle, taken from the front half. Holds length and width. */
export function withEqualEnds(board: Board): Board {
  const m = measure(shapeOf(board));
  const { outline } = board;
  const kept = outline.marks.filter((mark) => mark.from === 'nose' && mark.at_mm < board.length_mm / 2 - 20);
  const front = kept.length > 0 ? kept : [{ from: 'nose' as const, at_mm: 12 * 25.4, value_mm: m.noseWidth12_mm }];
  const round = outline.nose.kind === 'round';
  return {
    ...board,
    outline: {
      ...outline,
      widePoint_mm: 0,
      marks: [...front, ...front.map((mark) => ({ ...mark, from: 'tail' as const }))],
      nose: round ? outline.nose : { kind: 'pointed', curve_rad: POINTED_CURVE_rad, tip_mm: USUAL_TIP_mm.nose },
      tail: {
        kind: round ? 'round' : 'pin',
        block_mm: 0,
        depth_mm: 0,
        tip_mm: outline.nose.kind === 'pointed' ? outline.nose.tip_mm : outline.tail.tip_mm,
      },
      wings: [],
    },
  };
}
