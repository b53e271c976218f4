import { describe, expect, it } from '@jest/globals';
import { modelNamed, models } from '../models/models.ts';
import { shapeOf } from '../shape/shape.ts';
import { INCH_mm } from '../units/length.ts';
import { STATION_COLUMNS, stationLines, stationsFrom, stationText } from './stationColumns.ts';
import { stationTable } from './stationTable.ts';

const INCHES = { kind: 'fraction', denominator: 16 } as const;
const slack = shapeOf(modelNamed('Slack Water')!);

describe('stations from a list of distances', () => {
  it('stand at both ends, nose first, the wide point and the centre between; in any order, each once', () => {
    const read = stationsFrom("24, 6;  6in ,304.8mm, 1'0", 'in');
    const said = read.ok ? read.places.map(({ from, at_mm }) => [from, Number((at_mm / INCH_mm).toFixed(6))]) : [];
    expect(said).toEqual([
      ['nose', 6],
      ['nose', 12],
      ['nose', 24],
      ['wide', 0],
      ['centre', 0],
      ['tail', 24],
      ['tail', 12],
      ['tail', 6],
    ]);
    expect(stationsFrom('10, 20', 'mm')).toMatchObject({ places: [{ at_mm: 10 }, { at_mm: 20 }, {}, {}, {}, {}] });
    expect(stationsFrom('', 'in')).toMatchObject({ ok: true, places: [{ from: 'wide' }, { from: 'centre' }] });
  });

  it.each([
    ['6, twelve', /“twelve” is not a length/],
    ['0', /lies inside the board/],
    ['-3', /lies inside the board/],
    [Array.from({ length: 41 }, (_, i) => i + 1).join(), /more than 40/],
  ])('refuses %s in words', (text, words) => {
    const read = stationsFrom(text, 'in');
    expect(read.ok).toBe(false);
    if (!read.ok) expect(read.words).toMatch(words);
  });
});

describe('the station table as it is read', () => {
  it('says of each station what the table of numbers has, in the shop’s writing', () => {
    const list = stationsFrom('12', 'in');
    if (!list.ok) throw new Error(list.words);
    const lines = stationLines(slack, list.places, INCHES);
    expect(lines.map(({ place }) => place)).toEqual(['Nose 12', 'Wide point', 'Centre', 'Tail 12']);
    const [nose, , , tail] = lines.map(({ values }) =>
      Object.fromEntries(STATION_COLUMNS.map(({ name }, i) => [name, values[i]])),
    );
    // As the model has them: 11 5/8 and 14 3/4 wide, 1 9/16 and 1 5/8 thick, 2 5/16 and 15/16 up, 60/40 and 70/30.
    expect(nose).toMatchObject({ Width: '11 5/8', Thick: '1 9/16', Stringer: '2 5/16', Ratio: '60/40' });
    expect(tail).toMatchObject({ Width: '14 3/4', Thick: '1 5/8', Stringer: '15/16', Ratio: '70/30' });
    const [row] = stationTable(slack, [list.places[0]]);
    expect(nose.Section).toBe(`${(row.area_mm2 / 645.16).toFixed(1)} in²`);
    const [metric] = stationLines(slack, list.places, { kind: 'mm' });
    expect(metric.values.at(-1)).toBe(`${(row.area_mm2 / 100).toFixed(0)} cm²`);
  });

  it('leaves a station past the middle to the other end', () => {
    const list = stationsFrom('24, 40', 'in');
    if (!list.ok) throw new Error(list.words);
    expect(stationLines(slack, list.places, INCHES).map(({ place }) => place)).toEqual([
      'Nose 24',
      'Wide point',
      'Centre',
      'Tail 24',
    ]);
  });

  it('is copied with a tab between columns and a line for each station, none empty, for every model', () => {
    const list = stationsFrom('1, 6, 12, 18, 24', 'in');
    if (!list.ok) throw new Error(list.words);
    for (const board of models()) {
      const [head, ...lines] = stationText(shapeOf(board), list.places, INCHES).trimEnd().split('\n');
      expect(head.split('\t').slice(0, 3)).toEqual(['Station', 'Width, in', 'Thick, in']);
      expect(lines.length).toBeGreaterThanOrEqual(11);
      for (const line of lines) {
        const cells = line.split('\t');
        expect([board.name, cells.length, cells.every((cell) => cell !== '' && !cell.includes('NaN'))]).toEqual([
          board.name,
          STATION_COLUMNS.length + 1,
          true,
        ]);
      }
    }
  });
});
