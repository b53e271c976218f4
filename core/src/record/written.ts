import { FAMILY_WORDS } from '../document/kinds.ts';
import { whysOf } from './past.ts';
import type { BoardRecord } from './record.ts';

/** What is written of a record, found once: a record is never changed in place. */
const written = new WeakMap<BoardRecord, string>();

/** All that is written of a board but its rider’s name, in small letters. */
export function writtenOf(record: BoardRecord): string {
  const known = written.get(record);
  if (known !== undefined) return known;
  const { board, number, rides, failures, brief } = record;
  const said = rides.map(
    ({ words, waves, place, rider, fins }) => `${words} ${waves} ${place ?? ''} ${rider ?? ''} ${fins ?? ''}`,
  );
  const gone = failures?.map(({ words, done }) => `${words} ${done}`) ?? [];
  const order = `${brief?.purpose ?? ''} ${brief?.mustHaves ?? ''}`;
  const text = [board.name, number, FAMILY_WORDS[board.family], board.notes, order, ...said, ...whysOf(record), ...gone]
    .join(' ')
    .toLowerCase();
  written.set(record, text);
  return text;
}
