import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import {
  atWing,
  finSpread_mm,
  leadingEdge_mm,
  toeFor_rad,
  trailingFor_mm,
  withFinsShifted,
  withFinSpread,
} from './cluster.ts';
import { finSpots } from './spots.ts';

const thruster = modelNamed('Slack Water')!;

describe('fins as a set', () => {
  it('have their leading edge where the plan has it, and are set by it', () => {
    for (const board of models()) {
      for (const spot of finSpots(shapeOf(board))) {
        expect(leadingEdge_mm(spot.box)).toBeCloseTo(spot.front.x_mm, 9);
        expect(trailingFor_mm(spot.box, spot.front.x_mm)).toBeCloseTo(spot.box.trailingEdge_mm, 9);
      }
    }
  });

  it('are shifted together, and not at all where one would leave the board', () => {
    const shifted = withFinsShifted(thruster, 12.7);
    shifted.fins.boxes.forEach((box, i) => {
      expect(box.trailingEdge_mm - thruster.fins.boxes[i].trailingEdge_mm).toBeCloseTo(12.7, 9);
    });
    expect(finSpread_mm(shifted)).toBeCloseTo(finSpread_mm(thruster)!, 9);
    expect(withFinsShifted(thruster, -900)).toBe(thruster);
  });

  it('are spread about the middle, every fin in proportion', () => {
    const spread = finSpread_mm(thruster)!;
    const wider = withFinSpread(thruster, spread + 20);
    expect(finSpread_mm(wider)).toBeCloseTo(spread + 20, 9);
    const edges = (board: typeof thruster) => board.fins.boxes.map((box) => box.trailingEdge_mm);
    const middle = (board: typeof thruster) => (Math.max(...edges(board)) + Math.min(...edges(board))) / 2;
    expect(middle(wider)).toBeCloseTo(middle(thruster), 9);
    const single = models().find((board) => board.fins.boxes.length === 1)!;
    expect(finSpread_mm(single)).toBeUndefined();
    expect(withFinSpread(single, 300)).toBe(single);
  });

  it('stand at a wing by either edge when they are near it, by the nearer of two, and by none further off than 5 mm', () => {
    const winged = {
      ...thruster,
      outline: {
        ...thruster.outline,
        wings: [{ fromTail_mm: 300, depth_mm: 6, length_mm: 6, raised: 0 }],
      },
    };
    const box = thruster.fins.boxes.find(({ role }) => role === 'front')!;
    expect(atWing(winged, box, 303)).toEqual({ trailing_mm: 300, at: 'trailing' });
    const led = trailingFor_mm(box, 300);
    expect(atWing(winged, box, led - 4)).toEqual({ trailing_mm: led, at: 'leading' });
    expect(atWing(winged, box, 306)).toEqual({ trailing_mm: 306, at: undefined });
    expect(atWing(thruster, box, 300).at).toBeUndefined();
  });

  it('toe: an eighth of an inch over a base of four and a half is 1.59 degrees', () => {
    // atan(0.125 / 4.5), a closed form.
    expect((toeFor_rad(0.125, 4.5) * 180) / Math.PI).toBeCloseTo(1.5911, 3);
  });
});
