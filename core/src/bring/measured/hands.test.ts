// What made-up hands read off a known board.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../../models/models.ts';
import { type Hands, PERFECT_HANDS, readByHand, ROUGH_HANDS } from './hands.ts';
import { lineOf, rightOverLeft, SHEET_READINGS, type SheetReading } from './sheet.ts';

describe('made-up hands', () => {
  const board = modelNamed('Slack Water')!;
  /** What was read where no side is read by itself. */
  const read = (hands: Partial<Hands>) =>
    readByHand(board, { ...PERFECT_HANDS, ...hands }) as Partial<Record<SheetReading, number>>;
  const exact = read({});

  it('that are perfect read what the board has', () => {
    expect(exact.length).toBe(board.length_mm);
    expect(exact.width).toBe(board.outline.width_mm);
    expect(exact.wideAhead).toBe(board.outline.widePoint_mm);
    expect(exact.liftNose).toBeCloseTo(board.rocker.noseLift_mm, 1);
    expect(Object.keys(exact)).toHaveLength(SHEET_READINGS.length);
  });

  it('with bent callipers read every thickness too much and nothing else', () => {
    const bent = read({ bias_mm: 2 });
    for (const reading of SHEET_READINGS) {
      const thick = ['callipers', 'jaws'].includes(lineOf(reading).tool);
      expect(bent[reading]! - exact[reading]!).toBeCloseTo(thick ? 2 : 0, 9);
    }
  });

  it('that round read to the nearest; that shake are off by as much as they shake; that miss, miss so many', () => {
    for (const reading of SHEET_READINGS) {
      const rounded = read({ rounding_mm: 5 })[reading]!;
      expect(Math.abs(rounded % 5)).toBe(0);
      expect(Math.abs(rounded - exact[reading]!)).toBeLessThanOrEqual(2.5);
    }
    const offs = Array.from({ length: 60 }, (_, seed) => read({ noise_mm: 3, seed })).flatMap((shaky) =>
      SHEET_READINGS.map((reading) => shaky[reading]! - exact[reading]!),
    );
    const deviation = Math.sqrt(offs.reduce((sum, off) => sum + off * off, 0) / offs.length);
    expect(deviation).toBeGreaterThan(2.8);
    expect(deviation).toBeLessThan(3.2);
    const missed = Array.from({ length: 60 }, (_, seed) => read({ missed: 0.5, seed }));
    const share = missed.reduce((sum, each) => sum + Object.keys(each).length, 0) / 60;
    // Three are never passed over; of the rest half.
    expect(share).toBeGreaterThan(3 + 0.45 * (SHEET_READINGS.length - 3));
    expect(share).toBeLessThan(3 + 0.55 * (SHEET_READINGS.length - 3));
    for (const each of missed)
      for (const kept of ['length', 'width', 'thickness'] as SheetReading[]) expect(each[kept]).toBeDefined();
    expect(readByHand(board, ROUGH_HANDS)).toEqual(readByHand(board, ROUGH_HANDS));
  });

  it('that read each side read a width from the stringer, and the rest as it is', () => {
    const sides = readByHand(board, { ...PERFECT_HANDS, sides: true });
    expect(sides.length).toBe(exact.length);
    expect(sides.widthNose12).toEqual({ left_mm: exact.widthNose12! / 2, right_mm: exact.widthNose12! / 2 });
    expect(sides.rail).toEqual({ left_mm: exact.rail, right_mm: exact.rail });
    // Each side shakes by itself.
    const shaky = readByHand(board, { ...PERFECT_HANDS, sides: true, noise_mm: 1 }).rail;
    expect(rightOverLeft(shaky)).not.toBeCloseTo(0, 3);
  });
});
