// A line that was found put right by a hand.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../../models/models.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { shapeOf } from '../../shape/shape.ts';
import { corrected } from './corrected.ts';
import { boardFromPhoto, type Known } from './fromPhoto.ts';
import { madeUpPhoto, USUAL_CAMERA } from './madeUpPhoto.ts';

const at = (x: number, y: number) => ({ x, y });

/** A rectangle 2000 by 600, a point every 10 mm, from its low left corner along the low side. */
const RING = [
  ...Array.from({ length: 200 }, (_, k) => at(10 * k, 0)),
  ...Array.from({ length: 60 }, (_, k) => at(2000, 10 * k)),
  ...Array.from({ length: 200 }, (_, k) => at(2000 - 10 * k, 600)),
  ...Array.from({ length: 60 }, (_, k) => at(0, 600 - 10 * k)),
];
const yAt = (ring: readonly { x: number; y: number }[], x: number) => ring[x / 10].y;

describe('a ring with marks', () => {
  it('runs through a mark, half as far beside it, and is itself 260 mm on and on the other side', () => {
    const ring = corrected(RING, [at(1000, -20)]);
    expect(yAt(ring, 1000)).toBeCloseTo(-20, 9);
    // Half way out the easing is at a half, by its symmetry.
    expect(yAt(ring, 1130)).toBeCloseTo(-10, 9);
    expect(yAt(ring, 870)).toBeCloseTo(-10, 9);
    expect(yAt(ring, 1260)).toBe(0);
    expect(yAt(ring, 740)).toBe(0);
    expect(ring.slice(200)).toEqual(RING.slice(200));
  });

  it('runs through every mark, and between marks near one another by a curve through them, whatever was found there', () => {
    // A bump of 30 mm where nothing is.
    const bumped = RING.map((p) => (p.y === 0 && p.x > 940 && p.x < 1060 ? at(p.x, -30) : p));
    const ring = corrected(bumped, [at(1100, 12), at(900, 12), at(1300, -4)]);
    const low = ring.filter(({ y }) => y < 100);
    for (const x of [900, 1100, 1300]) {
      const off = Math.min(...low.map((p) => Math.hypot(p.x - x, p.y - (x === 1300 ? -4 : 12))));
      expect(off).toBeLessThan(5);
    }
    for (const p of low) if (p.x > 900 && p.x < 1100) expect(Math.abs(p.y - 12)).toBeLessThan(1.3);
    // Through the middle mark by the slope of its neighbours, −16 in 400: half way on it is (9 · 12 + 9 · −4 − 12 + 20) / 16.
    const half = low.find((p) => Math.abs(p.x - 1200) < 6)!;
    expect(half.y).toBeCloseTo((9 * 12 - 9 * 4 - 12 + 20) / 16, 0);
    const beyond = low.filter(({ x }) => (x > 5 && x < 635) || (x > 1565 && x < 1995));
    expect(beyond.length).toBeGreaterThan(90);
    expect(beyond.every(({ y }) => y === 0)).toBe(true);
  });

  it('is between two marks far apart as it was found', () => {
    const ring = corrected(RING, [at(600, 10), at(1400, 10)]);
    expect(yAt(ring, 600)).toBeCloseTo(10, 9);
    expect(yAt(ring, 1400)).toBeCloseTo(10, 9);
    expect(yAt(ring, 1000)).toBe(0);
    expect(yAt(ring, 730)).toBeCloseTo(5, 9);
  });

  it('goes over its own beginning as anywhere', () => {
    const turned = [...RING.slice(100), ...RING.slice(0, 100)];
    const ring = corrected(turned, [at(1000, -20)]);
    expect(ring[0].y).toBeCloseTo(-20, 9);
    expect(ring[13].y).toBeCloseTo(-10, 9);
    expect(ring[ring.length - 13].y).toBeCloseTo(-10, 9);
  });

  it('is itself without marks', () => {
    expect(corrected(RING, [])).toBe(RING);
    const two = [at(0, 0), at(1, 0)];
    expect(corrected(two, [at(0, 5)])).toBe(two);
  });
});

describe('a picture whose background runs into the board', () => {
  it('makes the board where the edge was marked, and another where it was not', () => {
    const shape = shapeOf(modelNamed('Slack Water')!);
    const photo = madeUpPhoto(shape, { ...USUAL_CAMERA, width: 800, height: 460, tilt_rad: 0.1 });
    const { picture, corners, width_mm, height_mm } = photo;
    const known: Known = { kind: 'corners', at: corners, width_mm, height_mm };
    const choices = { name: 'Seen', unlike: 1, turned: false, known, tail: 'squash' as const, among: [shape.board] };
    const clean = boardFromPhoto(picture, choices);
    if (!clean.ok) throw new Error(clean.reason);
    // A rag of the board's own colour lies against both rails, a tenth of the picture long, in mid-board.
    const rag = { ...picture, rgba: picture.rgba.slice() };
    const ys = clean.seen.filter(({ x }) => Math.abs(x - 400) < 3).map(({ y }) => y);
    const [top, low] = [Math.min(...ys), Math.max(...ys)];
    for (let y = Math.round(top) - 9; y < low + 9; y++)
      for (let x = 370; x < 430; x++) {
        const from = 4 * (Math.round((top + low) / 2) * picture.width + x);
        rag.rgba.set(picture.rgba.slice(from, from + 3), 4 * (y * picture.width + x));
      }
    const widthOf = (edges: readonly { x: number; y: number }[]) => {
      const made = boardFromPhoto(rag, { ...choices, edges });
      if (!made.ok) throw new Error(made.reason);
      return { width: 2 * halfBreadthAt(shapeOf(made.board).outline, made.board.length_mm / 2), seen: made.seen };
    };
    const own = 2 * halfBreadthAt(shape.outline, shape.board.length_mm / 2);
    expect(widthOf([]).width - own).toBeGreaterThan(20);
    // A hand marks the rails as they are, five marks a side: beside the rag, under its ends, and under its middle.
    const xs = [364, 373, 400, 427, 436];
    const edges = xs.flatMap((x) => {
      const near = clean.seen.filter((p) => Math.abs(p.x - x) < 2.5).map(({ y }) => y);
      return [at(x, Math.min(...near)), at(x, Math.max(...near))];
    });
    const put = widthOf(edges);
    expect(Math.abs(put.width - own)).toBeLessThan(3);
    // What is drawn over the picture runs through them too.
    for (const edge of edges) {
      const off = Math.min(...put.seen.map(({ x, y }) => Math.hypot(x - edge.x, y - edge.y)));
      expect(off).toBeLessThan(1.5);
    }
  });
});
