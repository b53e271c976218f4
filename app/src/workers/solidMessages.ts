import type { Board, DeckShade, LitMesh } from '@june-tide/core';

/** The formats a solid is written in. */
export type SolidFormat = 'stl' | '3mf' | 'obj' | 'ply';

export type SolidRequest =
  | { kind: 'shade'; revision: number; board: Board; columns: number; rows: number }
  | { kind: 'lit'; revision: number; board: Board }
  | { kind: 'solid'; revision: number; board: Board; to: SolidFormat };

export type SolidAnswer =
  | { kind: 'shade'; revision: number; shade: DeckShade }
  | { kind: 'lit'; revision: number; mesh: LitMesh }
  | { kind: 'solid'; revision: number; bytes: Uint8Array<ArrayBuffer> }
  | { kind: 'failed'; revision: number; words: string };
