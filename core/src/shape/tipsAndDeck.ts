import { anchorsOf } from '../document/station.ts';
import { type Board, boardSchema } from '../document/schema.ts';
import { greatestWhereStatedAtPlace } from '../foil/foil.ts';

type Data = Readonly<Record<string, unknown>>;

const isData = (value: unknown): value is Data => typeof value === 'object' && value !== null && !Array.isArray(value);
const numberOr = (value: unknown, otherwise: number) => (typeof value === 'number' ? value : otherwise);
const part = (data: Data, key: string): Data => (isData(data[key]) ? data[key] : {});

/**
 * Version 1 to 2. The tip of a pointed nose and of a pin gets a plan radius: none, as it was. Features of the deck get the numbers
 * that were fixed before: a flat deck ran all along, a beak rose over its whole length and was rolled down by 0.8, an S-deck ran in
 * over half of its length. A width mark within the corners of the tail, or nearer a pin's tip than it can hold, was never met and
 * dragged the line elsewhere: it is taken off, and the notes of the board say which it was. The stated thickness was the one at its own
 * place, and beside an S-deck there was more: from now on it is the greatest there is, and is raised to that.
 */
export function tipsAndDeck(data: Data): Record<string, unknown> {
  return withGreatestStated(inNewWords(data));
}

function withGreatestStated(data: Record<string, unknown>): Record<string, unknown> {
  const read = boardSchema.safeParse(data);
  if (!read.success || !read.data.deck.features.some(({ kind }) => kind === 'sDeck')) return data;
  const greatest_mm = greatestOf1(read.data);
  return greatest_mm === undefined ? data : { ...data, foil: { ...read.data.foil, thickness_mm: greatest_mm } };
}

function greatestOf1(board: Board): number | undefined {
  try {
    const greatest_mm = greatestWhereStatedAtPlace(board.foil, board.deck.features, anchorsOf(board));
    return boardSchema.shape.foil.shape.thickness_mm.safeParse(greatest_mm).data;
  } catch {
    // Marks at one station: it cannot be sprung, and is refused in words where it is opened.
    return undefined;
  }
}

function inNewWords(data: Data): Record<string, unknown> {
  const outline = part(data, 'outline');
  const nose = part(outline, 'nose');
  const tail = part(outline, 'tail');
  const deck = part(data, 'deck');
  const length_mm = numberOr(data.length_mm, 0);
  const corner_mm = CORNER_mm[String(tail.kind)]?.(numberOr(tail.depth_mm, 0)) ?? 0;
  const marks: readonly unknown[] = Array.isArray(outline.marks) ? outline.marks : [];
  const inCorner = marks.filter((mark) => isData(mark) && stationOf(mark, data, outline) < corner_mm);
  return {
    ...data,
    version: 2,
    ...(isData(data.outline)
      ? {
          outline: {
            ...outline,
            ...(Array.isArray(outline.marks) ? { marks: marks.filter((mark) => !inCorner.includes(mark)) } : {}),
            ...(nose.kind === 'pointed' ? { nose: { ...nose, tip_mm: 0 } } : {}),
            ...(isData(outline.tail) ? { tail: { ...tail, tip_mm: 0 } } : {}),
          },
        }
      : {}),
    ...(isData(data.deck) && Array.isArray(deck.features)
      ? { deck: { ...deck, features: deck.features.map((feature) => featureOf2(feature, length_mm)) } }
      : {}),
    ...(inCorner.length > 0 && typeof data.notes === 'string' ? { notes: told(data.notes, inCorner) } : {}),
  };
}

/** How far the corner work of a tail of version 1 reached. */
const CORNER_mm: Readonly<Record<string, (depth_mm: number) => number>> = {
  square: () => 4,
  squash: (depth) => Math.min(Math.max(depth, 8), 80),
  thumb: (depth) => Math.min(Math.max(depth, 30), 200),
  diamond: (depth) => Math.min(Math.max(depth, 20), 200),
  sixCorner: (depth) => Math.min(Math.max(depth, 20), 200),
};

/** Station of a mark of version 1, from the tail. */
function stationOf(mark: Data, data: Data, outline: Data): number {
  const at = numberOr(mark.at_mm, NaN);
  const length = numberOr(data.length_mm, NaN);
  switch (mark.from) {
    case 'nose':
      return length - at;
    case 'tail':
      return at;
    case 'centre':
      return length / 2 + at;
    default:
      return length / 2 + numberOr(outline.widePoint_mm, NaN) + at;
  }
}

const EVERY_mm = 40;
const FADE_mm = 20;
const NOTES = 4000;

function featureOf2(feature: unknown, length_mm: number): unknown {
  if (!isData(feature)) return feature;
  switch (feature.kind) {
    case 'flat':
      return { ...feature, from: 'centre', at_mm: 0, length_mm: length_mm + EVERY_mm, fade_mm: FADE_mm };
    case 'beak':
      return { ...feature, fade_mm: feature.length_mm, roll: 0.8 };
    case 'sDeck':
      return { ...feature, fade_mm: numberOr(feature.length_mm, 0) / 2 };
    default:
      return feature;
  }
}

function told(notes: string, marks: readonly unknown[]): string {
  const words = marks
    .filter(isData)
    .map((mark) => `${String(mark.value_mm)} mm wide ${String(mark.at_mm)} mm from the ${String(mark.from)}`)
    .join(', ');
  const line = `Taken off, the corners of the tail make the line there: a mark ${words}.`;
  return notes.length + line.length < NOTES ? `${notes}${notes === '' ? '' : '\n'}${line}` : notes;
}
