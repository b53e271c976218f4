import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../models/index.ts';
import { sectionAt, shapeOf } from '../shape/shape.ts';
import {
  cornerProud,
  DECK_TURNS_DOWN_rad,
  faceFrom,
  facesMeet,
  foamOutside,
  meetsSide,
  type RailCorner,
  railCorner,
} from './railCorner.ts';

const deg = (angle: number) => (angle * Math.PI) / 180;

/** A rail of two straight edges, level to y = 10 and then 45 degrees down to the side at y = 20: all sums by hand. */
const plain: RailCorner = {
  half_mm: 20,
  chain: Float64Array.of(0, 10, 10, 10, 20, 0),
  turns: Float64Array.of(0, deg(45)),
  swept: Float64Array.of(0, -100, -300),
  plane_rad: 0,
  pocket_mm2: 0,
};

describe('a corner of two straight edges, by hand', () => {
  it('has the triangle outside it when nothing is cut, half of it gone with one face, all with the edge itself', () => {
    expect(foamOutside(plain, [])).toBeCloseTo((10 * 10) / 2, 10);
    // A face of 22.5 degrees over the knee leaves the side at 10 - 10 tan 22.5: a triangle of that height, 10 wide.
    const side_mm = 10 - 10 * Math.tan(deg(22.5));
    expect(foamOutside(plain, [deg(22.5)])).toBeCloseTo((side_mm * 10) / 2, 10);
    expect(foamOutside(plain, [deg(45)])).toBeCloseTo(0, 10);
    expect(foamOutside({ ...plain, pocket_mm2: 3 }, [deg(45)])).toBeCloseTo(3, 10);
  });

  it('has its faces meet where both lines say, and the side where the face says', () => {
    expect(meetsSide(plain, deg(22.5))).toBeCloseTo(10 - 10 * Math.tan(deg(22.5)), 10);
    expect(meetsSide(plain, deg(45))).toBeCloseTo(0, 10);
    expect(facesMeet(plain, 0, deg(45))).toEqual({ y_mm: expect.closeTo(10, 10), q_mm: expect.closeTo(10, 10) });
    const { y_mm, q_mm } = facesMeet(plain, deg(22.5), deg(67.5));
    const on = (angle: number) => y_mm * Math.sin(deg(angle)) + q_mm * Math.cos(deg(angle));
    expect(on(22.5)).toBeCloseTo(10 * Math.sin(deg(22.5)) + 10 * Math.cos(deg(22.5)), 10);
    expect(on(67.5)).toBeCloseTo(20 * Math.sin(deg(67.5)), 10);
  });

  it('says how far the corner between two faces stands off the nearest edge', () => {
    // Level and upright meet at (20, 10): the knee's edge is 10 / sqrt 2 away. No corner stands over the knee itself.
    expect(cornerProud(plain, 0, deg(90))).toBeCloseTo(10 / Math.SQRT2, 10);
    expect(cornerProud(plain, 0, deg(45))).toBeCloseTo(0, 10);
    expect(cornerProud(plain, deg(10), deg(20))).toBe(0);
    // 22.5 degrees over the knee meets the side at q = 10 - 10 tan 22.5, which is that much over (20, 0): over the edge by its sine.
    expect(cornerProud(plain, deg(22.5), deg(90))).toBeCloseTo((10 - 10 * Math.tan(deg(22.5))) / Math.SQRT2, 10);
  });

  it('of a quarter round stands r (sec(a/2) - 1) off it between tangents an angle a apart', () => {
    // The circumscribed polygon: each corner lies on the bisector, at r / cos(a/2) from the centre.
    const r = 40;
    const count = 7201;
    const at = (k: number) => (Math.PI / 2) * (k / (count - 1));
    const chain = Float64Array.from({ length: 2 * count }, (_, i) =>
      i % 2 === 0 ? 100 + r * Math.sin(at(i >> 1)) : r * Math.cos(at(i >> 1)),
    );
    const turns = Float64Array.from({ length: count - 1 }, (_, k) => at(k + 0.5));
    const round: RailCorner = { ...plain, half_mm: 100 + r, chain, turns };
    for (const angle of [90, 45, 22.5]) {
      const proud = r * (1 / Math.cos(deg(angle / 2)) - 1);
      expect(cornerProud(round, 0, deg(angle))).toBeCloseTo(proud, 3);
      expect(cornerProud(round, deg(90 - angle), deg(90))).toBeCloseTo(proud, 3);
    }
  });

  it('has the face that leaves another at a place: the tangent from there', () => {
    // From (14, 10) on the level to the end of the knee's edge (20, 0): tan of the normal's angle from straight up is 10 / 6.
    expect(faceFrom(plain, 0, 14)).toBeCloseTo(Math.atan2(10, 6), 8);
    // Where the level lies on the rail itself no other face leaves it.
    expect(faceFrom(plain, 0, 8)).toBe(0);
  });
});

describe('the corners of a section', () => {
  const model = modelNamed('Slack Water')!;
  const rolled = (depth_mm: number) => {
    const layers = [
      { kind: 'roll' as const, width: 1, depths: [{ from: 'centre' as const, at_mm: 0, value_mm: depth_mm }] },
    ];
    return shapeOf({ ...model, bottom: { layers } });
  };
  const shape = rolled(6);
  const section = sectionAt(shape, shape.board.length_mm / 2)!;

  it('lie on a plane as steep as the bottom where its edge begins: 2 d v over the edge for a roll', () => {
    expect(railCorner(section, 'deck').plane_rad).toBe(DECK_TURNS_DOWN_rad);
    const steep = Math.atan((2 * 6 * section.bottomEnd) / section.edgeY_mm);
    expect(railCorner(section, 'under').plane_rad).toBeCloseTo(steep, 5);
    const flat = sectionAt(rolled(0), shape.board.length_mm / 2)!;
    expect(railCorner(flat, 'under').plane_rad).toBeCloseTo(0, 10);
  });

  it('end at one apex, from above and, turned over, from below', () => {
    const above = railCorner(section, 'deck');
    const below = railCorner(section, 'under');
    expect([...below.chain.slice(-2)]).toEqual([above.chain.at(-2), -above.chain.at(-1)!]);
    expect(above.half_mm).toBe(section.half_mm);
    expect(below.half_mm).toBe(section.half_mm);
  });

  it('turn one way only, over a step in the rail too, which is a pocket under the faces', () => {
    const step = { kind: 'step' as const, length_mm: 500, inset_mm: 50, drop_mm: 8, fade_mm: 200 };
    const stepped = shapeOf({ ...model, deck: { ...model.deck, features: [step] } });
    const corner = railCorner(sectionAt(stepped, 250)!, 'deck');
    for (let i = 1; i < corner.turns.length; i++) expect(corner.turns[i]).toBeGreaterThan(corner.turns[i - 1]);
    expect(corner.pocket_mm2).toBeGreaterThan(20);
    expect(railCorner(section, 'deck').pocket_mm2).toBeLessThan(0.1);
  });

  it('have outside them what the square holds less what the rail holds, by trapezoids', () => {
    for (const [side, plane] of [
      ['deck', DECK_TURNS_DOWN_rad],
      ['under', railCorner(section, 'under').plane_rad],
    ] as const) {
      const corner = railCorner(section, side);
      const { chain } = corner;
      // Height of the plane through the chain's outermost point along its normal.
      const tan = Math.tan(plane);
      let reach = -Infinity;
      let from = 0;
      for (let i = 0; i < chain.length; i += 2) {
        const height = chain[i + 1] + chain[i] * tan;
        if (height > reach + 1e-12) [reach, from] = [height, i];
      }
      let area = 0;
      for (let i = from; i + 3 < chain.length; i += 2) {
        const gap = (k: number) => reach - tan * chain[k] - chain[k + 1];
        area += ((gap(i) + gap(i + 2)) / 2) * (chain[i + 2] - chain[i]);
      }
      expect(foamOutside(corner, [])).toBeCloseTo(area, 6);
      expect(area).toBeGreaterThan(20);
    }
  });
});
