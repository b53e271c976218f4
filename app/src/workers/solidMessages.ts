import type { Board, DeckShade } from '@june-tide/core';

export type SolidRequest =
  | { kind: 'shade'; revision: number; board: Board; columns: number; rows: number }
  | { kind: 'stl'; revision: number; board: Board };

export type SolidAnswer =
  | { kind: 'shade'; revision: number; shade: DeckShade }
  | { kind: 'stl'; revision: number; bytes: Uint8Array<ArrayBuffer>; volume_L: number }
  | { kind: 'failed'; revision: number; words: string };
