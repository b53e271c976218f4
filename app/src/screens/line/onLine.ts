import type { Standing, Workshop } from '@june-tide/core/make';
import type { BoardRecord } from '@june-tide/core/record';
import { standingOf } from '../../store/derived.ts';

/** A board on the line, with how it stands today. */
export interface OnLine {
  record: BoardRecord;
  standing: Standing;
}

/** Late first, then the fewest days in hand; boards without a due day last. */
function byUrgency(a: OnLine, b: OnLine): number {
  const days = ({ standing }: OnLine) => standing.inHand_days ?? Infinity;
  return days(a) - days(b) || a.record.id.localeCompare(b.record.id);
}

/** Every board on the line, by urgency. */
export function onLineOf(records: Readonly<Record<string, BoardRecord>>, workshop: Workshop, day: string): OnLine[] {
  return Object.values(records)
    .flatMap((record): OnLine[] => {
      const standing = standingOf(record, workshop, day);
      return standing ? [{ record, standing }] : [];
    })
    .sort(byUrgency);
}
