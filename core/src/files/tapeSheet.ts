import type { Board, TailKind } from '../document/schema.ts';
import { withTail } from '../edit/size.ts';
import type { StationPlace } from '../measure/stationTable.ts';
import { models } from '../models/models.ts';
import { INCH_mm } from '../units/length.ts';
import { boardFromRows, type ReadRow, type StationsRead } from './stationCsv.ts';

/** What is read at a place: across with a tape, through with callipers, up from a straightedge laid on the bottom. */
type Tool = 'tape' | 'callipers' | 'straightedge';

interface Line {
  words: string;
  tool: Tool;
  at?: StationPlace;
  of?: 'width_mm' | 'thickness_mm' | 'stringer_mm';
}

const nose = (inches: number): StationPlace => ({ from: 'nose', at_mm: inches * INCH_mm });
const tail = (inches: number): StationPlace => ({ from: 'tail', at_mm: inches * INCH_mm });
const centre: StationPlace = { from: 'centre', at_mm: 0 };

/** The readings in the order a person walks round a board that lies bottom up, then on its deck. Common practice, no source. */
export const TAPE_SHEET = {
  length: { words: 'Length, tip to tip', tool: 'tape' },
  width: { words: 'Width at the widest', tool: 'tape' },
  wideAhead: { words: 'Wide point ahead of centre', tool: 'tape' },
  widthNose12: { words: 'Width 12 in from the nose', tool: 'tape', at: nose(12), of: 'width_mm' },
  widthNose24: { words: 'Width 24 in from the nose', tool: 'tape', at: nose(24), of: 'width_mm' },
  widthTail24: { words: 'Width 24 in from the tail', tool: 'tape', at: tail(24), of: 'width_mm' },
  widthTail12: { words: 'Width 12 in from the tail', tool: 'tape', at: tail(12), of: 'width_mm' },
  liftNose: { words: 'Lift at the nose tip', tool: 'straightedge', at: nose(0), of: 'stringer_mm' },
  liftNose12: { words: 'Lift 12 in from the nose', tool: 'straightedge', at: nose(12), of: 'stringer_mm' },
  liftNose24: { words: 'Lift 24 in from the nose', tool: 'straightedge', at: nose(24), of: 'stringer_mm' },
  liftTail24: { words: 'Lift 24 in from the tail', tool: 'straightedge', at: tail(24), of: 'stringer_mm' },
  liftTail12: { words: 'Lift 12 in from the tail', tool: 'straightedge', at: tail(12), of: 'stringer_mm' },
  liftTail: { words: 'Lift at the tail tip', tool: 'straightedge', at: tail(0), of: 'stringer_mm' },
  thickNose12: { words: 'Thickness 12 in from the nose', tool: 'callipers', at: nose(12), of: 'thickness_mm' },
  thickNose24: { words: 'Thickness 24 in from the nose', tool: 'callipers', at: nose(24), of: 'thickness_mm' },
  thickness: { words: 'Thickness in the middle', tool: 'callipers', at: centre, of: 'thickness_mm' },
  thickTail24: { words: 'Thickness 24 in from the tail', tool: 'callipers', at: tail(24), of: 'thickness_mm' },
  thickTail12: { words: 'Thickness 12 in from the tail', tool: 'callipers', at: tail(12), of: 'thickness_mm' },
} as const satisfies Record<string, Line>;

export type TapeReading = keyof typeof TAPE_SHEET;
export const TAPE_READINGS = Object.keys(TAPE_SHEET) as TapeReading[];

/** What a hand can have read, mm; beyond it is another unit, or a slip. */
const CAN_BE: Readonly<Record<'length' | 'wideAhead' | 'width_mm' | 'thickness_mm' | 'stringer_mm', [number, number]>> =
  {
    length: [1000, 4000],
    wideAhead: [-500, 500],
    width_mm: [0, 900],
    thickness_mm: [2, 200],
    stringer_mm: [-5, 400],
  };

/** Why a reading cannot be one, in words; undefined for one that can. */
export function tapeTrouble(reading: TapeReading, value_mm: number): string | undefined {
  const { of }: Line = TAPE_SHEET[reading];
  const key = of ?? (reading === 'length' || reading === 'wideAhead' ? reading : 'width_mm');
  const [low, high] = CAN_BE[key];
  if (value_mm >= low && value_mm <= high) return undefined;
  return `no board has that: between ${low} and ${high} mm is looked for; is it in another unit?`;
}

/**
 * A board of what was read with tape, straightedge and callipers, by the same way in as a station table. Length must be there; with width and
 * thickness it is a board already, and each further reading makes it more like. What was not read is as on the model that comes nearest.
 * @param tail how the tail is cut, which no tape tells; where it is not said, as on that model too.
 * Never throws: readings that make no board are refused with the reason.
 */
export function boardFromTape(
  readings: Readonly<Partial<Record<TapeReading, number>>>,
  name: string,
  tail?: TailKind,
  among: readonly Board[] = models(),
): StationsRead {
  const { length } = readings;
  if (length === undefined)
    return { ok: false, reason: 'The length is not there yet: everything else is told from it.' };
  for (const reading of TAPE_READINGS) {
    const value = readings[reading];
    const trouble = value === undefined ? undefined : tapeTrouble(reading, value);
    if (trouble !== undefined) return { ok: false, reason: `${TAPE_SHEET[reading].words}: ${trouble}` };
  }
  const rows = new Map<string, ReadRow>();
  const rowAt = (place: StationPlace): ReadRow => {
    const key = `${place.from} ${place.at_mm}`;
    const row = rows.get(key) ?? { ...place };
    rows.set(key, row);
    return row;
  };
  rowAt(nose(0)).x_mm = length;
  if (readings.width !== undefined || readings.wideAhead !== undefined) {
    const wide = rowAt({ from: 'wide', at_mm: 0 });
    if (readings.width !== undefined) wide.width_mm = readings.width;
    if (readings.wideAhead !== undefined) wide.x_mm = length / 2 + readings.wideAhead;
  }
  for (const reading of TAPE_READINGS) {
    const { at, of }: Line = TAPE_SHEET[reading];
    const value = readings[reading];
    if (at && of && value !== undefined) rowAt(at)[of] = value;
  }
  const tailed = among.map((model) =>
    tail === undefined || model.outline.tail.kind === tail ? model : withTail(model, tail),
  );
  return boardFromRows([...rows.values()], name, tailed);
}
