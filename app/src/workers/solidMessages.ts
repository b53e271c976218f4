import type { Board } from '@june-tide/core/document';
import type { Allowance, BandCounts, Blank, RailBands, RankedBlank } from '@june-tide/core/make';
import type { LitMesh } from '@june-tide/core/solid';

/** The formats a solid is written in. */
export type SolidFormat = 'stl' | '3mf' | 'obj' | 'ply';

/** Half the deck's shade as a picture, tail at the left, the stringer in row 0. */
export interface DeckPicture {
  columns: number;
  rows: number;
  rgba: Uint8ClampedArray<ArrayBuffer>;
}

export interface ShadeRequest {
  kind: 'shade';
  revision: number;
  board: Board;
  columns: number;
  rows: number;
  /** The shadow's colour, and how strong the darkest is, 0 to 1. */
  dark: readonly [number, number, number];
  strength: number;
}

export type SolidRequest =
  | ShadeRequest
  | { kind: 'lit'; revision: number; board: Board }
  | { kind: 'blanks'; revision: number; board: Board; shelf: readonly Blank[]; allowance: Allowance }
  | { kind: 'bands'; revision: number; board: Board; counts: BandCounts }
  | { kind: 'solid'; revision: number; board: Board; to: SolidFormat };

export type SolidAnswer =
  | { kind: 'shade'; revision: number; picture: DeckPicture }
  | { kind: 'lit'; revision: number; mesh: LitMesh }
  | { kind: 'solid'; revision: number; bytes: Uint8Array<ArrayBuffer> }
  | { kind: 'blanks'; revision: number; ranked: RankedBlank[] }
  | { kind: 'bands'; revision: number; bands: RailBands }
  | { kind: 'failed'; revision: number; words: string };
