import { fitting_mm, textWidth_mm } from './labels.ts';
import type { Box } from './pdf/pen.ts';

/** A text of a page, in the plain weight or the strong one. */
export interface PageText {
  text: string;
  x_mm: number;
  y_mm: number;
  size_mm: number;
  anchor?: 'start' | 'middle' | 'end';
  strong?: boolean;
}

export interface PageLine {
  points: readonly { x_mm: number; y_mm: number }[];
  weight_mm: number;
  closed?: boolean;
  dashed?: boolean;
}

/**
 * One page as it is printed: x to the right and y up from the paper's lower left corner, mm. What is written as PDF and what is seen
 * in small before are both drawn from it.
 */
export interface OnePage {
  title: string;
  width_mm: number;
  height_mm: number;
  lines: PageLine[];
  texts: PageText[];
  /** Filled black. */
  boxes: Box[];
  /** Pictures by the address of their own data (PNG), from their lower left corner, as large as fits into their room. */
  pictures?: PagePicture[];
}

interface PagePicture {
  png: string;
  x_mm: number;
  y_mm: number;
  width_mm: number;
  height_mm: number;
}

export const rule = (left_mm: number, right_mm: number, y_mm: number, weight_mm: number): PageLine => ({
  points: [
    { x_mm: left_mm, y_mm },
    { x_mm: right_mm, y_mm },
  ],
  weight_mm,
});

/** A name at the left and whom it is for at the right of one line, each as large as leaves the other its room. */
export function nameLine(
  name: string,
  rider: string | undefined,
  at: { left_mm: number; right_mm: number; y_mm: number; size_mm: number },
): PageText[] {
  const room = at.right_mm - at.left_mm;
  const texts: PageText[] = [];
  let taken = 0;
  if (rider) {
    const text = `for ${rider}`;
    const size_mm = fitting_mm(text, 0.72 * at.size_mm, 0.45 * room);
    taken = textWidth_mm(text, size_mm) + at.size_mm;
    texts.push({ text, x_mm: at.right_mm, y_mm: at.y_mm, size_mm, anchor: 'end' });
  }
  const size_mm = fitting_mm(name, at.size_mm, room - taken, true);
  return [{ text: name, x_mm: at.left_mm, y_mm: at.y_mm, size_mm, strong: true }, ...texts];
}
