import { MOST_DRAWING_bytes } from './limits.ts';
import { dxfStrokes } from './dxfStrokes.ts';
import type { DrawingRead } from './drawingRead.ts';
import { svgStrokes } from './svgStrokes.ts';

/** What a drawing may be told to be in, mm a unit. */
export const DRAWING_UNITS = { mm: 1, cm: 10, m: 1000, in: 25.4, ft: 304.8, pt: 25.4 / 72, px: 25.4 / 96 } as const;
export type DrawingUnit = keyof typeof DRAWING_UNITS;

const looksBinary = (text: string) => /[\0\x01-\x08\x0e-\x1f]/.test(text.slice(0, 4000));

/**
 * The lines of a drawing, SVG or DXF, by what it holds and not by its name. Curves are flattened to within 5 millionths of their size.
 * Never throws: what is not a drawing is refused with the reason.
 */
export function readDrawing(text: string): DrawingRead {
  if (text.trim() === '') return { ok: false, reason: 'The file is empty.' };
  if (text.length > MOST_DRAWING_bytes) {
    return { ok: false, reason: `The file is too long for a drawing of a board: over ${MOST_DRAWING_bytes / 1e6} MB.` };
  }
  if (/^AutoCAD Binary DXF/.test(text)) {
    return { ok: false, reason: 'This is a DXF in binary. Save it as text (ASCII DXF) and open that.' };
  }
  if (looksBinary(text))
    return { ok: false, reason: 'This is no drawing: SVG or DXF, both of them text, is read here.' };
  const read = /<svg[\s>]/i.test(text.slice(0, 20_000))
    ? svgStrokes(text)
    : /(^|\n)\s*0\s*\r?\n\s*SECTION/.test(text)
      ? dxfStrokes(text)
      : undefined;
  if (!read) return { ok: false, reason: 'This is no drawing: neither the beginning of an SVG nor of a DXF is in it.' };
  if (!read.ok) return read;
  const drawn = read.strokes.filter(
    ({ points }) => points.length > 1 && points.every(({ x, y }) => Number.isFinite(x) && Number.isFinite(y)),
  );
  if (drawn.length < read.strokes.filter(({ points }) => points.length > 1).length) {
    return { ok: false, reason: 'Some of the drawing’s numbers are none: it was written wrong, or cut off.' };
  }
  return drawn.length > 0 ? { ...read, strokes: drawn } : { ok: false, reason: 'There is no line in the drawing.' };
}
