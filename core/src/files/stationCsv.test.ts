import { describe, expect, it } from '@jest/globals';
import { shapeOf } from '../shape/shape.ts';
import { volume_L } from '../measure/volume.ts';
import { modelNamed, models } from '../models/models.ts';
import { withLength } from '../edit/marks.ts';
import { boardFromStations, lengthOfStations, stationsToCsv } from './stationCsv.ts';

describe('a station table', () => {
  it.each(models().map((board) => [board.name, board] as const))('of %s says how long the board is', (_name, board) => {
    expect(lengthOfStations(stationsToCsv(board))).toBeCloseTo(board.length_mm, 2);
  });

  it('says no length where no row has both distances', () => {
    expect(lengthOfStations('from,at_mm,width_mm\r\ntail,304.8,370\r\n')).toBeUndefined();
    expect(lengthOfStations('nothing of the kind')).toBeUndefined();
  });

  it('makes of another board nearly the one it was measured from', () => {
    const measured = modelNamed('Slack Water')!;
    const csv = stationsToCsv(measured);
    const base = withLength(modelNamed('Tin Roof')!, lengthOfStations(csv)!);
    const read = boardFromStations(base, csv);
    if (!read.ok) throw new Error(read.reason);
    // Rails and tips are the other board's: the foam comes within 3 %.
    expect(Math.abs(volume_L(shapeOf(read.board)) / volume_L(shapeOf(measured)) - 1)).toBeLessThan(0.03);
  });

  it('has areas from which Simpson by hand gives the litres', () => {
    for (const board of models()) {
      // Ninety-six even steps along the board; the tips themselves, where there is no section, count nothing.
      const h = board.length_mm / 96;
      const places = Array.from({ length: 95 }, (_, i) => ({ from: 'tail' as const, at_mm: (i + 1) * h }));
      const [head, ...rows] = stationsToCsv(board, places)
        .trim()
        .split('\r\n')
        .map((line) => line.split(','));
      const areas = rows.map((row) => Number(row[head.indexOf('area_mm2')]));
      const sum = areas.reduce((all, area, i) => all + (i % 2 === 0 ? 4 : 2) * area, 0);
      const litres = (sum * h) / 3 / 1e6;
      // A block's last third of an inch is missing from the sum: half a percent at the most.
      expect(Math.abs(litres / volume_L(shapeOf(board)) - 1)).toBeLessThan(0.006);
    }
  });

  it('writes light under a straightedge as positive and a belly as negative, to the depth they were given', () => {
    const board = modelNamed('Slack Water')!;
    const bottomOf = (kind: 'single' | 'vee' | 'roll', depth_mm: number) => {
      const layers = [{ kind, width: 1, depths: [{ from: 'centre' as const, at_mm: 0, value_mm: depth_mm }] }];
      const csv = stationsToCsv({ ...board, bottom: { layers } }, [{ from: 'centre', at_mm: 0 }]);
      const [head, row] = csv
        .trim()
        .split('\r\n')
        .map((line) => line.split(','));
      return Number(row[head.indexOf('bottom_mm')]);
    };
    expect(bottomOf('single', 4)).toBeCloseTo(4, 3);
    expect(bottomOf('vee', 4)).toBeCloseTo(-4, 3);
    expect(bottomOf('roll', 4)).toBeCloseTo(-4, 3);
  });
});
