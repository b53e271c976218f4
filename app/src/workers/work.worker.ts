import { meshToObj, meshToPly, meshToStl } from '@june-tide/core/files';
import { meshToThreeMf, shapeToStep } from '@june-tide/core/files/packages';
import { railBands, rankedBlanks } from '@june-tide/core/make';
import { asOnCard } from '@june-tide/core/record';
import { shapeOf } from '@june-tide/core/shape';
import { deckShade, detailForChord, litMesh, type Mesh, meshOf } from '@june-tide/core/solid';
import { pdfFonts } from './pdfFonts.ts';
import type { PaperOf, SolidFormat, Work, WorkAnswer, WorkKind, WorkRequest } from './workMessages.ts';

interface Done<A> {
  answer: A;
  /** Memory that goes along and is not copied. */
  transfer: Transferable[];
}

type Doing<A> = Done<A> | Promise<Done<A>>;

const WORK: { readonly [K in WorkKind]: (of: Work[K]['of']) => Doing<Work[K]['answer']> } = {
  shade: ({ board, columns, rows, dark, strength }) => {
    const rgba = coloured(deckShade(shapeOf(board), columns, rows).tone, dark, strength);
    return { answer: { columns, rows, rgba }, transfer: [rgba.buffer] };
  },
  lit: ({ board }) => {
    const answer = litMesh(meshOf(shapeOf(board), { stations: 140, ring: 72 }));
    return { answer, transfer: [answer.positions.buffer, answer.normals.buffer, answer.triangles.buffer] };
  },
  blanks: ({ board, shelf, allowance }) => ({
    answer: rankedBlanks(shapeOf(board), shelf, allowance),
    transfer: [],
  }),
  bands: ({ board, plan }) => ({ answer: railBands(shapeOf(board), plan), transfer: [] }),
  facets: ({ board, chord_mm }) => {
    const shape = shapeOf(board);
    const { detail, error_mm } = detailForChord(shape, chord_mm);
    return { answer: { facets: meshOf(shape, detail).triangles.length / 3, error_mm }, transfer: [] };
  },
  paper: async (of) => {
    const answer = Uint8Array.from(await printed(of));
    return { answer, transfer: [answer.buffer] };
  },
  asOnCard: ({ board, card }) => ({ answer: asOnCard(board, card), transfer: [] }),
  step: ({ board }) => ({ answer: shapeToStep(shapeOf(board)), transfer: [] }),
  solid: ({ board, to, chord_mm }) => {
    const shape = shapeOf(board);
    const answer = written(meshOf(shape, detailForChord(shape, chord_mm).detail), to, board.name);
    return { answer, transfer: [answer.buffer] };
  },
};

function done<K extends WorkKind>(kind: K, of: Work[K]['of']): Doing<Work[K]['answer']> {
  return WORK[kind](of);
}

async function printed(of: PaperOf): Promise<Uint8Array> {
  const [pdf, fonts] = await Promise.all([import('@june-tide/core/files/pdf'), pdfFonts()]);
  const printing = { ...of.printing, fonts };
  if (of.kind === 'page') return pdf.onePagePdf(of.page, fonts);
  if (of.kind === 'laid') return pdf.paperPdf(of.paper, of.name, of.words, printing);
  const { board, choices } = of;
  const shape = shapeOf(board);
  if (of.kind === 'drawing') return pdf.boardPdf(of.which, shape, printing, choices);
  const { onePage, extras } = of;
  const { name } = choices;
  const { riderName } = extras;
  switch (of.kind) {
    case 'ticket':
      return pdf.ticketPdf(shape, onePage, printing.style, fonts, extras);
    case 'wall':
      return pdf.wallSheetPdf(shape, onePage, printing.style, fonts, { name, ...(riderName ? { riderName } : {}) });
    case 'all':
      return pdf.papersZip(shape, { name, printing, onePage, extras, choices });
  }
}

async function answer({ kind, revision, of }: WorkRequest): Promise<void> {
  try {
    const { answer, transfer } = await done(kind, of);
    say({ revision, ok: true, answer }, transfer);
  } catch (error) {
    const words = error instanceof Error ? `${error.message}\n${error.stack ?? ''}` : String(error);
    say({ revision, ok: false, words }, []);
  }
}
self.addEventListener('message', ({ data }: MessageEvent<WorkRequest>) => void answer(data));

function coloured(
  tone: Uint8Array,
  dark: readonly [number, number, number],
  strength: number,
): Uint8ClampedArray<ArrayBuffer> {
  const rgba = new Uint8ClampedArray(4 * tone.length);
  for (let i = 0; i < tone.length; i++) {
    rgba[4 * i] = dark[0];
    rgba[4 * i + 1] = dark[1];
    rgba[4 * i + 2] = dark[2];
    rgba[4 * i + 3] = (255 - tone[i]) * strength;
  }
  return rgba;
}

function written(mesh: Mesh, to: SolidFormat, name: string): Uint8Array<ArrayBuffer> {
  switch (to) {
    case 'stl':
      return meshToStl(mesh, name);
    case '3mf':
      return Uint8Array.from(meshToThreeMf(mesh, name));
    case 'ply':
      return Uint8Array.from(new TextEncoder().encode(meshToPly(mesh, name)));
    case 'obj':
      return Uint8Array.from(new TextEncoder().encode(meshToObj(mesh, name)));
  }
}

function say(message: WorkAnswer, transfer: Transferable[]): void {
  self.postMessage(message, { transfer });
}
