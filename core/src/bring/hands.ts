import type { Board } from '../document/schema.ts';
import { anchorsOf, stationOfMark } from '../document/station.ts';
import { TAPE_READINGS, TAPE_SHEET, type TapeReading } from '../files/tapeSheet.ts';
import { thicknessAt } from '../foil/foil.ts';
import { stringerLineAt } from '../measure/bottomLines.ts';
import { halfBreadthAt } from '../outline/outline.ts';
import { shapeOf } from '../shape/shape.ts';
import { normally, seeded } from './seeded.ts';

/** How a made-up pair of hands reads. */
export interface Hands {
  /** Read to the nearest of so much, mm; 0 exactly. */
  rounding_mm: number;
  /** Deviation of a reading, mm. */
  noise_mm: number;
  /** Every thickness is read so much too much, as callipers with bent jaws do, mm. */
  bias_mm: number;
  /** Share of the places that are passed over; length, width and the middle's thickness never are. */
  missed: number;
  seed: number;
}

export const PERFECT_HANDS: Hands = { rounding_mm: 0, noise_mm: 0, bias_mm: 0, missed: 0, seed: 1 };
/** To a sixteenth of an inch, half a millimetre either way, one place in five passed over. */
export const ROUGH_HANDS: Hands = { rounding_mm: 25.4 / 16, noise_mm: 0.5, bias_mm: 0, missed: 0.2, seed: 2 };

const NEVER_MISSED: readonly TapeReading[] = ['length', 'width', 'thickness'];

/** What these hands read off a board with tape, straightedge and callipers. The same seed reads the same. */
export function readByHand(board: Board, hands: Hands): Partial<Record<TapeReading, number>> {
  const shape = shapeOf(board);
  const anchors = anchorsOf(board);
  const even = seeded(hands.seed);
  const normal = normally(even);
  const at = {
    width_mm: (x: number) => 2 * halfBreadthAt(shape.outline, x),
    thickness_mm: (x: number) => thicknessAt(shape.foil, x) + hands.bias_mm,
    stringer_mm: (x: number) => stringerLineAt(shape, x),
  };
  const exact = (reading: TapeReading): number => {
    const line = TAPE_SHEET[reading];
    if ('at' in line) return at[line.of](stationOfMark(line.at, anchors));
    if (reading === 'length') return board.length_mm;
    return reading === 'width' ? board.outline.width_mm : board.outline.widePoint_mm;
  };
  const read: Partial<Record<TapeReading, number>> = {};
  for (const reading of TAPE_READINGS) {
    const [passed, off] = [even() < hands.missed, hands.noise_mm * normal()];
    if (passed && !NEVER_MISSED.includes(reading)) continue;
    const value = exact(reading) + off;
    read[reading] = hands.rounding_mm > 0 ? Math.round(value / hands.rounding_mm) * hands.rounding_mm : value;
  }
  return read;
}
