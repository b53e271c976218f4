// A board brought in by what is read off it with tape, straightedge and callipers.
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Board, TailKind } from '../document/schema.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { measure } from '../measure/measure.ts';
import { modelNamed, models } from '../models/models.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { shapeOf } from '../shape/shape.ts';
import { runs, thinned } from '../testing/runs.ts';
import { boardFromTape, TAPE_READINGS, TAPE_SHEET, type TapeReading } from './tapeSheet.ts';

/** What a perfect hand reads off a board. */
function readOff(board: Board): Record<TapeReading, number> {
  const shape = shapeOf(board);
  const anchors = anchorsOf(board);
  const read = {
    width_mm: (x: number) => 2 * halfBreadthAt(shape.outline, x),
    thickness_mm: (x: number) => thicknessAt(shape.foil, x),
    stringer_mm: (x: number) => stringerLineAt(shape, x),
  };
  const readings = TAPE_READINGS.map((reading): [TapeReading, number] => {
    const line = TAPE_SHEET[reading];
    if ('at' in line) return [reading, read[line.of](stationOfMark(line.at, anchors))];
    if (reading === 'length') return [reading, board.length_mm];
    return [reading, reading === 'width' ? board.outline.width_mm : board.outline.widePoint_mm];
  });
  return Object.fromEntries(readings) as Record<TapeReading, number>;
}

const made = (readings: Partial<Record<TapeReading, number>>, tail?: TailKind, among?: readonly Board[]) => {
  const read = boardFromTape(readings, 'Read', tail, among);
  if (!read.ok) throw new Error(read.reason);
  return read;
};

describe('a board that is measured', () => {
  it.each(thinned(models(), 3).map((board) => [board.name, board] as const))(
    '%s: every reading comes back where it was read, whichever boards are known',
    (_name, board) => {
      // Its own lines are not among those that are known.
      const others = models().filter(({ name, family }) => name !== board.name && family === board.family);
      const { residuals, board: back } = made(readOff(board), board.outline.tail.kind, others);
      const worst = Math.max(...residuals.map(({ off_mm }) => Math.abs(off_mm)));
      expect(worst).toBeLessThan(0.6);
      const [was, is] = [board, back].map((each) => measure(shapeOf(each)));
      expect(is.length_mm).toBeCloseTo(was.length_mm, 9);
      expect(is.widePointFromCentre_mm).toBeCloseTo(was.widePointFromCentre_mm, 1);
      expect(back.outline.tail.kind).toBe(board.outline.tail.kind);
      // Rails, crown and what lies between the readings are another board's: they are what is left of the litres.
      expect(Math.abs(is.volume_L / was.volume_L - 1)).toBeLessThan(0.05);
    },
  );

  it('is nearer the more of it is read', () => {
    const board = modelNamed('Penny Step')!;
    const all = readOff(board);
    const others = models().filter(({ name }) => name !== 'Penny Step');
    const off = (...readings: TapeReading[]) => {
      const { board: back } = made(
        Object.fromEntries(readings.map((key) => [key, all[key]])),
        board.outline.tail.kind,
        others,
      );
      const [a, b] = [board, back].map((each) => shapeOf(each));
      let sum = 0;
      for (let x = 60; x < board.length_mm - 60; x += 30)
        sum += Math.abs(halfBreadthAt(a.outline, x) - halfBreadthAt(b.outline, x));
      return sum;
    };
    const three = off('length', 'width', 'thickness');
    const more = off('length', 'width', 'thickness', 'widthNose12', 'widthTail12', 'wideAhead');
    expect(more).toBeLessThan(three / 2);
    expect(off(...TAPE_READINGS)).toBeLessThan(more);
  });

  it('is a board from length, width and thickness already', () => {
    const { board } = made({ length: 1900, width: 520, thickness: 62 });
    expect([board.length_mm, board.outline.width_mm]).toEqual([1900, 520]);
    expect(thicknessAt(shapeOf(board).foil, 950)).toBeCloseTo(62, 1);
  });

  it('is refused in words: no length, another unit, no board at all', () => {
    const reason = (readings: Partial<Record<TapeReading, number>>) => {
      const read = boardFromTape(readings, 'Read');
      return read.ok ? '' : read.reason;
    };
    expect(reason({ width: 500 })).toMatch(/length is not there/);
    expect(reason({ length: 72 })).toMatch(/^Length, tip to tip: .*another unit/);
    expect(reason({ length: 1800, width: 19.5, thickness: 2500 })).toMatch(/^Thickness in the middle: /);
    expect(reason({ length: NaN })).toMatch(/^Length/);
    expect(reason({ length: 1800, width: 20 })).not.toBe('');
  });

  it('never throws, and what it makes can be built', () => {
    const any = fc.record(
      Object.fromEntries(TAPE_READINGS.map((reading) => [reading, fc.double({ min: -50, max: 2600, noNaN: true })])),
      { requiredKeys: ['length'] },
    );
    fc.assert(
      fc.property(any, (readings) => {
        const read = boardFromTape(readings as Partial<Record<TapeReading, number>>, 'Any', undefined, [
          modelNamed('Kettle')!,
        ]);
        if (read.ok) expect(measure(shapeOf(read.board)).volume_L).toBeGreaterThan(0);
        else expect(read.reason).not.toMatch(/NaN|undefined/);
      }),
      { seed: 1717, numRuns: runs(60) },
    );
  });
});
