import { type Section, sectionRing } from '@june-tide/core/section';

/** Where a section lies in a drawing: y across the board to the right, z up. CSS pixels. */
export interface SectionScale {
  width: number;
  height: number;
  /** Pixels a mm, both ways. */
  k: number;
  X: (y_mm: number) => number;
  Y: (z_mm: number) => number;
}

/** Room beside, over and under the whole section for its numbers. */
const ROOM = { left: 62, right: 64, top: 25, foot: 48 };
/** A section narrower than this share of the board's width is drawn as if it were so wide: the tips stay small beside the middle. */
const LEAST_SHARE = 0.5;

/** The whole section with the stringer in the middle, as large as the width allows and the height has room for. */
export function wholeScale(section: Section, width_mm: number, width: number, height: number): SectionScale {
  const { low_mm, high_mm } = heightsOf(section);
  const across = Math.max(2 * section.half_mm, LEAST_SHARE * width_mm);
  const k = Math.max(
    0.1,
    Math.min(
      (width - ROOM.left - ROOM.right) / across,
      (height - ROOM.top - ROOM.foot) / Math.max(high_mm - low_mm, 1),
    ),
  );
  const middle = ROOM.left + (width - ROOM.left - ROOM.right) / 2;
  const free = height - ROOM.top - ROOM.foot - (high_mm - low_mm) * k;
  const base = height - ROOM.foot - free / 2;
  return { width, height, k, X: (y_mm) => middle + y_mm * k, Y: (z_mm) => base - (z_mm - low_mm) * k };
}

const RAIL_ROOM = { right: 58, top: 14, foot: 46 };

/** The right rail at so many times the scale of the whole, or as large as there is height for; its apex near the right side. */
export function railScale(section: Section, k: number, width: number, height: number): SectionScale {
  const { low_mm, high_mm } = heightsOf(section);
  const room = height - RAIL_ROOM.top - RAIL_ROOM.foot;
  const fits = Math.max(0.1, Math.min(k, room / Math.max(1, high_mm - low_mm)));
  const base = height - RAIL_ROOM.foot - (room - (high_mm - low_mm) * fits) / 2;
  const right = width - RAIL_ROOM.right;
  return {
    width,
    height,
    k: fits,
    X: (y_mm) => right + (y_mm - section.half_mm) * fits,
    Y: (z_mm) => base - (z_mm - low_mm) * fits,
  };
}

/** The lowest and the highest of a section, over the bottom at the stringer. */
function heightsOf(section: Section): { low_mm: number; high_mm: number } {
  const ring = sectionRing(section, 24);
  return {
    low_mm: Math.min(...ring.map((p) => p.z_mm)),
    high_mm: Math.max(...ring.map((p) => p.z_mm)),
  };
}

const hundredths = (value: number) => Math.round(value * 100) / 100;

/** A section as a path, both halves; moved by so much across and up before it is drawn. */
export function sectionPath(
  section: Section,
  { X, Y }: Pick<SectionScale, 'X' | 'Y'>,
  shift: { y_mm: number; z_mm: number } = { y_mm: 0, z_mm: 0 },
): string {
  const ring = sectionRing(section, 40);
  const closed = (side: 1 | -1) =>
    `M${ring
      .map((p) => `${hundredths(X(side * p.y_mm + shift.y_mm))} ${hundredths(Y(p.z_mm + shift.z_mm))}`)
      .join('L')}Z`;
  // The ring of a split tail is its right half alone.
  return section.input.notch_mm > 0 ? closed(1) + closed(-1) : closed(1);
}
