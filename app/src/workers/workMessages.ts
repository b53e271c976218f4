import type { Board } from '@june-tide/core/document';
import type { DrawingChoices, DrawingName, Laying, OnePage, OnPaper, TicketExtras } from '@june-tide/core/files';
import type { StepFile } from '@june-tide/core/files/packages';
import type { Allowance, BandPlan, Blank, Paper, RailBands, RankedBlank } from '@june-tide/core/make';
import type { Card, CardOff } from '@june-tide/core/record';
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

/** One paper of a board, or all of them; or what was laid out before. The fonts are the worker's own. */
export type PaperOf =
  | BoardPaper
  | { kind: 'page'; page: OnePage; printing: Laying }
  | { kind: 'laid'; paper: OnPaper; name: string; words: string; printing: Laying };
type BoardPaper = { board: Board; printing: Laying; choices: DrawingChoices & { name: string } } & (
  | { kind: 'drawing'; which: DrawingName | 'half' }
  | { kind: 'ticket' | 'wall' | 'all'; onePage: Paper; extras: TicketExtras }
);

/** What the worker does: for each kind of work what it is asked and what it answers. */
export interface Work {
  shade: { of: ShadeOf; answer: DeckPicture };
  lit: { of: { board: Board }; answer: LitMesh };
  blanks: { of: { board: Board; shelf: readonly Blank[]; allowance: Allowance }; answer: RankedBlank[] };
  bands: { of: { board: Board; plan: BandPlan }; answer: RailBands };
  facets: { of: { board: Board; chord_mm: number }; answer: { facets: number; error_mm: number } };
  paper: { of: PaperOf; answer: Uint8Array<ArrayBuffer> };
  /** The board as a card of before says. */
  asOnCard: { of: { board: Board; card: Card }; answer: { board: Board; off: CardOff } };
  step: { of: { board: Board }; answer: StepFile };
  solid: { of: { board: Board; to: SolidFormat; chord_mm: number }; answer: Uint8Array<ArrayBuffer> };
}
export type WorkKind = keyof Work;

/** A piece of work with the number its answer bears. */
export type WorkRequest = { [K in WorkKind]: { kind: K; revision: number; of: Work[K]['of'] } }[WorkKind];

export type WorkAnswer =
  { revision: number; ok: true; answer: Work[WorkKind]['answer'] } | { revision: number; ok: false; words: string };
