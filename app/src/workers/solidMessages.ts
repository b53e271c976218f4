import type { Board } from '@june-tide/core/document';
import type { Allowance, BandPlan, Blank, RailBands, RankedBlank } from '@june-tide/core/make';
import type { LitMesh } from '@june-tide/core/solid';

/** The formats the bench asks a solid in. */
export const SOLID_FORMATS = ['stl', '3mf', 'obj', 'ply'] as const;
export type SolidFormat = (typeof SOLID_FORMATS)[number];

/** Half the deck's shade as a picture, tail at the left, the stringer in row 0. */
export interface DeckPicture {
  columns: number;
  rows: number;
  rgba: Uint8ClampedArray<ArrayBuffer>;
}

interface ShadeOf {
  board: Board;
  columns: number;
  rows: number;
  /** The shadow's colour, and how strong the darkest is, 0 to 1. */
  dark: readonly [number, number, number];
  strength: number;
}

/** What the worker does: for each kind of work what it is asked and what it answers. */
export interface SolidWork {
  shade: { of: ShadeOf; answer: DeckPicture };
  lit: { of: { board: Board }; answer: LitMesh };
  blanks: { of: { board: Board; shelf: readonly Blank[]; allowance: Allowance }; answer: RankedBlank[] };
  bands: { of: { board: Board; plan: BandPlan }; answer: RailBands };
  facets: { of: { board: Board; chord_mm: number }; answer: { facets: number; error_mm: number } };
  solid: { of: { board: Board; to: SolidFormat; chord_mm: number }; answer: Uint8Array<ArrayBuffer> };
}
export type SolidKind = keyof SolidWork;

/** A piece of work with the number its answer bears. */
export type SolidRequest = { [K in SolidKind]: { kind: K; revision: number; of: SolidWork[K]['of'] } }[SolidKind];

export type SolidAnswer =
  | { revision: number; ok: true; answer: SolidWork[SolidKind]['answer'] }
  | { revision: number; ok: false; words: string };
