import type { DeckFeature } from '../document/schema.ts';
import { type Anchors, stationOfMark } from '../document/station.ts';
import { smootherstep } from '../curve/ease.ts';

/** What the deck's features add to the thickness at the stringer at x: a beak adds, an S-deck scoops. mm. */
export function featureThickness(features: readonly DeckFeature[], x_mm: number, anchors: Anchors): number {
  let sum = 0;
  for (const feature of features) {
    if (feature.kind === 'beak') sum += beakAt(feature, x_mm, anchors.length_mm);
    if (feature.kind === 'sDeck') {
      const centre = stationOfMark(feature, anchors);
      sum -= feature.drop_mm * smootherstep(1 - Math.abs(x_mm - centre) / (feature.length_mm / 2));
    }
  }
  return sum;
}

function beakAt(feature: Extract<DeckFeature, { kind: 'beak' }>, x_mm: number, length_mm: number): number {
  return feature.thickness_mm * smootherstep(1 - (length_mm - x_mm) / feature.length_mm);
}

/** What a beak adds to the crown, so that the added foam rolls down to the outline. mm. */
export function featureCrown(features: readonly DeckFeature[], x_mm: number, length_mm: number): number {
  let sum = 0;
  for (const feature of features) if (feature.kind === 'beak') sum += 0.8 * beakAt(feature, x_mm, length_mm);
  return sum;
}

/** Depth and inset of the deck's step rail at x. */
export function stepRailAt(features: readonly DeckFeature[], x_mm: number): { drop_mm: number; inset_mm: number } {
  for (const feature of features) {
    if (feature.kind !== 'step') continue;
    const share = 1 - smootherstep((x_mm - feature.length_mm) / feature.fade_mm);
    if (share > 0) return { drop_mm: feature.drop_mm * share, inset_mm: feature.inset_mm };
  }
  return { drop_mm: 0, inset_mm: 0 };
}

/** Share of the half width that a flat deck keeps level. */
export function flatShare(features: readonly DeckFeature[]): number {
  let share = 0;
  for (const feature of features) if (feature.kind === 'flat') share = Math.max(share, feature.width);
  return Math.min(share, 0.85);
}
