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
});
