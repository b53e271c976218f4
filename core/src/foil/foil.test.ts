import { describe, expect, it } from '@jest/globals';
import type { Board, DeckFeature } from '../document/schema.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed, models } from '../models/models.ts';
import { railAt, railRatio } from '../rails/rails.ts';
import { deckHeightAt } from '../section/heights.ts';
import { thicknessAt } from './foil.ts';

const slack = () => modelNamed('Slack Water')!;
const withFeatures = (board: Board, ...features: DeckFeature[]): Board => ({
  ...board,
  deck: { ...board.deck, features },
});
const thick = (board: Board, x: number) => thicknessAt(shapeOf(board).foil, x);

describe('the foil', () => {
  it('is thickest where it says on every plain deck, and meets its marks', () => {
    for (const board of models()) {
      if (board.deck.features.length > 0) continue;
      const { foil } = shapeOf(board);
      let most = 0;
      for (let x = 0; x <= board.length_mm; x += 5) most = Math.max(most, thicknessAt(foil, x));
      expect(most).toBeLessThan(board.foil.thickness_mm + 1e-3);
      expect(thicknessAt(foil, foil.thickest_mm)).toBeCloseTo(board.foil.thickness_mm, 6);
      expect(thicknessAt(foil, board.length_mm - 304.8)).toBeCloseTo(board.foil.marks[0].value_mm, 4);
    }
  });
});

describe('deck features', () => {
  it('a beak keeps the marks and hides foam in the last of the nose', () => {
    const plain = slack();
    const beaked = withFeatures(plain, { kind: 'beak', length_mm: 250, thickness_mm: 10 });
    const L = plain.length_mm;
    expect(thick(beaked, L - 304.8)).toBeCloseTo(thick(plain, L - 304.8), 4);
    expect(thick(beaked, L)).toBeCloseTo(plain.foil.noseTip_mm, 6);
    const crown = (b: Board) => sectionAt(shapeOf(b), L - 60)!.crown_mm;
    expect(crown(beaked)).toBeGreaterThan(crown(plain));
  });

  it('an S-deck scoops the deck line between the marks', () => {
    const plain = slack();
    const scooped = withFeatures(plain, { kind: 'sDeck', from: 'centre', at_mm: 250, length_mm: 400, drop_mm: 5 });
    const x = plain.length_mm / 2 + 250;
    expect(thick(scooped, x)).toBeLessThan(thick(plain, x) - 3);
    expect(volume_L(shapeOf(scooped))).toBeLessThan(volume_L(shapeOf(plain)));
  });

  it('a step rail drops the deck by the rail in the tail and fades out', () => {
    const stepped = withFeatures(slack(), { kind: 'step', length_mm: 450, inset_mm: 55, drop_mm: 7, fade_mm: 200 });
    const rail = (b: Board, x: number) => {
      const section = sectionAt(shapeOf(b), x)!;
      return deckHeightAt(section, section.half_mm - 20);
    };
    expect(rail(stepped, 250)).toBeLessThan(rail(slack(), 250) - 1.5);
    expect(rail(stepped, 900)).toBeCloseTo(rail(slack(), 900), 6);
    const middle = (b: Board) => deckHeightAt(sectionAt(shapeOf(b), 250)!, 0);
    expect(middle(stepped)).toBeCloseTo(middle(slack()), 9);
  });

  it('a flat deck stays level to its share of the width, and holds more', () => {
    const levelled = withFeatures(slack(), { kind: 'flat', width: 0.5 });
    const section = sectionAt(shapeOf(levelled), 900)!;
    const domed = sectionAt(shapeOf(slack()), 900)!;
    const y = 0.4 * section.half_mm;
    expect(deckHeightAt(section, y)).toBeGreaterThan(deckHeightAt(domed, y));
    expect(volume_L(shapeOf(levelled))).toBeGreaterThan(volume_L(shapeOf(slack())));
  });
});

describe('rails along the board', () => {
  it('the edge is hard for its length from the tail, then fades', () => {
    const { rails } = shapeOf(slack());
    const { length_mm, fade_mm, hardness } = slack().rails.tailEdge;
    expect(railAt(rails, length_mm - 1).edge).toBeGreaterThanOrEqual(hardness);
    const after = railAt(rails, length_mm + fade_mm + 1).edge;
    const middle = railAt(rails, length_mm + fade_mm / 2).edge;
    expect(after).toBeLessThan(hardness);
    expect(middle).toBeGreaterThanOrEqual(after);
    expect(middle).toBeLessThan(hardness);
  });

  it('are named deck to bottom, to the nearest five', () => {
    expect([0.5, 0.4, 0.3, 0.2, 0.37].map(railRatio)).toEqual(['50/50', '60/40', '70/30', '80/20', '65/35']);
  });
});
