// A board brought in by what is read off it with tape, straightedge and callipers.
import { describe, expect, it } from '@jest/globals';
import fc from 'fast-check';
import type { Board, TailKind } from '../../document/schema.ts';
import { anchorsOf, stationOfMark } from '../../document/station.ts';
import { thicknessAt } from '../../foil/foil.ts';
import { railThicknessAt, stationTable } from '../../measure/stationTable.ts';
import { measure } from '../../measure/measure.ts';
import { modelNamed, models } from '../../models/models.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { shapeOf } from '../../shape/shape.ts';
import { runs, thinned } from '../../testing/runs.ts';
import { withAcross } from './across.ts';
import type { Band } from './bands.ts';
import { boardFromSheet, furthestRead, worstOf } from './fromSheet.ts';
import { PERFECT_HANDS, readByHand } from './hands.ts';
import { readingOf } from './readings.ts';
import { lineOf, SHEET_READINGS, type SheetReading, type SheetReadings, taken } from './sheet.ts';

/** What a perfect hand reads off a board. */
const readOff = (board: Board) => readByHand(board, PERFECT_HANDS) as Record<SheetReading, number>;
/** The readings along the board alone. */
const ALONG = SHEET_READINGS.filter((reading) => ['tape', 'straightedge', 'callipers'].includes(lineOf(reading).tool));
const only = (all: Record<SheetReading, number>, readings: readonly SheetReading[]) =>
  Object.fromEntries(readings.map((key) => [key, all[key]])) as Partial<Record<SheetReading, number>>;

const made = (readings: SheetReadings, tail?: TailKind, among?: readonly Board[]) => {
  const read = boardFromSheet(readings, { name: 'Read', tail, ...(among ? { among } : {}) });
  if (!read.ok) throw new Error(read.reason);
  return read;
};

describe('a board that is measured', () => {
  it.each(thinned(models(), 3).map((board) => [board.name, board] as const))(
    '%s: every reading comes back where it was read, whichever boards are known',
    (_name, board) => {
      // Its own lines are not among those that are known.
      const others = models().filter(({ name, family }) => name !== board.name && family === board.family);
      const { residuals, board: back } = made(only(readOff(board), ALONG), board.outline.tail.kind, others);
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
    const off = (...readings: SheetReading[]) => {
      const { board: back } = made(only(all, readings), board.outline.tail.kind, others);
      const [a, b] = [board, back].map((each) => shapeOf(each));
      let sum = 0;
      for (let x = 60; x < board.length_mm - 60; x += 30)
        sum += Math.abs(halfBreadthAt(a.outline, x) - halfBreadthAt(b.outline, x));
      return sum;
    };
    const three = off('length', 'width', 'thickness');
    const more = off('length', 'width', 'thickness', 'widthNose12', 'widthTail12', 'wideAhead');
    expect(more).toBeLessThan(three / 2);
    expect(off(...ALONG)).toBeLessThan(more);
  });

  it('is a board from length, width and thickness already', () => {
    const { board } = made({ length: 1900, width: 520, thickness: 62 });
    expect([board.length_mm, board.outline.width_mm]).toEqual([1900, 520]);
    expect(thicknessAt(shapeOf(board).foil, 950)).toBeCloseTo(62, 1);
  });

  it('keeps its flat point where no reading lies on the straightedge: the lift of a tip moves no more than that tip', () => {
    const plain = made({ length: 1900, width: 520, thickness: 62 }).board;
    for (const reading of ['liftNose', 'liftTail', 'liftTail24'] as const) {
      const was = readingOf(shapeOf(plain), reading);
      const { board } = made({ length: 1900, width: 520, thickness: 62, [reading]: was + 1 }, undefined, [plain]);
      expect(Math.abs(board.rocker.flatPoint_mm - plain.rocker.flatPoint_mm)).toBeLessThan(60);
      // It lies lower between the tips than at either, and nowhere under its flat point.
      const { line } = shapeOf(board).rocker;
      for (let x = 0; x <= 1900; x += 50) expect(line.valueAt(x)).toBeGreaterThan(-0.01);
      expect(readingOf(shapeOf(board), reading)).toBeCloseTo(was + 1, 0);
    }
  });

  it('is refused in words: no length, another unit, no board at all', () => {
    const reason = (readings: SheetReadings) => {
      const read = boardFromSheet(readings, { name: 'Read' });
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
      Object.fromEntries(SHEET_READINGS.map((reading) => [reading, fc.double({ min: -50, max: 2600, noNaN: true })])),
      { requiredKeys: ['length'] },
    );
    fc.assert(
      fc.property(any, (readings) => {
        const read = boardFromSheet(readings as SheetReadings, {
          name: 'Any',
          among: [modelNamed('Kettle')!],
          bands: true,
        });
        if (read.ok) expect(measure(shapeOf(read.board)).volume_L).toBeGreaterThan(0);
        else expect(read.reason).not.toMatch(/NaN|undefined/);
      }),
      { seed: 1717, numRuns: runs(60) },
    );
  });
});

describe('rails, crown and bottom that were read', () => {
  const others = (board: Board) => models().filter(({ name }) => name !== board.name);

  it('of models in turn, none of whose own lines are known: read back as they were, and the litres with them', () => {
    const offs: number[] = [];
    const litres: number[] = [];
    for (const board of thinned(models(), 3)) {
      const { board: back, residuals } = made(readOff(board), board.outline.tail.kind, others(board));
      const across = residuals.filter(({ reading }) => !ALONG.includes(reading));
      expect(across).toHaveLength(SHEET_READINGS.length - ALONG.length);
      offs.push(...across.map(({ off_mm }) => Math.abs(off_mm)));
      const [was, is] = [board, back].map((each) => measure(shapeOf(each)).volume_L);
      litres.push(Math.abs(is - was));
    }
    offs.sort((a, b) => a - b);
    expect(offs[Math.floor(0.5 * offs.length)]).toBeLessThan(0.02);
    expect(offs[Math.floor(0.95 * offs.length)]).toBeLessThan(1.2);
    // Along the board alone it is 0.4 L in the mean and 1.4 at most; what is left lies between the places that are read.
    expect(litres.reduce((sum, each) => sum + each, 0) / litres.length).toBeLessThan(0.25);
    expect(Math.max(...litres)).toBeLessThan(0.6);
  });

  it('are what the bottom was drawn with: a concave as deep as it is, a vee as much proud (by their definition)', () => {
    const bare = modelNamed('Slack Water')!;
    const layer = (kind: 'single' | 'vee', value_mm: number) => ({
      ...bare,
      bottom: { layers: [{ kind, width: 1, depths: [{ from: 'centre' as const, at_mm: 0, value_mm }] }] },
    });
    expect(readingOf(shapeOf(layer('single', 6)), 'hollow')).toBeCloseTo(6, 9);
    expect(readingOf(shapeOf(layer('vee', 4)), 'hollow')).toBeCloseTo(-4, 9);
    expect(readingOf(shapeOf(layer('vee', 4)), 'beside')).toBeLessThan(-1.5);
    // An inch in is where the rail's thickness is taken everywhere else; apex and tuck are the station table's.
    const shape = shapeOf(bare);
    const middle = bare.length_mm / 2;
    expect(readingOf(shape, 'rail')).toBeCloseTo(railThicknessAt(shape, middle), 9);
    const [row] = stationTable(shape, [{ from: 'centre', at_mm: 0 }]);
    expect([readingOf(shape, 'apex'), readingOf(shape, 'tuck')]).toEqual([
      expect.closeTo(row.apex_mm, 9),
      expect.closeTo(row.tuck_mm, 9),
    ]);
    // Half way out, a deck without crown over a level bottom is as thick as the stringer but for the rail's own round.
    expect(readingOf(shape, 'half')).toBeLessThan(readingOf(shape, 'thickness'));
    expect(readingOf(shape, 'half')).toBeGreaterThan(readingOf(shape, 'rail'));
  });

  it('change the vee before a concave is made of it, and run on along the board', () => {
    const base = modelNamed('Half Mile')!;
    const vee: Board = {
      ...base,
      bottom: { layers: [{ kind: 'vee', width: 1, depths: [{ from: 'centre', at_mm: 0, value_mm: 3 }] }] },
    };
    const at = (hollow_mm: number) =>
      withAcross(vee, [{ place: { from: 'centre', at_mm: 0 }, read: { hollow_mm } }]).bottom.layers.map(
        ({ kind, depths }) => [kind, Math.max(...depths.map(({ value_mm }) => value_mm))] as const,
      );
    expect(at(-1)).toEqual([['vee', expect.closeTo(1, 3)]]);
    expect(Object.fromEntries(at(2))).toMatchObject({ single: expect.closeTo(2, 2) });
    expect(withAcross(base, [])).toBe(base);
    // A tuck of 5 mm more in the middle is 5 mm more at the stations on both sides of it too.
    const x = base.length_mm / 2;
    const more = withAcross(base, [
      { place: { from: 'centre', at_mm: 0 }, read: { tuck_mm: readingOf(shapeOf(base), 'tuck') + 5 } },
    ]);
    for (const station of base.rails.stations) {
      const far = Math.abs(stationOfMark(station, anchorsOf(base)) - x) > 150;
      const same = more.rails.stations.find(({ from, at_mm }) => from === station.from && at_mm === station.at_mm);
      if (far) expect(same!.tuck_mm - station.tuck_mm).toBeCloseTo(5, 1);
    }
  });
});

describe('two sides of a reading', () => {
  it('of a width are its halves, of the rest two of the same; one alone stands for both', () => {
    expect(taken('width', { left_mm: 250, right_mm: 254 })).toBe(504);
    expect(taken('widthTail12', { right_mm: 180 })).toBe(360);
    expect(taken('apex', { left_mm: 20, right_mm: 23 })).toBe(21.5);
    expect(taken('apex', {})).toBeUndefined();
    expect(taken('apex', 21)).toBe(21);
  });

  it('that differ are told: which is the more, and the board lies between', () => {
    const { sides, board, residuals } = made({
      length: 1900,
      width: { left_mm: 258, right_mm: 262 },
      thickness: 62,
      rail: { left_mm: 40, right_mm: 37 },
    });
    expect(sides).toEqual([
      { reading: 'width', right_mm: 4 },
      { reading: 'rail', right_mm: -3 },
    ]);
    expect(board.outline.width_mm).toBe(520);
    expect(residuals.find(({ reading }) => reading === 'rail')!.off_mm).toBeCloseTo(
      readingOf(shapeOf(board), 'rail') - 38.5,
      9,
    );
  });
});

describe('how good it is', () => {
  it('the worst is the one furthest off for its tool, and is told to be read again only if it is off by more than that', () => {
    const off = (reading: SheetReading, off_mm: number, errors: number) => ({ reading, off_mm, errors });
    const residuals = [off('width', 1.2, 0.8), off('thickness', -0.45, -0.9)];
    expect(worstOf(residuals)?.reading).toBe('thickness');
    expect(furthestRead(residuals)).toBe('Furthest off what was read: Thickness in the middle, by 0.5 mm.');
    expect(furthestRead([off('thickness', 0.9, 1.8)])).toMatch(/more than a hand is off: read it again/);
    expect(furthestRead([])).toBe('Nothing was read but the length.');
    expect(furthestRead([off('width', 0.04, 0.03)])).toBe('Every reading is met.');
    // A tool that reads better makes the same millimetre count for more.
    const rough = boardFromSheet(
      { length: 1900, width: 520, thickness: 62, liftNose: 130, liftNose12: 90 },
      { name: 'R', errors_mm: { straightedge: 4 } },
    );
    const fine = boardFromSheet(
      { length: 1900, width: 520, thickness: 62, liftNose: 130, liftNose12: 90 },
      { name: 'F', errors_mm: { straightedge: 0.5 } },
    );
    if (!rough.ok || !fine.ok) throw new Error('no board');
    const errors = (read: typeof rough) => read.residuals.find(({ reading }) => reading === 'liftNose12')!.errors;
    expect(errors(fine)).toBeCloseTo(8 * errors(rough), 9);
  });

  it('what the readings leave open is less the more was read and the better, and the same for the same', () => {
    const board = modelNamed('Penny Step')!;
    const others = models().filter(({ name }) => name !== 'Penny Step');
    const all = readOff(board);
    const bandsFor = (readings: readonly SheetReading[], factor = 1) => {
      const errors_mm = { tape: 1.5 * factor, straightedge: factor, callipers: 0.5 * factor };
      const read = boardFromSheet(only(all, readings), {
        name: 'B',
        tail: board.outline.tail.kind,
        among: others,
        bands: true,
        errors_mm,
      });
      if (!read.ok) throw new Error(read.reason);
      return read.bands!;
    };
    const few = bandsFor(['length', 'width', 'thickness']);
    const most = bandsFor(SHEET_READINGS);
    const worse = bandsFor(SHEET_READINGS, 4);
    const wide = (bands: typeof few) =>
      bands.halfBreadth.reduce((sum, { low_mm, high_mm }) => sum + high_mm - low_mm, 0) / bands.halfBreadth.length;
    expect(wide(most)).toBeLessThan(0.5 * wide(few));
    expect(wide(worse)).toBeGreaterThan(1.5 * wide(most));
    // As the board from the side: the deck lies the thickness over the bottom, in every draw.
    most.deck.forEach(({ low_mm, high_mm }, k) => {
      expect(low_mm).toBeGreaterThanOrEqual(most.lift[k].low_mm + most.thickness[k].low_mm - 1e-9);
      expect(high_mm).toBeLessThanOrEqual(most.lift[k].high_mm + most.thickness[k].high_mm + 1e-9);
    });
    // The same readings leave the same open.
    expect(bandsFor(SHEET_READINGS)).toEqual(most);
  });

  it('what the readings leave open holds the board itself: at most places from three readings, at nearly all from all', () => {
    const boards = thinned(models(), 4);
    const held = (readings: readonly SheetReading[], noise_mm: number) => {
      const inside = boards.map((board) => {
        const all = readByHand(board, { ...PERFECT_HANDS, noise_mm, seed: 3 }) as Record<SheetReading, number>;
        const read = boardFromSheet(only(all, readings), {
          name: 'B',
          tail: board.outline.tail.kind,
          among: models().filter(({ name }) => name !== board.name),
          bands: true,
        });
        if (!read.ok) throw new Error(read.reason);
        const { outline, foil } = shapeOf(board);
        const share = (bands: readonly Band[], of: (x_mm: number) => number) =>
          bands.filter(({ low_mm, high_mm }, k) => {
            const own = of((k / (bands.length - 1)) * board.length_mm);
            return own > low_mm - 0.5 && own < high_mm + 0.5;
          }).length / bands.length;
        return [
          share(read.bands!.halfBreadth, (x) => halfBreadthAt(outline, x)),
          share(read.bands!.thickness, (x) => thicknessAt(foil, x)),
        ];
      });
      return [0, 1].map((k) => inside.reduce((sum, each) => sum + each[k], 0) / boards.length);
    };
    for (const share of held(['length', 'width', 'thickness'], 0)) expect(share).toBeGreaterThan(0.7);
    for (const share of held(SHEET_READINGS, 1)) expect(share).toBeGreaterThan(0.88);
  });
});
