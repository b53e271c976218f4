import { bottomHeight } from '../../bottom/bottom.ts';
import { anchorsOf, stationOfMark } from '../../document/station.ts';
import { thicknessAt } from '../../foil/foil.ts';
import { stringerLineAt } from '../../measure/bottomLines.ts';
import { halfBreadthAt } from '../../outline/outline.ts';
import { deckHeightAt, undersideHeightAt } from '../../section/heights.ts';
import type { Section } from '../../section/section.ts';
import { sectionAt, type Shape } from '../../shape/shape.ts';
import { INCH_mm } from '../../units/length.ts';
import { type AcrossRead, lineOf, type LineRead, type SheetReading } from './sheet.ts';

/** What is read along the board at a station, mm. */
const ALONG: Readonly<Record<LineRead, (shape: Shape, x_mm: number) => number>> = {
  width_mm: (shape, x_mm) => 2 * halfBreadthAt(shape.outline, x_mm),
  thickness_mm: (shape, x_mm) => thicknessAt(shape.foil, x_mm),
  stringer_mm: stringerLineAt,
};

/** Deck to underside so far out from the stringer. */
const through = (section: Section, y_mm: number) => deckHeightAt(section, y_mm) - undersideHeightAt(section, y_mm);

/** What is read across the board, mm. */
export const ACROSS: Readonly<Record<AcrossRead, (section: Section) => number>> = {
  halfway_mm: (section) => through(section, section.half_mm / 2),
  rail_mm: (section) => (section.half_mm > INCH_mm ? through(section, section.half_mm - INCH_mm) : 0),
  apex_mm: ({ apex_mm, edgeZ_mm }) => apex_mm - edgeZ_mm,
  tuck_mm: ({ half_mm, edgeY_mm }) => half_mm - edgeY_mm,
  // The height of the bottom over a straightedge from edge to edge, at the stringer and half way out; proud of it, it is less than nothing.
  hollow_mm: ({ input, edgeZ_mm }) => bottomHeight(input.bottom, 0) - edgeZ_mm,
  beside_mm: ({ input, edgeZ_mm }) => bottomHeight(input.bottom, 0.5) - edgeZ_mm,
};
export const isAcross = (of: LineRead | AcrossRead): of is AcrossRead => of in ACROSS;

/** What one line of the sheet reads off a board, mm; 0 across a closed tip. */
export function readingOf(shape: Shape, reading: SheetReading): number {
  const { at, of } = lineOf(reading);
  if (at && of) {
    const x_mm = stationOfMark(at, anchorsOf(shape.board));
    if (!isAcross(of)) return ALONG[of](shape, x_mm);
    const section = sectionAt(shape, x_mm);
    return section ? ACROSS[of](section) : 0;
  }
  if (reading === 'length') return shape.board.length_mm;
  return reading === 'width' ? shape.board.outline.width_mm : shape.board.outline.widePoint_mm;
}
