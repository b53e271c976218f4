import { type MarkedCurve, markRows, withMarkHard } from '@june-tide/core/edit';
import { editBoard, useShed } from '../../store/shed.ts';

/** Makes a mark of one's own hard, so that the line goes through it, or soft again. Says whether it was one. */
export function turnHold(id: string, curve: MarkedCurve, key: string): boolean {
  const board = useShed.getState().records[id]?.board;
  const row = board && markRows(board, curve).find((entry) => entry.key === key);
  if (!row?.liftable) return false;
  const hard = row.give_mm !== undefined;
  editBoard(id, `${row.label.toLowerCase()} ${hard ? 'hard' : 'soft'}`, (b) => withMarkHard(b, curve, key, hard));
  return true;
}
