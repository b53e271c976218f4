import type { DeckFeature, DeckFeatureKind } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import { smootherstep, together } from '../curve/ease.ts';

type Of<K extends DeckFeatureKind> = Extract<DeckFeature, { kind: K }>;
/** A feature with a middle, a length and two runs in. */
type Stretch = Of<'flat' | 'sDeck' | 'dome'>;

/** How much of a feature is there at x: 0 off it, 1 where it is whole, twice continuously differentiable between. */
function shareAt(stretch: Stretch, x_mm: number, anchors: Anchors): number {
  const half = stretch.length_mm / 2;
  const from = Math.abs(x_mm - stationOfMark(stretch, anchors));
  return from >= half ? 0 : smootherstep((half - from) / Math.min(stretch.fade_mm, half));
}

/** What the deck's features add to the thickness at the stringer at x: a beak adds, an S-deck scoops. mm. */
export function featureThickness(features: readonly DeckFeature[], x_mm: number, anchors: Anchors): number {
  let sum = 0;
  for (const feature of features) {
    if (feature.kind === 'beak') sum += beakAt(feature, x_mm, anchors.length_mm);
    if (feature.kind === 'sDeck') sum -= feature.drop_mm * shareAt(feature, x_mm, anchors);
  }
  return sum;
}

function beakAt({ thickness_mm, length_mm, fade_mm }: Of<'beak'>, x_mm: number, board_mm: number): number {
  return thickness_mm * smootherstep((length_mm - (board_mm - x_mm)) / Math.min(fade_mm, length_mm));
}

/** How much farther the features let the deck fall toward the rail: a beak that is rolled down, a domed deck. mm. */
export function featureCrown(features: readonly DeckFeature[], x_mm: number, anchors: Anchors): number {
  let sum = 0;
  for (const feature of features) {
    if (feature.kind === 'beak') sum += feature.roll * beakAt(feature, x_mm, anchors.length_mm);
    if (feature.kind === 'dome') sum += feature.fall_mm * shareAt(feature, x_mm, anchors);
  }
  return sum;
}

/** Depth and inset of the deck's step rail at x; of more than one, their depths together at their mean inset. */
export function stepRailAt(features: readonly DeckFeature[], x_mm: number): { drop_mm: number; inset_mm: number } {
  let drop_mm = 0;
  let insets = 0;
  for (const feature of features) {
    if (feature.kind !== 'step') continue;
    const drop = feature.drop_mm * (1 - smootherstep((x_mm - feature.length_mm) / feature.fade_mm));
    drop_mm += drop;
    insets += drop * feature.inset_mm;
  }
  return { drop_mm, inset_mm: drop_mm > 0 ? insets / drop_mm : 0 };
}

/** No deck is level farther out: the section needs a rail to turn down in. */
const MOST_LEVEL = 0.85;

/**
 * A flat deck at x: the share of the half width it keeps level, and how much of it there is there, 0 to 1. Of more than one, their
 * mean width.
 */
export function flatDeckAt(
  features: readonly DeckFeature[],
  x_mm: number,
  anchors: Anchors,
): { flat: number; levelled: number } {
  let levelled = 0;
  let shares = 0;
  let widths = 0;
  for (const feature of features) {
    if (feature.kind !== 'flat') continue;
    const share = shareAt(feature, x_mm, anchors);
    levelled = together(levelled, share);
    shares += share;
    widths += share * feature.width;
  }
  return { flat: shares > 0 ? Math.min(MOST_LEVEL, widths / shares) : 0, levelled };
}
