import type { StationPlace } from '../../measure/stationTable.ts';
import { INCH_mm } from '../../units/length.ts';

/** What a number is read with, and how far a careful hand is off with it, mm. Our own figures. */
export const TOOLS = {
  tape: { words: 'With the tape', error_mm: 1.5 },
  straightedge: { words: 'Straightedge on the bottom', error_mm: 1 },
  callipers: { words: 'Callipers at the stringer', error_mm: 0.5 },
  across: { words: 'Straightedge across the bottom', error_mm: 0.5 },
  jaws: { words: 'Callipers toward the rail', error_mm: 0.8 },
  railCard: { words: 'Rail card', error_mm: 1.5 },
} as const;
export type Tool = keyof typeof TOOLS;
export const TOOL_KINDS = Object.keys(TOOLS) as Tool[];

/** What is read of the board's lines along it, and what across it. */
export type LineRead = 'width_mm' | 'thickness_mm' | 'stringer_mm';
export type AcrossRead = 'halfway_mm' | 'rail_mm' | 'apex_mm' | 'tuck_mm' | 'hollow_mm' | 'beside_mm';

export interface Line {
  words: string;
  tool: Tool;
  at?: StationPlace;
  of?: LineRead | AcrossRead;
  /** Read on both sides: a width from the stringer out, the rest as it is. */
  sided?: true;
}

const nose = (inches: number): StationPlace => ({ from: 'nose', at_mm: inches * INCH_mm });
const tail = (inches: number): StationPlace => ({ from: 'tail', at_mm: inches * INCH_mm });
const centre: StationPlace = { from: 'centre', at_mm: 0 };

/** The readings in the order a person walks round a board that lies bottom up, then on its deck. Common practice, no source. */
const SHEET = {
  length: { words: 'Length, tip to tip', tool: 'tape' },
  width: { words: 'Width at the widest', tool: 'tape', sided: true },
  wideAhead: { words: 'Wide point ahead of centre', tool: 'tape' },
  widthNose12: { words: 'Width 12 in from the nose', tool: 'tape', at: nose(12), of: 'width_mm', sided: true },
  widthNose24: { words: 'Width 24 in from the nose', tool: 'tape', at: nose(24), of: 'width_mm', sided: true },
  widthTail24: { words: 'Width 24 in from the tail', tool: 'tape', at: tail(24), of: 'width_mm', sided: true },
  widthTail12: { words: 'Width 12 in from the tail', tool: 'tape', at: tail(12), of: 'width_mm', sided: true },
  liftNose: { words: 'Lift at the nose tip', tool: 'straightedge', at: nose(0), of: 'stringer_mm' },
  liftNose12: { words: 'Lift 12 in from the nose', tool: 'straightedge', at: nose(12), of: 'stringer_mm' },
  liftNose24: { words: 'Lift 24 in from the nose', tool: 'straightedge', at: nose(24), of: 'stringer_mm' },
  liftTail24: { words: 'Lift 24 in from the tail', tool: 'straightedge', at: tail(24), of: 'stringer_mm' },
  liftTail12: { words: 'Lift 12 in from the tail', tool: 'straightedge', at: tail(12), of: 'stringer_mm' },
  liftTail: { words: 'Lift at the tail tip', tool: 'straightedge', at: tail(0), of: 'stringer_mm' },
  hollowNose12: { words: 'Hollow at the stringer, nose 12', tool: 'across', at: nose(12), of: 'hollow_mm' },
  besideNose12: { words: 'Hollow half way out, nose 12', tool: 'across', at: nose(12), of: 'beside_mm' },
  hollow: { words: 'Hollow at the stringer, middle', tool: 'across', at: centre, of: 'hollow_mm' },
  beside: { words: 'Hollow half way out, middle', tool: 'across', at: centre, of: 'beside_mm' },
  hollowTail12: { words: 'Hollow at the stringer, tail 12', tool: 'across', at: tail(12), of: 'hollow_mm' },
  besideTail12: { words: 'Hollow half way out, tail 12', tool: 'across', at: tail(12), of: 'beside_mm' },
  thickNose12: { words: 'Thickness 12 in from the nose', tool: 'callipers', at: nose(12), of: 'thickness_mm' },
  thickNose24: { words: 'Thickness 24 in from the nose', tool: 'callipers', at: nose(24), of: 'thickness_mm' },
  thickness: { words: 'Thickness in the middle', tool: 'callipers', at: centre, of: 'thickness_mm' },
  thickTail24: { words: 'Thickness 24 in from the tail', tool: 'callipers', at: tail(24), of: 'thickness_mm' },
  thickTail12: { words: 'Thickness 12 in from the tail', tool: 'callipers', at: tail(12), of: 'thickness_mm' },
  halfNose12: { words: 'Thick half way out, nose 12', tool: 'jaws', at: nose(12), of: 'halfway_mm', sided: true },
  railNose12: { words: 'Thick an inch in, nose 12', tool: 'jaws', at: nose(12), of: 'rail_mm', sided: true },
  half: { words: 'Thick half way out, middle', tool: 'jaws', at: centre, of: 'halfway_mm', sided: true },
  rail: { words: 'Thick an inch in, middle', tool: 'jaws', at: centre, of: 'rail_mm', sided: true },
  halfTail12: { words: 'Thick half way out, tail 12', tool: 'jaws', at: tail(12), of: 'halfway_mm', sided: true },
  railTail12: { words: 'Thick an inch in, tail 12', tool: 'jaws', at: tail(12), of: 'rail_mm', sided: true },
  apexNose12: { words: 'Apex up from the edge, nose 12', tool: 'railCard', at: nose(12), of: 'apex_mm', sided: true },
  tuckNose12: { words: 'Edge in from the apex, nose 12', tool: 'railCard', at: nose(12), of: 'tuck_mm', sided: true },
  apex: { words: 'Apex up from the edge, middle', tool: 'railCard', at: centre, of: 'apex_mm', sided: true },
  tuck: { words: 'Edge in from the apex, middle', tool: 'railCard', at: centre, of: 'tuck_mm', sided: true },
  apexTail12: { words: 'Apex up from the edge, tail 12', tool: 'railCard', at: tail(12), of: 'apex_mm', sided: true },
  tuckTail12: { words: 'Edge in from the apex, tail 12', tool: 'railCard', at: tail(12), of: 'tuck_mm', sided: true },
} as const satisfies Record<string, Line>;

export type SheetReading = keyof typeof SHEET;
export const SHEET_READINGS = Object.keys(SHEET) as SheetReading[];
export const lineOf = (reading: SheetReading): Line => SHEET[reading];

/** A number as read, mm: the whole of it, or each side by itself; of a width each side is from the stringer to the rail. */
export type Read = number | { left_mm?: number; right_mm?: number };
export type SheetReadings = Readonly<Partial<Record<SheetReading, Read>>>;

/** Are both sides of this one halves of a whole, as of a width? */
const isHalved = (reading: SheetReading) => reading === 'width' || lineOf(reading).of === 'width_mm';

/** The number a reading stands for: of two sides their mean, of a width's their sum; of one side alone the board is taken even. */
export function taken(reading: SheetReading, read: Read | undefined): number | undefined {
  if (typeof read === 'number' || read === undefined) return read;
  const { left_mm = read.right_mm, right_mm = read.left_mm } = read;
  if (left_mm === undefined || right_mm === undefined) return undefined;
  return isHalved(reading) ? left_mm + right_mm : (left_mm + right_mm) / 2;
}

/** By how much a reading is more on the right than on the left, mm; undefined where not both sides were read. */
export function rightOverLeft(read: Read | undefined): number | undefined {
  if (typeof read !== 'object' || read.left_mm === undefined || read.right_mm === undefined) return undefined;
  return read.right_mm - read.left_mm;
}

/** What a hand can have read, mm; beyond it is another unit, or a slip. */
const CAN_BE: Readonly<Record<'length' | 'wideAhead' | LineRead | AcrossRead, readonly [number, number]>> = {
  length: [1000, 4000],
  wideAhead: [-500, 500],
  width_mm: [0, 900],
  thickness_mm: [2, 200],
  stringer_mm: [-5, 400],
  halfway_mm: [2, 200],
  rail_mm: [1, 150],
  apex_mm: [0, 120],
  tuck_mm: [0, 150],
  hollow_mm: [-40, 40],
  beside_mm: [-40, 40],
};

/** Why a number cannot be that reading, in words; undefined for one that can. A width's side may be half as much. */
export function readingTrouble(reading: SheetReading, value_mm: number): string | undefined {
  const { of } = lineOf(reading);
  const key = of ?? (reading === 'length' || reading === 'wideAhead' ? reading : 'width_mm');
  const [low, high] = CAN_BE[key];
  if (value_mm >= low && value_mm <= high) return undefined;
  return `no board has that: between ${low} and ${high} mm is looked for; is it in another unit?`;
}
