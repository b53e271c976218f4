import Papa from 'papaparse';
import type { Board } from '../document/schema.ts';
import { shapeOf } from '../shape/shape.ts';
import { measure } from '../measure/measure.ts';
import { asWords, onOneLine } from '../units/oneLine.ts';

const COLUMNS = [
  'length_mm',
  'width_mm',
  'thickness_mm',
  'noseWidth12_mm',
  'tailWidth12_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'volume_L',
] as const;

/** Boards of a run, a row each, as CSV (RFC 4180): mm and litres, a point as the decimal mark. */
export function sizeRunToCsv(boards: readonly Board[]): string {
  const data = boards.map((board) => {
    const numbers = measure(shapeOf(board));
    return [asWords(onOneLine(board.name)), ...COLUMNS.map((column) => String(Number(numbers[column].toFixed(3))))];
  });
  return `${Papa.unparse({ fields: ['name', ...COLUMNS], data }, { newline: '\r\n' })}\r\n`;
}
