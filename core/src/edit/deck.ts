import { DECK_FEATURES } from '../document/kinds.ts';
import { MOST_DECK_FEATURES, MOST_STATIONS } from '../document/limits.ts';
import type { Board, DeckFeature, DeckFeatureKind, Mark } from '../document/schema.ts';
import { anchorsOf, distanceFrom, stationOfMark } from '../document/station.ts';
import { blendAt } from '../curve/blend.ts';
import { featureThickness } from '../foil/features.ts';
import { volume_L } from '../measure/volume.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';

/**
 * Other features on the same plain deck line: the tips and the thickness marks become what the features now add there more than
 * before, so that a beak adds what it says and takes nothing from the foam behind it. Holds the greatest thickness.
 */
export function withDeckFeatures(board: Board, features: readonly DeckFeature[]): Board {
  const anchors = anchorsOf(board);
  const added = (x_mm: number) =>
    featureThickness(features, x_mm, anchors) - featureThickness(board.deck.features, x_mm, anchors);
  const { foil } = board;
  return {
    ...board,
    deck: { ...board.deck, features: [...features] },
    foil: {
      ...foil,
      noseTip_mm: foil.noseTip_mm + added(anchors.length_mm),
      tailTip_mm: foil.tailTip_mm + added(0),
      marks: foil.marks.map((mark) => {
        const by = added(stationOfMark(mark, anchors));
        return by === 0 ? mark : { ...mark, value_mm: mark.value_mm + by };
      }),
    },
  };
}

/** Changes numbers of one feature. @throws RangeError for a feature there is not. */
export function withDeckFeature(board: Board, index: number, change: Readonly<Record<string, unknown>>): Board {
  const { features } = board.deck;
  if (!(index in features)) throw new RangeError(`withDeckFeature: there is no feature ${index}`);
  return withDeckFeatures(
    board,
    features.map((feature, i) => (i === index ? ({ ...feature, ...change } as DeckFeature) : feature)),
  );
}

/** Takes a feature off; what it added is taken away, what it took is given back. */
export function withoutDeckFeature(board: Board, index: number): Board {
  return withDeckFeatures(
    board,
    board.deck.features.filter((_, i) => i !== index),
  );
}

/** May this deck have one more of the kind? */
export function mayHaveFeature(board: Board, kind: DeckFeatureKind): boolean {
  const { features } = board.deck;
  return features.length < MOST_DECK_FEATURES && (DECK_FEATURES[kind].many || features.every((f) => f.kind !== kind));
}

/** A new feature of ordinary size where it usually is; sizes of our own. Unchanged when the deck may have no more of it. */
export function withNewDeckFeature(board: Board, kind: DeckFeatureKind): Board {
  if (!mayHaveFeature(board, kind)) return board;
  return withDeckFeatures(board, [...board.deck.features, usualFeature(kind, board.length_mm)]);
}

/** Ordinary features as shares of the length, and heights in mm. Common practice from memory; the figures are our own. */
function usualFeature(kind: DeckFeatureKind, length_mm: number): DeckFeature {
  const share = (of: number) => Math.round(of * length_mm);
  switch (kind) {
    case 'flat':
      return { kind, width: 0.4, from: 'centre', at_mm: 0, length_mm: share(0.7), fade_mm: share(0.2) };
    case 'dome':
      return { kind, fall_mm: INCH_mm / 8, from: 'centre', at_mm: 0, length_mm: share(0.75), fade_mm: share(0.25) };
    case 'sDeck': {
      const run = share(0.36);
      return { kind, drop_mm: INCH_mm / 8, from: 'centre', at_mm: share(0.17), length_mm: run, fade_mm: run / 2 };
    }
    case 'beak':
      return { kind, length_mm: share(0.12), thickness_mm: INCH_mm / 4, fade_mm: share(0.12), roll: 0.8 };
    case 'step':
      return {
        kind,
        length_mm: share(0.24),
        inset_mm: 2 * INCH_mm,
        drop_mm: INCH_mm / 4,
        fade_mm: share(0.12),
      };
  }
}

/** How many litres one feature adds to the board as it stands; less than nothing where it takes. */
export function featureLitres(board: Board, index: number): number {
  return volume_L(shapeOf(board)) - volume_L(shapeOf(withoutDeckFeature(board, index)));
}

/** Sets how far the deck falls at one station of the crown, or where the station is. */
export function withCrown(board: Board, index: number, change: Partial<Pick<Mark, 'at_mm' | 'value_mm'>>): Board {
  const { crown } = board.deck;
  if (!(index in crown)) throw new RangeError(`withCrown: the crown has no station ${index}`);
  return {
    ...board,
    deck: { ...board.deck, crown: crown.map((mark, i) => (i === index ? { ...mark, ...change } : mark)) },
  };
}

/** A station of the crown at x with the crown as it is there. Unchanged when it has as many as it may. */
export function withNewCrown(board: Board, x_mm: number): Board {
  if (board.deck.crown.length >= MOST_STATIONS) return board;
  const from = x_mm > board.length_mm / 2 ? ('nose' as const) : ('tail' as const);
  const value_mm = blendAt(shapeOf(board).crown, x_mm);
  const mark = { from, at_mm: distanceFrom(from, x_mm, anchorsOf(board)), value_mm };
  return { ...board, deck: { ...board.deck, crown: [...board.deck.crown, mark] } };
}

/** Takes a station of the crown away; the last one stays. */
export function withoutCrown(board: Board, index: number): Board {
  const { crown } = board.deck;
  if (crown.length <= 1) return board;
  return { ...board, deck: { ...board.deck, crown: crown.filter((_, i) => i !== index) } };
}

/** Makes the whole crown so many times as much: flatter under 1, rounder over it. */
export function withCrownTimes(board: Board, factor: number): Board {
  const crown = board.deck.crown.map((mark) => ({ ...mark, value_mm: mark.value_mm * factor }));
  return { ...board, deck: { ...board.deck, crown } };
}
