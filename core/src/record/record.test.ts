import { describe, expect, it } from '@jest/globals';
import { boardFrom } from '../shape/issues.ts';
import { shapeOf } from '../shape/shape.ts';
import { DEMO_RIDERS, demoRecords } from '../demo/demoShed.ts';
import { asBuilt, readingsOf } from '../make/asBuilt.ts';
import { fitInBlank } from '../make/blankFit.ts';
import { blankLines, usualShelf } from '../make/blank.ts';
import { laminated } from '../make/glass.ts';
import { measuringSheet } from '../make/measuringSheet.ts';
import { daysBetween } from '../make/workingDays.ts';
import { riderSchema } from '../rider/rider.ts';
import { boardRecordSchema } from './record.ts';

const today = '2026-11-25';
const [first] = demoRecords(today);

describe('a record of the shed', () => {
  it('keeps its order, its readings and the board fitted to them, there and back', () => {
    const shape = shapeOf(first.board);
    const readings = readingsOf(shape, measuringSheet(shape));
    const made = asBuilt(first.board, readings);
    if (!made.ok) throw new Error('a board is not itself');
    const full = {
      ...first,
      colours: 'clear',
      order: { stage: 'sand', on: today },
      shaped: { on: today, readings, board: made.board, mass_kg: 2.7 },
    };
    const read = boardRecordSchema.parse(JSON.parse(JSON.stringify(full)));
    expect(read).toEqual(full);
  });

  it('refuses what is no day, no weight, and what it does not know', () => {
    for (const wrong of [
      { order: { stage: 'sand', on: '25.11.2026' } },
      { order: { stage: '', on: today } },
      { shaped: { on: today, readings: {}, mass_kg: 0 } },
      { shaped: { on: today, readings: { length: { middle_mm: 3 } } } },
      { price: 600 },
    ]) {
      expect(boardRecordSchema.safeParse({ ...first, ...wrong }).success).toBe(false);
    }
  });
});

describe('the demo shed', () => {
  const records = demoRecords(today);

  it('has boards that can be built, of riders it knows, with names and numbers of their own', () => {
    const riders = new Set(DEMO_RIDERS.map(({ id }) => id));
    for (const rider of DEMO_RIDERS) expect(riderSchema.safeParse(rider).success).toBe(true);
    for (const record of records) {
      expect(boardRecordSchema.safeParse(record).success).toBe(true);
      expect(boardFrom(record.board).ok).toBe(true);
      if (record.riderId !== null) expect(riders.has(record.riderId)).toBe(true);
    }
    expect(new Set(records.map(({ id }) => id)).size).toBe(records.length);
    expect(new Set(records.map(({ board, number }) => `${board.name} ${number}`)).size).toBe(records.length);
  });

  it('has orders due after the day it is opened, whatever day that is', () => {
    for (const day of ['2026-11-25', '2027-12-31', '2028-02-28']) {
      const due = demoRecords(day).flatMap(({ order, brief }) =>
        order && order.doneOn === undefined ? [brief?.dueOn] : [],
      );
      expect(due.length).toBeGreaterThanOrEqual(4);
      for (const on of due) expect(daysBetween(day, on!)).toBeGreaterThan(0);
    }
  });

  it('has glass that can be laid, and a blank that holds its board', () => {
    const shelf = usualShelf();
    for (const { board, glass, blankId } of records) {
      const blank = shelf.find(({ id }) => id === blankId);
      if (blankId !== undefined) expect(fitInBlank(shapeOf(board), blankLines(blank!)).fits).toBe(true);
      if (glass) {
        const foam = blank?.foam ?? (glass.resin === 'epoxy' ? 'eps1_5' : 'pu');
        expect(laminated(shapeOf(board), foam, 4, glass).ok).toBe(true);
      }
    }
  });
});
