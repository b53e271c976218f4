import Papa from 'papaparse';
import { FAMILY_WORDS } from '../document/kinds.ts';
import type { Measures } from '../measure/measure.ts';
import type { BoardRecord } from './record.ts';

const COLUMNS = [
  'name',
  'number',
  'family',
  'length_mm',
  'width_mm',
  'thickness_mm',
  'noseRocker_mm',
  'tailRocker_mm',
  'volume_L',
  'fins',
  'versions',
  'rides',
  'better',
  'worse',
  'damage',
  'begun',
] as const;

/**
 * Boards as CSV (RFC 4180): what they are and how they went; lengths in mm, a point as the decimal mark. Words that a table would take
 * for a formula are written as words. Nothing of a rider is in it, but for the name where `riderOf` gives one.
 */
export function boardsToCsv(
  records: readonly BoardRecord[],
  measuresOf: (record: BoardRecord) => Measures,
  riderOf?: (record: BoardRecord) => string | undefined,
): string {
  const plain = (value: number) => String(Number(value.toFixed(2)));
  const data = records.map((record) => {
    const { board, number, rides, versions = [], failures = [], createdAt } = record;
    const m = measuresOf(record);
    return [
      board.name,
      String(number),
      FAMILY_WORDS[board.family],
      ...[m.length_mm, m.width_mm, m.thickness_mm, m.noseRocker_mm, m.tailRocker_mm, m.volume_L].map(plain),
      board.fins.setup,
      String(versions.length),
      String(rides.length),
      ...(['better', 'worse'] as const).map((felt) => String(rides.filter((ride) => ride.felt === felt).length)),
      failures.map(({ what }) => what).join(' '),
      createdAt.slice(0, 10),
      ...(riderOf ? [riderOf(record) ?? ''] : []),
    ];
  });
  const fields = riderOf ? [...COLUMNS, 'rider'] : [...COLUMNS];
  return `${Papa.unparse({ fields, data }, { newline: '\r\n', escapeFormulae: true })}\r\n`;
}
