/** Sheets of paper we tile on, portrait, mm. A4 and A3 by ISO 216; US Letter 8 1/2 x 11 and Tabloid 11 x 17 in by ANSI/ASME Y14.1. */
export const PAPERS = {
  A4: { width_mm: 210, height_mm: 297, words: 'A4' },
  Letter: { width_mm: 215.9, height_mm: 279.4, words: 'US Letter' },
  A3: { width_mm: 297, height_mm: 420, words: 'A3' },
  Tabloid: { width_mm: 279.4, height_mm: 431.8, words: 'Tabloid' },
} as const;
export type Paper = keyof typeof PAPERS;

/** What is printed on: sheets, or a roll so wide, cut off where the drawing ends. */
export type PrintedOn = Paper | { roll_mm: number };

/** Narrower is no roll: the sheets' margins and labels want room. */
export const LEAST_ROLL_mm = 250;

/** Papers that are sold by the inch. */
const isInches = (on: PrintedOn): boolean => on === 'Letter' || on === 'Tabloid';

/** The square to measure after printing: 100 mm, on inch papers 4 in. */
export interface CheckSquare {
  side_mm: number;
  words: string;
}
export const checkSquareOf = (on: PrintedOn): CheckSquare =>
  isInches(on) ? { side_mm: 4 * 25.4, words: '4 in' } : { side_mm: 100, words: '100 mm' };
