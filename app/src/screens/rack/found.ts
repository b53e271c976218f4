import { type Family, FAMILY_WORDS } from '@june-tide/core/document';
import type { BoardRecord } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { measuresFor } from '../../store/derived.ts';

export type Order = 'length' | 'litres' | 'rider' | 'date';
/** Which boards of the shed the wall shows. */
export type Which = Family | 'all' | 'archived' | 'bin';

interface Asked {
  find: string;
  family: Which;
  order: Order;
}

/** The name of whoever a board is for, while they have a card. */
export const riderNameOf = ({ riderId }: BoardRecord, riders: Readonly<Record<string, Rider>>): string | undefined =>
  riderId === null ? undefined : riders[riderId]?.name;

/** The boards that answer to every word and to the kind asked for, in the order asked for. */
export function found(
  records: Readonly<Record<string, BoardRecord>>,
  riders: Readonly<Record<string, Rider>>,
  { find, family, order }: Asked,
): BoardRecord[] {
  const words = find.trim().toLowerCase().split(/\s+/).filter(Boolean);
  const text = (record: BoardRecord) =>
    `${record.board.name} ${record.number} ${FAMILY_WORDS[record.board.family]} ${riderNameOf(record, riders) ?? ''}`.toLowerCase();
  // Boards for nobody come last.
  const name = (record: BoardRecord) => riderNameOf(record, riders) || '\uffff';
  const before: Record<Order, (a: BoardRecord, b: BoardRecord) => number> = {
    length: (a, b) => a.board.length_mm - b.board.length_mm,
    litres: (a, b) => measuresFor(a.board).volume_L - measuresFor(b.board).volume_L,
    rider: (a, b) => name(a).localeCompare(name(b)),
    date: (a, b) => Date.parse(b.updatedAt) - Date.parse(a.updatedAt),
  };
  const kind = (record: BoardRecord) =>
    family === 'bin' ||
    (family === 'archived'
      ? record.archived === true
      : record.archived !== true && (family === 'all' || record.board.family === family));
  return Object.values(records)
    .filter((record) => kind(record) && words.every((word) => text(record).includes(word)))
    .sort((a, b) => before[order](a, b) || a.board.length_mm - b.board.length_mm || a.id.localeCompare(b.id));
}
