import { bottomHeight } from '../bottom/bottom.ts';
import type { Mark } from '../document/schema.ts';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { stationOfMark } from '../document/station.ts';
import { thicknessAt } from '../foil/foil.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { deckHeightAt, undersideHeightAt } from '../section/heights.ts';
import { halfArea } from '../section/section.ts';
import { INCH_mm } from '../units/length.ts';
import { railLineAt, stringerLineAt } from './bottomLines.ts';

/** A place to measure at. */
export interface StationPlace {
  from: Mark['from'];
  at_mm: number;
}

/** Everything a person would measure at one station, mm. Heights over the tangent at the flat point. */
export interface StationRow extends StationPlace {
  x_mm: number;
  width_mm: number;
  thickness_mm: number;
  stringer_mm: number;
  rail_mm: number;
  /** Apex over the bottom edge, and as a share of the rail's height. */
  apex_mm: number;
  apexShare: number;
  crown_mm: number;
  tuck_mm: number;
  /** A straightedge across the bottom, edge to edge: its greatest light; above a convex bottom negative. */
  bottom_mm: number;
  /** Of the whole cross-section: Simpson over even stations gives the litres. */
  area_mm2: number;
}

/** The stations that are usually written down: 1, 6, 12, 18, 24 in from either end, the centre, the wide point. */
export const USUAL_STATIONS: readonly StationPlace[] = [
  ...[1, 6, 12, 18, 24].map((inch) => ({ from: 'tail' as const, at_mm: inch * INCH_mm })),
  { from: 'centre', at_mm: 0 },
  { from: 'wide', at_mm: 0 },
  ...[24, 18, 12, 6, 1].map((inch) => ({ from: 'nose' as const, at_mm: inch * INCH_mm })),
];

/** A place in words: "Nose 12", "Wide point", "3 ahead of centre"; `write` says lengths in the shop's way. */
export function placeWords({ from, at_mm }: StationPlace, write: (mm: number) => string): string {
  const centred = from === 'centre' || from === 'wide';
  const name = { nose: 'Nose', tail: 'Tail', centre: 'Centre', wide: 'Wide point' }[from];
  if (!centred) return `${name} ${write(at_mm)}`;
  if (Math.abs(at_mm) < 0.05) return name;
  return `${write(Math.abs(at_mm))} ${at_mm > 0 ? 'ahead of' : 'behind'} ${name.toLowerCase()}`;
}

/** The table at any list of stations, in the order given. Those that are not on this board are left out. */
export function stationTable(shape: Shape, places: readonly StationPlace[] = USUAL_STATIONS): StationRow[] {
  return places.flatMap((place): StationRow[] => {
    const x_mm = stationOfMark(place, shape.anchors);
    const section = x_mm > 0 && x_mm < shape.board.length_mm ? sectionAt(shape, x_mm) : undefined;
    if (!section) return [];
    const { edgeZ_mm } = section;
    return [
      {
        ...place,
        x_mm,
        width_mm: 2 * halfBreadthAt(shape.outline, x_mm),
        thickness_mm: thicknessAt(shape.foil, x_mm),
        stringer_mm: stringerLineAt(shape, x_mm),
        rail_mm: railLineAt(shape, x_mm),
        apex_mm: section.apex_mm - edgeZ_mm,
        apexShare: (section.apex_mm - edgeZ_mm) / (section.input.thickness_mm - section.crown_mm - edgeZ_mm),
        crown_mm: section.crown_mm,
        tuck_mm: section.half_mm - section.edgeY_mm,
        bottom_mm: straightedgeLight(section.input.bottom, edgeZ_mm),
        area_mm2: 2 * halfArea(section),
      },
    ];
  });
}

/** The greatest height of the bottom over the line from edge to edge; the deepest below it when all of it is below. */
function straightedgeLight(bottom: Parameters<typeof bottomHeight>[0], edgeZ_mm: number): number {
  let most = 0;
  let least = 0;
  for (let k = 0; k < 48; k++) {
    const over = bottomHeight(bottom, k / 48) - edgeZ_mm;
    most = Math.max(most, over);
    least = Math.min(least, over);
  }
  return most > 1e-9 ? most : least;
}

/** Nose less tail thickness at matching distances from the ends, mm: the foil's bias. */
export function foilDifferences(
  shape: Shape,
  inches: readonly number[] = [6, 12, 18, 24],
): { at_mm: number; nose_mm: number; tail_mm: number; difference_mm: number }[] {
  return inches.map((inch) => {
    const at_mm = inch * INCH_mm;
    const nose_mm = thicknessAt(shape.foil, shape.board.length_mm - at_mm);
    const tail_mm = thicknessAt(shape.foil, at_mm);
    return { at_mm, nose_mm, tail_mm, difference_mm: nose_mm - tail_mm };
  });
}

/** How far in from the apex a rail's thickness is taken: an inch, as callipers reach it. Our own definition. */
const RAIL_INSET_mm = INCH_mm;

/** Rail thickness at x: deck to underside an inch in from the apex. 0 where the board is narrower than that. mm. */
export function railThicknessAt(shape: Shape, x_mm: number): number {
  const section = sectionAt(shape, x_mm);
  if (!section || section.half_mm - section.input.notch_mm <= RAIL_INSET_mm) return 0;
  const y = section.half_mm - RAIL_INSET_mm;
  return deckHeightAt(section, y) - undersideHeightAt(section, y);
}
