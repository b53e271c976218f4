import * as z from 'zod';
import { sectionAt, type Shape } from '../shape/shape.ts';
import { deckHeightAt } from '../section/heights.ts';
import { stationOfMark } from '../document/station.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { railThicknessAt, type StationPlace, stationTable } from '../measure/stationTable.ts';
import { halfBreadthAt, hasBlock } from '../outline/outline.ts';
import { INCH_mm } from '../units/length.ts';
import type { Tolerances } from './workshop.ts';

/** The groups of a measuring sheet in the order a person walks round a board. */
export const SHEET_GROUPS = ['length', 'width', 'thickness', 'rocker', 'crown', 'rail', 'card', 'bottom'] as const;
export type SheetGroup = (typeof SHEET_GROUPS)[number];
export const SHEET_GROUP_WORDS: Readonly<Record<SheetGroup, string>> = {
  length: 'Length, straight',
  width: 'Half widths, stringer to rail',
  thickness: 'Thickness at the stringer',
  rocker: 'Rocker over the straightedge',
  crown: 'Deck fall, stringer to half way out',
  rail: 'Rail thickness an inch in',
  card: 'Light under the rail card, an inch in',
  bottom: 'Bottom under a straightedge',
};

/** One thing to measure. */
export interface SheetLine {
  id: string;
  group: SheetGroup;
  name: string;
  place: StationPlace;
  /** Measured on the left and on the right. */
  sided: boolean;
  design_mm: number;
}

const inch = (from: StationPlace['from'], at: number): StationPlace => ({ from, at_mm: at * INCH_mm });
const ACROSS: readonly (readonly [string, StationPlace])[] = [
  ['Nose 12', inch('nose', 12)],
  ['Nose 24', inch('nose', 24)],
  ['Middle', inch('centre', 0)],
  ['Tail 24', inch('tail', 24)],
  ['Tail 12', inch('tail', 12)],
];
const PLACES: Readonly<Record<Exclude<SheetGroup, 'length'>, readonly (readonly [string, StationPlace])[]>> = {
  width: [
    ['Nose 12', inch('nose', 12)],
    ['Nose 24', inch('nose', 24)],
    ['Wide point', inch('wide', 0)],
    ['Tail 24', inch('tail', 24)],
    ['Tail 12', inch('tail', 12)],
  ],
  thickness: [
    ['Nose 1', inch('nose', 1)],
    ['Nose 12', inch('nose', 12)],
    ['Nose 24', inch('nose', 24)],
    ['Middle', inch('centre', 0)],
    ['Tail 24', inch('tail', 24)],
    ['Tail 12', inch('tail', 12)],
    ['Tail 1', inch('tail', 1)],
  ],
  rocker: [
    ['Nose tip', inch('nose', 0)],
    ['Nose 12', inch('nose', 12)],
    ['Tail 12', inch('tail', 12)],
    ['Tail tip', inch('tail', 0)],
  ],
  crown: ACROSS,
  rail: ACROSS,
  card: ACROSS,
  bottom: ACROSS,
};
/** Those measured on both sides. */
const SIDED: ReadonlySet<SheetGroup> = new Set(['width', 'rail', 'card']);

/** What a person would read off a board at one place, mm. The bottom: light under a straightedge, negative where it rocks. */
export function readingAt(shape: Shape, group: SheetGroup, x_mm: number): number {
  switch (group) {
    case 'length':
      return shape.board.length_mm;
    case 'width':
      return halfBreadthAt(shape.outline, x_mm);
    case 'thickness':
      return thicknessAt(shape.foil, x_mm);
    case 'rocker':
      return stringerLineAt(shape, x_mm);
    case 'crown':
      return deckFallAt(shape, x_mm);
    case 'rail':
      return railThicknessAt(shape, x_mm);
    case 'card':
      return 0;
    case 'bottom':
      return stationTable(shape, [{ from: 'tail', at_mm: x_mm }])[0]?.bottom_mm ?? 0;
  }
}

/** How far the deck falls from the stringer to half way out to the rail, as read under a level straightedge on the stringer. mm. */
function deckFallAt(shape: Shape, x_mm: number): number {
  const section = sectionAt(shape, x_mm);
  return section ? deckHeightAt(section, 0) - deckHeightAt(section, section.half_mm / 2) : 0;
}

/** The measuring sheet of a design. A split or winged tail has its block too. */
export function measuringSheet(shape: Shape): SheetLine[] {
  const { outline, length_mm } = shape.board;
  const lines: SheetLine[] = [
    { id: 'length', group: 'length', name: 'Length', place: inch('tail', 0), sided: false, design_mm: length_mm },
  ];
  for (const group of SHEET_GROUPS) {
    if (group === 'length') continue;
    for (const [name, place] of PLACES[group]) {
      const id = `${group}:${place.from}:${Math.round(place.at_mm / INCH_mm)}`;
      const x = stationOfMark(place, shape.anchors);
      lines.push({ id, group, name, place, sided: SIDED.has(group), design_mm: readingAt(shape, group, x) });
    }
    if (group === 'width' && hasBlock(outline.tail.kind)) {
      const place = inch('tail', 0);
      lines.push({ id: 'block', group, name: 'Block', place, sided: true, design_mm: outline.tail.block_mm / 2 });
    }
  }
  return lines;
}

const reading = z.strictObject({
  value_mm: z.number().min(-500).max(5000).optional(),
  left_mm: z.number().min(-500).max(5000).optional(),
  right_mm: z.number().min(-500).max(5000).optional(),
});
/** What was read, by the id of the line. Lines not measured are left out. */
export const readingsSchema = z.record(z.string().max(40), reading);
export type Readings = z.infer<typeof readingsSchema>;

/** Farther off its design than this no hand is: the number was typed wrong, or in another unit. Our own. */
const MOST_OFF_mm: Readonly<Record<SheetGroup, number>> = {
  length: 150,
  width: 50,
  thickness: 20,
  rocker: 50,
  crown: 15,
  rail: 20,
  card: 15,
  bottom: 15,
};

/** What is wrong with a reading before it is kept, in words; undefined when it may be. */
export function readingTrouble(line: SheetLine, mm: number): string | undefined {
  const positive =
    line.group === 'length' || line.group === 'width' || line.group === 'thickness' || line.group === 'rail';
  if (positive && !(mm > 0)) return 'there is nothing to measure there';
  if (line.group === 'rocker' && mm < -2) return 'the straightedge lies on the bottom: no lift is less than none';
  const off = Math.abs(mm - line.design_mm);
  return off <= MOST_OFF_mm[line.group] ? undefined : 'that is too far off the design: look at the number and its unit';
}

/** What was read at one line as one number: of two sides their mean. Undefined when nothing was. */
export function readOf(line: SheetLine, readings: Readings): number | undefined {
  const read = readings[line.id];
  if (!read) return undefined;
  if (!line.sided) return read.value_mm;
  const sides = [read.left_mm, read.right_mm].filter((side) => side !== undefined);
  return sides.length > 0 ? sides.reduce((sum, side) => sum + side, 0) / sides.length : undefined;
}

/** A line against the design. Differences are read less designed, mm. */
export interface Measured {
  line: SheetLine;
  value?: { difference_mm: number; within: boolean };
  left?: { difference_mm: number; within: boolean };
  right?: { difference_mm: number; within: boolean };
  /** Left less right, when both were read. */
  sides?: { difference_mm: number; within: boolean };
}

/** Which of the shop's tolerances a group goes by: what lies under a straightedge or a card is read alike. */
const TOLERANCE: Readonly<Record<SheetGroup, keyof Tolerances>> = {
  length: 'length_mm',
  width: 'width_mm',
  thickness: 'thickness_mm',
  rocker: 'rocker_mm',
  crown: 'bottom_mm',
  rail: 'rail_mm',
  card: 'rail_mm',
  bottom: 'bottom_mm',
};
/** How far off its design a reading of a group may be, mm: left against right the same. */
export const toleranceOf = (group: SheetGroup, tolerances: Tolerances): number => tolerances[TOLERANCE[group]];

/** Every line that was read, against the design, in the sheet's order. At the tolerance is within it. */
export function measuredAgainst(lines: readonly SheetLine[], readings: Readings, tolerances: Tolerances): Measured[] {
  return lines.flatMap((line): Measured[] => {
    const read = readings[line.id];
    if (!read || readOf(line, readings) === undefined) return [];
    const most = toleranceOf(line.group, tolerances) + 1e-9;
    const off = (difference_mm: number) => ({ difference_mm, within: Math.abs(difference_mm) <= most });
    const { value_mm, left_mm, right_mm } = read;
    return [
      {
        line,
        ...(!line.sided && value_mm !== undefined ? { value: off(value_mm - line.design_mm) } : {}),
        ...(line.sided && left_mm !== undefined ? { left: off(left_mm - line.design_mm) } : {}),
        ...(line.sided && right_mm !== undefined ? { right: off(right_mm - line.design_mm) } : {}),
        ...(line.sided && left_mm !== undefined && right_mm !== undefined ? { sides: off(left_mm - right_mm) } : {}),
      },
    ];
  });
}
