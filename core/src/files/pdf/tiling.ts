/** Sheets of paper we tile on, portrait, mm. A4 by ISO 216; US Letter 8 1/2 x 11 in by ANSI/ASME Y14.1. */
export const PAPERS = {
  A4: { width_mm: 210, height_mm: 297, words: 'A4' },
  Letter: { width_mm: 215.9, height_mm: 279.4, words: 'US Letter' },
} as const;
export type Paper = keyof typeof PAPERS;

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
