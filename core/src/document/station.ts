import type { Mark } from './schema.ts';

/** What a station can be tied to, and where that is on one board. */
export interface Anchors {
  readonly length_mm: number;
  /** Station of the wide point, from the tail. */
  readonly wide_mm: number;
}

/** The station of a mark, mm from the tail. */
export function stationOfMark(mark: Pick<Mark, 'from' | 'at_mm'>, anchors: Anchors): number {
  switch (mark.from) {
    case 'nose':
      return anchors.length_mm - mark.at_mm;
    case 'tail':
      return mark.at_mm;
    case 'centre':
      return anchors.length_mm / 2 + mark.at_mm;
    case 'wide':
      return anchors.wide_mm + mark.at_mm;
  }
}

/** The distance to write down so that a mark tied to `from` lies at station x: the inverse of stationOfMark. */
export function distanceFrom(from: Mark['from'], x_mm: number, anchors: Anchors): number {
  switch (from) {
    case 'nose':
      return anchors.length_mm - x_mm;
    case 'tail':
      return x_mm;
    case 'centre':
      return x_mm - anchors.length_mm / 2;
    case 'wide':
      return x_mm - anchors.wide_mm;
  }
}

export function anchorsOf(board: { length_mm: number; outline: { widePoint_mm: number } }): Anchors {
  return { length_mm: board.length_mm, wide_mm: board.length_mm / 2 + board.outline.widePoint_mm };
}
