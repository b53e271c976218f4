import { describe, expect, it } from '@jest/globals';
import { USUAL_WIRE_BLOCK, WIRE_LEAD_mm, wirePlan } from '../make/hotWire.ts';
import { modelNamed } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { type Drawing, extentOf } from './drawing.ts';
import { wireBlockDrawing, wireTemplates } from './hotWireDrawings.ts';

const MM = { kind: 'mm' } as const;
const boards = ['Slack Water', 'Kettle'].map((name) => ({ name: `${name} 104`, shape: shapeOf(modelNamed(name)!) }));
const plan = wirePlan(boards, USUAL_WIRE_BLOCK);
const cards = wireTemplates(plan, USUAL_WIRE_BLOCK, MM);
const cut = (card: Drawing, layer = 'templates') => card.lines.filter((line) => line.layer === layer);
const said = (card: Drawing) => card.texts.map(({ text }) => text).join('\n');

describe('templates for a hot wire', () => {
  it('come from the top of the block down, deck before bottom, the stringers last', () => {
    expect(cards.map(({ title }) => title)).toEqual([
      '1, Kettle 104, deck',
      '2, Kettle 104, bottom',
      '3, Slack Water 104, deck',
      '4, Slack Water 104, bottom',
      'Kettle 104, stringer',
      'Slack Water 104, stringer',
    ]);
    for (const card of cards.slice(0, 4)) expect(said(card)).toContain('cut two, one for each side');
  });

  it('laid level at the height they say, their edges are where the wire is to ride', () => {
    const edges = plan.layers.toReversed().flatMap((layer) => [layer.deckEdge, layer.bottomEdge]);
    cards.slice(0, 4).forEach((card, i) => {
      const back = Number(/back (\d+) mm over the foot/.exec(said(card))?.[1]);
      expect(back % 10).toBe(0);
      const [line] = cut(card);
      expect(line.closed).toBe(true);
      // The card's own foot is its back; its left end the level run before the block.
      const heights = line.points.slice(0, -2).map((p) => p.y_mm + back);
      heights.forEach((z, k) => expect(z).toBeCloseTo(edges[i][k].z_mm, 6));
      const deep = heights.reduce((least, z) => Math.min(least, z - back), Infinity);
      expect(deep).toBeGreaterThan(14);
      // Screwed on at two places within the card.
      const holes = cut(card, 'holes');
      expect(holes).toHaveLength(2);
      for (const hole of holes) {
        const { foot_mm, top_mm, left_mm } = extentOf([hole]);
        const above = line.points.find((p) => p.x_mm >= left_mm)!.y_mm;
        expect(foot_mm).toBeGreaterThan(2);
        expect(top_mm).toBeLessThan(above - 2);
      }
      // The block's own ends are lines on it.
      const ends = cut(card, 'marks').map(({ points }) => points[0].x_mm);
      expect(ends[1] - ends[0]).toBeCloseTo(USUAL_WIRE_BLOCK.length_mm, 6);
      expect(Math.abs(ends[0] - WIRE_LEAD_mm)).toBeLessThan(2);
    });
  });

  it('have the stringer as high as the foam off the wire, as long as the board', () => {
    const layers = plan.layers.toReversed();
    cards.slice(4).forEach((card, i) => {
      const [line] = cut(card, 'stringer');
      const { left_mm, right_mm } = extentOf([line]);
      expect(right_mm - left_mm).toBeCloseTo(layers[i].length_mm, 6);
      const middle = (left_mm + right_mm) / 2;
      const at = line.points.filter((p) => Math.abs(p.x_mm - middle) < 3).map((p) => p.y_mm);
      const high = Math.max(...at) - Math.min(...at);
      const k = layers[i].bottom.findIndex((p) => p.x_mm >= layers[i].tail_mm + layers[i].length_mm / 2);
      expect(high).toBeCloseTo(layers[i].deck[k].z_mm - layers[i].bottom[k].z_mm, 0);
    });
  });

  it('the picture of the block has its size, and each board’s two cuts within it', () => {
    const picture = wireBlockDrawing(plan, USUAL_WIRE_BLOCK);
    expect(picture.width_mm).toBeCloseTo(USUAL_WIRE_BLOCK.length_mm, 6);
    expect(picture.height_mm).toBeCloseTo(USUAL_WIRE_BLOCK.height_mm, 6);
    expect(['bottom', 'deck'].map((layer) => cut(picture, layer).length)).toEqual([2, 2]);
  });
});
