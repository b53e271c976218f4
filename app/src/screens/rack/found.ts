import type { Family } from '@june-tide/core/document';
import type { answering, BoardRecord, Filter } from '@june-tide/core/record';
import type { Rider } from '@june-tide/core/rider';
import { litresOf } from '../../store/shed.ts';

export type Order = 'length' | 'litres' | 'rider' | 'date';
/** Which boards of the shed the wall shows. */
export type Which = Family | 'all' | 'orders' | 'models' | 'archived' | 'bin';

interface Asked {
  filters: readonly Filter[];
  /** What answers it; none before anything was asked. */
  asking: { answering: typeof answering } | undefined;
  family: Which;
  order: Order;
}

/** The name of whoever a board is for, while they have a card. */
export const riderNameOf = ({ riderId }: BoardRecord, riders: Readonly<Record<string, Rider>>): string | undefined =>
  riderId === null ? undefined : riders[riderId]?.name;

/** The boards that answer to the question and to the kind asked for, in the order asked for. */
export function found(
  records: Readonly<Record<string, BoardRecord>>,
  riders: Readonly<Record<string, Rider>>,
  { filters, asking, family, order }: Asked,
): BoardRecord[] {
  // Boards for nobody come last.
  const name = (record: BoardRecord) => riderNameOf(record, riders) || '\uffff';
  const before: Record<Order, (a: BoardRecord, b: BoardRecord) => number> = {
    length: (a, b) => a.board.length_mm - b.board.length_mm,
    litres: (a, b) => litresOf(a) - litresOf(b),
    rider: (a, b) => name(a).localeCompare(name(b)),
    date: (a, b) => Date.parse(b.updatedAt) - Date.parse(a.updatedAt),
  };
  const kind = (record: BoardRecord) => {
    if (family === 'bin') return true;
    if (family === 'archived') return record.archived === true;
    if (record.archived) return false;
    if (family === 'models') return record.model === true;
    if (family === 'orders') return record.model !== true;
    return family === 'all' || record.board.family === family;
  };
  const of = Object.values(records).filter(kind);
  return (asking ? asking.answering(of, filters, { riders, litresOf }) : of).sort(
    (a, b) => before[order](a, b) || a.board.length_mm - b.board.length_mm || a.id.localeCompare(b.id),
  );
}
