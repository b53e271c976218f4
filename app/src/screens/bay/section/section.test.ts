import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '@june-tide/core/models';
import { sectionRing } from '@june-tide/core/section';
import { sectionAt, shapeOf } from '@june-tide/core/shape';
import { railScale, sectionPath, wholeScale } from './sectionScale.ts';
import { fullAt, nextStation, stepStations } from './stepStations.ts';

const board = modelNamed('Slack Water')!;
const shape = shapeOf(board);
/** What the step gives the drawing at 1280 by 800. */
const [WIDTH, HEIGHT] = [768, 168];

describe('the large section', () => {
  it('is at least 640 px wide at the widest of every model, at one scale both ways, and nothing of it is cut off', () => {
    for (const model of models()) {
      const at = shapeOf(model);
      const section = sectionAt(at, at.anchors.wide_mm)!;
      const { X, Y, k } = wholeScale(section, model.outline.width_mm, WIDTH, HEIGHT);
      const [left, right] = [X(-section.half_mm), X(section.half_mm)];
      // Thick boards are bounded by the height: never by less than what is asked of a usual one.
      if (section.input.thickness_mm < 76) expect(right - left).toBeGreaterThan(575);
      if (model.name === 'Slack Water') expect(right - left).toBeGreaterThanOrEqual(640);
      for (const p of sectionRing(section, 30)) {
        expect(X(Math.abs(p.y_mm))).toBeLessThanOrEqual(WIDTH);
        expect(Y(p.z_mm)).toBeGreaterThanOrEqual(0);
        expect(Y(p.z_mm)).toBeLessThanOrEqual(HEIGHT);
      }
      expect(X(10) - X(0)).toBeCloseTo(10 * k, 9);
      expect(Y(0) - Y(10)).toBeCloseTo(10 * k, 9);
    }
  });

  it('has its rail twice as large beside it, the apex at the same distance from the side whatever the breadth', () => {
    const scales = [300, 900, 1500].map((x) => {
      const section = sectionAt(shape, x)!;
      return railScale(section, 2, 300, 240).X(section.half_mm);
    });
    expect(new Set(scales.map((x) => x.toFixed(6))).size).toBe(1);
    expect(railScale(sectionAt(shape, 900)!, 2, 300, 240).k).toBe(2);
    expect(railScale(sectionAt(shape, 900)!, 9, 300, 240).k).toBeLessThan(9);
  });

  it('is drawn whole, and a split tail as its two halves', () => {
    const { X, Y } = wholeScale(sectionAt(shape, 900)!, 489, WIDTH, HEIGHT);
    expect(sectionPath(sectionAt(shape, 900)!, { X, Y }).match(/M/g)).toHaveLength(1);
    const split = shapeOf(modelNamed('Two Stairs')!);
    expect(sectionPath(sectionAt(split, 20)!, { X, Y }).match(/M/g)).toHaveLength(2);
  });
});

describe('the stations of a step', () => {
  it('are those of the rails, of the crown, of the contour in hand, else where a board is read', () => {
    expect(stepStations(board, 'rails', 0)).toHaveLength(board.rails.stations.length);
    expect(stepStations(board, 'deck', 0)).toEqual([0, board.length_mm / 2, board.length_mm]);
    expect(stepStations(board, 'bottom', 0)).toHaveLength(board.bottom.layers[0].depths.length);
    expect(stepStations(board, 'bottom', 5)).toHaveLength(4);
    expect(stepStations(board, 'outline', 0)).toHaveLength(4);
    const sorted = stepStations(board, 'rails', 0);
    expect([...sorted].sort((a, b) => a - b)).toEqual(sorted);
  });

  it('are gone through one by one, and end at the last', () => {
    expect(nextStation([100, 500, 900], 500, 1)).toBe(900);
    expect(nextStation([100, 500, 900], 499.5, -1)).toBe(100);
    expect(nextStation([100, 500, 900], 900, 1)).toBe(900);
    expect(nextStation([100, 500, 900], 900, -1)).toBe(500);
  });
});

describe('a step whose stations are all there', () => {
  it('says so between them, not on one of them and not with one less', () => {
    const stations = Array.from({ length: 12 }, (_, k) => ({
      ...board.rails.stations[0],
      from: 'tail' as const,
      at_mm: 100 + 120 * k,
    }));
    const full = { ...board, rails: { ...board.rails, stations } };
    expect(fullAt(full, 'rails', 0, 160)).toBe(true);
    expect(fullAt(full, 'rails', 0, 220 + 5)).toBe(false);
    expect(fullAt(full, 'deck', 0, 160)).toBe(false);
    expect(fullAt({ ...full, rails: { ...full.rails, stations: stations.slice(1) } }, 'rails', 0, 160)).toBe(false);
  });
});
