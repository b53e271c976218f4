import { type Bottom, bottomAcross, blendedBottom } from '../bottom/bottom.ts';
import { type Blend, blendAt, blendThrough } from '../curve/blend.ts';
import { featureCrown, flatDeckAt, stepRailAt } from '../foil/features.ts';
import { type Foil, sprungFoil, thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt, notchHalfBreadthAt, type Outline, sprungOutline } from '../outline/outline.ts';
import { blendedRails, railAt, type Rails } from '../rails/rails.ts';
import { TIP_REACH } from '../outline/tails.ts';
import { type Rocker, sprungRocker } from '../rocker/rocker.ts';
import { type Section, sectionOf } from '../section/section.ts';
import type { Board, Mark } from '../document/schema.ts';
import { type Anchors, anchorsOf, stationOfMark } from '../document/station.ts';

/** A board with every curve sprung: what all measures, sections and solids are taken from. Immutable. */
export interface Shape {
  readonly board: Board;
  readonly anchors: Anchors;
  readonly outline: Outline;
  readonly rocker: Rocker;
  readonly foil: Foil;
  readonly crown: Blend;
  readonly rails: Rails;
  readonly bottom: Bottom;
  /** Does the tail close in a point on the stringer, so that a lens rounds it off? */
  readonly tailCloses: boolean;
}

/**
 * Springs all the curves of a board. Parts whose own data did not change since `previous` are taken from it as they
 * are, so that a drag of one mark solves one curve.
 * @throws RangeError when two marks of one curve share a station; boardIssues() finds these beforehand.
 */
export function shapeOf(board: Board, previous?: Shape): Shape {
  const anchors = anchorsOf(board);
  const before = previous?.board;
  const sameLength = previous !== undefined && previous.anchors.length_mm === anchors.length_mm;
  const sameWide = previous !== undefined && previous.anchors.wide_mm === anchors.wide_mm;
  const kept = (key: 'outline' | 'rocker' | 'foil' | 'rails' | 'deck' | 'bottom') =>
    sameLength && before !== undefined && before[key] === board[key] && (sameWide || !tiedToWide(board, key));
  const deckKept = kept('deck');
  const outline =
    previous && kept('outline') ? previous.outline : sprungOutline(board.outline, anchors, previous?.outline);
  return {
    board,
    anchors,
    outline,
    rocker: previous && kept('rocker') ? previous.rocker : sprungRocker(board.rocker, anchors, previous?.rocker),
    foil:
      previous && kept('foil') && deckKept
        ? previous.foil
        : sprungFoil(board.foil, board.deck.features, anchors, previous?.foil),
    crown:
      previous && deckKept
        ? previous.crown
        : blendThrough(board.deck.crown.map((m) => ({ x_mm: stationOfMark(m, anchors), value: m.value_mm }))),
    rails: previous && kept('rails') ? previous.rails : blendedRails(board.rails, anchors),
    bottom:
      previous && kept('bottom') && kept('outline')
        ? previous.bottom
        : blendedBottom(board.bottom, board.outline.wings, anchors),
    tailCloses: halfBreadthAt(outline, 0) < 1e-9 && outline.end.notch_mm === 0,
  };
}

/** Does a part have a place that moves with the wide point? */
function tiedToWide(board: Board, key: 'outline' | 'rocker' | 'foil' | 'rails' | 'deck' | 'bottom'): boolean {
  const wide = (places: readonly { from: Mark['from'] }[]) => places.some((place) => place.from === 'wide');
  switch (key) {
    case 'outline':
      return true;
    case 'rocker':
    case 'foil':
      return wide(board[key].marks);
    case 'rails':
      return wide(board.rails.stations);
    case 'deck':
      return wide(board.deck.crown) || wide(board.deck.features.filter((feature) => 'from' in feature));
    case 'bottom':
      return board.bottom.layers.some((layer) => wide(layer.depths));
  }
}

/** Within this share of the tip's thickness a closed end is rounded off to a point; where its plan is rounded, over the same length. */
const LENS_REACH = 0.7;

/** How far a closed tip scales heights about the apex at x: 1 away from the tips, 0 at them. */
function lensAt(shape: Shape, x_mm: number): number {
  const { board, outline } = shape;
  const nose = (board.length_mm - x_mm) / Math.max(LENS_REACH * board.foil.noseTip_mm, TIP_REACH * outline.noseTip_mm);
  const tail = shape.tailCloses
    ? x_mm / Math.max(LENS_REACH * board.foil.tailTip_mm, TIP_REACH * outline.end.tip_mm)
    : 1;
  const within = Math.min(nose, tail);
  if (within >= 1) return 1;
  if (within <= 0) return 0;
  return Math.sqrt(1 - (1 - within) ** 3);
}

const NOT_FLAT = { flat: 0, levelled: 0 } as const;

/** Narrower than this a section is a point. */
const POINT_HALF_mm = 1e-7;

/**
 * The half section at x.
 * @returns undefined at the closed tips, where the board has no breadth.
 */
export function sectionAt(shape: Shape, x_mm: number): Section | undefined {
  const half_mm = halfBreadthAt(shape.outline, x_mm);
  const notch_mm = notchHalfBreadthAt(shape.outline, x_mm);
  const lens = lensAt(shape, x_mm);
  if (!(half_mm - notch_mm > POINT_HALF_mm) || lens <= 0) return undefined;
  const thickness_mm = thicknessAt(shape.foil, x_mm);
  const features = shape.board.deck.features;
  const step = stepRailAt(features, x_mm);
  return sectionOf({
    half_mm,
    notch_mm,
    thickness_mm,
    crown_mm: blendAt(shape.crown, x_mm) + (features.length > 0 ? featureCrown(features, x_mm, shape.anchors) : 0),
    ...(features.length > 0 ? flatDeckAt(features, x_mm, shape.anchors) : NOT_FLAT),
    stepDrop_mm: step.drop_mm,
    stepInset_mm: step.inset_mm,
    rail: railAt(shape.rails, x_mm),
    bottom: bottomAcross(shape.bottom, x_mm, half_mm, thickness_mm),
    lens,
  });
}
