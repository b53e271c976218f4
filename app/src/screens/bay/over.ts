import type { Board } from '@june-tide/core/document';
import { exaggerated, type Mixed } from '@june-tide/core/edit';
import type { Measures } from '@june-tide/core/measure';
import type { BoardRecord } from '@june-tide/core/record';
import type { Shape } from '@june-tide/core/shape';
import { measuresFor, shapeFor } from '../../store/derived.ts';

/** Which points of two boards are laid on one another. */
export const ALIGNMENTS = ['nose', 'centre', 'wide', 'tail'] as const;
export type Alignment = (typeof ALIGNMENTS)[number];
export const ALIGNMENT_WORDS: Readonly<Record<Alignment, string>> = {
  nose: 'Nose',
  centre: 'Centre',
  wide: 'Wide',
  tail: 'Tail',
};

/** Chosen in the bay: the other board (or this one as it was when the bay was opened), how it lies, how far it is pushed. */
export interface OverChoice {
  id: string;
  align: Alignment;
  push: number;
  /** An earlier state of this board, by the name of the step that left it. */
  earlier?: { board: Board; name: string };
}

/** This board as it was when the bay was opened. */
export const AS_OPENED = 'as-opened';

/** The other board on our tape. */
export interface Over {
  choice: OverChoice;
  name: string;
  board: Board;
  shape: Shape;
  measures: Measures;
  /** Added to a station of the other board to find its place on ours. */
  shift_mm: number;
  /** Ours, the difference from the other multiplied; undefined while it is not pushed. */
  pushed: (Mixed & { shape: Shape; shift_mm: number }) | undefined;
}

function shiftOf(ours: Board, other: Board, align: Alignment): number {
  const wide = (b: Board) => b.length_mm / 2 + b.outline.widePoint_mm;
  switch (align) {
    case 'nose':
      return ours.length_mm - other.length_mm;
    case 'centre':
      return (ours.length_mm - other.length_mm) / 2;
    case 'wide':
      return wide(ours) - wide(other);
    case 'tail':
      return 0;
  }
}

export function laidOver(record: BoardRecord, other: Board, name: string, choice: OverChoice): Over {
  const { board } = record;
  const mixed = choice.push > 1 ? exaggerated(other, board, choice.push) : undefined;
  return {
    choice,
    name,
    board: other,
    shape: shapeFor(other),
    measures: measuresFor(other),
    shift_mm: shiftOf(board, other, choice.align),
    pushed: mixed && {
      ...mixed,
      shape: shapeFor(mixed.board, `${record.id}:pushed`),
      shift_mm: shiftOf(board, mixed.board, choice.align),
    },
  };
}
