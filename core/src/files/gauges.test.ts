import { describe, expect, it } from '@jest/globals';
import { thinned } from '../testing/runs.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import { thicknessAt } from '../foil/foil.ts';
import { modelNamed, models } from '../models/models.ts';
import { bottomPoint } from '../section/section.ts';
import { sectionRing } from '../section/walk.ts';
import { boxOf } from './labels.ts';
import { halfOutlineDrawing } from './templateDrawing.ts';
import { DRAWINGS } from './boardDrawings.ts';
import type { Drawing } from './drawing.ts';
import { bottomEdge, GAUGE_REACH_mm, railProfile } from './gauges.ts';
import { LEAD_mm } from './rockerSticks.ts';

const railGaugesDrawing = DRAWINGS.railGauges.draw;
const bottomGaugesDrawing = DRAWINGS.bottomGauges.draw;
const rockerSticksDrawing = DRAWINGS.sticks.draw;

const style = { kind: 'mm' } as const;
const shape = shapeOf(modelNamed('Slack Water')!);
const points = (drawing: Drawing, layer: string) =>
  drawing.lines.filter((line) => line.layer === layer).map((line) => line.points);

/** Distance from a point to a closed line of points. Looks nothing up in Math: in the test runner that costs most of it. */
function distanceTo(ring: readonly { x_mm: number; y_mm: number }[], p: { x_mm: number; y_mm: number }): number {
  let least = Infinity;
  for (let i = 0; i < ring.length; i++) {
    const a = ring[i];
    const b = ring[i + 1 < ring.length ? i + 1 : 0];
    const dx = b.x_mm - a.x_mm;
    const dy = b.y_mm - a.y_mm;
    const along = ((p.x_mm - a.x_mm) * dx + (p.y_mm - a.y_mm) * dy) / (dx * dx + dy * dy || 1);
    const t = along < 0 ? 0 : along > 1 ? 1 : along;
    const ex = a.x_mm + t * dx - p.x_mm;
    const ey = a.y_mm + t * dy - p.y_mm;
    const square = ex * ex + ey * ey;
    if (square < least) least = square;
  }
  return Math.sqrt(least);
}

describe('rail gauges', () => {
  it.each(thinned(models(), 2).map((board) => [board.name, board] as const))(
    '%s: the edge of each card is the section, within 0.01 mm',
    (_name, board) => {
      const own = shapeOf(board);
      for (const x of [304.8, own.outline.wide_mm, board.length_mm - 304.8]) {
        const section = sectionAt(own, x)!;
        const ring = sectionRing(section, 400).map((p) => ({ x_mm: p.y_mm, y_mm: p.z_mm }));
        let most = 0;
        for (const p of railProfile(section, GAUGE_REACH_mm)) {
          const at = { x_mm: p.x_mm + section.half_mm, y_mm: p.y_mm };
          most = Math.max(most, distanceTo(ring, at));
        }
        expect(most).toBeLessThan(0.01);
      }
    },
  );

  it('are one closed card a station, open toward the board', () => {
    const cards = points(
      railGaugesDrawing(shape, style, {
        places: [
          { from: 'tail', at_mm: 304.8 },
          { from: 'nose', at_mm: 304.8 },
        ],
      }),
      'gauges',
    );
    expect(cards).toHaveLength(2);
    for (const card of cards) {
      const xs = card.map((p) => p.x_mm);
      expect(Math.max(...xs) - Math.min(...xs)).toBeLessThan(GAUGE_REACH_mm + 30);
      expect(Math.min(...card.map((p) => p.y_mm))).toBeGreaterThanOrEqual(-1e-9);
    }
  });
});

describe('bottom gauges', () => {
  it('rise by the concave from the edges to the stringer', () => {
    const [card] = points(
      bottomGaugesDrawing(shape, style, { places: [{ from: 'tail', at_mm: 16 * 25.4 }] }),
      'gauges',
    );
    // Its back has two corners; the rest is the bottom from edge to edge.
    const edge = card.slice(0, -2);
    const middle = (edge.length - 1) / 2;
    // 0.19 in of single concave 16 in from the tail, as the model has it.
    expect(edge[middle].y_mm - edge[0].y_mm).toBeCloseTo(0.19 * 25.4, 2);
    expect(edge[0].y_mm).toBeCloseTo(edge[2 * middle].y_mm, 9);
  });
});

describe('gauges of channels', () => {
  const channels = {
    ...modelNamed('Slack Water')!,
    bottom: {
      layers: [
        {
          kind: 'channels' as const,
          width: 0.8,
          count: 3,
          depths: [
            { from: 'tail' as const, at_mm: 0, value_mm: 8 },
            { from: 'tail' as const, at_mm: 500, value_mm: 8 },
            { from: 'centre' as const, at_mm: 0, value_mm: 0 },
          ],
        },
      ],
    },
  };
  const deep = shapeOf(channels);

  it.each([150, 304.8, 480])('%s mm up: both cards lie on the bottom within 0.05 mm, corners and walls too', (x) => {
    const section = sectionAt(deep, x)!;
    const lowered = railProfile(section, GAUGE_REACH_mm).map((p) => ({ ...p, x_mm: p.x_mm + section.half_mm }));
    const at = { y_mm: 0, z_mm: 0 };
    let [worst, outer] = [0, 0];
    for (let k = 0; k <= 2000; k++) {
      bottomPoint(section, (section.bottomEnd * k) / 2000, at);
      const here = { x_mm: at.y_mm, y_mm: at.z_mm };
      const off = distanceTo(bottomEdge(section), here);
      if (off > worst) worst = off;
      if (at.y_mm < section.half_mm - GAUGE_REACH_mm + 1) continue;
      const offRail = distanceTo(lowered, here);
      if (offRail > outer) outer = offRail;
    }
    expect([worst < 0.05, outer < 0.05]).toEqual([true, true]);
  });
});

describe('gauges of a split tail', () => {
  it.each(['Kettle', 'Two Stairs', 'Peat Fire'])(
    '%s: the card bears on both tips and stands off the crotch',
    (name) => {
      const split = shapeOf(modelNamed(name)!);
      const section = sectionAt(split, 25.4)!;
      const { notch_mm } = section.input;
      expect(notch_mm).toBeGreaterThan(5);
      const edge = bottomEdge(section);
      const tips = edge.filter((p) => Math.abs(p.x_mm) >= notch_mm - 1e-9);
      const bearing = Math.min(...tips.filter((p) => Math.abs(p.x_mm) > notch_mm + 1e-6).map((p) => p.y_mm));
      const between = edge.filter((p) => Math.abs(p.x_mm) <= notch_mm + 1e-9 && p.y_mm < bearing - 1);
      expect(between.map((p) => Math.abs(p.x_mm))).toEqual([notch_mm, notch_mm]);
    },
  );
});

describe('what is cut out', () => {
  it('says which board it is of, with its number, station and side, inside the card', () => {
    const name = 'Slack Water 104';
    for (const [drawing, words] of [
      [railGaugesDrawing(shape, style, { name }), 'rail, deck up'],
      [bottomGaugesDrawing(shape, style, { name }), 'bottom, bottom up'],
    ] as const) {
      const cards = points(drawing, 'gauges').map((card) => ({
        left: Math.min(...card.map((p) => p.x_mm)),
        right: Math.max(...card.map((p) => p.x_mm)),
        foot: Math.min(...card.map((p) => p.y_mm)),
        top: Math.max(...card.map((p) => p.y_mm)),
      }));
      for (const said of [words, name])
        expect(drawing.texts.filter(({ text }) => text === said)).toHaveLength(cards.length);
      expect(drawing.texts.filter(({ text }) => text.endsWith('from tail'))).toHaveLength(cards.length);
      for (const text of drawing.texts) {
        const box = boxOf(text);
        const on = cards.filter(
          (card) =>
            box.left_mm >= card.left &&
            box.right_mm <= card.right &&
            box.foot_mm >= card.foot &&
            box.top_mm <= card.top,
        );
        expect([text.text, on.length]).toEqual([text.text, 1]);
      }
    }
    const half = halfOutlineDrawing(shape, style, { name });
    expect(half.texts.some(({ text }) => text.startsWith(name))).toBe(true);
    const sticks = rockerSticksDrawing(shape, style, { name });
    for (const which of ['bottom', 'deck'])
      expect(sticks.texts.some(({ text }) => text === `${name}, ${which} stick, tail at this end`)).toBe(true);
  });
});

describe('rocker sticks', () => {
  it('have bottom and deck as their curved edges over the whole length', () => {
    const drawing = rockerSticksDrawing(shape, style);
    const [bottom] = points(drawing, 'bottom');
    const [deck] = points(drawing, 'deck');
    const L = shape.board.length_mm;
    // Each begins with its lead, along the line's own direction at the tip.
    const bottomAt = (x: number) => shape.rocker.line.valueAt(x);
    const deckAt = (x: number) => bottomAt(x) + thicknessAt(shape.foil, x);
    for (const [stick, at] of [
      [bottom, bottomAt],
      [deck, deckAt],
    ] as const) {
      const base = stick[1].y_mm - at(0);
      for (let k = 0; k <= 240; k += 20) {
        const x = (L * k) / 240;
        expect(stick[k + 1].x_mm).toBeCloseTo(x + LEAD_mm, 9);
        expect(stick[k + 1].y_mm - base).toBeCloseTo(at(x), 9);
      }
      expect(stick[0].y_mm - base).toBeCloseTo(at(0) - LEAD_mm * (at(1) - at(0)), 6);
      expect(stick[242].y_mm - base).toBeCloseTo(at(L) + LEAD_mm * (at(L) - at(L - 1)), 6);
    }
    expect(drawing.width_mm).toBeCloseTo(L + 2 * LEAD_mm, 9);
    // The two sticks lie clear of each other.
    expect(Math.min(...deck.map((p) => p.y_mm))).toBeGreaterThan(Math.max(...bottom.map((p) => p.y_mm)));
  });

  it('are pinned by holes at the same places in both, clear of edge and back', () => {
    const drawing = rockerSticksDrawing(shape, style);
    const middles = points(drawing, 'holes').map((ring) => ({
      x: ring.reduce((sum, p) => sum + p.x_mm, 0) / ring.length,
      y: ring.reduce((sum, p) => sum + p.y_mm, 0) / ring.length,
    }));
    const L = shape.board.length_mm;
    expect(middles.map(({ x }) => Math.round(x))).toEqual(
      [L / 4, (3 * L) / 4, L / 4, (3 * L) / 4].map((x) => Math.round(x + LEAD_mm)),
    );
    const [bottom, deck] = [points(drawing, 'bottom')[0], points(drawing, 'deck')[0]];
    for (const { x, y } of middles) {
      const [stick] = [bottom, deck].filter((ring) => {
        const ys = ring.map((p) => p.y_mm);
        return y > Math.min(...ys) && y < Math.max(...ys);
      });
      expect(distanceTo(stick, { x_mm: x, y_mm: y })).toBeGreaterThan(15);
    }
  });
});
