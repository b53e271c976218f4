import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { contoursWithoutRoom } from './contourRoom.ts';

const slack = modelNamed('Slack Water')!;
/** A concave half an inch deep in foam so thick. */
const thin = (thickness_mm: number, off?: true) => ({
  ...slack,
  foil: { ...slack.foil, thickness_mm, marks: [], noseTip_mm: 8, tailTip_mm: 8 },
  bottom: {
    layers: [
      {
        kind: 'single' as const,
        width: 1,
        depths: [{ from: 'centre' as const, at_mm: 0, value_mm: INCH_mm / 2 }],
        ...(off ? { off } : {}),
      },
    ],
  },
});

describe('a contour the foam has no room for', () => {
  it('is asked half an inch and given what the cap leaves of it, by hand', () => {
    const [found] = contoursWithoutRoom(shapeOf(thin(0.9 * INCH_mm)));
    expect(found.asked_mm).toBe(12.7);
    // The limit is 0.45 of the thickness there; over half of it, limit (1/2 + tanh(2 share − 1)/2).
    const limit = 0.45 * found.thickness_mm;
    expect(found.given_mm).toBeCloseTo(limit * (0.5 + 0.5 * Math.tanh((2 * 12.7) / limit - 1)), 6);
    expect(found.given_mm).toBeLessThan((3 / 8) * INCH_mm + 0.5);
    expect(found).toMatchObject({ layer: 0, x_mm: slack.length_mm / 2 });
    expect(found.thickness_mm).toBeCloseTo(0.9 * INCH_mm, 0);
  });

  it('is none where there is room, where it is switched off, and on none of our models in mid-board', () => {
    expect(contoursWithoutRoom(shapeOf(thin(2.5 * INCH_mm)))).toEqual([]);
    expect(contoursWithoutRoom(shapeOf(thin(0.9 * INCH_mm, true)))).toEqual([]);
    for (const board of models()) {
      const inside = contoursWithoutRoom(shapeOf(board)).filter(
        ({ x_mm }) => x_mm > 300 && x_mm < board.length_mm - 300,
      );
      expect(inside).toEqual([]);
    }
  });
});
