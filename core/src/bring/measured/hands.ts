import type { Board } from '../../document/schema.ts';
import { shapeOf } from '../../shape/shape.ts';
import { normally, seeded } from '../seeded.ts';
import { readingOf } from './readings.ts';
import { lineOf, type Read, SHEET_READINGS, type SheetReading } from './sheet.ts';

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
  /** What has two sides is read on each. */
  sides: boolean;
  seed: number;
}

export const PERFECT_HANDS: Hands = { rounding_mm: 0, noise_mm: 0, bias_mm: 0, missed: 0, sides: false, seed: 1 };
/** To a sixteenth of an inch, half a millimetre either way, one place in five passed over. */
export const ROUGH_HANDS: Hands = { ...PERFECT_HANDS, rounding_mm: 25.4 / 16, noise_mm: 0.5, missed: 0.2, seed: 2 };

const NEVER_MISSED: readonly SheetReading[] = ['length', 'width', 'thickness'];

/** What these hands read off a board with tape, straightedge, callipers and card. The same seed reads the same. */
export function readByHand(board: Board, hands: Hands): Partial<Record<SheetReading, Read>> {
  const shape = shapeOf(board);
  const even = seeded(hands.seed);
  const normal = normally(even);
  const rounded = (value: number) =>
    hands.rounding_mm > 0 ? Math.round(value / hands.rounding_mm) * hands.rounding_mm : value;
  const read: Partial<Record<SheetReading, Read>> = {};
  for (const reading of SHEET_READINGS) {
    const { tool, sided, of } = lineOf(reading);
    const thick = tool === 'callipers' || tool === 'jaws';
    const isPassed = even() < hands.missed && !NEVER_MISSED.includes(reading);
    const [off, other] = [hands.noise_mm * normal(), hands.noise_mm * normal()];
    if (isPassed) continue;
    const value = readingOf(shape, reading) + (thick ? hands.bias_mm : 0);
    if (!hands.sides || !sided) {
      read[reading] = rounded(value + off);
      continue;
    }
    const side = reading === 'width' || of === 'width_mm' ? value / 2 : value;
    read[reading] = { left_mm: rounded(side + off), right_mm: rounded(side + other) };
  }
  return read;
}
