import { describe, expect, it } from '@jest/globals';
import { withNewMark } from '../edit/marks.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { shapeOf } from '../shape/shape.ts';
import { LIGHT_LINES, lightAlong, type LightLineKey } from './lightAlong.ts';

const most = (bumps: readonly number[]) => Math.max(...bumps.map(Math.abs));

describe('the strip of light', () => {
  it('is calm on outline, rocker and foil of every model: under two fifths of the bump that is plain', () => {
    for (const board of models()) {
      const shape = shapeOf(board);
      for (const key of ['outline', 'rocker', 'foil'] as const) {
        expect([board.name, key, most(lightAlong(shape, key).bumps) < 0.4]).toEqual([board.name, key, true]);
      }
    }
  });

  it('reaches over the middle of every model, and nearly to the tips of a pointed one, and bends are never negative', () => {
    for (const board of models()) {
      for (const key of Object.keys(LIGHT_LINES) as LightLineKey[]) {
        const { from_mm, step_mm, bumps, bends } = lightAlong(shapeOf(board), key);
        expect(bumps).toHaveLength(bends.length);
        expect((bumps.length - 1) * step_mm).toBeGreaterThan(0.39 * board.length_mm);
        expect(from_mm + (bumps.length - 1) * step_mm).toBeLessThanOrEqual(board.length_mm);
        expect(Math.min(...bends)).toBeGreaterThanOrEqual(0);
        expect([...bumps, ...bends].every(Number.isFinite)).toBe(true);
      }
    }
    const pointed = lightAlong(shapeOf(modelNamed('Slack Water')!), 'outline');
    expect((pointed.bumps.length - 1) * pointed.step_mm).toBeGreaterThan(0.85 * 1828.8);
  });

  it('is bright where a mark pulls the rail out, thickness up or the rocker down, dark the other way: proud foam is bright', () => {
    const board = modelNamed('Slack Water')!;
    const x = 1200;
    const shape = shapeOf(board);
    const value = {
      outline: 2 * halfBreadthAt(shape.outline, x),
      foil: shape.foil.line.valueAt(x),
      rocker: shape.rocker.line.valueAt(x),
    };
    for (const curve of ['outline', 'foil', 'rocker'] as const) {
      const proud = curve === 'rocker' ? -1 : 1;
      for (const way of [1, -1]) {
        const pulled = shapeOf(withNewMark(board, curve, x, value[curve] + way * proud * 3));
        const { from_mm, step_mm, bumps } = lightAlong(pulled, curve);
        const near = bumps.slice(Math.round((x - 60 - from_mm) / step_mm), Math.round((x + 60 - from_mm) / step_mm));
        const strongest = near.reduce((a, b) => (Math.abs(b) > Math.abs(a) ? b : a), 0);
        expect([curve, way, Math.sign(strongest)]).toEqual([curve, way, way]);
      }
    }
  });
});
