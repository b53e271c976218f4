import { LEAST_ROLL_mm, type Paper, PAPERS, type PrintedOn } from '../../make/paper.ts';

/** The first page on a roll is so long. */
const ROLL_FIRST_mm = 320;

export const PAGE_MARGIN_mm = 12;
/** Neighbouring sheets share so much. */
export const OVERLAP_mm = 15;

/** How the paper lies: as it comes, or on its side. A roll lies along the drawing. */
export type Turn = 'upright' | 'onItsSide';

/** How a drawing is cut into sheets. */
export interface Tiling {
  page_mm: { width: number; height: number };
  /** The part of the drawing one sheet shows. */
  window_mm: { width: number; height: number };
  columns: number;
  rows: number;
}

/** The first page: the sheet upright, or a piece of the roll. */
export function firstPageOf(on: PrintedOn): { width_mm: number; height_mm: number; words: string } {
  if (typeof on === 'string') return PAPERS[on];
  return { width_mm: ROLL_FIRST_mm, height_mm: on.roll_mm, words: `a roll ${Math.round(on.roll_mm)} mm wide` };
}

/**
 * How a drawing is cut for what it is printed on, the paper turned as asked, or else so that the fewest sheets are wanted. On a roll it
 * lies along it in one piece, or in as many strips as its height needs.
 * @throws RangeError for a roll narrower than 250 mm.
 */
export function tilingOn(
  width_mm: number,
  height_mm: number,
  on: PrintedOn,
  turn: Turn = turnFor(width_mm, height_mm, on),
): Tiling {
  if (typeof on === 'string') return tilingOf(width_mm, height_mm, on, turn);
  if (!(on.roll_mm >= LEAST_ROLL_mm)) {
    throw new RangeError(`tilingOn: roll_mm must be at least ${LEAST_ROLL_mm}, got ${on.roll_mm}`);
  }
  const page = { width: width_mm + 2 * PAGE_MARGIN_mm, height: on.roll_mm };
  const window = { width: width_mm, height: on.roll_mm - 2 * PAGE_MARGIN_mm - LABEL_mm };
  return { page_mm: page, window_mm: window, columns: 1, rows: sheetsFor(height_mm, window.height) };
}

/** Over the window of each sheet there is so much room for what says which sheet it is. */
const LABEL_mm = 8;

const sheetsFor = (size_mm: number, window_mm: number): number =>
  Math.max(1, Math.ceil((size_mm - OVERLAP_mm) / (window_mm - OVERLAP_mm)));

/** Sheets overlap by OVERLAP_mm both ways. */
function tilingOf(width_mm: number, height_mm: number, paper: Paper, turn: Turn): Tiling {
  const { width_mm: a, height_mm: b } = PAPERS[paper];
  const page = turn === 'upright' ? { width: a, height: b } : { width: b, height: a };
  const window = { width: page.width - 2 * PAGE_MARGIN_mm, height: page.height - 2 * PAGE_MARGIN_mm - LABEL_mm };
  return {
    page_mm: page,
    window_mm: window,
    columns: sheetsFor(width_mm, window.width),
    rows: sheetsFor(height_mm, window.height),
  };
}

/** The turn of the paper that needs the fewer sheets. */
export function turnFor(width_mm: number, height_mm: number, on: PrintedOn): Turn {
  if (typeof on !== 'string') return 'upright';
  const count = (turn: Turn) => {
    const { columns, rows } = tilingOf(width_mm, height_mm, on, turn);
    return columns * rows;
  };
  return count('upright') <= count('onItsSide') ? 'upright' : 'onItsSide';
}
