import { describe, expect, it } from '@jest/globals';
import { layerReach } from '../bottom/bottom.ts';
import { LAYER_KINDS } from '../document/schema.ts';
import { models } from '../models/models.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { deckHeightAt, undersideHeightAt } from './heights.ts';
import { sectionOf } from './section.ts';
import { shoulderOf } from './shoulder.ts';

describe('the shoulder of a rail', () => {
  it('is on the deck, moves by what it says from pinched to boxy, and no other place between moves more', () => {
    for (const board of models()) {
      const section = sectionAt(shapeOf(board), board.length_mm / 2)!;
      const shoulder = shoulderOf(section);
      expect(deckHeightAt(section, shoulder.y_mm)).toBeCloseTo(shoulder.z_mm, 9);
      const full = (fullness: number) => sectionOf({ ...section.input, rail: { ...section.input.rail, fullness } });
      const rise = (y: number) => deckHeightAt(full(1), y) - deckHeightAt(full(0), y);
      expect(rise(shoulder.y_mm)).toBeCloseTo(shoulder.rise_mm, 9);
      expect(shoulder.rise_mm).toBeGreaterThan(2);
      for (let share = 0.6; share < 0.98; share += 0.01) {
        expect(rise(share * section.half_mm)).toBeLessThan(shoulder.rise_mm * 1.02);
      }
    }
  });
});

describe('where a hand takes hold of a contour', () => {
  const usual = sectionAt(shapeOf(models()[0]), models()[0].length_mm / 2)!.input;

  it.each(LAYER_KINDS)('%s: a millimetre more of depth lifts it there by its rise over the straightedge', (kind) => {
    const layer = { kind, width: 0.8, depths: [], ...(kind === 'channels' ? { count: 2 } : {}) };
    const { share, rise } = layerReach(layer);
    const light = (depth: number) => {
      const section = sectionOf({ ...usual, bottom: { layers: [layer], depths: [depth], raised_mm: 0 } });
      const places = Array.from({ length: 401 }, (_, k) => (section.edgeY_mm * 0.995 * k) / 400);
      const lowest = Math.min(...places.map((y) => undersideHeightAt(section, y)));
      return undersideHeightAt(section, Math.min(0.995, share) * section.edgeY_mm) - lowest;
    };
    // The fillet of the edge takes a little off what stands at the very edge.
    expect((light(5) - light(3)) / 2).toBeGreaterThan(rise * 0.8);
    expect((light(5) - light(3)) / 2).toBeLessThan(rise * 1.02);
  });
});
