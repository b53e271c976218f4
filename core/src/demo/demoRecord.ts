import type { Board } from '../document/schema.ts';
import { modelNamed } from '../models/models.ts';
import type { BoardRecord } from '../record/record.ts';

/** A board of the invented shed as it was on `day`. */
export const demoRecord = (
  id: string,
  number: number,
  riderId: string | null,
  day: string,
  board: Board,
  more: Partial<BoardRecord> = {},
): BoardRecord => ({
  ...more,
  id,
  number,
  riderId,
  board,
  rides: [],
  createdAt: `${day}T09:00:00.000Z`,
  updatedAt: `${day}T16:30:00.000Z`,
});

/** @throws RangeError where there is no model of that name. */
export function demoModel(name: string): Board {
  const board = modelNamed(name);
  if (!board) throw new RangeError(`demo: no model ${name}`);
  return board;
}
