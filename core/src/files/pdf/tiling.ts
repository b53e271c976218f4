import { type Paper, PAPERS } from '../../make/paper.ts';

/** What is printed on: sheets, or a roll so wide, cut off where the drawing ends. */
export type PrintedOn = Paper | { roll_mm: number };

export const LEAST_ROLL_mm = 250;
/** The first page on a roll is so long. */
const ROLL_FIRST_mm = 320;

export const PAGE_MARGIN_mm = 12;
/** Neighbouring sheets share so much. */
export const OVERLAP_mm = 15;

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
 * How a drawing is cut for what it is printed on. On a roll it lies along it in one piece, or in as many strips as its
 * height needs.
 * @throws RangeError for a roll narrower than 250 mm.
 */
export function tilingOn(width_mm: number, height_mm: number, on: PrintedOn): Tiling {
  if (typeof on === 'string') return tilingOf(width_mm, height_mm, on);
  if (!(on.roll_mm >= LEAST_ROLL_mm)) {
    throw new RangeError(`tilingOn: roll_mm must be at least ${LEAST_ROLL_mm}, got ${on.roll_mm}`);
  }
  const page = { width: width_mm + 2 * PAGE_MARGIN_mm, height: on.roll_mm };
  const window = { width: width_mm, height: on.roll_mm - 2 * PAGE_MARGIN_mm - 8 };
  const rows = Math.max(1, Math.ceil((height_mm - OVERLAP_mm) / (window.height - OVERLAP_mm)));
  return { page_mm: page, window_mm: window, columns: 1, rows };
}

/** The turn of the paper that needs the fewer sheets. Sheets overlap by OVERLAP_mm both ways. */
export function tilingOf(width_mm: number, height_mm: number, paper: Paper): Tiling {
  const { width_mm: a, height_mm: b } = PAPERS[paper];
  const turned = [
    { width: a, height: b },
    { width: b, height: a },
  ].map((page): Tiling => {
    const window = { width: page.width - 2 * PAGE_MARGIN_mm, height: page.height - 2 * PAGE_MARGIN_mm - 8 };
    const count = (size: number, sheet: number) => Math.max(1, Math.ceil((size - OVERLAP_mm) / (sheet - OVERLAP_mm)));
    return {
      page_mm: page,
      window_mm: window,
      columns: count(width_mm, window.width),
      rows: count(height_mm, window.height),
    };
  });
  const [portrait, landscape] = turned;
  return portrait.columns * portrait.rows <= landscape.columns * landscape.rows ? portrait : landscape;
}
