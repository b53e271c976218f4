import { sectionAt, type Shape } from '../shape/shape.ts';
import { type StationPlace, type StationRow, stationTable, USUAL_STATIONS } from '../measure/stationTable.ts';
import { type Section } from '../section/section.ts';
import { sectionRing } from '../section/walk.ts';
import { formatLength, type LengthStyle, lengthWords } from '../units/format.ts';
import { type Drawing, type DrawingChoices, framed } from './drawing.ts';

/** The sections at these stations, tail to nose; none where there is no board. */
export function sectionsAlong(
  shape: Shape,
  places: readonly StationPlace[],
): { x_mm: number; row: StationRow; section: Section }[] {
  return stationTable(shape, places)
    .sort((a, b) => a.x_mm - b.x_mm)
    .flatMap((row) => {
      const section = sectionAt(shape, row.x_mm);
      return section ? [{ x_mm: row.x_mm, row, section }] : [];
    });
}

/** Whole cross-sections at stations, each with its place and size under it. A split tail shows its right half. */
export function sectionCards(
  shape: Shape,
  style: LengthStyle,
  { places = USUAL_STATIONS }: DrawingChoices = {},
): Drawing[] {
  return sectionsAlong(shape, places).map(({ row, section }) => {
    const ring = sectionRing(section);
    const low = Math.min(...ring.map((p) => p.z_mm));
    const station = `${lengthWords(row.x_mm, style)} from tail`;
    const text = `${station}: ${formatLength(row.width_mm, style)} x ${formatLength(row.thickness_mm, style)}`;
    return framed(
      `section, ${station}`,
      [
        {
          layer: 'sections',
          points: ring.map((p) => ({ x_mm: p.y_mm, y_mm: p.z_mm })),
          closed: true,
          weight_mm: 0.35,
        },
      ],
      [{ layer: 'text', x_mm: Math.min(...ring.map((p) => p.y_mm)), y_mm: low - 6, size_mm: 4, text }],
    );
  });
}
