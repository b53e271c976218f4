// Station tables by other hands: what is guessed of their columns before anything is made of them, and how they are read when it was put right.
import { describe, expect, it } from '@jest/globals';
import { modelNamed } from '../models/models.ts';
import { boardFromStations, stationsToCsv } from './stationCsv.ts';
import { shownTable, type TableChoices, tableRows } from './stationTable.ts';

const board = modelNamed('Slack Water')!;

function shown(csv: string) {
  const found = shownTable(csv);
  if (!found.ok) throw new Error(found.reason);
  return found;
}
const keysOf = (csv: string) => shown(csv).guessed.columns.map(({ key }) => key);
const rowsOf = (csv: string, choices?: TableChoices) => {
  const read = tableRows(csv, choices);
  return read.ok ? read.rows : read.reason;
};

describe('a table of ours', () => {
  it('is told by its headings, has nothing to guess and is in millimetres', () => {
    const found = shown(stationsToCsv(board));
    expect(found.isOurs).toBe(true);
    expect(found.guessed.from).toBeUndefined();
    expect(found.guessed.columns.every(({ unit }) => unit === 'mm')).toBe(true);
    expect(shown('from,at_mm,width_mm\ntail,300,400').isOurs).toBe(true);
    expect(shown('from,at_mm,Breite\ntail,300,400').isOurs).toBe(false);
    expect(shown('at_mm,width_mm\n300,400').isOurs).toBe(false);
  });

  it('is read as it is guessed and as it is read without asking: the same rows', () => {
    const csv = stationsToCsv(board);
    expect(rowsOf(csv, shown(csv).guessed)).toEqual(rowsOf(csv));
  });
});

describe('what is guessed of a table by another hand', () => {
  it('are its columns, by the words of their headings', () => {
    expect(keysOf('Station,Wide,Thick,Rocker\n12,14.5,1.5,2')).toEqual([
      'at_mm',
      'width_mm',
      'thickness_mm',
      'stringer_mm',
    ]);
    expect(keysOf('Width at station (in);Position;Colour\n1;2;red')).toEqual(['width_mm', 'at_mm', undefined]);
    expect(keysOf('pos,w,t\n1,2,3')).toEqual(['at_mm', 'width_mm', 'thickness_mm']);
    // Of two of one name the first is it.
    expect(keysOf('at,width,width\n1,2,3')).toEqual(['at_mm', 'width_mm', undefined]);
  });

  it('is the end its stations are counted from, where a heading names one, and the tail where none does', () => {
    const from = (csv: string) => shown(csv).guessed.from;
    expect(from('Distance from nose (cm),Width\n30,29')).toBe('nose');
    expect(from('from tail,width\n30,29')).toBe('tail');
    expect(from('Station,Nose width\n30,29')).toBe('tail');
    expect(from('from,station,width\nnose,30,29')).toBeUndefined();
  });

  it('is the unit: as a heading says, else by the size of the numbers, a board being 1.3 to 3.7 m long', () => {
    const units = (csv: string) => shown(csv).guessed.columns.map(({ unit }) => unit);
    expect(units('at in,width cm,thick\n12,37,5')).toEqual(['in', 'cm', 'in']);
    expect(units('at,width\n12,14.5\n72,3')).toEqual(['in', 'in']);
    expect(units('at;width\n30,5;36,8\n180;3')).toEqual(['cm', 'cm']);
    expect(units('at,width\n305,368\n1800,30')).toEqual(['mm', 'mm']);
  });

  it('are its separator and whether commas stand for points', () => {
    const { separator, commas, rows, columns } = shown('at;width\n30,5;36,8\n61;45\n90;50\n120;51');
    expect([separator, commas, rows]).toEqual([';', true, 4]);
    expect(columns[0]).toEqual({ heading: 'at', says: ['30,5', '61', '90'] });
    expect(shown('at;width\n30.5;36.8').commas).toBe(false);
    expect(shown('at,width\n30.5,36.8').commas).toBe(false);
    expect(shown('at\twidth\n30,5\t36,8').separator).toBe('\t');
  });

  it('is nothing of what is no table', () => {
    for (const csv of ['', 'at', 'at,width', 'just words\nand more words', 'length,width\n1,2\n3,4'])
      expect(shownTable(csv).ok).toBe(false);
    expect(shownTable('x'.repeat(1_000_001))).toMatchObject({ reason: /far too long/ });
    expect(shownTable(`at,width\n${'1,2\n'.repeat(401)}`)).toMatchObject({ reason: /more than 400 rows/ });
    expect(shownTable(`${'a,'.repeat(61)}b\n${'1,'.repeat(61)}2`)).toMatchObject({ reason: /more than 60 columns/ });
  });
});

describe('a table read as it was put right', () => {
  const csv = 'Lage;Breite;Dicke\n30,5;36,8;4,1\n91;50;6\n150;40;4,5';
  const choices: TableChoices = {
    from: 'nose',
    columns: [
      { key: 'at_mm', unit: 'cm' },
      { key: 'width_mm', unit: 'cm' },
      { key: 'thickness_mm', unit: 'cm' },
    ],
  };

  it('has its numbers in millimetres, each from the end that was said', () => {
    expect(rowsOf(csv, choices)).toEqual([
      { from: 'nose', at_mm: 305, width_mm: 368, thickness_mm: 41 },
      { from: 'nose', at_mm: 910, width_mm: 500, thickness_mm: 60 },
      { from: 'nose', at_mm: 1500, width_mm: 400, thickness_mm: 45 },
    ]);
    const inches: TableChoices = { ...choices, columns: choices.columns.map((each) => ({ ...each, unit: 'in' })) };
    expect(rowsOf('a;b;c\n12;14 1/2;1 5/8', inches)).toEqual([
      { from: 'nose', at_mm: 12 * 25.4, width_mm: 14.5 * 25.4, thickness_mm: 1.625 * 25.4 },
    ]);
  });

  it('is as long as it was said to be', () => {
    const made = (length_mm?: number) => {
      const read = boardFromStations(csv, 'Theirs', undefined, {
        ...choices,
        ...(length_mm === undefined ? {} : { length_mm }),
      });
      return read.ok ? read.board : read.reason;
    };
    expect(made(1905)).toMatchObject({ length_mm: 1905 });
    expect(made(1950)).toMatchObject({ length_mm: 1950 });
  });

  it('leaves a column out that was left out, and needs a distance', () => {
    const [at, , thick] = choices.columns;
    expect(rowsOf(csv, { from: 'nose', columns: [at, { unit: 'mm' }, thick] })).toEqual(
      [305, 910, 1500].map((at_mm, k) => ({ from: 'nose', at_mm, thickness_mm: [41, 60, 45][k] })),
    );
    expect(rowsOf(csv, { from: 'nose', columns: [{ unit: 'mm' }, choices.columns[1], thick] })).toBe(
      'No column is taken for the distance of a station.',
    );
    expect(rowsOf(csv)).toMatch(/not a station table/);
  });

  it('is the board it was measured on, whatever it was called and in whatever unit', () => {
    const rows = stationsToCsv(board)
      .trim()
      .split('\r\n')
      .map((line) => line.split(','));
    const [headings, ...data] = rows;
    const at = (name: string) => headings.indexOf(name);
    const inches = (text: string) => (Number(text) / 25.4).toFixed(6);
    const other = [
      'end;Abstand;Breite;Dicke;Aufbiegung',
      ...data.map((row) =>
        [row[at('from')], ...['at_mm', 'width_mm', 'thickness_mm', 'stringer_mm'].map((name) => inches(row[at(name)]))]
          .join(';')
          .replaceAll('.', ','),
      ),
    ].join('\n');
    const keys = ['from', 'at_mm', 'width_mm', 'thickness_mm', 'stringer_mm'] as const;
    const read = boardFromStations(other, 'Theirs', [board], { columns: keys.map((key) => ({ key, unit: 'in' })) });
    const ours = boardFromStations(stationsToCsv(board), 'Theirs', [board]);
    if (!read.ok || !ours.ok) throw new Error('a table makes a board');
    expect(read.rows).toBe(ours.rows);
    expect(read.board.outline.width_mm).toBeCloseTo(ours.board.outline.width_mm, 3);
    expect(Math.max(...read.residuals.map(({ off_mm }) => Math.abs(off_mm)))).toBeLessThan(0.06);
  });
});
